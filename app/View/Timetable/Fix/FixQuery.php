<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Fix;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SolverRun;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\Solver\PlacesOfSeries;
use Nomada\Core\Timetable\Solver\Question;
use Nomada\Core\Timetable\Solver\Solution;
use Nomada\Core\Timetable\Solver\SolverMove;
use Nomada\Core\Timetable\Solver\SolverRules;

/** Looks up the last question to the solver, and puts its answers into words and into a drawing. */
final readonly class FixQuery
{
    /** The most clashes of a move, and that are left, that are named one by one. */
    private const NAMED = 3;

    public function __construct(private Clock $clock)
    {
    }

    public function page(Term $term, int $n = 0): FixPage
    {
        $run = $this->last($term);
        $question = $run?->asked() ?? $this->first($term);
        $found = $run?->found() ?? [];
        $solution = $found[$n] ?? ($found[0] ?? null);
        $series = $this->series($term);
        $answers = array_map(
            fn (Solution $s, int $i): FixAnswer => $this->answer($s, $i, $series),
            $found,
            array_keys($found),
        );
        $scopes = $this->scopes($term);

        return new FixPage(
            $run?->id,
            $run?->state,
            $this->clashes($term),
            (float) $run?->seconds,
            $question,
            $answers,
            $answers[$n] ?? ($answers[0] ?? null),
            array_map(fn (Series $s): string => $this->name($s), $series->only($question->pins)->all()),
            array_map(fn (array $of): string => $of[0], $scopes),
            $this->scope($question, $scopes),
            $solution === null || $solution->moves === [] ? null : $this->drawing($term, $solution, $series),
        );
    }

    private function last(Term $term): ?SolverRun
    {
        return SolverRun::query()->where('term_id', $term->id)->orderByDesc('id')->first();
    }

    /** What is asked where nobody says anything else: everything, from the next school day on. */
    public function first(Term $term): Question
    {
        return new Question(
            Question::nextDay($term->calendar(), $this->today()),
            new SolverRules($term->calendar()->hours),
        );
    }

    public function today(): LocalDate
    {
        return $this->clock->schoolDay();
    }

    /**
     * What may be chosen to move.
     *
     * @return array<string, array{string, list<int>}> words, and ids of sections (none for all), by value of the field
     */
    public function scopes(Term $term): array
    {
        $years = Section::query()
            ->where('term_id', $term->id)
            ->orderBy('id')
            ->get(['id', 'year'])
            ->groupBy('year');
        $out = ['all' => [(string) __('fix.scope.all'), []]];
        foreach ($years->sortKeys(SORT_NATURAL) as $year => $sections) {
            if ((string) $year !== '') {
                $out["year-$year"] = [
                    (string) __('fix.scope.year', ['year' => $year]),
                    array_values(array_map(intval(...), $sections->modelKeys())),
                ];
            }
        }

        return $out;
    }

    /** @param  array<string, array{string, list<int>}>  $scopes */
    private function scope(Question $question, array $scopes): string
    {
        foreach ($scopes as $value => [, $sections]) {
            if ($sections === $question->sections) {
                return $value;
            }
        }

        return 'all';
    }

    /** @return Collection<int, Series> by id */
    private function series(Term $term): Collection
    {
        return Series::query()->with('section')->whereRelation('section', 'term_id', $term->id)->get()->keyBy('id');
    }

    private function name(Series $series): string
    {
        $section = $series->section;

        return $section->name().($series->title === $section->title ? '' : ", $series->title");
    }

    private function clashes(Term $term): int
    {
        return DB::table('clashes')
            ->join('sections', 'sections.id', '=', 'clashes.section_id')
            ->where('term_id', $term->id)
            ->whereIn('kind', ['teacher', 'room', 'students'])
            ->whereRaw('(clashes.days->>-1)::int >= ?', [$this->clock->schoolDay()->day])
            ->count();
    }

    /** @param  Collection<int, Series>  $series */
    private function answer(Solution $solution, int $n, Collection $series): FixAnswer
    {
        $moves = count($solution->moves);
        $sums = [];
        foreach (['must', 'students', 'hours', 'lost'] as $what) {
            [$before, $after] = [$solution->before->{$what}, $solution->after->{$what}];
            $sums[] = [
                'words' => (string) __("fix.sums.$what"),
                'before' => $before,
                'after' => $after,
                'tone' => $after > $before || ($what === 'must' && $after > 0)
                        ? 'todo'
                        : ($after < $before
                            ? 'good'
                            : ''),
            ];
        }

        return new FixAnswer(
            $n,
            (string) trans_choice("fix.label.$solution->kind", $moves),
            array_map(fn (SolverMove $m): FixMove => $this->move($m, $series), $solution->moves),
            $sums,
            $this->left($solution, $series),
            (string) __(
                match (true) {
                    $moves === 0 => 'fix.verdict.none',
                    ! $solution->isProved => 'fix.verdict.found',
                    $solution->bound === $moves => 'fix.verdict.bound',
                    default => 'fix.verdict.proved',
                },
                ['bound' => $solution->bound],
            ),
        );
    }

    /** @param  Collection<int, Series>  $series */
    private function move(SolverMove $move, Collection $series): FixMove
    {
        $one = $series[$move->series] ?? null;
        $plan = $one?->stretches()->last();
        $reasons = [];
        foreach (['because' => $move->because, 'room' => $move->room] as $why => $all) {
            foreach (array_slice($all, 0, self::NAMED) as $reason) {
                $other = $series[$reason['series']] ?? null;
                $reasons[] = trans_choice("fix.$why.{$reason['kind']}", $reason['students'], [
                    'other' => $other === null ? '' : $this->name($other),
                ]);
            }
            if (count($all) > self::NAMED) {
                $reasons[] = trans_choice('fix.more', count($all) - self::NAMED);
            }
        }
        $costs = array_filter([
            trans_choice('fix.sessions', $move->sessions, ['day' => Say::day($move->plan->from)]),
            $move->cost->lost > 0 ? trans_choice('fix.lost', $move->cost->lost) : '',
            $move->cost->hours > 0 ? trans_choice('fix.hours', $move->cost->hours) : '',
        ]);

        return new FixMove(
            $move->series,
            $one === null ? '' : $this->name($one),
            (string) $one?->section->sourced_id,
            $plan === null
                ? ''
                : FixDrawing::when(
                    PlacesOfSeries::weekdaysOf($plan),
                    $plan->startMinute,
                    $plan->startMinute + $plan->minutes,
                ),
            FixDrawing::when(
                PlacesOfSeries::weekdaysOf($move->plan),
                $move->plan->startMinute,
                $move->plan->startMinute + $move->plan->minutes,
            ),
            $reasons,
            implode(' · ', $costs),
            $move->cost->lost > 0 || $move->cost->hours > 0,
        );
    }

    /**
     * @param  Collection<int, Series>  $series
     * @return list<string>
     */
    private function left(Solution $solution, Collection $series): array
    {
        $out = [];
        foreach ($solution->left as $one) {
            $names = array_map(
                fn (int $id): string => isset($series[$id]) ? $this->name($series[$id]) : '',
                $one['series'],
            );
            $out[] = trans_choice("fix.left.{$one['kind']}", $one['students'], [
                'a' => $names[0],
                'b' => $names[1] ?? $names[0],
            ]);
        }

        return $out;
    }

    /**
     * The sections and teachers that the moves touch, with all their series.
     *
     * @param  Collection<int, Series>  $series
     */
    private function drawing(Term $term, Solution $solution, Collection $series): FixDrawing
    {
        $moves = $touched = [];
        foreach ($solution->moves as $move) {
            $moves[$move->series] = $move->plan;
            $touched[$move->series] = true;
            foreach ([...$move->because, ...$move->room] as $reason) {
                $touched[$reason['series']] = true;
            }
        }
        $sections = $series->only(array_keys($touched))->pluck('section_id')->unique();
        $rows = [];
        foreach ($series->whereIn('section_id', $sections)->groupBy('section_id') as $of) {
            $rows[] = [
                'name' => $of->first()?->section->name() ?? '',
                'series' => $this->spans($of, $moves),
            ];
        }
        foreach ($this->teachers(array_keys($moves)) as [$name, $ids]) {
            $rows[] = ['name' => $name, 'series' => $this->spans($series->only($ids), $moves)];
        }
        $weekdays = $term->calendar()->weekdays();
        $hours = [1440, 0];
        foreach (array_merge(...array_column($rows, 'series')) as $span) {
            $hours = [min($hours[0], $span['from']), max($hours[1], $span['to'])];
        }

        return new FixDrawing($rows, $weekdays, [60 * intdiv($hours[0], 60), 60 * intdiv($hours[1] + 59, 60)]);
    }

    /**
     * @param  Collection<int, Series>  $of
     * @param  array<int, SeriesPlan>  $moves
     * @return list<array{days: list<int>, from: int, to: int, kind: string, words: string, of: int}>
     */
    private function spans(Collection $of, array $moves): array
    {
        $out = [];
        foreach ($of as $series) {
            $plan = $series->stretches()->last();
            $to = $moves[$series->id] ?? null;
            foreach (array_filter([$to === null ? 'stays' : 'was' => $plan, 'becomes' => $to]) as $kind => $at) {
                $days = PlacesOfSeries::weekdaysOf($at);
                $end = $at->startMinute + $at->minutes;
                $out[] = [
                    'days' => $days,
                    'from' => $at->startMinute,
                    'to' => $end,
                    'kind' => $kind,
                    'words' => (string) __("fix.drawn.$kind", [
                        'name' => $this->name($series),
                        'when' => FixDrawing::when($days, $at->startMinute, $end),
                    ]),
                    'of' => $series->id,
                ];
            }
        }

        return $out;
    }

    /**
     * Who teaches the series that move, with all that they teach.
     *
     * @param  list<int>  $series
     * @return list<array{string, list<int>}>
     */
    private function teachers(array $series): array
    {
        $today = $this->clock->schoolDay()->iso();
        $taught = fn () => DB::table('memberships')
            ->join('series_sections', 'series_sections.section_id', '=', 'memberships.section_id')
            ->whereIn('memberships.role', MembershipRole::TEACHING)
            ->whereRaw("coalesce(ends_on, 'infinity') >= ?", [$today]);
        $people = $taught()->whereIn('series_id', $series)->distinct()->pluck('person_id');

        $rows = $taught()
            ->join('people', 'people.id', '=', 'person_id')
            ->whereIn('person_id', $people)
            ->orderBy('family_name')
            ->orderBy('person_id')
            ->get(['person_id', 'series_id', DB::raw("left(given_name, 1) || '. ' || family_name as name")]);
        $out = [];
        foreach ($rows as $row) {
            $out[(int) $row->person_id] ??= [(string) $row->name, []];
            $out[(int) $row->person_id][1][] = (int) $row->series_id;
        }

        return array_values($out);
    }
}
