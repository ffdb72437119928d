<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\Attendee;
use Nomada\Core\Timetable\SeriesPlan;

/**
 * Makes the solver's problem of a timetable: every session on the school's clock from a day on, and who is in which two
 * series. Weeks that differ (every second week, rotation, closed days, ends, clock changes) are exact, since days are
 * listed and not weeks.
 */
final class ProblemBuilder
{
    private readonly int $length;

    private readonly PlacesOfSeries $places;

    /** @var array<int, list<Block>> when teachers cannot teach, by person */
    private array $busy = [];

    /** @var array<int, list<Block>> when they would rather not */
    private array $wishes = [];

    /** @var array<string, array<int, string>> by zone: days by how many minutes its clock is ahead of the school's */
    private array $ahead = [];

    /** @var array<int, array{bool, bool, int, int}> what sessions cost the series that is looked at, by block */
    private array $costs = [];

    /** @var list<array{int, int, string}>|null opening hours, and the days that have them */
    private ?array $open = null;

    /**
     * @param  LocalDate  $from  the first day that may change
     * @param  array<int, list<array{int, int}>>  $busy  UTC spans in which a teacher cannot teach, by person
     * @param  list<TeacherWish>  $wishes
     */
    public function __construct(
        private readonly Term $term,
        private readonly LocalDate $from,
        private readonly SolverRules $rules,
        array $busy = [],
        array $wishes = [],
        private readonly WhatIf $whatIf = new WhatIf(),
    ) {
        $this->length = max(1, $term->last->day - $from->day + 1);
        $this->places = new PlacesOfSeries($term, $from, $rules);
        foreach ($busy as $person => $spans) {
            $this->busy[$person] = $this->blocks(
                array_map(fn (array $s): array => [$this->term->zone->wall($s[0])[0], ...$s], $spans),
            );
        }
        if ($whatIf->person !== null && $whatIf->weekday !== null) {
            $wishes[] = new TeacherWish($whatIf->person, $whatIf->weekday, 0, 1440, true);
        }
        foreach ($wishes as $wish) {
            $days = array_filter(
                range($from->day, $from->day + $this->length - 1),
                fn (int $day): bool => LocalDate::weekdayOf($day) === $wish->weekday,
            );
            $block = new Block(
                $wish->from,
                $wish->to,
                DaySet::of($days, $from->day, $this->length),
                $wish->weekday,
            );
            if ($wish->isRule) {
                $this->busy[$wish->person][] = $block;
            } else {
                $this->wishes[$wish->person][] = $block;
            }
        }
    }

    /**
     * @param  list<TimetabledSeries>  $all
     * @param  array<string, true>  $accepted  clashes that a coordinator has accepted, as "kind smaller larger id"
     */
    public function build(array $all, array $accepted = []): Problem
    {
        if ($this->whatIf->accounts !== null) {
            $all = $this->onAccounts($all, $this->whatIf->accounts);
        }
        $series = [];
        foreach ($all as $one) {
            $series[$one->id] = $this->movable($one);
        }

        $shared = $this->shared($all);
        foreach (array_keys($accepted) as $clash) {
            [$kind, $a, $b] = explode(' ', $clash);
            if (isset($shared[(int) $a][(int) $b])) {
                $shared[(int) $a][(int) $b]->accept($kind);
            }
        }

        return new Problem($series, $shared, $this->rules->studentsMust, $this->rules->pause, $this->limits($all));
    }

    /**
     * Deals the series that are hosted out to some accounts, those with most sessions first, each to the first
     * account that is free at all its times.
     *
     * @param  list<TimetabledSeries>  $all
     * @return list<TimetabledSeries> those that no account takes have NO_ACCOUNT
     */
    private function onAccounts(array $all, int $accounts): array
    {
        $taken = array_fill(1, max(1, $accounts), []);
        $order = $all;
        usort(
            $order,
            fn (TimetabledSeries $a, TimetabledSeries $b): int => [count($b->sessions), $a->id] <=> [
                count($a->sessions),
                $b->id,
            ],
        );
        $on = [];
        foreach ($order as $one) {
            if ($one->account === null) {
                continue;
            }
            $on[$one->id] = TimetabledSeries::NO_ACCOUNT;
            $spans = [...$one->sessions, ...$one->fixed];
            foreach ($accounts < 1 ? [] : array_keys($taken) as $account) {
                if (! self::overlap($spans, $taken[$account])) {
                    array_push($taken[$account], ...$spans);
                    $on[$one->id] = $account;

                    break;
                }
            }
        }

        return array_map(
            fn (TimetabledSeries $one): TimetabledSeries => isset($on[$one->id])
                ? $one->onAccount($on[$one->id])
                : $one,
            $all,
        );
    }

    /**
     * @param  list<array{int, int, int}>  $spans
     * @param  list<array{int, int, int}>  $others
     */
    private static function overlap(array $spans, array $others): bool
    {
        $byDay = [];
        foreach ($others as $other) {
            $byDay[$other[0]][] = $other;
        }
        foreach ($spans as [$day, $start, $end]) {
            foreach ($byDay[$day] ?? [] as [, $from, $to]) {
                if ($start < $to && $from < $end) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @param  list<TimetabledSeries>  $all */
    private function limits(array $all): ?DailyLimits
    {
        $most = ['s' => $this->rules->studentsDaily, 't' => $this->rules->teachersDaily];
        if ($most === ['s' => null, 't' => null]) {
            return null;
        }
        $out = [];
        foreach ($all as $one) {
            foreach ($one->people as $attendee) {
                $role = $attendee->isTeacher ? 't' : 's';
                if ($most[$role] !== null) {
                    $out[$one->id][] = ["$role$attendee->person", $most[$role], $this->presence($attendee)];
                }
            }
        }

        return new DailyLimits($out);
    }

    private function movable(TimetabledSeries $one): MovableSeries
    {
        $this->costs = [];
        $fixed = $this->blocks($one->fixed, $one->account);
        $blocks = $this->blocks($one->sessions, $one->account);
        $plan = $one->plan;
        if (! $one->hasTime && $plan !== null) {
            return new MovableSeries(
                $one->id,
                ($nowhere = Candidate::nowhere()),
                $one->isPinned,
                fn (): array => $this->candidates($one, $plan, $nowhere, [], 0),
            );
        }
        $now = new Candidate($plan === null ? [] : PlacesOfSeries::weekdaysOf($plan), $plan->startMinute ?? 0, [
            ...$blocks,
            ...$fixed,
        ]);
        $now = $this->costed($one, $now, 0, null);
        $held = count($one->sessions);

        return new MovableSeries(
            $one->id,
            $now,
            $one->isPinned || $plan === null,
            fn (): array => $plan === null ? [] : $this->candidates($one, $plan, $now, $fixed, $held),
            $one->series,
        );
    }

    /**
     * @param  list<Block>  $fixed
     * @param  int  $held  sessions that it has now
     * @return list<Candidate>
     */
    private function candidates(
        TimetabledSeries $one,
        SeriesPlan $plan,
        Candidate $now,
        array $fixed,
        int $held,
    ): array {
        $out = $known = $this->costs = [];
        foreach ($this->places->of($plan, ! $one->hasTime) as $to) {
            $weekdays = PlacesOfSeries::weekdaysOf($to);
            if ($weekdays === $now->weekdays && $to->startMinute === $now->start && $to->period === $plan->period) {
                continue;
            }
            foreach ($this->accountsOf($one) as $account) {
                $blocks = $this->blocksAt($to, $account, $known);
                $sessions = array_sum(array_map(fn (Block $b): int => DaySet::count($b->days), $blocks));
                if ($sessions > 0) {
                    $place = new Candidate($weekdays, $to->startMinute, [...$blocks, ...$fixed], Score::NONE, $to);
                    $out[] = $this->costed($one, $place, max(0, $held - $sessions), $now);
                }
            }
        }

        return $out;
    }

    /** @return list<int|null> the host accounts on which it may be at another time */
    private function accountsOf(TimetabledSeries $one): array
    {
        return $one->account === TimetabledSeries::NO_ACCOUNT && $this->whatIf->accounts > 0
            ? range(1, $this->whatIf->accounts)
            : [$one->account];
    }

    /**
     * The sessions of a plan. Places that share sessions share the objects, so that what these cost is worked out once.
     *
     * @param  array<string, mixed>  $known  what was worked out for this series before
     * @return list<Block>
     */
    private function blocksAt(SeriesPlan $to, ?int $account, array &$known): array
    {
        if ($to->period !== null || $to->zone->name !== $this->term->zone->name) {
            $blocks = $this->blocks($this->places->sessions($to), $account);
        } else {
            // The days are the same at every time of day.
            $weekdays = implode(',', PlacesOfSeries::weekdaysOf($to));
            $lanes = $known[$weekdays] ??= $this->lanes(array_column($this->places->sessions($to), 0));
            $blocks = [];
            foreach ($lanes as $lane => $days) {
                $blocks[] = new Block($to->startMinute, $to->startMinute + $to->minutes, $days, $lane, $account);
            }
        }
        foreach ($blocks as $i => $block) {
            $blocks[$i] = $known["$block->from $block->to $block->lane $account $block->days"] ??= $block;
        }

        return $blocks;
    }

    /**
     * @param  list<int>  $days
     * @return array<int, string> by weekday
     */
    private function lanes(array $days): array
    {
        $out = [];
        foreach ($days as $day) {
            $out[LocalDate::weekdayOf($day)][] = $day;
        }

        return array_map(fn (array $of): string => DaySet::of($of, $this->from->day, $this->length), $out);
    }

    /** The same place with its own cost. */
    private function costed(TimetabledSeries $one, Candidate $place, int $lost, ?Candidate $now): Candidate
    {
        $cost = Score::NONE;
        $troubles =
            $one->account === TimetabledSeries::NO_ACCOUNT && $place->plan === null ? ['no_account' => true] : [];
        foreach ($place->blocks as $block) {
            [$isBusy, $isShut, $hours, $advice] = $this->costs[spl_object_id($block)] ??= [
                $this->meetingOf($this->busy, $one->people, $block) > 0,
                $this->isShut($block),
                $this->outsideOwnHours($one->people, $block),
                $this->outsideOpeningHours($block) + $this->meetingOf($this->wishes, $one->people, $block),
            ];
            $troubles += array_filter([
                'busy' => $isBusy,
                'shut' => $isShut,
                'own_hours' => $this->rules->ownHoursMust && $hours > 0,
            ]);
            $cost[Score::HOURS] += $hours;
            $cost[Score::ADVICE] += $advice;
        }
        $cost[Score::MUST] = (int) ($troubles !== []);
        $cost[Score::LOST] = $lost;
        $cost[Score::ADVICE] += self::neighbours($place->weekdays);
        if ($now !== null) {
            $cost[Score::MOVED] = 1;
        }
        if ($now !== null && ! $now->isNowhere()) {
            $cost[Score::MINUTES] = abs($place->start - $now->start);
            foreach ($place->weekdays as $i => $weekday) {
                $cost[Score::DAYS] += abs($weekday - ($now->weekdays[$i] ?? $weekday));
            }
        }

        return new Candidate(
            $place->weekdays,
            $place->start,
            $place->blocks,
            $cost,
            $place->plan,
            array_keys($troubles),
        );
    }

    /**
     * Sessions of one week on two days running, where there is a week to spread them over.
     *
     * @param  list<int>  $weekdays
     */
    private static function neighbours(array $weekdays): int
    {
        $out = 0;
        foreach (array_slice($weekdays, 1) as $i => $weekday) {
            $out += (int) ($weekday === $weekdays[$i] + 1);
        }

        return $out;
    }

    /**
     * Sessions at which a teacher is in one of some times.
     *
     * @param  array<int, list<Block>>  $times  by person
     * @param  list<Attendee>  $people
     */
    private function meetingOf(array $times, array $people, Block $block): int
    {
        $out = 0;
        foreach ($people as $attendee) {
            foreach ($attendee->isTeacher ? $times[$attendee->person] ?? [] : [] as $time) {
                if ($block->from < $time->to && $time->from < $block->to && $block->lane === $time->lane) {
                    $out += DaySet::count(
                        $block->days & $time->days & ($this->presence($attendee) ?? $block->days),
                    );
                }
            }
        }

        return $out;
    }

    /** Whether the school would be shut, if it opened and closed as is supposed. */
    private function isShut(Block $block): bool
    {
        $hours = $this->whatIf->hours;

        return $hours !== null && ($block->from < $hours[0] || $block->to > $hours[1]);
    }

    /** @param  list<Attendee>  $people */
    private function outsideOwnHours(array $people, Block $block): int
    {
        $zones = [];
        foreach ($people as $attendee) {
            if (! $attendee->isTeacher && $attendee->zone !== '') {
                $zones[$attendee->zone] ??= new SharedPeople();
                $zones[$attendee->zone]->add(false, $this->presence($attendee));
            }
        }
        $out = 0;
        foreach ($zones as $zone => $students) {
            foreach ($this->ahead((string) $zone) as $minutes => $days) {
                $from = ($block->from + $minutes + 1440) % 1440;
                if (
                    $from < $this->rules->ownHours[0] ||
                    $from + $block->to - $block->from > $this->rules->ownHours[1]
                ) {
                    $out += $students->studentsOn($block->days & $days);
                }
            }
        }

        return $out;
    }

    /** @return array<int, string> days by how many minutes a zone's clock is ahead of the school's */
    private function ahead(string $name): array
    {
        if (! isset($this->ahead[$name])) {
            $zone = Zone::named($name);
            $days = [];
            for ($day = $this->from->day; $day < $this->from->day + $this->length; $day++) {
                $noon = $this->term->zone->instant($day, 720);
                $minutes = intdiv($zone->offsetAt($noon) - $this->term->zone->offsetAt($noon), 60);
                $days[$minutes][] = $day;
            }
            $this->ahead[$name] = array_map(
                fn (array $of): string => DaySet::of($of, $this->from->day, $this->length),
                $days,
            );
        }

        return $this->ahead[$name];
    }

    private function outsideOpeningHours(Block $block): int
    {
        if ($this->open === null) {
            $days = [];
            for ($day = $this->from->day; $day < $this->from->day + $this->length; $day++) {
                $days[implode(' ', $this->term->hoursOn($day))][] = $day;
            }
            $this->open = [];
            foreach ($days as $hours => $of) {
                [$opens, $closes] = array_map(intval(...), explode(' ', (string) $hours));
                $this->open[] = [$opens, $closes, DaySet::of($of, $this->from->day, $this->length)];
            }
        }
        $out = 0;
        foreach ($this->open as [$opens, $closes, $days]) {
            $out += $block->from < $opens || $block->to > $closes ? DaySet::count($block->days & $days) : 0;
        }

        return $out;
    }

    /** The days of the span on which somebody is there; null for all. */
    private function presence(Attendee $attendee): ?string
    {
        $first = max($attendee->from ?? $this->from->day, $this->from->day);
        $last = min($attendee->until ?? $this->term->last->day, $this->term->last->day);

        return match (true) {
            $first === $this->from->day && $last === $this->term->last->day => null,
            $first > $last => str_repeat("\0", $this->length),
            default => DaySet::of(range($first, $last), $this->from->day, $this->length),
        };
    }

    /**
     * Sessions by their time on the school's clock.
     *
     * @param  list<array{int, int, int}>  $sessions  day number, UTC start, UTC end
     * @return list<Block>
     */
    private function blocks(array $sessions, ?int $account = null): array
    {
        $days = [];
        foreach ($sessions as [, $start, $end]) {
            [$day, $from] = $this->term->zone->wall($start);
            $to = $from + intdiv($end - $start, 60);
            // What is longer than the day goes on in the next one.
            for (; $to > 0; $day++, $from = 0, $to -= 1440) {
                $days[$from.' '.min($to, 1440).' '.LocalDate::weekdayOf($day)][] = $day;
            }
        }
        $out = [];
        foreach ($days as $time => $on) {
            [$from, $to, $lane] = array_map(intval(...), explode(' ', (string) $time));
            $out[] = new Block($from, $to, DaySet::of($on, $this->from->day, $this->length), $lane, $account);
        }

        return $out;
    }

    /**
     * @param  list<TimetabledSeries>  $all
     * @return array<int, array<int, SharedPeople>>
     */
    private function shared(array $all): array
    {
        $of = $out = [];
        foreach ($all as $one) {
            foreach ($one->people as $attendee) {
                $days = $this->presence($attendee);
                if ($days === null || str_contains($days, "\1")) {
                    $of["$attendee->person $attendee->isTeacher"][] = [$one, $attendee->isTeacher, $days];
                }
            }
            if ($one->room !== null) {
                $of["room $one->room"][] = [$one, false, null];
            }
            if ($one->account === TimetabledSeries::NO_ACCOUNT) {
                // It may come to be on any of them.
                foreach (range(1, max(1, (int) $this->whatIf->accounts)) as $account) {
                    $of["account $account"][] = [$one, false, null];
                }
            } elseif ($one->account !== null) {
                $of["account $one->account"][] = [$one, false, null];
            }
            $of["section $one->section"][] = [$one, false, null];
        }
        $between = function (TimetabledSeries $a, TimetabledSeries $b) use (&$out): SharedPeople {
            $out[$a->id][$b->id] ??= new SharedPeople(
                $a->room !== null && $a->room === $b->room,
                $a->section === $b->section && $a->id > 0 && $b->id > 0,
                $a->account !== null &&
                    ($a->account === $b->account ||
                        in_array(TimetabledSeries::NO_ACCOUNT, [$a->account, $b->account], true)) &&
                    $b->account !== null,
            );
            $out[$b->id][$a->id] = $out[$a->id][$b->id];

            return $out[$a->id][$b->id];
        };
        foreach ($of as $what => $where) {
            $isPerson = preg_match('/^(room|account|section) /', $what) === 0;
            foreach ($where as $i => [$a, $isTeacher, $first]) {
                for ($j = $i + 1; $j < count($where); $j++) {
                    [$b, , $second] = $where[$j];
                    if ($a->series === $b->series) {
                        continue;
                    }
                    $shared = $between($a, $b);
                    if ($isPerson) {
                        $both = $first === null ? $second : ($second === null ? $first : $first & $second);
                        if ($both === null || str_contains($both, "\1")) {
                            $shared->add($isTeacher, $both);
                        }
                    }
                }
            }
        }

        return array_map(
            fn (array $others): array => array_filter($others, fn (SharedPeople $s): bool => $s->hasAnybody()),
            $out,
        );
    }
}
