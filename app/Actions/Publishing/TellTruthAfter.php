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

    /** Seconds; a school of any size is read in that. */
    public int $timeout = 3600;

    /** As often as another worker finds it at work; what fails twice is left. */
    public int $tries = 0;

    public int $maxExceptions = 2;

    /** Seconds after which one that was killed at it is taken over. */
    private const LEASE = 600;

    public function __construct(public readonly string $run)
    {
    }

    /**
     * It may take longer than the queue waits before it hands a job to another worker: that one
     * looks again a minute later, and finds it done or takes it over.
     *
     * @return list<WithoutOverlapping>
     */
    public function middleware(): array
    {
        return [(new WithoutOverlapping($this->run))->releaseAfter(60)->expireAfter(self::LEASE)];
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
