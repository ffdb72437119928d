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
 * The rule's set is expanded by our own reader of rules; what it has too much becomes EXDATE, and a session at another time than
 * the series' own becomes an override of its day (RECURRENCE-ID). Where the rule lacks a session, or does not begin with the first
 * one, every date is written as RDATE instead: RFC 5545 leaves a rule that its start is not part of undefined, and common readers
 * (sabre/vobject among them) follow either RRULE or RDATE of one event, not both.
 */
final class CalendarWriter
{
    public const PRODUCT = '-//Nomada//Timetable 1//EN';

    /** @param  list<EventSeries>  $series */
    public static function write(array $series, string $name = '', string $refresh = ''): string
    {
        return Quietly::do(fn (): string => self::calendar($series, $name, $refresh));
    }

    /** @param  list<EventSeries>  $series */
    private static function calendar(array $series, string $name, string $refresh): string
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

        return $calendar->serialize();
    }

    private static function event(VCalendar $calendar, EventSeries $series): void
    {
        $first = $series->sessions[0];
        $own = [];
        $moved = [];
        foreach ($series->sessions as $session) {
            $at = $series->zone->instant($session->day, $series->startMinute);
            $own[$session->day] = true;
            if ($session->start !== $at || $session->end - $session->start !== $series->minutes * 60) {
                $moved[] = $session;
            }
        }
        [$rule, $without, $besides] = self::set($series, array_keys($own));
        $event = self::base($calendar, $series);
        self::time($event, 'DTSTART', $series->zone, $first->day, $series->startMinute);
        self::time($event, 'DTEND', $series->zone, $first->day, $series->startMinute + $series->minutes);
        if ($rule !== null) {
            $event->add('RRULE', $rule);
        }
        self::dates($event, 'EXDATE', $series, $without);
        self::dates($event, 'RDATE', $series, $besides);
        foreach ($moved as $session) {
            $override = self::base($calendar, $series);
            self::time($override, 'RECURRENCE-ID', $series->zone, $session->day, $series->startMinute);
            self::instant($override, 'DTSTART', $series->zone, $session->start);
            self::instant($override, 'DTEND', $series->zone, $session->end);
        }
    }

    private static function base(VCalendar $calendar, EventSeries $series): VEvent
    {
        /** @var VEvent $event */
        $event = $calendar->createComponent('VEVENT', [], false);
        $calendar->add($event);
        $stamp = gmdate('Ymd\THis\Z', $series->changedAt);
        foreach (['UID' => $series->uid, 'DTSTAMP' => $stamp, 'LAST-MODIFIED' => $stamp, 'SEQUENCE' => (string) $series->sequence, 'SUMMARY' => $series->summary] as $property => $value) {
            $event->add($property, $value);
        }
        if ($series->description !== '') {
            $event->add('DESCRIPTION', $series->description);
        }
        if ($series->url !== '') {
            $event->add('URL', $series->url);
            $event->add('CONFERENCE', $series->url, ['VALUE' => 'URI', 'FEATURE' => ['AUDIO', 'VIDEO'], 'LABEL' => 'Come in']);
        }

        return $event;
    }

    /**
     * The rule to write with its UNTIL and the days it has too much; or no rule, and every day but the first.
     *
     * @param  list<int>  $days
     * @return array{string|null, list<int>, list<int>}
     */
    private static function set(EventSeries $series, array $days): array
    {
        $first = $days[0];
        $rest = array_slice($days, 1);
        if ($series->rule === null || $rest === []) {
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

    /** @param  list<int>  $days */
    private static function dates(VEvent $event, string $name, EventSeries $series, array $days): void
    {
        if ($days !== []) {
            $time = sprintf('T%02d%02d00', intdiv($series->startMinute, 60), $series->startMinute % 60);
            $event->add($name, array_map(fn (int $day): string => (new LocalDate($day))->basic().$time, $days), ['TZID' => $series->zone->name]);
        }
    }

    private static function time(VEvent $event, string $name, Zone $zone, int $day, int $minute): void
    {
        $date = new LocalDate($day + intdiv($minute, 1440));
        $event->add($name, $date->basic().sprintf('T%02d%02d00', intdiv($minute % 1440, 60), $minute % 60), ['TZID' => $zone->name]);
    }

    private static function instant(VEvent $event, string $name, Zone $zone, int $at): void
    {
        [$day, $minute] = $zone->wall($at);
        self::time($event, $name, $zone, $day, $minute);
    }

    /**
     * One VTIMEZONE a zone, with each change of the clock that the events meet written out (RFC 5545 3.6.5), so that a reader
     * needs no zone data of its own.
     *
     * @param  list<EventSeries>  $series
     */
    private static function zones(VCalendar $calendar, array $series): void
    {
        $spans = [];
        foreach ($series as $one) {
            $name = $one->zone->name;
            $last = $one->sessions[count($one->sessions) - 1];
            $spans[$name] = [min($spans[$name][0] ?? PHP_INT_MAX, $one->sessions[0]->start), max($spans[$name][1] ?? 0, $last->end)];
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
