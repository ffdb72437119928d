<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Queue\Middleware\WithoutOverlapping;
use Nomada\App\Models\Publishing\Run;

/** After a publish run: whether everybody of its sections sees by now what the door would say; its last line. */
final class TellTruthAfter implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $timeout = 240;

    public int $tries = 2;

    public function __construct(public readonly string $run)
    {
    }

    /**
     * It may take longer than the queue waits before it hands a job to another worker: that one lets it be.
     *
     * @return list<WithoutOverlapping>
     */
    public function middleware(): array
    {
        return [(new WithoutOverlapping($this->run))->dontRelease()->expireAfter($this->timeout)];
    }

    public function handle(TellTruth $truth): void
    {
        $run = Run::query()->find($this->run);
        if ($run === null || $run->kind !== 'publish' || $run->truth !== null) {
            return;
        }
        $sections = $run->steps()->reorder()->distinct()->pluck('section_id')->all();
        $run->update(['truth' => $truth(array_values(array_map(intval(...), $sections)))->differing()]);
    }
}
