<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Nomada\Core\Timetable\Clashes;

/** A timetable from a day on, as the solver sees it: what may be where, and what any two series cost each other. */
final readonly class Problem
{
    /** Minutes between two sessions of one teacher. */
    private const PAUSE = Clashes::TURNAROUND / 60;

    /**
     * @param  array<int, MovableSeries>  $series  by id
     * @param  array<int, array<int, SharedPeople>>  $shared  of each series with each other one that it shares somebody
     *   or something with; the same object both ways
     * @param  bool  $studentsMust  whether students in two places must be fixed; else that is counted below the moves
     */
    public function __construct(public array $series, public array $shared, public bool $studentsMust = true)
    {
    }

    /**
     * What two series cost each other at two places.
     *
     * @return array{int, int, int} clashes that must be fixed (one for each kind), students summed over sessions,
     *   advice
     */
    public function pair(Candidate $a, Candidate $b, SharedPeople $shared): array
    {
        $students = $advice = 0;
        $teacher = $room = $account = false;
        foreach ($a->blocks as $x) {
            foreach ($b->blocks as $y) {
                $apart = max($x->from, $y->from) - min($x->to, $y->to);
                if ($apart >= self::PAUSE && ! $shared->isSameSection) {
                    continue;
                }
                $both = $x->days & $y->days;
                if (! str_contains($both, "\1")) {
                    continue;
                }
                if ($shared->isSameSection) {
                    $advice += DaySet::count($both);
                }
                if ($apart < 0) {
                    $students += $shared->studentsOn($both);
                    $teacher = $teacher || $shared->hasTeacherOn($both);
                    $room = $room || $shared->isSameRoom;
                    $account = $account || $shared->isSameAccount;
                } elseif ($apart < self::PAUSE && $shared->hasTeacherOn($both)) {
                    $advice += DaySet::count($both);
                }
            }
        }

        $must = (int) $teacher + (int) $room + (int) ($this->studentsMust && $students > 0);
        if ($a->plan !== null || $b->plan !== null) {
            return [$must + (int) $account, $students, $advice];
        }
        // What was accepted was accepted of the timetable as it is. And as it is, series on one account are no reason
        // to move a lesson, since they can be put on others.
        if ($must > 0) {
            $must -=
                (int) ($teacher && $shared->isAccepted('teacher')) +
                (int) ($room && $shared->isAccepted('room')) +
                (int) ($this->studentsMust && $students > 0 && $shared->isAccepted('students'));
        }

        return [$must, $students, $advice];
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
        $days = null;
        foreach ($shared === null ? [] : $p->blocks as $x) {
            foreach ($q->blocks as $y) {
                if ($x->from < $y->to && $y->from < $x->to) {
                    $both = $x->days & $y->days;
                    $days = $days === null ? $both : $days | $both;
                }
            }
        }
        if ($shared === null || $days === null || ! str_contains($days, "\1")) {
            return [];
        }
        $students = $this->studentsMust ? $shared->studentsAt($days) : 0;

        return ($shared->hasTeacherOn($days) ? ['teacher' => 0] : []) +
            ($shared->isSameRoom ? ['room' => 0] : []) +
            ($shared->isSameAccount && ($p->plan !== null || $q->plan !== null) ? ['account' => 0] : []) +
            ($students > 0 ? ['students' => $students] : []);
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

        return new self($series, $this->shared, $this->studentsMust);
    }
}
