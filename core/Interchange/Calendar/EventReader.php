<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use DateTimeImmutable;
use DateTimeZone;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\DatesPattern;
use Nomada\Core\Timetable\Patterns;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\RecurrenceRule;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Parameter;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property\ICalendar\DateTime as DateTimeProperty;
use Sabre\VObject\Recur\EventIterator;

/**
 * Reads the events of a calendar (RFC 5545) into plans and sessions of a term: RRULE with EXDATE, RDATE and overrides
 * (RECURRENCE-ID).
 *
 * A rule that timetables do not use is expanded by sabre/vobject, and its dates are listed instead. A recurrence
 * without an end ends with the term. A time without a zone is read on the school's clock. What was written by
 * CalendarWriter comes back as it was.
 */
final class EventReader
{
    /** More events than a school's calendars have; a file with more is asked for in parts. */
    public const MOST = 20_000;

    /** @var list<ImportFault> */
    private array $faults = [];

    private function __construct(private readonly string $file, private readonly Term $term)
    {
    }

    /** @return array{list<ReadEvent>, list<ImportFault>} */
    public static function read(string $text, string $file, Term $term): array
    {
        $events = substr_count(strtoupper($text), 'BEGIN:VEVENT');
        if ($events > self::MOST) {
            return [
                [],
                [
                    new ImportFault(
                        $file,
                        1,
                        '',
                        new Fault('calendar.events', '', ['n' => self::MOST]),
                        (string) $events,
                    ),
                ],
            ];
        }

        return Quietly::do(fn (): array => (new self($file, $term))->events($text));
    }

    /** @return array{list<ReadEvent>, list<ImportFault>} */
    private function events(string $text): array
    {
        try {
            $calendar = IcsText::read($text);
        } catch (ParseException $e) {
            return [
                [],
                [new ImportFault($this->file, IcsText::lineOf($e), '', 'calendar.file', IcsText::words($e))],
            ];
        }
        $lines = IcsText::eventLines($text);
        $masters = $overrides = [];
        foreach ($calendar->select('VEVENT') as $n => $event) {
            if (! ($event instanceof VEvent)) {
                continue;
            }
            $uid = trim((string) ($event->UID ?? '')) ?: "line {$lines[$n]}";
            if (isset($event->{'RECURRENCE-ID'})) {
                $overrides[$uid][] = [$event, $lines[$n] ?? 0];
            } elseif (isset($masters[$uid])) {
                $this->faults[] = new ImportFault($this->file, $lines[$n] ?? 0, 'UID', 'calendar.uid', $uid);
            } else {
                $masters[$uid] = [$event, $lines[$n] ?? 0];
            }
        }
        $out = [];
        foreach ($masters as $uid => [$event, $line]) {
            try {
                $read = $this->event($calendar, $event, (string) $uid, $line, $overrides[$uid] ?? []);
                if ($read !== null) {
                    $out[] = $read;
                }
            } catch (Fault $e) {
                $this->faults[] = new ImportFault($this->file, $line, $e->field ?: 'VEVENT', $e);
            }
            unset($overrides[$uid]);
        }
        foreach ($overrides as $uid => $left) {
            foreach ($left as [, $line]) {
                $this->faults[] = new ImportFault(
                    $this->file,
                    $line,
                    'RECURRENCE-ID',
                    'calendar.other_event',
                    (string) $uid,
                    true,
                );
            }
        }

        return [$out, $this->faults];
    }

    /**
     * @param  list<array{VEvent, int}>  $overrides
     *
     * @throws Fault
     */
    private function event(VCalendar $calendar, VEvent $event, string $uid, int $line, array $overrides): ?ReadEvent
    {
        $start = $event->DTSTART ?? null;
        if (! ($start instanceof DateTimeProperty)) {
            throw new Fault('calendar.no_start', 'DTSTART');
        }
        $summary = trim((string) ($event->SUMMARY ?? ''));
        $categories = isset($event->CATEGORIES)
            ? array_values(array_map(strval(...), $event->CATEGORIES->getParts()))
            : [];
        if (strtoupper((string) ($event->STATUS ?? '')) === 'CANCELLED') {
            return null;
        }
        if (! $start->hasTime()) {
            return new ReadEvent($uid, $summary, $categories, $line, null, $this->wholeDays($event, $start));
        }
        $warnings = [];
        $zone = $this->zone($start, $warnings);
        $first = $this->instant($start, $zone);
        $minutes = $this->minutes($event, $first, $zone);
        [$day, $minute] = $zone->wall($first);
        [$plan, $made] = $this->plan($calendar, $event, $uid, $zone, $day, $minute, $minutes, $warnings);
        $sessions = [];
        foreach ($made as $one) {
            $sessions[$one->start] = $one;
        }
        foreach ($this->dates($event, 'EXDATE', $zone, $minute) as $at) {
            unset($sessions[$at]);
        }
        $known = array_fill_keys(array_map(fn (PlannedSession $s): int => $s->day, $sessions), true);
        foreach ($this->dates($event, 'RDATE', $zone, $minute) as $at) {
            if (! isset($sessions[$at])) {
                [$on] = $zone->wall($at);
                $sessions[$at] = ReadEvent::extra($on, $at, $at + 60 * $minutes);
                $known[$on] = true;
            }
        }
        $sessions = $this->overridden($sessions, $overrides, $zone);
        ksort($sessions);
        $in = array_values(array_filter($sessions, fn (PlannedSession $s): bool => $this->term->contains($s->day)));
        if (count($in) < count($sessions)) {
            $warnings[] = new Fault('calendar.left_out', '', ['n' => count($sessions) - count($in)]);
        }

        return $in === []
            ? null
            : $this->tidied(new ReadEvent($uid, $summary, $categories, $line, $plan, $in, $warnings));
    }

    /**
     * The plan of an event's rule, and all that it makes without regard to closed days; of an event without a rule the
     * one date.
     *
     * @param  list<Fault>  $warnings
     * @return array{SeriesPlan, list<PlannedSession>}
     */
    private function plan(
        VCalendar $calendar,
        VEvent $event,
        string $uid,
        Zone $zone,
        int $day,
        int $minute,
        int $minutes,
        array &$warnings,
    ): array {
        $first = new LocalDate($day);
        $open = $this->bare($zone);
        if (! isset($event->RRULE)) {
            $plan = new SeriesPlan(
                new DatesPattern([$day]),
                $first,
                SeriesEnd::onDate($first),
                $minute,
                $minutes,
                $zone,
            );
            $at = $zone->instant($day, $minute);

            return [$plan, [new PlannedSession($day, $at, $at + 60 * $minutes)]];
        }
        $text = (string) $event->RRULE;
        try {
            $rule = RecurrenceRule::parse($text, $zone);
        } catch (Fault) {
            $warnings[] = new Fault('calendar.listed', '', ['rule' => $text]);

            return $this->listed($calendar, $uid, $zone, $minute, $minutes);
        }
        if ($rule->count === null && $rule->until === null) {
            $warnings[] = new Fault('calendar.endless');
        }
        $end = match (true) {
            $rule->count !== null => SeriesEnd::afterCounted($rule->count),
            $rule->until === null => SeriesEnd::withTerm(),
            default => SeriesEnd::onDate(
                new LocalDate(
                    max(
                        $day,
                        $rule->untilInstant !== null &&
                        $zone->instant($rule->until->day, $minute) > $rule->untilInstant
                            ? $rule->until->day - 1
                            : $rule->until->day,
                    ),
                ),
            ),
        };
        $plan = new SeriesPlan(Patterns::fromRule($rule, $first), $first, $end, $minute, $minutes, $zone);

        return [$plan, $plan->sessions($open)];
    }

    /**
     * The term without its closed days, so that what an event says can be told from what the school calendar takes
     * away.
     */
    private function bare(Zone $zone): Term
    {
        $weekends = [];
        for ($day = $this->term->first->day; $day <= $this->term->last->day; $day++) {
            if (LocalDate::weekdayOf($day) > 5) {
                $weekends[] = new LocalDate($day);
            }
        }

        return new Term($this->term->title, $this->term->first, $this->term->last, $zone, [], $weekends);
    }

    /** @return array{SeriesPlan, list<PlannedSession>} */
    private function listed(VCalendar $calendar, string $uid, Zone $zone, int $minute, int $minutes): array
    {
        $days = [];
        try {
            $iterator = new EventIterator($calendar, $uid, new DateTimeZone($zone->name));
            $iterator->fastForward(
                (new DateTimeImmutable('@'.$this->term->starts()))->setTimezone(new DateTimeZone($zone->name)),
            );
            while (
                $iterator->valid() &&
                ($at = $iterator->getDTStart()) !== null &&
                $at->getTimestamp() < $this->term->ends() &&
                count($days) < 400
            ) {
                $days[] = $zone->wall($at->getTimestamp())[0];
                $iterator->next();
            }
        } catch (\Throwable $e) {
            throw new Fault('calendar.rule', 'RRULE', ['why' => $e instanceof Fault ? $e : $e->getMessage()]);
        }
        if ($days === []) {
            throw new Fault('calendar.outside', 'RRULE');
        }
        sort($days);
        $plan = new SeriesPlan(
            new DatesPattern($days),
            new LocalDate($days[0]),
            SeriesEnd::onDate(new LocalDate($days[count($days) - 1])),
            $minute,
            $minutes,
            $zone,
        );

        return [$plan, $plan->sessions($this->bare($zone))];
    }

    /**
     * @param  array<int, PlannedSession>  $sessions  by start
     * @param  list<array{VEvent, int}>  $overrides
     * @return array<int, PlannedSession> by the date of the pattern that each comes from
     */
    private function overridden(array $sessions, array $overrides, Zone $zone): array
    {
        foreach ($overrides as [$event, $line]) {
            $of = $event->{'RECURRENCE-ID'} ?? null;
            $start = $event->DTSTART ?? null;
            if (! ($of instanceof DateTimeProperty) || ! ($start instanceof DateTimeProperty)) {
                $this->faults[] = new ImportFault($this->file, $line, 'DTSTART', 'calendar.no_start');

                continue;
            }
            $at = $this->instant($of, $zone);
            if (! isset($sessions[$at])) {
                $this->faults[] = new ImportFault(
                    $this->file,
                    $line,
                    'RECURRENCE-ID',
                    'calendar.other_date',
                    (string) $of,
                    true,
                );

                continue;
            }
            if (strtoupper((string) ($event->STATUS ?? '')) === 'CANCELLED') {
                unset($sessions[$at]);

                continue;
            }
            $was = $sessions[$at];
            $begins = $this->instant($start, $zone);
            $ends = $begins + 60 * $this->minutes($event, $begins, $zone);
            [$day] = $zone->wall($begins);
            $isSame = $begins === $was->start && $ends === $was->end;
            $sessions[$at] = $was->isExtra()
                ? ReadEvent::extra($day, $begins, $ends)
                : new PlannedSession(
                    $day,
                    $begins,
                    $ends,
                    SessionState::Planned,
                    null,
                    $isSame ? null : new SessionOverrides($was->day),
                );
        }

        return $sessions;
    }

    /**
     * An event of listed dates only (DTSTART and RDATE) is a series of those dates; what is on a date of its own is no
     * extra session.
     */
    private function tidied(ReadEvent $event): ReadEvent
    {
        $plan = $event->plan;
        if ($plan === null || ! ($plan->pattern instanceof DatesPattern) || count($plan->pattern->days) > 1) {
            return $event;
        }
        $days = [];
        $sessions = [];
        foreach ($event->sessions as $session) {
            $slot = $session->slot();
            if ($slot === null && ! isset($days[$session->day])) {
                $own = $plan->zone->instant($session->day, $plan->startMinute);
                $isOwn = $session->start === $own && $session->end - $session->start === 60 * $plan->minutes;
                $slot = $session->day;
                $session = new PlannedSession(
                    $session->day,
                    $session->start,
                    $session->end,
                    SessionState::Planned,
                    null,
                    $isOwn ? null : new SessionOverrides($session->day),
                );
            }
            if ($slot !== null) {
                $days[$slot] = $slot;
            }
            $sessions[] = $session;
        }
        $days = array_slice(array_values($days ?: $plan->pattern->days), 0, 400);
        sort($days);
        $dates = new SeriesPlan(
            new DatesPattern($days),
            new LocalDate($days[0]),
            SeriesEnd::onDate(new LocalDate($days[count($days) - 1])),
            $plan->startMinute,
            $plan->minutes,
            $plan->zone,
        );

        return new ReadEvent(
            $event->uid,
            $event->summary,
            $event->categories,
            $event->line,
            $dates,
            $sessions,
            $event->warnings,
        );
    }

    /** @return list<PlannedSession> the days that an event of whole days blocks, each from midnight to midnight */
    private function wholeDays(VEvent $event, DateTimeProperty $start): array
    {
        $zone = $this->term->zone;
        $first = IcsText::dayOf($start, $zone);
        $end = $event->DTEND ?? null;
        $last = $end instanceof DateTimeProperty ? IcsText::dayOf($end, $zone, true) : $first;
        $out = [];
        for (
            $day = max($first->day, $this->term->first->day);
            $day <= min($last->day, $this->term->last->day);
            $day++
        ) {
            $out[] = new PlannedSession($day, $zone->instant($day, 0), $zone->instant($day + 1, 0));
        }

        return $out;
    }

    /**
     * @param  list<Fault>  $warnings
     *
     * @throws Fault where the zone is one that nobody knows
     */
    private function zone(DateTimeProperty $property, array &$warnings): Zone
    {
        $tzid = $property['TZID'] ?? null;
        $tzid = $tzid instanceof Parameter ? trim((string) $tzid->getValue()) : '';
        if ($tzid === '') {
            if ($property->isFloating()) {
                $warnings[] = new Fault('calendar.no_zone', '', ['place' => $this->term->zone]);
            }

            return $this->term->zone;
        }
        try {
            return Zone::named($tzid);
        } catch (Fault) {
            try {
                // Other programs' own names for zones.
                return Zone::named(\Sabre\VObject\TimeZoneUtil::getTimeZone($tzid, null, true)->getName());
            } catch (\Throwable) {
                throw new Fault('calendar.zone', 'DTSTART', ['tzid' => $tzid]);
            }
        }
    }

    private function instant(DateTimeProperty $property, Zone $zone): int
    {
        $text = (string) $property;
        if (! preg_match('/^(\d{8})(?:T(\d{2})(\d{2})\d{2}(Z?))?$/D', $text, $m)) {
            throw new Fault('calendar.moment', $property->name, ['text' => $text]);
        }
        $day = LocalDate::parse($m[1])->day;
        $minute = (int) ($m[2] ?? 0) * 60 + (int) ($m[3] ?? 0);
        $none = [];
        $own = ($property['TZID'] ?? null) === null ? $zone : $this->zone($property, $none);

        return ($m[4] ?? '') === 'Z' ? $day * 86400 + $minute * 60 : $own->instant($day, $minute);
    }

    /** @throws Fault where it ends before it begins, or lasts longer than a session can */
    private function minutes(VEvent $event, int $start, Zone $zone): int
    {
        $end = $event->DTEND ?? null;
        $seconds = match (true) {
            $end instanceof DateTimeProperty => $this->instant($end, $zone) - $start,
            isset($event->DURATION) => (new DateTimeImmutable('@0'))
                ->add($event->DURATION->getDateInterval())
                ->getTimestamp(),
            default => throw new Fault('calendar.no_end', 'DTEND'),
        };
        if ($seconds < 60) {
            throw new Fault('calendar.end_first', 'DTEND');
        }

        return min(SeriesPlan::LONGEST, intdiv($seconds, 60));
    }

    /** @return list<int> UTC seconds */
    private function dates(VEvent $event, string $name, Zone $zone, int $minute): array
    {
        $out = [];
        foreach ($event->select($name) as $property) {
            foreach ($property instanceof DateTimeProperty ? $property->getParts() : [] as $part) {
                $tzid = $property['TZID'] ?? null;
                $own = $tzid instanceof Parameter ? Zone::named(trim((string) $tzid->getValue())) : $zone;
                if (preg_match('/^(\d{8})(?:T(\d{2})(\d{2})\d{2}(Z?))?$/D', (string) $part, $m) === 1) {
                    $day = LocalDate::parse($m[1])->day;
                    $at = isset($m[2], $m[3]) ? (int) $m[2] * 60 + (int) $m[3] : $minute;
                    $out[] = ($m[4] ?? '') === 'Z' ? $day * 86400 + $at * 60 : $own->instant($day, $at);
                }
            }
        }

        return $out;
    }
}
