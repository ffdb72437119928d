<?php

declare(strict_types=1);

namespace Nomada\App\Jobs;

use DateTimeInterface;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\CarryOutStep;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Publishing\RunStep;

/**
 * Carries out one lane of a run. Each step is locked, done and written down in one transaction: if the worker dies, the
 * step is still waiting, and doing it again finds at the destination what the first try had left there. Failures are
 * tried again after growing pauses, then reported; one failure stops nothing else.
 */
final class CarryOut implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    /** Seconds; well under the queue's retry_after, so that no second worker takes up a lane that is still at work. */
    public int $timeout = 30;

    /** A killed worker or a pause is no failure of the job. */
    public int $tries = 0;

    /** Of another kind than a destination's failure: the program's own. */
    public int $maxExceptions = 5;

    public int $backoff = 10;

    private const WORKS_FOR = 15.0;

    public function __construct(
        public readonly string $run,
        public readonly int $section,
        public readonly string $lane,
    ) {
    }

    public function retryUntil(): DateTimeInterface
    {
        return now()->addDay();
    }

    public function handle(CarryOutStep $carryOut): void
    {
        $until = microtime(true) + self::WORKS_FOR;
        do {
            $did = DB::transaction(fn (): bool => $this->next($carryOut));
        } while ($did && microtime(true) < $until);

        $left = RunStep::query()->where([
            'run_id' => $this->run,
            'section_id' => $this->section,
            'lane' => $this->lane,
            'state' => 'waiting',
        ]);
        if ($left->exists()) {
            $due = $left->min('due_at');
            $this->release(max(0, (int) ceil(($due === null ? 0 : strtotime((string) $due)) - microtime(true))));
        } else {
            self::endIfDone($this->run);
        }
    }

    /** Ends a run that has no waiting step left. */
    public static function endIfDone(string $run): void
    {
        Run::query()
            ->whereKey($run)
            ->whereNull('ended_at')
            ->whereNotExists(
                fn ($q) => $q->from('run_steps')->whereColumn('run_id', 'runs.id')->where('state', 'waiting'),
            )
            ->update(['ended_at' => now()]);
    }

    private function next(CarryOutStep $carryOut): bool
    {
        $step = RunStep::query()
            ->where([
                'run_id' => $this->run,
                'section_id' => $this->section,
                'lane' => $this->lane,
                'state' => 'waiting',
            ])
            ->where(fn ($q) => $q->whereNull('due_at')->orWhere('due_at', '<=', now()))
            ->orderBy('id')
            ->lock('for update skip locked')
            ->first();
        if ($step === null) {
            return false;
        }
        try {
            $carryOut($step);
            $step->update(['state' => 'done', 'done_at' => now(), 'words' => null]);
        } catch (DestinationFailure $e) {
            $pauses = (array) config('nomada.pauses');
            $pause = $pauses[$step->tries] ?? null;
            $isFinal = $e->isFinal || $pause === null;
            $step->update([
                'tries' => $step->tries + 1,
                'words' => $e->getMessage(),
                'state' => $isFinal ? 'failed' : 'waiting',
                'due_at' => $isFinal
                    ? null
                    : now()->addMilliseconds((int) (1000 * max((float) $pause, $e->waitSeconds ?? 0))),
            ]);
        }
        $carryOut->endLane($step);

        return true;
    }
}
