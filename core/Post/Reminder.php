<?php

declare(strict_types=1);

namespace Nomada\Core\Post;

use Nomada\Core\Term\Zone;

/** When, and where, somebody is reminded of a session. */
enum Reminder: string
{
    case None = 'none';
    case Evening = 'evening';
    case TwoHours = 'hours-2';
    case Hour = 'hours-1';
    case CalendarHour = 'calendar-60';
    case CalendarTenMinutes = 'calendar-10';

    /** Minutes since midnight at which one is reminded of the next day. */
    public const EVENING = 18 * 60;

    /** The moment from which on a letter reminds of a session (both in UTC seconds); null where none does. */
    public function due(int $start, Zone $zone): ?int
    {
        return match ($this) {
            self::Evening => $zone->instant($zone->wall($start)[0] - 1, self::EVENING),
            self::TwoHours => $start - 7200,
            self::Hour => $start - 3600,
            default => null,
        };
    }

    /** Minutes before a session at which the calendar itself reminds; null where it does not. */
    public function alarm(): ?int
    {
        return match ($this) {
            self::CalendarHour => 60,
            self::CalendarTenMinutes => 10,
            default => null,
        };
    }

    /** @return list<self> what a section can have: a letter; each one's calendar is their own */
    public static function ofSections(): array
    {
        return [self::None, self::Evening, self::TwoHours, self::Hour];
    }
}
