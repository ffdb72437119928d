<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;

/** What a coordinator asks the solver. */
final readonly class Question
{
    public const FIX = 'fix';

    public const PLACE = 'place';

    /**
     * @param  LocalDate  $from  the first day that may change
     * @param  list<int>  $sections  whose series may move; all where empty
     * @param  list<int>  $pins  series that stay
     * @param  int  $seconds  to look at most
     * @param  string  $kind  FIX (clashes), or PLACE (series without a time)
     * @param  bool  $mayMove  of PLACE: whether series that have a time may move to make room
     */
    public function __construct(
        public LocalDate $from,
        public SolverRules $rules,
        public array $sections = [],
        public array $pins = [],
        public int $seconds = 10,
        public int $seed = 1,
        public string $kind = self::FIX,
        public bool $mayMove = false,
        public WhatIf $whatIf = new WhatIf(),
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
            'rules' => $this->rules->toArray(),
            'sections' => $this->sections,
            'pins' => $this->pins,
            'seconds' => $this->seconds,
            'seed' => $this->seed,
            'kind' => $this->kind,
            'mayMove' => $this->mayMove,
            'whatIf' => $this->whatIf->toArray(),
        ];
    }

    /** @param  array<string, mixed>  $plain */
    public static function from(array $plain): self
    {
        $ints = fn (string $of): array => array_values(array_map(intval(...), (array) ($plain[$of] ?? [])));

        return new self(
            LocalDate::parse((string) $plain['from']),
            SolverRules::from($plain['rules']),
            $ints('sections'),
            $ints('pins'),
            (int) $plain['seconds'],
            (int) $plain['seed'],
            (string) $plain['kind'],
            (bool) $plain['mayMove'],
            WhatIf::from($plain['whatIf']),
        );
    }
}
