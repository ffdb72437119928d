<?php

declare(strict_types=1);

namespace Nomada\Core\Term;

use Nomada\Core\Fault;

/** A day plan (bell schedule): named periods that do not overlap, in the order of the day. */
final readonly class DayPlan
{
    /** @var list<Period> in the order of the day */
    public array $periods;

    /**
     * @param  list<Period>  $periods
     *
     * @throws Fault where two periods overlap or have one name, or there is none
     */
    public function __construct(public string $name, array $periods)
    {
        if (trim($name) === '' || mb_strlen($name) > 60) {
            throw new Fault('plan.name', 'plan_name');
        }
        if ($periods === []) {
            throw new Fault('plan.none', 'periods');
        }
        usort($periods, fn (Period $a, Period $b): int => $a->start <=> $b->start);
        $names = [];
        foreach ($periods as $i => $period) {
            $key = mb_strtolower($period->name);
            if (isset($names[$key])) {
                throw new Fault('plan.twice', 'periods', ['period' => $period->name]);
            }
            $names[$key] = true;
            $before = $periods[$i - 1] ?? null;
            if ($before !== null && $before->end > $period->start) {
                throw new Fault('plan.overlap', 'periods', [
                    'before' => $before->name,
                    'period' => $period->name,
                    'ends' => TypedTime::format($before->end),
                    'begins' => TypedTime::format($period->start),
                ]);
            }
        }
        $this->periods = $periods;
    }

    /**
     * Reads periods as they are typed, one a line: a name, then from and till (`3 10:00-10:45`).
     *
     * @throws Fault naming the line
     */
    public static function read(string $name, string $typed): self
    {
        $periods = [];
        foreach (preg_split('/\R/u', trim($typed)) ?: [] as $n => $line) {
            if (trim($line) === '') {
                continue;
            }
            if (
                ! preg_match(
                    '/^\s*(.+?)[\s,:;]+(\d[\d:.]*\s*(?:[ap]m)?)\s*(?:-|–|—|to|till|\s)\s*'.
                        '(\d[\d:.]*\s*(?:[ap]m)?)\s*$/iu',
                    $line,
                    $m,
                )
            ) {
                throw new Fault('plan.line', 'periods', ['n' => $n + 1]);
            }
            try {
                $periods[] = new Period(
                    trim($m[1]),
                    TypedTime::read($m[2])->minute,
                    TypedTime::read($m[3])->minute,
                );
            } catch (Fault $e) {
                throw new Fault('plan.at', 'periods', ['n' => $n + 1, 'why' => $e]);
            }
        }

        return new self(trim($name), $periods);
    }

    /** @param  list<array{name: string, start: int, end: int}>  $periods */
    public static function from(string $name, array $periods): self
    {
        return new self(
            $name,
            array_map(
                fn (array $p): Period => new Period((string) $p['name'], (int) $p['start'], (int) $p['end']),
                $periods,
            ),
        );
    }

    /** @return list<array{name: string, start: int, end: int}> what {@see DayPlan::from()} reads back */
    public function toArray(): array
    {
        return array_map(
            fn (Period $p): array => ['name' => $p->name, 'start' => $p->start, 'end' => $p->end],
            $this->periods,
        );
    }

    public function period(string $name): ?Period
    {
        foreach ($this->periods as $period) {
            if (mb_strtolower($period->name) === mb_strtolower($name)) {
                return $period;
            }
        }

        return null;
    }

    /** As it is typed, one period a line. */
    public function typed(): string
    {
        return implode(
            "\n",
            array_map(
                fn (Period $p): string => $p->name.
                    ' '.
                    TypedTime::format($p->start).
                    '-'.
                    TypedTime::format($p->end),
                $this->periods,
            ),
        );
    }

    /** When the first period begins, in minutes from midnight. */
    public function opens(): int
    {
        return $this->periods[0]->start;
    }

    public function closes(): int
    {
        return $this->periods[count($this->periods) - 1]->end;
    }
}
