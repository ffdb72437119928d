<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
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

    public function said(): Said
    {
        return $this->onDays(
            new Said($this->byWeek ? 'patterns.rotation_week' : 'patterns.rotation_day', [
                'labels' => implode(' ', $this->labels),
            ]),
        );
    }

    public function spoken(): Said
    {
        $labels = $this->labels;
        $last = array_pop($labels);

        return $this->onDays(
            new Said($this->byWeek ? 'spoken.rotation_week' : 'spoken.rotation_day', [
                'n' => count($this->labels),
                'labels' => $labels === [] ? $last : new Said('and', ['list' => $labels, 'last' => $last]),
            ]),
        );
    }

    private function onDays(Said $said): Said
    {
        return $this->weekdays === []
            ? $said
            : Said::list([$said, Said::row(array_map(Said::weekday(...), $this->weekdays))]);
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
