<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;

/** Every open day of the term. A closed day is no date of this pattern, so nothing is lost to one. */
final readonly class OpenDaysPattern implements Pattern
{
    public function days(LocalDate $from, LocalDate $to, Term $term): iterable
    {
        for ($day = max($from->day, $term->first->day); $day <= min($to->day, $term->last->day); $day++) {
            if ($term->isOpen($day)) {
                yield $day;
            }
        }
    }

    public function said(): Said
    {
        return new Said('patterns.open_days');
    }

    public function spoken(): Said
    {
        return $this->said();
    }

    public function rule(): string
    {
        return 'FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR';
    }

    public function toArray(): array
    {
        return ['kind' => 'open-days'];
    }
}
