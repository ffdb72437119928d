<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/**
 * A section's contact time in minutes: what was planned, held, is to come, was lost (to closed days and cancellations),
 * and made up, against what the school owes it.
 */
final readonly class ContactTime
{
    /**
     * @param  int  $planned  all that the pattern makes, lost ones among them, and extra sessions that make up nothing
     * @param  int  $held  over by now, made-up ones among them
     * @param  int  $coming  still to be held, made-up ones among them
     * @param  int  $lost  lost or cancelled, whether made up or not
     * @param  int  $madeUp  of sessions that make up a lost one, held or to come
     */
    public function __construct(
        public int $planned,
        public int $held,
        public int $coming,
        public int $lost,
        public int $madeUp,
        public ?int $target = null,
    ) {
    }

    /** @param  list<PlannedSession>  $sessions */
    public static function of(array $sessions, int $now, ?int $target = null): self
    {
        $planned = $held = $coming = $lost = $madeUp = 0;
        foreach ($sessions as $session) {
            $minutes = intdiv($session->end - $session->start, 60);
            $isMakeUp = $session->own?->makesUp !== null;
            $planned += $isMakeUp ? 0 : $minutes;
            if ($session->state !== SessionState::Planned) {
                $lost += $isMakeUp ? 0 : $minutes;

                continue;
            }
            $madeUp += $isMakeUp ? $minutes : 0;
            $session->end <= $now ? ($held += $minutes) : ($coming += $minutes);
        }

        return new self($planned, $held, $coming, $lost, $madeUp, $target);
    }

    /** What the section will have had at the end of the term, if nothing changes. */
    public function reaches(): int
    {
        return $this->held + $this->coming;
    }

    /** Minutes short of the target; below zero where it is passed; null if there is none. */
    public function short(): ?int
    {
        return $this->target === null ? null : $this->target - $this->reaches();
    }

    /**
     * Where the parts of a bar end, in px, for a chart of this width: held, coming, lost; and where the target stands.
     *
     * @return array{held: float, coming: float, lost: float, target: float|null}
     */
    public function bar(float $width): array
    {
        $all = max(1, $this->reaches() + max(0, $this->lost - $this->madeUp), $this->target ?? 0);
        $x = fn (int $minutes): float => round(($minutes / $all) * $width, 1);

        return [
            'held' => $x($this->held),
            'coming' => $x($this->reaches()),
            'lost' => $x($this->reaches() + max(0, $this->lost - $this->madeUp)),
            'target' => $this->target === null ? null : $x($this->target),
        ];
    }
}
