<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;

/** What a coordinator asks the solver. */
final readonly class Question
{
    /**
     * @param  LocalDate  $from  the first day that may change
     * @param  list<int>  $sections  whose series may move; all where empty
     * @param  list<int>  $pins  series that stay
     * @param  int  $seconds  to look at most
     */
    public function __construct(
        public LocalDate $from,
        public SolverRules $rules,
        public array $sections = [],
        public array $pins = [],
        public int $seconds = 10,
        public int $seed = 1,
    ) {
    }

    /** The first day that may change where nobody says which: the next school day. */
    public static function nextDay(Term $term, LocalDate $today): LocalDate
    {
        foreach ($term->openDays() as $day) {
            if ($day > $today->day) {
                return new LocalDate($day);
            }
        }

        return $term->last;
    }

    /** @throws Fault where nothing may change from that day on, since it has begun or is outside the term */
    public static function day(LocalDate $from, Term $term, LocalDate $today): LocalDate
    {
        return $from->day > $today->day && $term->contains($from->day)
            ? $from
            : throw new Fault('solver.from', 'from');
    }

    /** @return array<string, mixed> what {@see from()} reads back */
    public function toArray(): array
    {
        return [
            'from' => $this->from->iso(),
            'hours' => $this->rules->hours,
            'students' => $this->rules->studentsMust ? 'must' : 'should',
            'grid' => $this->rules->grid,
            'sections' => $this->sections,
            'pins' => $this->pins,
            'seconds' => $this->seconds,
            'seed' => $this->seed,
        ];
    }

    /** @param  array<string, mixed>  $plain */
    public static function from(array $plain): self
    {
        $ints = fn (string $of): array => array_values(array_map(intval(...), (array) ($plain[$of] ?? [])));
        $hours = $ints('hours');

        return new self(
            LocalDate::parse((string) $plain['from']),
            new SolverRules([$hours[0], $hours[1]], $plain['students'] === 'must', (int) $plain['grid']),
            $ints('sections'),
            $ints('pins'),
            (int) $plain['seconds'],
            (int) $plain['seed'],
        );
    }
}
