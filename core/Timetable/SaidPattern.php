<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use LogicException;
use Nomada\Core\Language\Phrases;
use Nomada\Core\Term\LocalDate;

/** Says when a series meets in any language that there are words for: "Tue Thu 11:15–12:00". */
final readonly class SaidPattern
{
    public function __construct(private Phrases $phrases)
    {
    }

    /** The plans one after the other: "Tue Thu 10:00–10:45, from Tue 23 Feb: Wed Fri 11:15–12:00". */
    public function stretches(Stretches $stretches): string
    {
        $out = '';
        foreach ($stretches->plans as $i => $plan) {
            $out .=
                $i === 0
                    ? $this->plan($plan)
                    : $this->phrases->say('patterns.from', [
                        'day' => $this->phrases->day($plan->from),
                        'plan' => $this->plan($plan),
                    ]);
        }

        return $out;
    }

    public function plan(SeriesPlan $plan): string
    {
        $times =
            $plan->period === null
                ? $plan->times()
                : $this->phrases->say('patterns.period', ['period' => $plan->period, 'times' => $plan->hours()]);

        return "{$this->pattern($plan->pattern)} $times";
    }

    public function pattern(Pattern $pattern): string
    {
        return match (true) {
            $pattern instanceof WeeklyPattern => $this->weekly($pattern),
            $pattern instanceof RotationPattern => $this->rotation($pattern),
            $pattern instanceof DatesPattern => $this->dates($pattern),
            $pattern instanceof OpenDaysPattern => $this->phrases->say('patterns.open_days'),
            $pattern instanceof RulePattern => $this->rule($pattern),
            default => throw new LogicException('A pattern that cannot be said: '.$pattern::class),
        };
    }

    private function weekly(WeeklyPattern $pattern): string
    {
        $isWorkWeek = $pattern->weekdays === [1, 2, 3, 4, 5];
        if ($pattern->every === 1) {
            return $isWorkWeek ? $this->phrases->say('patterns.work_days') : $this->weekdays($pattern->weekdays);
        }
        $n = $pattern->every;

        return $this->phrases->say('patterns.nth_week', [
            'nth' => $this->phrases->has("patterns.weeks.$n")
                ? $this->phrases->say("patterns.weeks.$n")
                : $this->phrases->say('patterns.weeks.more', ['n' => $n]),
            'days' => $isWorkWeek ? $this->phrases->say('patterns.work_week') : $this->weekdays($pattern->weekdays),
        ]);
    }

    private function rotation(RotationPattern $pattern): string
    {
        $said = $this->phrases->say($pattern->byWeek ? 'patterns.rotation_week' : 'patterns.rotation_day', [
            'labels' => implode(' ', $pattern->labels),
        ]);

        return $pattern->weekdays === [] ? $said : "$said, {$this->weekdays($pattern->weekdays)}";
    }

    private function dates(DatesPattern $pattern): string
    {
        return count($pattern->days) === 1
            ? $this->phrases->day(new LocalDate($pattern->days[0]))
            : $this->phrases->say('patterns.dates', ['count' => count($pattern->days)]);
    }

    private function rule(RulePattern $pattern): string
    {
        $rule = $pattern->rule;
        $unit = strtolower($rule->freq);
        $days = implode(
            ', ',
            array_map(
                fn (array $d): string => trim(
                    ($this->phrases->has("patterns.places.$d[1]")
                        ? $this->phrases->say("patterns.places.$d[1]")
                        : '').
                        ' '.
                        $this->phrases->weekday($d[0]),
                ),
                $rule->byDay,
            ),
        );
        $places = implode(
            ' '.$this->phrases->say('patterns.and').' ',
            array_map(
                fn (int $p): string => $this->phrases->has("patterns.places.$p")
                    ? $this->phrases->say("patterns.places.$p")
                    : $this->phrases->say('patterns.places.more', ['n' => $p]),
                $rule->bySetPos,
            ),
        );

        return implode(
            ', ',
            array_filter([
                $this->phrases->say($rule->interval === 1 ? "patterns.every.$unit" : "patterns.every_n.$unit", [
                    'n' => $rule->interval,
                ]),
                $places === ''
                    ? $days
                    : trim($this->phrases->say('patterns.of', ['places' => $places, 'days' => $days])),
                $rule->byMonthDay === []
                    ? ''
                    : $this->phrases->say('patterns.on_day', ['days' => implode(', ', $rule->byMonthDay)]),
                $rule->byMonth === []
                    ? ''
                    : $this->phrases->say('patterns.months', ['months' => implode(' ', $rule->byMonth)]),
            ]),
        );
    }

    /** @param  list<int>  $weekdays */
    private function weekdays(array $weekdays): string
    {
        return implode(' ', array_map($this->phrases->weekday(...), $weekdays));
    }
}
