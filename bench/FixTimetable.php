<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Nomada\Core\Timetable\Solver\Answer;
use Nomada\Core\Timetable\Solver\Deadline;
use Nomada\Core\Timetable\Solver\FixClashes;
use Nomada\Core\Timetable\Solver\PlacesOfSeries;
use Nomada\Core\Timetable\Solver\Problem;
use Nomada\Core\Timetable\Solver\ProblemBuilder;
use Nomada\Core\Timetable\Solver\SolverRules;
use Nomada\Core\Timetable\Solver\TimetabledSeries;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Fixing clashes: in timetables of 40 to 80 series beside coinor-cbc with the same places, and in the large invented
 * school beside the bound. Wherever the program proves its optimum within a minute, ours must have as few moves.
 */
class FixTimetable
{
    protected const SEED = 5;

    /** Series of the large school. */
    protected const LARGE = 1200;

    public function run(): bool
    {
        $good = true;
        foreach ([20, 30, 40] as $sections) {
            $good = $this->middle($sections) && $good;
        }

        return $this->large() && $good;
    }

    protected function middle(int $sections): bool
    {
        $school = new LargeSchool($sections, $sections * 15);
        // A coarse grid, so that the program has no more places than it can look at.
        $rules = new SolverRules([8 * 60, 18 * 60], true, 60);
        $all = $this->shaken($school, $rules, intdiv($sections, 5));

        return $this->beside('fix-clashes', $school, $rules, $all);
    }

    /**
     * @param  list<TimetabledSeries>  $all
     */
    protected function beside(string $name, LargeSchool $school, SolverRules $rules, array $all): bool
    {
        $problem = $this->problem($school, $rules, $all);
        $file = sys_get_temp_dir()."/nomada-bench-$name-".count($all).'.lp';
        (new TimetableProgram($problem))->write($file);
        $peer = TimetableProgram::solve($file, 60);
        $ours = $this->answer($problem, 30);
        $toPlace = count(array_filter($problem->series, fn ($s): bool => $s->now->isNowhere()));
        $isMoved = fn (int $id): bool => ! $problem->series[$id]->now->isNowhere();
        $moves = count(array_filter(array_keys($ours->moves), $isMoved));
        $isSame =
            ! $peer['isProved'] || ($ours->after->must === 0 && $moves <= (int) round((float) $peer['objective']));
        printf(
            "%s: %d series, %d clashes\n  ours: %d left, %d moves, bound %d, %s, %.1f s\n  coinor-cbc: %s, %.1f s%s\n",
            $name,
            count($all),
            $ours->before->must,
            $ours->after->must,
            $moves,
            max(0, $ours->bound - $toPlace),
            $ours->isProved ? 'proved' : 'not proved',
            $ours->seconds,
            $peer['objective'] === null
                ? 'nothing found'
                : sprintf('%d moves, %s', $peer['objective'], $peer['isProved'] ? 'proved' : 'not proved'),
            $peer['seconds'],
            $isSame ? '' : '  WORSE THAN THE PEER',
        );

        return $isSame;
    }

    protected function large(): bool
    {
        $school = new LargeSchool();
        $rules = new SolverRules([8 * 60, 18 * 60]);
        $all = $this->shaken($school, $rules, 2);
        memory_reset_peak_usage();
        $ours = $this->answer($this->problem($school, $rules, $all), 30);
        $isGood = $ours->after->must === 0 && count($ours->moves) <= 1.1 * $ours->bound;
        printf(
            "fix-clashes: %d series of the large school, %d clashes\n  ours: %d left, %d moves, bound %d (%.2f times ".
                'it), '.
                "%.1f s, %.0f MB\n",
            count($all),
            $ours->before->must,
            $ours->after->must,
            count($ours->moves),
            $ours->bound,
            count($ours->moves) / max(1, $ours->bound),
            $ours->seconds,
            memory_get_peak_usage() / 1e6,
        );

        return $isGood;
    }

    /** @param  list<TimetabledSeries>  $all */
    protected function problem(LargeSchool $school, SolverRules $rules, array $all): Problem
    {
        return (new ProblemBuilder($school->term, $school->term->first, $rules))->build($all);
    }

    protected function answer(Problem $problem, float $seconds): Answer
    {
        $deadline = new Deadline(fn (): float => microtime(true), $seconds);

        return (new FixClashes($problem, $deadline, self::SEED))->answer();
    }

    /**
     * The timetable with so many series put elsewhere at random.
     *
     * @return list<TimetabledSeries>
     */
    protected function shaken(LargeSchool $school, SolverRules $rules, int $n): array
    {
        $all = $school->timetabled();
        $random = new Randomizer(new Mt19937(self::SEED));
        $places = new PlacesOfSeries($school->term, $school->term->first, $rules);
        foreach (array_slice($random->shuffleArray(array_keys($all)), 0, $n) as $i) {
            $plan = $all[$i]->plan;
            assert($plan !== null);
            $of = $places->of($plan);
            $all[$i] = $this->at($all[$i], $of[$random->getInt(0, count($of) - 1)], $places);
        }

        return array_values($all);
    }

    protected function at(
        TimetabledSeries $one,
        \Nomada\Core\Timetable\SeriesPlan $plan,
        PlacesOfSeries $places,
    ): TimetabledSeries {
        return new TimetabledSeries(
            $one->id,
            $one->series,
            $one->section,
            $plan,
            $places->sessions($plan),
            [],
            $one->people,
            isPinned: $one->isPinned,
        );
    }
}
