<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use Sabre\VObject\Component\VCalendar;

/**
 * sabre/vobject 4.2 does what PHP 8.2 deprecates. Those notes are of no use to anybody here; every other error goes its
 * usual way.
 */
final class Quietly
{
    /**
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     */
    public static function do(callable $do): mixed
    {
        // Every recurrence that is worked out counts its steps.
        VCalendar::$propertyMap['DTSTART'] = CountedStart::class;
        set_error_handler(static fn (): bool => true, E_DEPRECATED | E_USER_DEPRECATED);
        try {
            return $do();
        } finally {
            restore_error_handler();
        }
    }
}
