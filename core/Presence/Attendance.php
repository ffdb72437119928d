<?php

declare(strict_types=1);

namespace Nomada\Core\Presence;

/**
 * One student in one session: what follows from when they were inside (docs/rules.md, Presence and attendance).
 *
 * A correction and an excuse are beside what was computed and take nothing of it away.
 */
final readonly class Attendance
{
    /** Seconds outside that count as having been away: a line that is back within the minute was never lost. */
    private const AWAY = 60;

    /**
     * @param  list<array{int, int}>  $inside  UTC seconds, within the session
     * @param  list<array{int, int}>  $away  of a minute or more, between two times inside
     * @param  int|null  $firstIn  UTC seconds, of the session's time; null where they never were inside
     * @param  int  $late  whole minutes from the start to the first time inside
     * @param  int  $left  whole minutes from the last time inside to the end
     */
    private function __construct(
        public array $inside,
        public array $away,
        public ?int $firstIn,
        public ?int $lastOut,
        public int $seconds,
        public int $late,
        public int $left,
        public Status $computed,
        public ?Correction $correction = null,
        public bool $isExcused = false,
    ) {
    }

    /**
     * @param  list<PresenceEvent>  $told
     * @param  int  $from  UTC seconds of the start; $to of the end, or of when it was ended, or of this moment
     */
    public static function of(array $told, int $from, int $to, AttendanceRules $rules = new AttendanceRules()): self
    {
        $inside = Intervals::of($told, $from, $to);
        if ($inside === []) {
            return new self([], [], null, null, 0, 0, 0, Status::Absent);
        }
        $seconds = 0;
        $away = [];
        $before = null;
        foreach ($inside as [$since, $until]) {
            $seconds += $until - $since;
            if ($before !== null && $since - $before >= self::AWAY) {
                $away[] = [$before, $since];
            }
            $before = $until;
        }
        $first = $inside[0][0];
        $last = $inside[count($inside) - 1][1];
        $share = 100 * $seconds;
        $held = $to - $from;

        return new self(
            $inside,
            $away,
            $first,
            $last,
            $seconds,
            intdiv($first - $from, 60),
            intdiv($to - $last, 60),
            match (true) {
                $share < $rules->absentUnder * $held => Status::Absent,
                $share < $rules->presentFrom * $held => Status::Partial,
                $rules->isLate($first, $from) => Status::Late,
                default => Status::Present,
            },
        );
    }

    /** With what a teacher says instead, and whether a guardian has told the absence in advance. */
    public function with(?Correction $correction, bool $isExcused): self
    {
        return new self(
            $this->inside,
            $this->away,
            $this->firstIn,
            $this->lastOut,
            $this->seconds,
            $this->late,
            $this->left,
            $this->computed,
            $correction,
            $isExcused,
        );
    }

    /** What counts: the correction, else the excuse where they were absent, else what was computed. */
    public function status(): Status
    {
        return $this->correction->status ??
            ($this->isExcused && $this->computed === Status::Absent ? Status::Excused : $this->computed);
    }

    /** Whole minutes within the session: the correction's where it has some. */
    public function minutes(): int
    {
        return $this->correction->minutes ?? intdiv($this->seconds, 60);
    }
}
