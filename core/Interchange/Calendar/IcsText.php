<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use DateTimeZone;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Parameter;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property\ICalendar\DateTime as DateTimeProperty;
use Sabre\VObject\Reader;
use Sabre\VObject\TimeZoneUtil;

/** Reads iCalendar text strictly with sabre/vobject, and keeps hold of line numbers, which it does not. */
final class IcsText
{
    /** Events of one file. */
    public const MOST = 20_000;

    /** @throws ParseException */
    public static function read(string $text): VCalendar
    {
        if (! str_contains($text, 'BEGIN:VCALENDAR')) {
            throw new ParseException('BEGIN:VCALENDAR is missing on line 1');
        }
        if (substr_count($text, 'BEGIN:VEVENT') > self::MOST) {
            throw new ParseException('The file has more than '.number_format(self::MOST).' events on line 1');
        }
        if (preg_match('/^END:VCALENDAR\s*$/mi', $text) !== 1) {
            $last = substr_count(rtrim($text), "\n") + 1;

            throw new ParseException("The file is cut off: END:VCALENDAR is missing after line $last");
        }
        $calendar = Reader::read(str_starts_with($text, "\xEF\xBB\xBF") ? substr($text, 3) : $text);

        return $calendar instanceof VCalendar
            ? $calendar
            : throw new ParseException('This is not a VCALENDAR on line 1');
    }

    public static function lineOf(ParseException $e): int
    {
        return preg_match('/line (?:starting at )?(\d+)/i', $e->getMessage(), $m) === 1 ? (int) $m[1] : 1;
    }

    public static function words(ParseException $e): string
    {
        return mb_strimwidth($e->getMessage(), 0, 160, '…');
    }

    /**
     * The line on which each VEVENT begins, in order.
     *
     * @return list<int>
     */
    public static function eventLines(string $text): array
    {
        $out = [];
        foreach (explode("\n", $text) as $n => $line) {
            if (strncasecmp(trim($line), 'BEGIN:VEVENT', 12) === 0) {
                $out[] = $n + 1;
            }
        }

        return $out;
    }

    /**
     * The day of a date or date-time on a zone's calendar; of an exclusive end, the last day inside.
     *
     * @throws \InvalidArgumentException where it names a zone that nobody knows
     */
    public static function dayOf(DateTimeProperty $property, Zone $zone, bool $exclusive = false): LocalDate
    {
        $text = (string) $property;
        if (! $property->hasTime()) {
            return LocalDate::parse(substr($text, 0, 8))->plus($exclusive ? -1 : 0);
        }
        $tzid = $property['TZID'] ?? null;
        $tzid = $tzid instanceof Parameter ? trim((string) $tzid->getValue()) : '';
        if ($tzid !== '') {
            TimeZoneUtil::getTimeZone($tzid, null, true);
        }
        $at = $property->getDateTime(new DateTimeZone($zone->name))->getTimestamp();

        return $zone->dateAt($exclusive ? $at - 1 : $at);
    }
}
