<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Snag;

/** How far a section has come, and from that its snags. Counts only, so that six hundred of them are cheap. */
final readonly class SectionStatus
{
    /**
     * @param  int  $series  how many it has, $linked of them with a join link
     * @param  int  $roster  students enrolled, $registered of them for every series
     * @param  list<string>  $clashes  what is said of each clash that nobody has accepted
     * @param  int  $absentRunning  students who have missed three sessions or more one after the other
     * @param  int  $changedThere  what somebody else has changed or deleted at a destination, until it is decided
     * @param  int  $seeOther  people and pages that told something else than the door, when the truth was last told
     * @param  array<string, array{add: int, change: int, remove: int, leave: int, trouble: int}>  $places  by Place
     */
    public function __construct(
        public int $series,
        public int $linked,
        public int $roster,
        public int $registered,
        public array $places,
        public array $clashes = [],
        public int $absentRunning = 0,
        public int $changedThere = 0,
        public int $seeOther = 0,
    ) {
    }

    /** @return list<Snag> the gravest first */
    public function snags(): array
    {
        $out = [];
        foreach (Place::cases() as $place) {
            $n = $this->places[$place->value]['trouble'] ?? 0;
            if ($n > 0) {
                $out[] = new Snag('refused', true, "{$place->title()} refused $n", 'publishing');
            }
        }
        if ($this->series === 0) {
            $out[] = new Snag('no-series', true, 'No timetable yet', 'timetable');
        }
        foreach ($this->clashes as $words) {
            $out[] = new Snag('clash', true, $words, 'timetable');
        }
        if ($this->absentRunning > 0) {
            $out[] = new Snag(
                'absences',
                false,
                $this->absentRunning.
                    ($this->absentRunning === 1 ? ' student' : ' students').
                    ' absent three times running',
                'records',
            );
        }
        if (
            $this->stands() &&
            $this->differing() > 0 &&
            ! in_array('refused', array_map(fn (Snag $s): string => $s->kind, $out), true)
        ) {
            $out[] = new Snag('changed', false, 'Changed, not republished', 'publishing');
        }
        if ($this->changedThere > 0) {
            $out[] = new Snag(
                'changed-there',
                false,
                "$this->changedThere changed there by somebody else",
                'publishing',
            );
        } elseif ($this->seeOther > 0 && $this->stands() && $this->differing() === 0) {
            $out[] = new Snag(
                'truth',
                false,
                "$this->seeOther see something else than the door says",
                'publishing',
            );
        }
        if ($this->linked < $this->series) {
            $out[] = new Snag('no-link', false, 'No join link', 'joining');
        }
        if ($this->series > 0 && $this->registered < $this->roster) {
            $out[] = new Snag(
                'not-registered',
                false,
                $this->roster - $this->registered.' not registered',
                'registration',
            );
        }
        if ($this->series > 0 && ! $this->stands()) {
            $out[] = new Snag('not-published', false, 'Not published', 'publishing');
        }

        return $out;
    }

    /** Whether anything of it stands at any destination. */
    public function stands(): bool
    {
        return $this->sum('leave', 'change', 'remove') > 0;
    }

    /** How many placements differ from what ought to stand. */
    public function differing(): int
    {
        return $this->sum('add', 'change', 'remove');
    }

    private function sum(string ...$verbs): int
    {
        $sum = 0;
        foreach ($this->places as $counts) {
            foreach ($verbs as $verb) {
                $sum += $counts[$verb] ?? 0;
            }
        }

        return $sum;
    }
}
