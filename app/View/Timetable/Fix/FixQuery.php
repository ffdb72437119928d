<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Fix;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\SolverRun;
use Nomada\App\Models\Timetable\TeacherWishRow;
use Nomada\App\Queries\SolverRulesOfTerm;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\Solver\Question;
use Nomada\Core\Timetable\Solver\Solution;
use Nomada\Core\Timetable\Solver\WhatIf;

/** Looks up the last question to the solver and its answers. */
final readonly class FixQuery
{
    public function __construct(
        private Clock $clock,
        private SolverRulesOfTerm $rules,
        private FixDrawings $drawings,
    ) {
    }

    /** @param  string  $kind  of {@see Question} */
    public function page(Term $term, string $kind, int $n = 0): FixPage
    {
        $run = SolverRun::query()->where('term_id', $term->id)->where('kind', $kind)->orderByDesc('id')->first();
        $question = $run?->asked() ?? $this->first($term, $kind);
        $found = $run?->found() ?? [];
        $solution = $found[$n] ?? ($found[0] ?? null);
        $series = FixSeries::ofTerm($term);
        $words = new FixWords($series, $question);
        $answers = array_map(
            fn (Solution $s, int $i): FixAnswer => $words->answer($s, $i),
            $found,
            array_keys($found),
        );
        $scopes = $this->scopes($term);
        $teachers = $this->teachers($term);

        return new FixPage(
            $kind,
            $run?->id,
            $run?->state,
            $this->clashes($term),
            array_filter($series, fn (FixSeries $s): bool => $s->plan === null),
            (float) $run?->seconds,
            $question,
            $answers,
            $answers[$n] ?? ($answers[0] ?? null),
            array_map(
                fn (FixSeries $s): string => $s->name,
                array_intersect_key($series, array_flip($question->pins)),
            ),
            array_map(fn (array $of): string => $of[0], $scopes),
            $this->scope($question, $scopes),
            $solution === null || $solution->moves === [] ? null : $this->drawings->of($term, $solution, $series),
            $teachers,
            $this->supposed($question->whatIf, $teachers),
            TeacherWishRow::query()->count(),
        );
    }

    /** What is asked where nobody says anything else: everything, from the next school day on, by the term's rules. */
    public function first(Term $term, string $kind): Question
    {
        return new Question(
            Question::nextDay($term->calendar(), $this->today()),
            $this->rules->of($term),
            kind: $kind,
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

    private function clashes(Term $term): int
    {
        return DB::table('clashes')
            ->join('sections', 'sections.id', '=', 'clashes.section_id')
            ->where('term_id', $term->id)
            ->whereIn('kind', ['teacher', 'room', 'students'])
            ->whereRaw('(clashes.days->>-1)::int >= ?', [$this->clock->schoolDay()->day])
            ->count();
    }

    /** @return array<int, string> who teaches in the term, by id */
    private function teachers(Term $term): array
    {
        $ids = DB::table('memberships')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->whereIn('memberships.role', MembershipRole::TEACHING)
            ->select('person_id');
        $out = [];
        foreach (Person::query()->whereIn('id', $ids)->orderBy('family_name')->orderBy('id')->get() as $person) {
            $out[$person->id] = $person->shortName();
        }

        return $out;
    }

    /**
     * @param  array<int, string>  $teachers
     * @return list<string> what is supposed, in words
     */
    private function supposed(WhatIf $whatIf, array $teachers): array
    {
        return array_values(
            array_filter([
                $whatIf->person === null || $whatIf->weekday === null
                    ? ''
                    : (string) __('fix.supposed.teacher', [
                        'teacher' => $teachers[$whatIf->person] ?? '',
                        'day' => Say::this(Said::weekdayName($whatIf->weekday)),
                    ]),
                $whatIf->accounts === null ? '' : trans_choice('fix.supposed.accounts', $whatIf->accounts),
                $whatIf->hours === null
                    ? ''
                    : (string) __('fix.supposed.hours', [
                        'opens' => TypedTime::format($whatIf->hours[0]),
                        'closes' => TypedTime::format($whatIf->hours[1]),
                    ]),
            ]),
        );
    }
}
