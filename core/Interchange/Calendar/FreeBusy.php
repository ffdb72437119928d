<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use Sabre\VObject\Component\VCalendar;

/** When somebody is busy, and nothing else of it (RFC 5545, 3.6.4). */
final class FreeBusy
{
    /**
     * @param  string  $whose  an address of theirs
     * @param  list<array{int, int}>  $busy  starts and ends in UTC seconds, in any order; they may overlap
     * @param  int  $from  UTC seconds; $to likewise
     */
    public static function write(string $whose, array $busy, int $from, int $to, int $now): string
    {
        return Quietly::do(function () use ($whose, $busy, $from, $to, $now): string {
            $calendar = new VCalendar([], false);
            $calendar->add('VERSION', '2.0');
            $calendar->add('PRODID', CalendarWriter::PRODUCT);
            $part = $calendar->createComponent('VFREEBUSY', [], false);
            $calendar->add($part);
            $part->add('UID', hash('sha256', "$whose $from $to"));
            $part->add('DTSTAMP', self::stamp($now));
            $part->add('DTSTART', self::stamp($from));
            $part->add('DTEND', self::stamp($to));
            $part->add('ATTENDEE', "mailto:$whose");
            foreach (self::merged($busy, $from, $to) as [$start, $end]) {
                $part->add('FREEBUSY', self::stamp($start).'/'.self::stamp($end), ['FBTYPE' => 'BUSY']);
            }

            return $calendar->serialize();
        });
    }

    /**
     * Within the span, ascending, those that touch or overlap as one.
     *
     * @param  list<array{int, int}>  $busy
     * @return list<array{int, int}>
     */
    public static function merged(array $busy, int $from, int $to): array
    {
        sort($busy);
        $out = [];
        $open = null;
        foreach ($busy as [$start, $end]) {
            [$start, $end] = [max($start, $from), min($end, $to)];
            if ($start >= $end) {
                continue;
            }
            if ($open !== null && $start <= $open[1]) {
                $open[1] = max($open[1], $end);

                continue;
            }
            $out[] = $open;
            $open = [$start, $end];
        }
        $out[] = $open;

        return array_values(array_filter($out));
    }

    private static function stamp(int $at): string
    {
        return gmdate('Ymd\THis\Z', $at);
    }
}
