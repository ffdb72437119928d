<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Nomada\Core\Timetable\Clash;
use Nomada\Core\Timetable\Clashes;

/** A timetable from a day on, as the solver sees it: what may be where, and what any two series cost each other. */
final readonly class Problem
{
    /** Kinds of clashes, to be added up. */
    public const TEACHER = 1;

    public const ROOM = 2;

    public const ACCOUNT = 4;

    public const STUDENTS = 8;

    /** By kind of {@see Clash}. */
    public const KINDS = [
        'teacher' => self::TEACHER,
        'room' => self::ROOM,
        'account' => self::ACCOUNT,
        'students' => self::STUDENTS,
    ];

    /**
     * @param  array<int, MovableSeries>  $series  by id
     * @param  array<int, array<int, SharedPeople>>  $shared  of each series with each other one that it shares somebody
     *   or something with; the same object both ways
     * @param  bool  $studentsMust  whether students in two places must be fixed; else that is counted below the moves
     * @param  int  $pause  minutes between two sessions of one teacher, which is advice
     * @param  DailyLimits|null  $limits  how many series a day somebody should have at most, which is advice
     */
    public function __construct(
        public array $series,
        public array $shared,
        public bool $studentsMust = true,
        public int $pause = Clashes::TURNAROUND / 60,
        public ?DailyLimits $limits = null,
    ) {
    }

    /**
     * What two series cost each other at two places.
     *
     * @return array{int, int, int} clashes that must be fixed (one for each kind), students summed over sessions,
     *   advice
     */
    public function pair(Candidate $a, Candidate $b, SharedPeople $shared): array
    {
        $kinds = $students = $advice = 0;
        foreach ($a->blocks as $x) {
            foreach ($b->blocks as $y) {
                $met = $this->meet($x, $y, $shared);
                $kinds |= $met[0];
                $students += $met[1];
                $advice += $met[2];
            }
        }

        return [$this->must($a, $b, $shared, $kinds), $students, $advice];
    }

    /**
     * What sessions at two times cost.
     *
     * @return array{int, int, int} kinds of clashes (TEACHER and so on, added up), students summed over sessions,
     *   advice
     */
    public function meet(Block $x, Block $y, SharedPeople $shared): array
    {
        $apart = max($x->from, $y->from) - min($x->to, $y->to);
        if ($x->lane !== $y->lane || ($apart >= $this->pause && ! $shared->isSameSection)) {
            return [0, 0, 0];
        }
        $both = $x->days & $y->days;
        if (! str_contains($both, "\1")) {
            return [0, 0, 0];
        }
        $kinds = $students = 0;
        $advice = $shared->isSameSection ? DaySet::count($both) : 0;
        if ($apart < 0) {
            $students = $shared->studentsOn($both);
            $kinds =
                ($shared->hasTeacherOn($both) ? self::TEACHER : 0) |
                ($shared->isSameRoom ? self::ROOM : 0) |
                ($shared->isSameAccount && $x->account === $y->account ? self::ACCOUNT : 0) |
                ($students > 0 ? self::STUDENTS : 0);
        } elseif ($apart < $this->pause && $shared->hasTeacherOn($both)) {
            $advice += DaySet::count($both);
        }

        return [$kinds, $students, $advice];
    }

    /** How many clashes that must be fixed the kinds are between two series at two places. */
    public function must(Candidate $a, Candidate $b, SharedPeople $shared, int $kinds): int
    {
        if ($kinds === 0) {
            return 0;
        }
        if (! $this->studentsMust) {
            $kinds &= ~self::STUDENTS;
        }
        // What was accepted was accepted of the timetable as it is. And as it is, series on one account are no reason
        // to move a lesson, since they can be put on others.
        if ($a->plan === null && $b->plan === null) {
            $kinds &= ~($shared->accepted | self::ACCOUNT);
        }

        return ($kinds & 1) + (($kinds >> 1) & 1) + (($kinds >> 2) & 1) + ($kinds >> 3);
    }

    /**
     * Why two series clash at two places.
     *
     * @return array<string, int> kinds of {@see \Nomada\Core\Timetable\Clash} that must be fixed, each with the number
     *   of students (0 where it is not about students)
     */
    public function kinds(int $a, Candidate $p, int $b, Candidate $q): array
    {
        $shared = $this->shared[$a][$b] ?? null;
        if ($shared === null) {
            return [];
        }
        $days = null;
        $isSameAccount = false;
        foreach ($p->blocks as $x) {
            foreach ($q->blocks as $y) {
                if ($x->lane === $y->lane && $x->from < $y->to && $y->from < $x->to) {
                    $both = $x->days & $y->days;
                    $isSameAccount =
                        $isSameAccount ||
                        ($shared->isSameAccount && $x->account === $y->account && str_contains($both, "\1"));
                    $days = $days === null ? $both : $days | $both;
                }
            }
        }
        if ($days === null || ! str_contains($days, "\1")) {
            return [];
        }
        $students = $this->studentsMust ? $shared->studentsAt($days) : 0;

        return ($shared->hasTeacherOn($days) ? ['teacher' => 0] : []) +
            ($shared->isSameRoom ? ['room' => 0] : []) +
            ($isSameAccount && ($p->plan !== null || $q->plan !== null) ? ['account' => 0] : []) +
            ($students > 0 ? ['students' => $students] : []);
    }

    /**
     * A place of a series by its days and its start.
     *
     * @param  list<int>  $weekdays  as many as it has; ignored where its pattern has none
     * @param  int  $start  minutes from midnight on the series' clock
     * @return Candidate|null null where it cannot be there, or is there now
     */
    public function placeOf(int $id, array $weekdays, int $start): ?Candidate
    {
        foreach (isset($this->series[$id]) ? $this->series[$id]->candidates() : [] as $candidate) {
            $isThen = $candidate->weekdays === $weekdays || $candidate->weekdays === [];
            if ($isThen && $candidate->start === $start) {
                return $candidate;
            }
        }

        return null;
    }

    /**
     * The same with fewer places: what the coordinator would rather not.
     *
     * @param  callable(int, Candidate): bool  $keeps  which places stay
     * @param  list<int>  $pins  series that do not move besides
     */
    public function limited(callable $keeps, array $pins = []): self
    {
        $series = [];
        foreach ($this->series as $id => $one) {
            $series[$id] = new MovableSeries(
                $id,
                $one->now,
                $one->isPinned || in_array($id, $pins, true),
                fn (): array => array_values(
                    array_filter($one->candidates(), fn (Candidate $c): bool => $keeps($id, $c)),
                ),
                $one->series(),
            );
        }

        return new self($series, $this->shared, $this->studentsMust, $this->pause, $this->limits);
    }
}
