<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;

/** A pattern that came as an RFC 5545 rule and is none of our own kinds. It counts from the series' first day. */
final readonly class RulePattern implements Pattern
{
    /** Places that have a word of their own: the first of a month, the last but one. */
    private const PLACES = [1, 2, 3, 4, 5, -1, -2];

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

    public function said(): Said
    {
        $rule = $this->rule;
        $unit = strtolower($rule->freq);
        $parts = [
            $rule->interval === 1
                ? new Said("patterns.every.$unit")
                : new Said("patterns.every_n.$unit", ['n' => $rule->interval]),
        ];
        $days = array_map(self::day(...), $rule->byDay);
        $monthDays =
            $rule->byMonthDay === [] ? [] : [new Said('patterns.on_day', ['days' => $rule->byMonthDay])];
        $places = array_map(self::place(...), $rule->bySetPos);
        if ($places !== []) {
            $days = [new Said('patterns.of', ['places' => Said::and($places), 'days' => $days ?: $monthDays])];
            $monthDays = $rule->byDay === [] ? [] : $monthDays;
        }
        $parts = [...$parts, ...$days === [] ? [] : [Said::list($days)], ...$monthDays];
        if ($rule->byMonth !== []) {
            $parts[] = new Said('patterns.months', ['months' => implode(' ', $rule->byMonth)]);
        }

        return Said::list($parts);
    }

    public function spoken(): Said
    {
        return $this->said();
    }

    /** @param  array{int, int}  $day  weekday, and which of its month; 0 for every */
    private static function day(array $day): Said
    {
        $weekday = Said::weekday($day[0]);

        return $day[1] === 0 ? $weekday : Said::row([self::place($day[1]), $weekday]);
    }

    private static function place(int $place): Said
    {
        return in_array($place, self::PLACES, true)
            ? new Said("patterns.places.$place")
            : new Said('patterns.places.more', ['n' => $place]);
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
