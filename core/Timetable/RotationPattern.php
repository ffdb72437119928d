<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;

/**
 * Chosen rotation days of the term ("Day A"), or chosen weekdays of its rotation weeks ("Week A, Tue Thu").
 *
 * Rotation days count open days only, so nothing is lost to a closed one; a closed weekday of a rotation week is lost
 * as any other.
 */
final readonly class RotationPattern implements Pattern
{
    /** @var list<string> labels of the term's rotation, as A or 3 */
    public array $labels;

    /** @var list<int> 1 (Monday) to 7; empty for all */
    public array $weekdays;

    /**
     * @param  array<string>  $labels
     * @param  array<int>  $weekdays
     */
    public function __construct(public bool $byWeek, array $labels, array $weekdays = [])
    {
        $labels = array_values(array_unique(array_map(strtoupper(...), $labels)));
        if ($labels === []) {
            throw new Fault($byWeek ? 'rotation.weeks' : 'rotation.days', 'rotation');
        }
        $weekdays = array_values(array_unique($weekdays));
        sort($weekdays);
        if ($byWeek && $weekdays === []) {
            throw new Fault('rotation.weekdays', 'weekdays');
        }
        $this->labels = $labels;
        $this->weekdays = $weekdays;
    }

    public function days(LocalDate $from, LocalDate $to, Term $term): iterable
    {
        $rotation = $term->rotation;
        if ($rotation === null || $rotation->byWeek !== $this->byWeek) {
            return;
        }
        $numbers = array_filter(array_map($rotation->numberOf(...), $this->labels));
        for ($day = max($from->day, $term->first->day); $day <= min($to->day, $term->last->day); $day++) {
            if (
                in_array($term->rotationOn($day), $numbers, true) &&
                ($this->weekdays === [] || in_array(LocalDate::weekdayOf($day), $this->weekdays, true))
            ) {
                yield $day;
            }
        }
    }

    public function sentence(): string
    {
        return ($this->byWeek ? 'Week ' : 'Day ').
            implode(' ', $this->labels).
            ($this->weekdays === []
                ? ''
                : ', '.implode(' ', array_map(LocalDate::dayName(...), $this->weekdays)));
    }

    public function spoken(): string
    {
        $many = count($this->labels) > 1 ? 's' : '';

        return 'Rotation '.
            ($this->byWeek ? 'week' : 'day').
            $many.
            ' '.
            implode(' and ', $this->labels).
            ($this->weekdays === []
                ? ''
                : ', '.implode(' ', array_map(LocalDate::dayName(...), $this->weekdays)));
    }

    public function rule(): ?string
    {
        return null;
    }

    public function toArray(): array
    {
        return [
            'kind' => 'rotation',
            'by_week' => $this->byWeek,
            'labels' => $this->labels,
            'weekdays' => $this->weekdays,
        ];
    }
}
