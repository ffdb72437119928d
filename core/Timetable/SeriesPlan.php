<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\Because;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Term\Zone;

/**
 * A series as it is planned: its pattern, from when, how it ends, and at what wall time for how many minutes, on its
 * zone's clock.
 *
 * Where it is tied to a period of the day plan, the period's time on each day counts; `startMinute` and `minutes` are
 * then its usual ones. A day whose plan lacks the period loses the session.
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
        public ?string $period = null,
    ) {
        if ($minutes < 1 || $minutes > self::LONGEST) {
            throw new Fault('series.length', 'end_time');
        }
        if ($startMinute < 0 || $startMinute >= 1440) {
            throw new Fault('series.start', 'start_time');
        }
        if ($end->date !== null && $end->date->day < $from->day) {
            throw new Fault('series.backwards', 'ends_on', ['date' => $end->date, 'from' => $from]);
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
        $isSchools = $this->zone->name === $term->zone->name;
        $planned = SessionState::Planned;
        $lost = SessionState::Lost;
        $period = $this->period;
        foreach ($this->pattern->days($this->from, $until, $term) as $day) {
            if ($day < $first) {
                $left -= $countsClosed ? 1 : 0;

                continue;
            }
            if ($left < 1) {
                break;
            }
            if ($period !== null) {
                $session = $this->inPeriod($day, $period, $term, $closed[$day] ?? null);
                if ($this->skips($day, $term)) {
                    $left -= $countsClosed ? 1 : 0;

                    continue;
                }
                $out[] = $session;
                $left -= $countsClosed || $session->state === $planned ? 1 : 0;

                continue;
            }
            $offset = $offsets[$day];
            $start =
                $offset === null ? $this->zone->instant($day, $this->startMinute) : $day * 86400 + $wall - $offset;
            // Closed days are the school's: on another clock the session may fall on another of its days.
            $schools = $isSchools ? $day : $term->zone->wall($start)[0];
            $why = $closed[$schools] ?? $term->closedBecause($schools);
            if ($why !== null && $this->skips($schools, $term)) {
                $left -= $countsClosed ? 1 : 0;
            } elseif ($why !== null) {
                $out[] = new PlannedSession($day, $start, $start + $seconds, $lost, $why);
                $left -= $countsClosed ? 1 : 0;
            } else {
                $out[] = new PlannedSession($day, $start, $start + $seconds, $planned);
                $left--;
            }
        }

        return $out;
    }

    /** "Every Saturday" of a school that opens some of them is those: on the others no lesson is lost. */
    private function skips(int $day, Term $term): bool
    {
        return $this->pattern instanceof WeeklyPattern && $term->isWeekend($day);
    }

    private function inPeriod(int $day, string $name, Term $term, ?string $closed): PlannedSession
    {
        $plan = $term->planOn($day);
        $at = $plan?->period($name);
        $start = $this->zone->instant($day, $at->start ?? $this->startMinute);
        $end = $start + 60 * ($at?->minutes() ?? $this->minutes);
        $why =
            $closed ?? match (true) {
                $at !== null => null,
                $plan === null => Because::NO_PLAN,
                default => Because::noPeriod($name, $plan->name),
            };

        return new PlannedSession(
            $day,
            $start,
            $end,
            $why === null ? SessionState::Planned : SessionState::Lost,
            $why,
        );
    }

    /**
     * How much of what was asked for the term cannot hold: dates of the pattern before or after it (looking a year
     * beyond at most), or, where n sessions should be held, how many of those do not fit.
     */
    public function outside(Term $term): int
    {
        if ($this->end->kind === 'held') {
            return $this->end->n -
                count(
                    array_filter(
                        $this->sessions($term),
                        fn (PlannedSession $s): bool => $s->state === SessionState::Planned,
                    ),
                );
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

    /** @return array<string, mixed> what {@see SeriesPlan::from()} reads back */
    public function toArray(): array
    {
        return [
            'pattern' => $this->pattern->toArray(),
            'ends' => $this->end->toArray(),
            'starts_on' => $this->from->iso(),
            'start_minute' => $this->startMinute,
            'minutes' => $this->minutes,
            'time_zone' => $this->zone->name,
            'period' => $this->period,
        ];
    }

    /** @param  array<string, mixed>  $plain */
    public static function from(array $plain): self
    {
        return new self(
            Patterns::from((array) $plain['pattern']),
            LocalDate::parse((string) $plain['starts_on']),
            SeriesEnd::from((array) $plain['ends']),
            (int) $plain['start_minute'],
            (int) $plain['minutes'],
            Zone::named((string) $plain['time_zone']),
            isset($plain['period']) ? (string) $plain['period'] : null,
        );
    }

    /** The same, ending on a day at the latest. */
    public function until(LocalDate $last): self
    {
        return new self(
            $this->pattern,
            $this->from,
            SeriesEnd::onDate($last),
            $this->startMinute,
            $this->minutes,
            $this->zone,
            $this->period,
        );
    }

    /** "11:15–12:00" */
    public function hours(): string
    {
        return TypedTime::format($this->startMinute).'–'.TypedTime::format($this->startMinute + $this->minutes);
    }

    /** The same of any start and length, in minutes. */
    public static function at(?string $period, int $start, int $minutes): Said
    {
        $times = TypedTime::format($start).'–'.TypedTime::format($start + $minutes);

        return $period === null
            ? new Said('patterns.times', ['times' => $times])
            : new Said('patterns.period', ['period' => $period, 'times' => $times]);
    }

    /** "11:15–12:00", "period 4, 11:15–12:00" */
    public function times(): Said
    {
        return self::at($this->period, $this->startMinute, $this->minutes);
    }

    /** "Tue Thu 11:15–12:00", "Tue Thu period 4, 11:15–12:00" */
    public function said(): Said
    {
        return Said::row([$this->pattern->said(), $this->times()]);
    }
}
