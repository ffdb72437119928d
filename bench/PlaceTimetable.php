<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Nomada\Core\Timetable\Solver\PlacesOfSeries;
use Nomada\Core\Timetable\Solver\SolverRules;
use Nomada\Core\Timetable\Solver\TimetabledSeries;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Placing series: 200 series of a school of 600 placed again from nothing, beside those that stand still, where such a
 * timetable is known to exist; and middle cases beside coinor-cbc.
 */
final class PlaceTimetable extends FixTimetable
{
    public function run(): bool
    {
        $good = true;
        foreach ([[20, 12], [40, 25]] as [$sections, $n]) {
            $rules = new SolverRules([8 * 60, 18 * 60], true, 60);
            $school = new LargeSchool($sections, $sections * 15);
            $good = $this->beside('place', $school, $rules, $this->emptied($school, $rules, $n)) && $good;
        }
        $school = new LargeSchool(300, 4500);
        $rules = new SolverRules([8 * 60, 18 * 60]);
        $all = $this->emptied($school, $rules, 200);
        memory_reset_peak_usage();
        $ours = $this->answer($this->problem($school, $rules, $all), 60);
        printf(
            "place: 200 of %d series\n  ours: %d without a time or clashing, %d placed, %.1f s, %.0f MB\n",
            count($all),
            $ours->after->must,
            count($ours->moves),
            $ours->seconds,
            memory_get_peak_usage() / 1e6,
        );

        return $ours->after->must === 0 && $good;
    }

    /**
     * The timetable without clashes, and so many of its series without their time.
     *
     * @return list<TimetabledSeries>
     */
    private function emptied(LargeSchool $school, SolverRules $rules, int $n): array
    {
        $fixed = $this->answer($this->problem($school, $rules, $school->timetabled()), 30);
        $places = new PlacesOfSeries($school->term, $school->term->first, $rules);
        $random = new Randomizer(new Mt19937(self::SEED));
        $all = $school->timetabled();
        $gone = array_flip(array_slice($random->shuffleArray(array_keys($all)), 0, $n));
        $out = [];
        foreach ($all as $i => $one) {
            $to = $fixed->moves[$one->id]->plan ?? $one->plan;
            assert($to !== null);
            $out[] = isset($gone[$i])
                ? new TimetabledSeries(
                    TimetabledSeries::WITHOUT_TIME + $one->id,
                    $one->id,
                    $one->section,
                    $to,
                    [],
                    [],
                    $one->people,
                    hasTime: false,
                )
                : new TimetabledSeries(
                    $one->id,
                    $one->series,
                    $one->section,
                    $to,
                    $places->sessions($to),
                    [],
                    $one->people,
                    isPinned: true,
                );
        }

        return $out;
    }
}
