<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\RecurrenceRule;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;

/**
 * Writes series as iCalendar (RFC 5545, RFC 7986), so that anybody's calendar shows exactly our sessions.
 *
 * The rule's set is expanded by our own reader of rules; what it has too much becomes EXDATE, and a session on another
 * day or at another time than the series' own becomes an override of its date (RECURRENCE-ID). Where the rule lacks a
 * session (an extra one always), or does not begin with the first one, every date is written as RDATE instead: RFC 5545
 * leaves a rule that its start is not part of undefined, and common readers (sabre/vobject among them) follow either
 * RRULE or RDATE of one event, not both.
 */
final class CalendarWriter
{
    public const PRODUCT = '-//Nomada//Timetable 1//EN';

    /**
     * @param  list<EventSeries>  $series
     * @param  int|null  $alarm  minutes before each at which the calendar reminds of it
     */
    public static function write(array $series, string $name = '', string $refresh = '', ?int $alarm = null): string
    {
        return Quietly::do(function () use ($series, $name, $refresh, $alarm): string {
            $calendar = self::calendar($series, $name, $refresh);
            foreach ($alarm === null ? [] : $calendar->select('VEVENT') as $event) {
                if ($event instanceof VEvent) {
                    $event->add(
                        $calendar->createComponent('VALARM', [
                            'ACTION' => 'DISPLAY',
                            'DESCRIPTION' => (string) $event->__get('SUMMARY'),
                            'TRIGGER' => "-PT{$alarm}M",
                        ]),
                    );
                }
            }

            return $calendar->serialize();
        });
    }

    /**
     * The same as an iTIP message to one person (RFC 5546): REQUEST, or CANCEL.
     *
     * @param  list<EventSeries>  $series
     */
    public static function invite(array $series, Invitee $to): string
    {
        return Quietly::do(function () use ($series, $to): string {
            $calendar = self::calendar($series, '', '');
            $calendar->add('METHOD', $to->isCancelled ? 'CANCEL' : 'REQUEST');
            foreach ($calendar->select('VEVENT') as $event) {
                if ($event instanceof VEvent) {
                    $event->add('ORGANIZER', "mailto:$to->organizerAddress", ['CN' => $to->organizer]);
                    $event->add('ATTENDEE', "mailto:$to->address", [
                        'CN' => $to->name,
                        'PARTSTAT' => 'NEEDS-ACTION',
                        'RSVP' => 'TRUE',
                    ]);
                    $event->add('STATUS', $to->isCancelled ? 'CANCELLED' : 'CONFIRMED');
                }
            }

            return $calendar->serialize();
        });
    }

    /** @param  list<EventSeries>  $series */
    private static function calendar(array $series, string $name, string $refresh): VCalendar
    {
        $calendar = new VCalendar([], false);
        $calendar->add('VERSION', '2.0');
        $calendar->add('PRODID', self::PRODUCT);
        $calendar->add('CALSCALE', 'GREGORIAN');
        if ($name !== '') {
            $calendar->add('NAME', $name);
        }
        if ($refresh !== '') {
            $calendar->add('REFRESH-INTERVAL', $refresh, ['VALUE' => 'DURATION']);
        }
        $series = array_values(array_filter($series, fn (EventSeries $s): bool => $s->sessions !== []));
        self::zones($calendar, $series);
        foreach ($series as $one) {
            self::event($calendar, $one);
        }

        return $calendar;
    }

    private static function event(VCalendar $calendar, EventSeries $series): void
    {
        // Each session is at its date of the pattern; an extra one, or the second of a day, at its own moment.
        $own = $besides = $moved = [];
        foreach ($series->sessions as $session) {
            $slot = $session->slot() ?? -1;
            $isOwn = $slot >= 0 && ! isset($own[$slot]);
            $at = $isOwn ? $series->zone->instant($slot, $series->startMinute) : $session->start;
            if ($isOwn) {
                $own[$slot] = true;
            } else {
                $besides[] = $session->start;
            }
            if ($session->start !== $at || $session->end - $session->start !== $series->minutes * 60) {
                $moved[] = [$at, $session];
            }
        }
        $days = array_keys($own);
        sort($days);
        [$rule, $without, $dates] = self::set($series, $days, $besides !== []);
        $first = $days === [] ? array_shift($besides) ?? 0 : $series->zone->instant($days[0], $series->startMinute);
        $besides = [
            ...array_map(fn (int $day): int => $series->zone->instant($day, $series->startMinute), $dates),
            ...$besides,
        ];
        sort($besides);
        $event = self::base($calendar, $series);
        self::span($event, $series->zone, $first, $first + 60 * $series->minutes);
        if ($rule !== null) {
            $event->add('RRULE', $rule);
        }
        self::dates(
            $event,
            'EXDATE',
            $series,
            array_map(fn (int $day): int => $series->zone->instant($day, $series->startMinute), $without),
        );
        self::dates($event, 'RDATE', $series, $besides);
        foreach ($moved as [$at, $session]) {
            $override = self::base($calendar, $series);
            self::instant($override, 'RECURRENCE-ID', $series->zone, $at);
            self::span($override, $series->zone, $session->start, $session->end);
        }
    }

    private static function base(VCalendar $calendar, EventSeries $series): VEvent
    {
        /** @var VEvent $event */
        $event = $calendar->createComponent('VEVENT', [], false);
        $calendar->add($event);
        $stamp = gmdate('Ymd\THis\Z', $series->changedAt);
        foreach (
            [
                'UID' => $series->uid,
                'DTSTAMP' => $stamp,
                'LAST-MODIFIED' => $stamp,
                'SEQUENCE' => (string) $series->sequence,
                'SUMMARY' => $series->summary,
            ] as $property => $value
        ) {
            $event->add($property, $value);
        }
        if ($series->category !== '') {
            $event->add('CATEGORIES', [$series->category]);
        }
        if ($series->description !== '') {
            $event->add('DESCRIPTION', $series->description);
        }
        if ($series->url !== '') {
            $event->add('URL', $series->url);
            $event->add('CONFERENCE', $series->url, [
                'VALUE' => 'URI',
                'FEATURE' => ['AUDIO', 'VIDEO'],
                'LABEL' => $series->comeIn,
            ]);
        }

        return $event;
    }

    /**
     * The rule to write with its UNTIL and the days it has too much; or no rule, and every day but the first. With an
     * extra session there is no rule: see above.
     *
     * @param  list<int>  $days
     * @return array{string|null, list<int>, list<int>}
     */
    private static function set(EventSeries $series, array $days, bool $hasExtra): array
    {
        if ($days === []) {
            return [null, [], []];
        }
        $first = $days[0];
        $rest = array_slice($days, 1);
        if ($series->rule === null || $rest === [] || $hasExtra) {
            return [null, [], $rest];
        }
        $last = $days[count($days) - 1];
        $made = [];
        foreach (RecurrenceRule::parse($series->rule, $series->zone)->days(new LocalDate($first), $last) as $day) {
            $made[] = $day;
        }
        if (($made[0] ?? null) !== $first || array_diff($days, $made) !== []) {
            return [null, [], $rest];
        }
        $until = gmdate('Ymd\THis\Z', $series->zone->instant($last, $series->startMinute));

        return ["$series->rule;UNTIL=$until", array_values(array_diff($made, $days)), []];
    }

    /** @param  list<int>  $instants */
    private static function dates(VEvent $event, string $name, EventSeries $series, array $instants): void
    {
        if ($instants !== []) {
            $event->add($name, array_map(fn (int $at): string => self::local($series->zone, $at), $instants), [
                'TZID' => $series->zone->name,
            ]);
        }
    }

    /** From when till when; by its length where the clock changes within it, since an hour may come twice. */
    private static function span(VEvent $event, Zone $zone, int $start, int $end): void
    {
        self::instant($event, 'DTSTART', $zone, $start);
        if ($zone->offsetAt($start) === $zone->offsetAt($end)) {
            self::instant($event, 'DTEND', $zone, $end);
        } else {
            $event->add('DURATION', 'PT'.intdiv($end - $start, 60).'M');
        }
    }

    private static function instant(VEvent $event, string $name, Zone $zone, int $at): void
    {
        $event->add($name, self::local($zone, $at), ['TZID' => $zone->name]);
    }

    private static function local(Zone $zone, int $at): string
    {
        [$day, $minute] = $zone->wall($at);

        return (new LocalDate($day))->basic().sprintf('T%02d%02d00', intdiv($minute, 60), $minute % 60);
    }

    /**
     * One VTIMEZONE a zone, with each change of the clock that the events meet written out (RFC 5545 3.6.5), so that a
     * reader needs no zone data of its own.
     *
     * @param  list<EventSeries>  $series
     */
    private static function zones(VCalendar $calendar, array $series): void
    {
        $spans = [];
        foreach ($series as $one) {
            $name = $one->zone->name;
            // Every moment that is written: where sessions are held, and the dates of the pattern that they come from
            // (DTSTART, UNTIL, EXDATE, RDATE, RECURRENCE-ID).
            $moments = [$spans[$name] ?? []];
            foreach ($one->sessions as $session) {
                $slot = $session->slot();
                $moments[] = [
                    $session->start,
                    $session->end,
                    ...$slot === null ? [] : [$one->zone->instant($slot, $one->startMinute)],
                ];
            }
            $all = array_merge(...$moments);
            if ($all !== []) {
                $spans[$name] = [min($all), max($all)];
            }
        }
        foreach ($spans as $name => [$from, $to]) {
            $zone = $calendar->createComponent('VTIMEZONE', ['TZID' => $name], false);
            $calendar->add($zone);
            foreach (Zone::named((string) $name)->changes($from - 86400, $to + 86400) as $change) {
                $part = $calendar->createComponent($change['summer'] ? 'DAYLIGHT' : 'STANDARD', [], false);
                $part->add('DTSTART', gmdate('Ymd\THis', $change['at'] + $change['before']));
                $part->add('TZOFFSETFROM', self::offset($change['before']));
                $part->add('TZOFFSETTO', self::offset($change['offset']));
                $part->add('TZNAME', $change['name']);
                $zone->add($part);
            }
        }
    }

    private static function offset(int $seconds): string
    {
        $minutes = intdiv(abs($seconds), 60);

        return sprintf('%s%02d%02d', $seconds < 0 ? '-' : '+', intdiv($minutes, 60), $minutes % 60);
    }
}
