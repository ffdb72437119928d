<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;

/**
 * The days on which a series would meet if no day were closed. When it begins and ends is the series' business, not the
 * pattern's.
 */
interface Pattern
{
    /**
     * The pattern's days from `from` to `to`, both inclusive, ascending.
     *
     * @return iterable<int> day numbers
     */
    public function days(LocalDate $from, LocalDate $to, Term $term): iterable;

    /** How a person would say it: "Mon Wed Fri", "Every second week, Tue Thu". */
    public function said(): Said;

    /** The same in full words: "Every second Tuesday and Thursday". */
    public function spoken(): Said;

    /**
     * The RFC 5545 rule (without UNTIL and COUNT) whose set holds every day of the pattern, or null where no rule does.
     */
    public function rule(): ?string;

    /** @return array<string, mixed> what {@see Patterns::from()} reads back */
    public function toArray(): array;
}
