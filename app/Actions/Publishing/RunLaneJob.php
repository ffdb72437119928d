<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use DateTimeInterface;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\DB;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Destinations\Drifted;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Publishing\RunStep;
use Nomada\App\Models\Publishing\StepState;
use Nomada\Core\Publishing\Place;

/**
 * Carries out a lane of a run. Some steps at a time are locked, done and written down in one transaction: if the
 * worker dies, they are still waiting, and doing them again finds at the destination what the first try had left there.
 * Failures are tried again after growing pauses, then reported; one failure stops nothing else.
 */
final class RunLaneJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    /**
     * Seconds; above what some steps take at a service that answers each at the last moment. A second worker that takes
     * up the lane meanwhile finds its steps locked, and passes them by.
     */
    public int $timeout = 180;

    /** A killed worker or a pause is no failure of the job. */
    public int $tries = 0;

    /** Of another kind than a destination's failure: the program's own. */
    public int $maxExceptions = 5;

    public int $backoff = 10;

    private const WORKS_FOR = 10.0;

    /** Steps that are done side by side, and written down together. */
    private const AT_ONCE = 50;

    /** Sections whose lane is one job. */
    private const TOGETHER = 10;

    /** @param  list<int>  $sections */
    public function __construct(
        public readonly string $run,
        public readonly array $sections,
        public readonly string $lane,
    ) {
    }

    /**
     * The jobs of a run: the calendars of a section are one, which are many people's; of the other lanes some sections
     * together are one, since a section has few steps in them, and what should be for new links is written down
     * together.
     *
     * @param  iterable<array{int, string}>  $lanes  section and lane
     * @return list<self>
     */
    public static function all(string $run, iterable $lanes): array
    {
        $sections = [];
        foreach ($lanes as [$section, $lane]) {
            $sections[$lane][$section] = $section;
        }
        $out = [];
        foreach ($sections as $lane => $of) {
            sort($of);
            foreach (array_chunk($of, $lane === Place::Calendar->value ? 1 : self::TOGETHER) as $some) {
                $out[] = new self($run, $some, $lane);
            }
        }

        return $out;
    }

    public function retryUntil(): DateTimeInterface
    {
        return now()->addDay();
    }

    public function handle(LaneExecutor $carryOut): void
    {
        $until = microtime(true) + self::WORKS_FOR;
        do {
            // Somebody may have stopped the run between two steps.
            if (Run::query()->whereKey($this->run)->whereNull('halted_at')->doesntExist()) {
                return;
            }
            $did = DB::transaction(fn (): bool => $this->next($carryOut));
        } while ($did && microtime(true) < $until);

        $left = $this->steps();
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
        $ended = Run::query()
            ->whereKey($run)
            ->whereNull('ended_at')
            ->whereNull('scope')
            ->whereNotExists(
                fn ($q) => $q->from('run_steps')->whereColumn('run_id', 'runs.id')->where('state', StepState::Waiting),
            )
            ->update(['ended_at' => now(), 'truth' => null]);
        if ($ended === 1) {
            TellTruthAfter::dispatch($run);
        }
    }

    /** @return Builder<RunStep> those that wait */
    private function steps(): Builder
    {
        return RunStep::query()
            ->where(['run_id' => $this->run, 'lane' => $this->lane, 'state' => StepState::Waiting])
            ->whereIn('section_id', $this->sections);
    }

    private function next(LaneExecutor $carryOut): bool
    {
        $steps = $this->steps()
            ->where(fn ($q) => $q->whereNull('due_at')->orWhere('due_at', '<=', now()))
            ->orderBy('id')
            ->limit(self::AT_ONCE)
            ->lock('for update skip locked')
            ->get();
        if ($steps->isEmpty()) {
            return false;
        }
        $failures = $carryOut($steps, $this->lane, $this->sections);
        RunStep::query()
            ->whereKey($steps->reject(fn (RunStep $s): bool => isset($failures[$s->id]))->modelKeys())
            ->update(['state' => StepState::Done, 'done_at' => now(), 'words' => null]);
        foreach ($steps as $step) {
            if (isset($failures[$step->id])) {
                $this->keep($step, $failures[$step->id]);
            }
        }
        $carryOut->endLane($steps);

        return true;
    }

    private function keep(RunStep $step, DestinationFailure $why): void
    {
        $pauses = (array) config('nomada.pauses');
        $pause = $pauses[$step->tries] ?? null;
        $isFinal = $why->isFinal || $pause === null;
        $step->update([
            'tries' => $step->tries + 1,
            'words' => $why->getMessage(),
            'state' => match (true) {
                $why instanceof Drifted => StepState::Asked,
                $isFinal => StepState::Failed,
                default => StepState::Waiting,
            },
            'due_at' => $isFinal
                ? null
                : now()->addMilliseconds((int) (1000 * max((float) $pause, $why->waitSeconds ?? 0))),
        ]);
    }
}
