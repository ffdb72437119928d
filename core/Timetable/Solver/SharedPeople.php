<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

/**
 * What stands between two series: whom they share, and whether they use the same room or host account. Somebody who is
 * in both all the time is a number; somebody who comes later or leaves earlier has a {@see DaySet} of the days on which
 * they are in both.
 */
final class SharedPeople
{
    public int $students = 0;

    /** @var list<string> */
    public array $studentDays = [];

    public bool $hasTeacher = false;

    /** @var list<string> */
    public array $teacherDays = [];

    /** Kinds of clashes that a coordinator has accepted, as the two series stand now; {@see Problem::TEACHER} etc. */
    public int $accepted = 0;

    /** @param  bool  $isSameAccount  whether both run on one host account that bears one session at once */
    public function __construct(
        public readonly bool $isSameRoom = false,
        public readonly bool $isSameSection = false,
        public readonly bool $isSameAccount = false,
    ) {
    }

    /** @param  string|null  $days  null for all of them */
    public function add(bool $isTeacher, ?string $days): void
    {
        if ($isTeacher && $days === null) {
            $this->hasTeacher = true;
        } elseif ($isTeacher) {
            $this->teacherDays[] = $days;
        } elseif ($days === null) {
            $this->students++;
        } else {
            $this->studentDays[] = $days;
        }
    }

    /** @param  string  $kind  of {@see \Nomada\Core\Timetable\Clash} */
    public function accept(string $kind): void
    {
        $this->accepted |= Problem::KINDS[$kind] ?? 0;
    }

    /** Whether a teacher of both is there on one of the days. */
    public function hasTeacherOn(string $days): bool
    {
        if ($this->hasTeacher) {
            return true;
        }
        foreach ($this->teacherDays as $on) {
            if (str_contains($days & $on, "\1")) {
                return true;
            }
        }

        return false;
    }

    /** Students of both, summed over the days. */
    public function studentsOn(string $days): int
    {
        $out = $this->students === 0 ? 0 : $this->students * DaySet::count($days);
        foreach ($this->studentDays as $on) {
            $out += DaySet::count($days & $on);
        }

        return $out;
    }

    /** How many students of both are there on any of the days. */
    public function studentsAt(string $days): int
    {
        $some = array_filter($this->studentDays, fn (string $on): bool => str_contains($days & $on, "\1"));

        return $this->students + count($some);
    }

    public function hasAnybody(): bool
    {
        return $this->hasTeacher ||
            $this->students > 0 ||
            $this->studentDays !== [] ||
            $this->teacherDays !== [] ||
            $this->isSameRoom ||
            $this->isSameAccount ||
            $this->isSameSection;
    }
}
