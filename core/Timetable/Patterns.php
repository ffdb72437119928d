<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/** Reads patterns from plain arrays, as they are stored and as the series editor sends them. */
final class Patterns
{
    /**
     * @param  array<string, mixed>  $plain
     *
     * @throws Fault
     */
    public static function from(array $plain): Pattern
    {
        return match ($plain['kind'] ?? null) {
            'weekly' => new WeeklyPattern(array_map(intval(...), (array) ($plain['weekdays'] ?? [])), (int) ($plain['every'] ?? 1)),
            'open-days' => new OpenDaysPattern,
            'rule' => self::fromRule(RecurrenceRule::parse((string) ($plain['rule'] ?? ''), Zone::named('UTC')), LocalDate::parse((string) ($plain['anchor'] ?? ''))),
            default => throw new Fault('Choose when the series meets: chosen weekdays or every school day.', 'kind'),
        };
    }

    public static function fromRule(RecurrenceRule $rule, LocalDate $start): Pattern
    {
        return $rule->anchored($start)->asWeekly() ?? new RulePattern($rule, $start);
    }
}
