<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use Nomada\Core\Term\Closure;
use Sabre\VObject\Component\VCalendar;

/**
 * Writes closed days as iCalendar: an all-day event each, DTEND exclusive (RFC 5545 3.6.1). ClosureReader reads back
 * the same.
 */
final class ClosureWriter
{
    /**
     * @param  array<string, Closure>  $closures  by UID
     * @param  int  $at  UTC seconds; DTSTAMP
     */
    public static function write(array $closures, string $name, int $at): string
    {
        return Quietly::do(function () use ($closures, $name, $at): string {
            $calendar = new VCalendar([], false);
            foreach (
                [
                    'VERSION' => '2.0',
                    'PRODID' => CalendarWriter::PRODUCT,
                    'CALSCALE' => 'GREGORIAN',
                    'NAME' => $name,
                ] as $property => $value
            ) {
                $calendar->add($property, $value);
            }
            foreach ($closures as $uid => $closure) {
                $event = $calendar->createComponent('VEVENT', [], false);
                $calendar->add($event);
                $event->add('UID', $uid);
                $event->add('DTSTAMP', gmdate('Ymd\THis\Z', $at));
                $event->add('SUMMARY', $closure->reason);
                $event->add('DTSTART', $closure->first->basic(), ['VALUE' => 'DATE']);
                $event->add('DTEND', $closure->last->plus(1)->basic(), ['VALUE' => 'DATE']);
                $event->add('TRANSP', 'TRANSPARENT');
            }

            return $calendar->serialize();
        });
    }
}
