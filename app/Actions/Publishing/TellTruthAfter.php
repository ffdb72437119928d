<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Query\Builder;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Models\Publishing\Run;

/**
 * After a publish run: whether everybody of its sections sees what the door would say; the run's last line.
 *
 * The larger the school, the longer this takes, so it has no time limit. One worker holds the check by a lease that it
 * renews as it goes on; the queue hands the job to others meanwhile, who leave it until the lease has run out.
 */
final class TellTruthAfter implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    /** Seconds; 0 is without end: a worker that dies at it loses its lease. */
    public int $timeout = 0;

    /** Another worker that finds it held counts as a try; what fails twice is left. */
    public int $tries = 0;

    public int $maxExceptions = 2;

    /**
     * Seconds from one sign of life to the next. The longest part is 64 calendars, 16 at once: 240 seconds where none
     * answers within the longest limit that a service may have, a minute.
     */
    private const LEASE = 300;

    public function __construct(public readonly string $run)
    {
    }

    public function handle(TellTruth $truth): void
    {
        $by = Str::random(40);
        if ($this->open()->doesntExist()) {
            return;
        }
        $free = fn (Builder $q) => $q->whereNull('checked_until')->orWhere('checked_until', '<', DB::raw('now()'));
        if (! $this->hold($this->open()->where($free), $by)) {
            $this->release(30);

            return;
        }
        $sections = DB::table('run_steps')->where('run_id', $this->run)->distinct()->pluck('section_id')->all();
        $isMine = fn (): bool => $this->hold($this->open()->where('checked_by', $by), $by);
        $result = $truth(array_values(array_map(intval(...), $sections)), goesOn: $isMine);
        if ($result !== null) {
            $this->open()
                ->where('checked_by', $by)
                ->update([
                    'truth' => $result->differing(),
                    'checked_by' => null,
                    'checked_until' => null,
                ]);
        }
    }

    /** The run, while its check has no result. */
    private function open(): Builder
    {
        return DB::table('runs')->where('id', $this->run)->where('kind', 'publish')->whereNull('truth');
    }

    private function hold(Builder $run, string $by): bool
    {
        $until = DB::raw("now() + interval '".self::LEASE." seconds'");

        return $run->update(['checked_by' => $by, 'checked_until' => $until]) === 1;
    }
}
