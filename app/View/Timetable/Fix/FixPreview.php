<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Fix;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Timetable\LaySessions;
use Nomada\App\Actions\Timetable\SaveSeries;
use Nomada\App\Actions\Timetable\TakeSolution;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\App\Models\Timetable\SolverRun;
use Nomada\App\Support\Clock;
use Nomada\App\Support\DryRun;
use Nomada\App\Support\FaultWords;
use Nomada\App\Support\Say;
use Nomada\App\View\Timetable\Clashes\ClashList;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\ScheduleReconciliation;
use Nomada\Core\Timetable\Solver\Solution;
use Nomada\Core\Timetable\Solver\SolverMove;
use Nomada\Core\Timetable\Solver\TimetabledSeries;

/** Tries an answer of the solver, tells what it does, and takes it back. */
final readonly class FixPreview
{
    public function __construct(
        private TakeSolution $take,
        private LaySessions $lay,
        private ClashList $clashes,
        private Clock $clock,
    ) {
    }

    /** @param  list<int>  $out  series whose moves are left out */
    public function of(SolverRun $run, Solution $whole, int $n, array $out): FixPreviewPage
    {
        $solution = $whole->without($out);
        $series = Series::query()
            ->with(['section.term.school', 'section.term.closures'])
            ->findMany($solution->series())
            ->keyBy('id');
        $sections = [];
        foreach ($series as $one) {
            array_push($sections, ...$one->sectionIds());
        }
        $toPlace = SeriesToPlace::ofTerm($run->term)->get()->keyBy('id');
        foreach ($solution->moves as $move) {
            $one = $toPlace[(int) TimetabledSeries::withoutTime($move->series)] ?? null;
            array_push($sections, ...$one === null ? [] : [$one->section_id]);
        }
        $sections = array_values(array_unique($sections));
        $before = $this->clashes->lines($sections);
        $lines = [];
        $fault = '';
        $after = [];
        try {
            foreach ($solution->moves as $move) {
                $new = TimetabledSeries::withoutTime($move->series);
                if ($new !== null) {
                    $lines[] = $this->placed($toPlace[$new] ?? throw new Fault('solver.changed', 'answer'), $move);

                    continue;
                }
                $one = $series[$move->series] ?? throw new Fault('solver.changed', 'answer');
                $plans = SaveSeries::stretches($one, $move->plan, $move->plan->from);
                $lines[] = $this->line($one, $this->lay->look($one, $plans, $run->term->calendar()));
            }
            $after = DryRun::of(function () use ($run, $solution, $sections): array {
                $this->take->make($run->term, $solution, null);

                return $this->clashes->lines($sections);
            });
        } catch (Fault $e) {
            $fault = FaultWords::of($e);
        }

        return new FixPreviewPage(
            $run->kind,
            $run->id,
            $n,
            $lines,
            $before,
            $after,
            $this->people($sections),
            $fault,
            $out,
        );
    }

    /** @return array{series: int, name: string, code: string, effect: string, drops: list<string>} */
    private function placed(SeriesToPlace $one, SolverMove $move): array
    {
        $name = $one->section->name();

        return [
            'series' => $move->series,
            'name' => $name.($one->title === $one->section->title ? '' : ", $one->title"),
            'code' => $one->section->sourced_id,
            'effect' => FixSeries::whenOf($move->plan).
                ', '.
                trans_choice('fix.sessions', $move->sessions, [
                    'day' => Say::day($move->plan->from),
                ]),
            'drops' => [],
        ];
    }

    /** @return array{series: int, name: string, code: string, effect: string, drops: list<string>} */
    private function line(Series $series, ScheduleReconciliation $laying): array
    {
        $section = $series->section;
        $effect = array_filter(
            array_intersect_key($laying->effect, ['move' => 0, 'come' => 0, 'go' => 0, 'lost' => 0]),
        );

        return [
            'series' => $series->id,
            'name' => $section->name().($series->title === $section->title ? '' : ", $series->title"),
            'code' => $section->sourced_id,
            'effect' => implode(
                ', ',
                array_map(
                    fn (string $what, int $n): string => Say::this(new Said("history.does.$what", ['n' => $n])),
                    array_keys($effect),
                    $effect,
                ),
            ),
            'drops' => array_map(
                fn (PlannedSession $s): string => Say::this(ScheduleReconciliation::told($s)),
                $laying->fallen,
            ),
        ];
    }

    /** @param  list<int>  $sections */
    private function people(array $sections): string
    {
        $count = fn (array $roles): int => DB::table('memberships')
            ->whereIn('section_id', $sections)
            ->whereIn('role', $roles)
            ->whereRaw("coalesce(ends_on, 'infinity') >= ?", [$this->clock->schoolDay()->iso()])
            ->distinct()
            ->count('person_id');

        return (string) __('fix.people', [
            'students' => trans_choice('fix.n_students', $count([MembershipRole::Student])),
            'teachers' => trans_choice('fix.n_teachers', $count(MembershipRole::TEACHING)),
        ]);
    }
}
