<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;

/**
 * A series as a calendar shows it: one event with its exceptions. Only planned sessions are in it.
 */
final readonly class EventSeries
{
    /**
     * @param  string  $uid  stays the same for the life of the series
     * @param  int  $sequence  grows with every change of its times (RFC 5545 3.8.7.4)
     * @param  int  $changedAt  UTC seconds of that change; DTSTAMP and LAST-MODIFIED
     * @param  string|null  $rule  an RRULE without UNTIL and COUNT that holds most of the sessions
     * @param  list<PlannedSession>  $sessions  planned ones, ascending
     * @param  string  $category  the section's code, by which our own reader knows it again
     * @param  string  $comeIn  what the way in is called, in the calendar's language
     */
    public function __construct(
        public string $uid,
        public int $sequence,
        public int $changedAt,
        public string $summary,
        public string $description,
        public string $url,
        public Zone $zone,
        public int $startMinute,
        public int $minutes,
        public ?string $rule,
        public array $sessions,
        public string $category = '',
        public string $comeIn = 'Come in',
    ) {
    }

    /** The same without a way in: for those who may know when it is, and do not come. */
    public function withoutLink(): self
    {
        return new self(
            $this->uid,
            $this->sequence,
            $this->changedAt,
            $this->summary,
            '',
            '',
            $this->zone,
            $this->startMinute,
            $this->minutes,
            $this->rule,
            $this->sessions,
            $this->category,
        );
    }
}
