<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;

/**
 * A series as it is planned: its pattern, from when, how it ends, and at what wall time for how many minutes, on its zone's clock.
 */
final readonly class SeriesPlan
{
    public const LONGEST = 12 * 60;

    public function __construct(
        public Pattern $pattern,
        public LocalDate $from,
        public SeriesEnd $end,
        public int $startMinute,
        public int $minutes,
        public Zone $zone,
    ) {
        if ($minutes < 1 || $minutes > self::LONGEST) {
            throw new Fault('A session lasts from 1 minute to 12 hours.', 'end_time');
        }
        if ($startMinute < 0 || $startMinute >= 1440) {
            throw new Fault('A session starts between 00:00 and 23:59.', 'start_time');
        }
        if ($end->date !== null && $end->date->day < $from->day) {
            throw new Fault("The series ends on {$end->date->short()}, before it begins on {$from->short()}.", 'ends_on');
        }
    }

    /**
     * What the pattern makes within the term: every date of it, in order, held or lost with the reason.
     *
     * Dates of the pattern outside the term make no session; {@see outside()} counts them.
     *
     * @return list<PlannedSession>
     */
    public function sessions(Term $term): array
    {
        $out = [];
        $first = $term->first->day;
        $last = $term->last->day;
        $until = new LocalDate($this->end->date === null ? $last : min($last, $this->end->date->day));
        $left = $this->end->n ?? PHP_INT_MAX;
        $countsClosed = $this->end->kind === 'counted';
        $seconds = $this->minutes * 60;
        $wall = $this->startMinute * 60;
        // Looked up once: a large school asks for these many thousand times.
        $closed = $term->closedDays();
        $offsets = $this->zone->offsets($first, $last);
        $planned = SessionState::Planned;
        $lost = SessionState::Lost;
        foreach ($this->pattern->days($this->from, $until, $term) as $day) {
            if ($day < $first) {
                $left -= $countsClosed ? 1 : 0;

                continue;
            }
            if ($left < 1) {
                break;
            }
            $offset = $offsets[$day];
            $start = $offset === null ? $this->zone->instant($day, $this->startMinute) : $day * 86400 + $wall - $offset;
            if (isset($closed[$day])) {
                $out[] = new PlannedSession($day, $start, $start + $seconds, $lost, $closed[$day]);
                $left -= $countsClosed ? 1 : 0;
            } else {
                $out[] = new PlannedSession($day, $start, $start + $seconds, $planned);
                $left--;
            }
        }

        return $out;
    }

    /**
     * How much of what was asked for the term cannot hold: dates of the pattern before or after it (looking a year beyond at most),
     * or, where n sessions are to be held, how many of those do not fit.
     */
    public function outside(Term $term): int
    {
        if ($this->end->kind === 'held') {
            return $this->end->n - count(array_filter($this->sessions($term), fn (PlannedSession $s): bool => $s->state === SessionState::Planned));
        }
        $farthest = $this->end->kind === 'term' ? $term->last : $term->last->plus(366);
        $to = new LocalDate(min($farthest->day, $this->end->date->day ?? $farthest->day));
        $left = $this->end->n ?? PHP_INT_MAX;
        $outside = 0;
        foreach ($this->pattern->days($this->from, $to, $term) as $day) {
            if ($left-- < 1) {
                break;
            }
            $outside += $term->contains($day) ? 0 : 1;
        }

        return $outside;
    }

    /** `10:00–10:45` */
    public function times(): string
    {
        return TypedTime::format($this->startMinute).'–'.TypedTime::format($this->startMinute + $this->minutes);
    }

    /** "Tue Thu 11:15–12:00" */
    public function sentence(): string
    {
        return $this->pattern->sentence().' '.$this->times();
    }
}
