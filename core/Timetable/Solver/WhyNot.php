<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

/**
 * Why a series is not at some time: what is in the way there, and the shortest chain of moves of other series that
 * would make room for it.
 *
 * @phpstan-import-type Reason from SolverMove
 */
final readonly class WhyNot
{
    /** Moves of others that are tried at most. */
    private const LONGEST = 4;

    private const STEPS = 20000;

    /**
     * @param  list<Reason>  $obstacles
     * @param  list<SolverMove>|null  $chain  the moves of others; empty where nothing is in the way, null where no
     *   chain was found that makes room
     * @param  bool  $isComplete  whether all chains up to LONGEST moves were looked at, so that no shorter one exists
     */
    private function __construct(public array $obstacles, public ?array $chain, public bool $isComplete)
    {
    }

    public static function at(Problem $problem, int $id, Candidate $place, Deadline $deadline): self
    {
        $on = new Arrangement($problem);
        $option = $on->option($id, $place);
        $obstacles = array_map(
            fn (string $kind): array => ['kind' => $kind, 'series' => $id, 'students' => 0],
            $place->troubles,
        );
        foreach (array_keys($option->clashes) as $other) {
            foreach ($problem->kinds($id, $place, $other, $on->of($other)) as $kind => $students) {
                $with = $problem->series[$other]->series();
                $obstacles[] = ['kind' => $kind, 'series' => $with, 'students' => $students];
            }
        }
        if ($place->troubles !== []) {
            return new self($obstacles, null, true);
        }
        $on->put($id, $option);
        $clashes = [];
        foreach ($option->clashes as $other => $n) {
            $clashes["$id-$other"] = [$id, $other, $n];
        }
        $isComplete = true;
        for ($most = 0; $most <= self::LONGEST; $most++) {
            $repair = new Repair($on, $deadline, 0, $most, self::STEPS);
            $moved = $repair->find($clashes);
            $isComplete = $isComplete && $repair->isComplete();
            if ($moved !== null) {
                return new self($obstacles, self::moves($problem, $moved, $id), $isComplete);
            }
        }

        return new self($obstacles, null, $isComplete);
    }

    /**
     * @param  array<int, Candidate>  $moved
     * @return list<SolverMove> without the one that was asked about
     */
    private static function moves(Problem $problem, array $moved, int $id): array
    {
        $on = new Arrangement($problem);
        $before = Score::of($on->total());
        $on->set($moved);
        $answer = new Answer($moved, $before, Score::of($on->total()), 0, false, [], 0);

        return array_values(
            array_filter(
                Solution::of(Solution::BEST, $problem, $answer)->moves,
                fn (SolverMove $m): bool => $m->series !== $id,
            ),
        );
    }
}
