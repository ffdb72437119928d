<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use DateTimeZone;
use Sabre\VObject\Property\ICalendar\DateTime;

/** DTSTART with dates that count the steps which a recurrence makes from them. */
final class CountedStart extends DateTime
{
    /** @return array<CountedDate> */
    public function getDateTimes(?DateTimeZone $timeZone = null)
    {
        return array_map(CountedDate::from(...), parent::getDateTimes($timeZone));
    }
}
