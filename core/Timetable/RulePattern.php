<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;

/** A pattern that came as an RFC 5545 rule and is none of our own kinds. It counts from the series' first day. */
final readonly class RulePattern implements Pattern
{
    private const ORDINALS = [
        1 => 'first',
        'second',
        'third',
        'fourth',
        'fifth',
        -1 => 'last',
        -2 => 'last but one',
    ];

    public RecurrenceRule $rule;

    public function __construct(RecurrenceRule $rule, private LocalDate $anchor)
    {
        $this->rule = $rule->anchored($anchor);
    }

    public function days(LocalDate $from, LocalDate $to, Term $term): iterable
    {
        foreach ($this->rule->days($this->anchor, $to->day) as $day) {
            if ($day >= $from->day) {
                yield $day;
            }
        }
    }

    public function sentence(): string
    {
        $r = $this->rule;
        $n = $r->interval;
        $unit = ['DAILY' => 'day', 'WEEKLY' => 'week', 'MONTHLY' => 'month'][$r->freq];
        $days = implode(
            ', ',
            array_map(
                fn (array $d): string => trim((self::ORDINALS[$d[1]] ?? '').' '.LocalDate::dayName($d[0])),
                $r->byDay,
            ),
        );
        $monthDays = $r->byMonthDay === [] ? '' : 'on day '.implode(', ', $r->byMonthDay);
        $pos = implode(' and ', array_map(fn (int $p): string => self::ORDINALS[$p] ?? "number $p", $r->bySetPos));
        $every = $n === 1 ? "Every $unit" : "Every $n {$unit}s";

        return implode(
            ', ',
            array_filter([
                $every,
                trim(($pos === '' ? '' : "$pos of ").$days),
                $monthDays,
                $r->byMonth === [] ? '' : 'months '.implode(' ', $r->byMonth),
            ]),
        );
    }

    public function spoken(): string
    {
        return $this->sentence();
    }

    public function rule(): string
    {
        return $this->rule->text();
    }

    public function toArray(): array
    {
        return ['kind' => 'rule', 'rule' => $this->rule->text(), 'anchor' => $this->anchor->iso()];
    }
}
