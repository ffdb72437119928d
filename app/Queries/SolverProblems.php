<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\App\Models\Timetable\TeacherWishRow;
use Nomada\App\Support\Clock;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\Attendee;
use Nomada\Core\Timetable\HostAccount;
use Nomada\Core\Timetable\Meeting;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\Solver\Problem;
use Nomada\Core\Timetable\Solver\ProblemBuilder;
use Nomada\Core\Timetable\Solver\Question;
use Nomada\Core\Timetable\Solver\TimetabledSeries;

/** Reads the timetable of a term as the solver computes with it. */
final readonly class SolverProblems
{
    public function __construct(private Meetings $meetings, private Clock $clock)
    {
    }

    public function of(Term $term, Question $asked): Problem
    {
        $all = $this->series($term, $asked);
        $builder = new ProblemBuilder(
            $term->calendar(),
            $asked->from,
            $asked->rules,
            $this->busy($term, $asked),
            TeacherWishRow::wishes(),
            $asked->whatIf,
        );

        return $builder->build($all, $this->accepted($term));
    }

    /** @return list<TimetabledSeries> */
    private function series(Term $term, Question $asked): array
    {
        [$meetings, $rosters] = $this->meetings->of($term);
        $now = $this->clock->seconds();
        $own = $this->ownTimes($term, $asked->from);
        $byId = Series::query()->whereRelation('section', 'term_id', $term->id)->get()->keyBy('id');
        $sections = DB::table('series_sections')->whereIn('series_id', $byId->keys())->get()->groupBy('series_id');
        $accounts = HostAccounts::all();
        $whole = $out = [];
        $part = 0;
        foreach ($meetings as $meeting) {
            $coming = array_values(
                array_filter($meeting->sessions, fn (array $s): bool => $s[0] >= $asked->from->day && $s[1] > $now),
            );
            if (! $meeting->isWhole && $coming !== []) {
                $out[] = $this->part(--$part, $meeting, $coming, $rosters);
            } elseif ($meeting->isWhole) {
                $whole[$meeting->series] ??= [$meeting, [], $meeting->sessions];
                array_push($whole[$meeting->series][1], ...$coming);
            }
        }
        foreach ($whole as $id => [$meeting, $sessions, $all]) {
            $series = $byId->get($id);
            if ($series === null) {
                continue;
            }
            $meetsIn = array_map(intval(...), $sections->get($id)?->pluck('section_id')->all() ?? []);
            $hasBegun =
                array_filter($all, fn (array $s): bool => $s[0] >= $asked->from->day && $s[1] <= $now) !== [];
            $isFixed = fn (array $s): bool => isset($own["$id $s[1]"]);
            $plan = $sessions === [] ? null : self::plan($series, $asked->from);
            $out[] = new TimetabledSeries(
                $id,
                $id,
                $meeting->section,
                $plan,
                array_values(array_filter($sessions, fn (array $s): bool => ! $isFixed($s))),
                array_values(array_filter($sessions, $isFixed)),
                $rosters[$meeting->roster] ?? [],
                $meeting->room,
                $asked->whatIf->accounts === null ? $this->account($meeting, $accounts) : $meeting->account,
                $hasBegun ||
                    ($asked->kind === Question::PLACE && ! $asked->mayMove) ||
                    in_array($id, $asked->pins, true) ||
                    ($asked->sections !== [] && array_diff($meetsIn, $asked->sections) !== []),
            );
        }

        return $asked->kind === Question::PLACE ? [...$out, ...$this->withoutTime($term, $asked, $rosters)] : $out;
    }

    /**
     * @param  array<int, list<Attendee>>  $rosters
     * @return list<TimetabledSeries>
     */
    private function withoutTime(Term $term, Question $asked, array $rosters): array
    {
        $out = [];
        foreach (SeriesToPlace::ofTerm($term)->get() as $one) {
            $out[] = new TimetabledSeries(
                $one->number(),
                $one->number(),
                $one->section_id,
                $one->plan($term),
                [],
                [],
                $rosters[$one->section_id] ?? [],
                isPinned: in_array($one->number(), $asked->pins, true) ||
                    ($asked->sections !== [] && ! in_array($one->section_id, $asked->sections, true)),
                hasTime: false,
            );
        }

        return $out;
    }

    /**
     * @param  list<array{int, int, int}>  $sessions
     * @param  array<int, list<Attendee>>  $rosters
     */
    private function part(int $id, Meeting $meeting, array $sessions, array $rosters): TimetabledSeries
    {
        return new TimetabledSeries(
            $id,
            $meeting->series,
            $meeting->section,
            null,
            [],
            $sessions,
            $rosters[$meeting->roster] ?? [],
            $meeting->room,
            null,
            true,
        );
    }

    /** @param  array<int, HostAccount>  $accounts */
    private function account(Meeting $meeting, array $accounts): ?int
    {
        return ($accounts[(int) $meeting->account]->atOnce ?? 0) === 1 ? $meeting->account : null;
    }

    /** The plan that holds from a day on; null where another one follows it, which a move would overwrite. */
    private static function plan(Series $series, LocalDate $from): ?SeriesPlan
    {
        $last = $series->stretches()->last();

        return $last->from->day > $from->day && count($series->stretches()->plans) > 1 ? null : $last;
    }

    /**
     * The sessions that keep a time of their own: moved and extra ones.
     *
     * @return array<string, true> by series and start
     */
    private function ownTimes(Term $term, LocalDate $from): array
    {
        $own = DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->where('state', SessionState::Planned)
            ->where('day', '>=', $from->iso())
            ->where(fn ($q) => $q->where('is_extra', true)->orWhereNotNull('moved_from'))
            ->get(['series_id', DB::raw('extract(epoch from starts_at)::bigint as starts')])
            ->map(fn (\stdClass $s): string => "$s->series_id $s->starts")
            ->all();

        return array_fill_keys($own, true);
    }

    /** @return array<int, list<array{int, int}>> UTC spans by person */
    private function busy(Term $term, Question $asked): array
    {
        $out = [];
        foreach (
            DB::table('busy_blocks')
                ->whereRaw('ends_at > ?::date and starts_at < ?::date + 2', [$asked->from->iso(), $term->ends_on])
                ->orderBy('id')
                ->get([
                    'person_id',
                    DB::raw('extract(epoch from starts_at)::bigint as starts'),
                    DB::raw('extract(epoch from ends_at)::bigint as ends'),
                ]) as $block
        ) {
            $out[(int) $block->person_id][] = [(int) $block->starts, (int) $block->ends];
        }

        return $out;
    }

    /** @return array<string, true> the clashes that were accepted, as "kind smaller larger id" */
    private function accepted(Term $term): array
    {
        $accepted = DB::table('clashes')
            ->join('sections', 'sections.id', '=', 'clashes.section_id')
            ->join('accepted_clashes as k', fn ($j) => $j->whereRaw(AcceptedClashes::ACCEPTED))
            ->where('term_id', $term->id)
            ->whereNotNull('other_series_id')
            ->get(['kind', 'clashes.series_id', 'other_series_id'])
            ->map(fn (\stdClass $r): string => "$r->kind $r->series_id $r->other_series_id")
            ->all();

        return array_fill_keys($accepted, true);
    }
}
