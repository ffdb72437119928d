<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use DateTimeZone;
use Sabre\VObject\Property\ICalendar\DateTime;

/** DTSTART with dates that count the steps which a recurrence makes from them. */
final class CountedStart extends DateTime
{
    /**
     * The library's word for what it answers is narrower than what its callers take, and it gives immutable dates
     * itself.
     *
     * @return array<\DateTime>
     */
    public function getDateTimes(?DateTimeZone $timeZone = null)
    {
        // @phpstan-ignore return.type
        return array_map(CountedDate::from(...), parent::getDateTimes($timeZone));
    }
}
