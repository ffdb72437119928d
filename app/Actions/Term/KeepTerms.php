<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Actions\Timetable\LaySessions;
use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Models\Term\DayPlanRow;
use Nomada\App\Models\Term\MembershipRow;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\School;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\App\Queries\CurrentTerm;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term as TermCalendar;
use Nomada\Core\Timetable\CopiedPlan;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\Solver\PlacesOfSeries;

/** Adds terms beside each other, and copies one term's plan into another. */
final readonly class KeepTerms
{
    public function __construct(
        private Clock $clock,
        private CurrentTerm $current,
        private ChangeCalendar $change,
        private LaySessions $lay,
        private RefreshClashes $clashes,
        private RefreshPlacements $refresh,
    ) {
    }

    /** @throws Fault where it overlaps another term, or ends before it begins */
    public function add(School $school, string $title, LocalDate $first, LocalDate $last): Term
    {
        // Checked by the value itself: its order and its length.
        try {
            new TermCalendar($title, $first, $last, $school->zone());
        } catch (Fault $e) {
            throw $e->at('term_last');
        }
        $other = Term::query()
            ->where('school_id', $school->id)
            ->where('starts_on', '<=', $last->iso())
            ->where('ends_on', '>=', $first->iso())
            ->first();
        if ($other !== null) {
            throw new Fault('term.overlap', 'term_first', [
                'other' => $other->title,
                'first' => LocalDate::parse($other->starts_on),
                'last' => LocalDate::parse($other->ends_on),
            ]);
        }
        $term = Term::query()->create([
            'school_id' => $school->id,
            'sourced_id' => 'local-'.Str::ulid(),
            'title' => $title,
            'starts_on' => $first->iso(),
            'ends_on' => $last->iso(),
        ]);
        $this->current->forget();

        return $term->refresh();
    }

    /** @throws Fault where it has sections */
    public function remove(Term $term): void
    {
        if ($term->sections()->exists() && ! $this->isCopyOnly($term)) {
            throw new Fault('term.used', 'term', ['term' => $term->title]);
        }
        $term->delete();
        $this->current->forget();
    }

    /** Whether all of its sections were copied from another term, and nothing of them is in use. */
    private function isCopyOnly(Term $term): bool
    {
        $sections = DB::table('sections')->where('term_id', $term->id);
        $series = DB::table('series')->whereIn('section_id', (clone $sections)->select('id'))->select('id');

        return (clone $sections)->where('sourced_id', 'not like', "%~$term->id")->doesntExist() &&
            DB::table('join_links')->whereIn('series_id', clone $series)->doesntExist() &&
            DB::table('registrations')->whereIn('series_id', clone $series)->doesntExist() &&
            DB::table('published_items')
                ->whereIn('section_id', (clone $sections)->select('id'))
                ->whereNotNull('published_hash')
                ->doesntExist();
    }

    /**
     * Copies day plans, rotation, sections, their teachers and their series; the students too, where that is asked for.
     * Nothing is copied twice: a section that is there already is left alone.
     *
     * @param  array<int, SeriesPlan|null>|null  $plans  of a draft, by series of the other term; null in it where a
     *   series has no time yet. Null where each series is as it was.
     * @return array{sections: int, series: int, skipped: list<string>} `skipped` names the series of which nothing
     *   falls into the term
     *
     * @throws Fault where it is the same term
     */
    public function copy(Term $from, Term $to, bool $withStudents, ?Person $by = null, ?array $plans = null): array
    {
        if ($from->id === $to->id) {
            throw new Fault('term.copy', 'from');
        }

        return DB::transaction(function () use ($from, $to, $withStudents, $by, $plans): array {
            ($this->change)(
                $to,
                new Said('history.taken_over', ['term' => $from->title]),
                $by,
                fn () => $this->calendar($from, $to),
            );
            $to = Term::query()
                ->with(['school', 'closures'])
                ->findOrFail($to->id);
            $sum = ['sections' => 0, 'series' => 0, 'skipped' => []];
            $made = [];
            foreach (
                Section::query()
                    ->where('term_id', $from->id)
                    ->with(['series'])
                    ->orderBy('id')
                    ->get() as $section
            ) {
                $id = Str::before($section->sourced_id, '~').'~'.$to->id;
                if (Section::query()->where('sourced_id', $id)->exists()) {
                    continue;
                }
                $copy = Section::query()->create([
                    ...$section->only(['course_id', 'title', 'code', 'year', 'target_minutes']),
                    'term_id' => $to->id,
                    'sourced_id' => $id,
                ]);
                $made[$section->id] = $copy->id;
                $sum['sections']++;
                DB::table('enrolments')->insert(
                    MembershipRow::query()
                        ->where('section_id', $section->id)
                        ->whereNull('session_id')
                        ->stillOn(min($this->clock->schoolDay()->iso(), $from->ends_on))
                        ->orderBy('id')
                        ->get()
                        ->filter(
                            fn (MembershipRow $e): bool => $e->observer_rule_id === null &&
                                ($withStudents || $e->role !== MembershipRole::Student),
                        )
                        ->map(
                            fn (MembershipRow $e): array => [
                                'section_id' => $copy->id,
                                'person_id' => $e->person_id,
                                'role' => $e->role->value,
                                'is_primary' => $e->is_primary,
                                'sourced_id' => 'local-'.Str::ulid(),
                                'is_local' => true,
                                'created_at' => now(),
                                'updated_at' => now(),
                            ],
                        )
                        ->values()
                        ->all(),
                );
            }
            $copied = Series::query()
                ->whereIn('section_id', array_keys($made))
                ->with('section')
                ->orderBy('id')
                ->get();
            foreach ($copied as $series) {
                $copied = CopiedPlan::into($series->plan(), $from->calendar(), $to->calendar());
                $plan = $plans === null ? $copied : $plans[$series->id] ?? null;
                if ($plan === null && $copied !== null) {
                    $this->toPlace($series, $copied, $made[$series->section_id], $to);

                    continue;
                }
                if ($plan === null) {
                    $sum['skipped'][] = "{$series->section->name()}: {$series->title}";

                    continue;
                }
                $copy = Series::query()->create([
                    ...Series::columns($plan),
                    'section_id' => $made[$series->section_id],
                    'title' => $series->title,
                    'uid' => (string) Str::uuid(),
                    'host_account_id' => $series->host_account_id,
                    'changed_at' => Carbon::createFromTimestamp($this->clock->seconds()),
                ]);
                DB::table('series_sections')->insertOrIgnore(
                    array_map(
                        fn (int $s): array => ['series_id' => $copy->id, 'section_id' => $made[$s]],
                        array_values(array_filter($series->sectionIds(), fn (int $s): bool => isset($made[$s]))),
                    ),
                );
                ($this->lay)($copy, $to->calendar());
                $sum['series']++;
            }
            ($this->clashes)($to);
            ($this->refresh)(array_values($made));

            return $sum;
        });
    }

    /** A series of a draft for which no time was found: it is still to get one. */
    private function toPlace(Series $series, SeriesPlan $plan, int $section, Term $to): void
    {
        SeriesToPlace::query()->create([
            'section_id' => $section,
            'title' => $series->title,
            'per_week' => max(1, count(PlacesOfSeries::weekdaysOf($plan))),
            'minutes' => $plan->minutes,
            'starts_on' => max($plan->from->iso(), $to->starts_on),
            'ends_on' => $plan->end->date?->iso(),
        ]);
    }

    private function calendar(Term $from, Term $to): void
    {
        if (DayPlanRow::query()->where('term_id', $to->id)->doesntExist()) {
            foreach ($from->dayPlans as $plan) {
                DayPlanRow::query()->create([
                    'term_id' => $to->id,
                    'name' => $plan->name,
                    'periods' => $plan->periods,
                    'is_usual' => $plan->is_usual,
                ]);
            }
        }
        $rotation = $from->rotation === null ? null : [...$from->rotation, 'pins' => []];
        $to->update([
            'rotation' => $to->rotation ?? $rotation,
            'opens_minute' => $from->opens_minute,
            'closes_minute' => $from->closes_minute,
        ]);
    }
}
