<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Run;

use Nomada\App\Models\Publishing\Run;

/** A run as far as it has come. */
final readonly class RunPage
{
    /** Seconds after which the last line of a run is not waited for any more. */
    private const TRUTH_COMES = 300;

    public int $all;

    public int $done;

    public int $failed;

    public int $asked;

    public int $waiting;

    /**
     * @param  string  $at  when it began, on the school's clock; $place whose that is
     * @param  array<string, RunLane>  $lanes
     * @param  list<RunTrouble>  $troubles
     * @param  list<RunSection>  $sections
     * @param  int  $seconds  for how long it has gone on, or went on
     */
    public function __construct(
        public Run $run,
        public string $at,
        public string $place,
        public array $lanes,
        public array $troubles,
        public array $sections,
        public int $seconds,
    ) {
        $sum = fn (string $of): int => array_sum(array_map(fn (RunLane $l): int => $l->{$of}, $lanes));
        $this->done = $sum('done');
        $this->failed = $sum('failed');
        $this->asked = $sum('asked');
        $this->waiting = $sum('waiting');
        $this->all = $this->done + $this->failed + $this->asked + $this->waiting;
    }

    public function isOfLinks(): bool
    {
        return $this->run->kind === 'links';
    }

    public function isOver(): bool
    {
        return $this->waiting === 0;
    }

    /**
     * Whether nothing more comes of it, so that the page need not ask again: of a publish run its last line too, what
     * every place tells now. That comes from a job behind others; where it does not come at all, it is not waited for.
     */
    public function isSettled(): bool
    {
        $ended = $this->run->ended_at;

        return $this->isOver() &&
            ($this->run->kind !== 'publish' ||
                $this->run->truth !== null ||
                ($ended !== null && $ended->lt(now()->subSeconds(self::TRUTH_COMES))));
    }

    /** @return 'halted'|'later'|'running'|'failed'|'done' */
    public function state(): string
    {
        return match (true) {
            $this->run->halted_at !== null => 'halted',
            $this->run->scope !== null => 'later',
            ! $this->isOver() => 'running',
            $this->failed > 0 || $this->asked > 0 => 'failed',
            default => 'done',
        };
    }
}
