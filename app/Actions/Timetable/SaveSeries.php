<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Locks;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\PlanHistory;
use Nomada\Core\Timetable\ScheduleReconciliation;
use Nomada\Core\Timetable\SeriesPlan;

/**
 * Creates a series of a section, or changes one: its sessions follow, and what is at the destinations becomes stale
 * where it differs.
 */
final readonly class SaveSeries
{
    public function __construct(
        private Clock $clock,
        private LaySessions $lay,
        private FollowSeries $follow,
        private SeriesHistory $history,
    ) {
    }

    /**
     * @param  LocalDate|null  $from  the first date that changes, where the edit's reach is "this and later"; null
     *   for the whole series
     * @param  SeriesToPlace|null  $placed  the series without a time that becomes this one; undone, it comes back
     *
     * @throws Fault where the section has another series of that title, or the plan makes no session
     */
    public function __invoke(
        Section $section,
        SeriesPlan $plan,
        string $title,
        ?Series $series = null,
        ?Person $by = null,
        ?LocalDate $from = null,
        ?SeriesToPlace $placed = null,
    ): Series {
        $title = $this->title($section, $title, $series);
        $term = $section->term->calendar();
        $stretches = self::stretches($series, $plan, $from);
        if ($plan->sessions($term) === []) {
            throw new Fault('series.empty', 'weekdays');
        }

        return DB::transaction(function () use (
            $section,
            $plan,
            $title,
            $series,
            $term,
            $stretches,
            $by,
            $from,
            $placed,
        ): Series {
            Locks::timetable($section->term_id);
            $now = Carbon::createFromTimestamp($this->clock->seconds());
            if ($series === null) {
                $series = Series::query()->create([
                    ...Series::columns($plan),
                    'section_id' => $section->id,
                    'title' => $title,
                    'uid' => (string) Str::uuid(),
                    'changed_at' => $now,
                ]);
                $series->setRelation('section', $section);
                ($this->lay)($series, $term);
                $this->history->record(
                    $series,
                    $by,
                    new Said('history.planned', [
                        'series' => $title,
                        'plan' => $plan->said(),
                    ]),
                    $placed === null ? [] : $this->history->toPlace($placed),
                );
                $placed?->delete();
                ($this->follow)($series, false);

                return $series;
            }
            $before = $this->history->snapshot($series->id);
            // Compared as plans: the database keeps the keys of a pattern in an order of its own.
            $same = $title === $series->title && self::plain($series->stretches()) === self::plain($stretches);
            $series->title = $title;
            $series->follow($stretches);
            $laying = ($this->lay)($series, $term);
            if (! $same) {
                $series->save();
                $this->history->record($series, $by, self::line($plan, $from, $laying), $before);
            }
            ($this->follow)($series, ! $same);

            return $series;
        });
    }

    /**
     * Another title, and the plan as it is.
     *
     * @throws Fault where the section has another series of that title
     */
    public function rename(Series $series, string $title, ?Person $by): Series
    {
        $title = $this->title($series->section, $title, $series);

        return DB::transaction(function () use ($series, $title, $by): Series {
            Locks::timetableOf($series->id);
            $series = Series::query()->with('section.term')->lock('for no key update')->findOrFail($series->id);
            if ($series->title === $title) {
                return $series;
            }
            $before = $this->history->snapshot($series->id);
            $series->update(['title' => $title]);
            $this->history->record($series, $by, new Said('history.renamed', ['series' => $title]), $before);
            ($this->follow)($series);

            return $series;
        });
    }

    /** @throws Fault where the section has another series of that title */
    private function title(Section $section, string $title, ?Series $series): string
    {
        $title = trim($title) === '' ? $section->title : trim($title);
        $taken = Series::query()
            ->where('section_id', $series->section_id ?? $section->id)
            ->where('title', $title)
            ->when($series, fn ($q) => $q->whereKeyNot($series?->id))
            ->exists();
        if ($taken) {
            throw new Fault('series.title', 'title', ['title' => $title]);
        }

        return $title;
    }

    /** Lays other plans over a series, as a move of several sessions does. */
    public function relay(Series $series, PlanHistory $stretches, ?Person $by, Said $said): Series
    {
        return DB::transaction(function () use ($series, $stretches, $by, $said): Series {
            Locks::timetableOf($series->id);
            $before = $this->history->snapshot($series->id);
            $series->follow($stretches);
            ($this->lay)($series, $series->section->term->calendar());
            $series->save();
            $this->history->record($series, $by, $said, $before);
            ($this->follow)($series);

            return $series;
        });
    }

    /** The plans that a series would have. */
    public static function stretches(?Series $series, SeriesPlan $plan, ?LocalDate $from): PlanHistory
    {
        return $series === null || $from === null
            ? new PlanHistory([$plan])
            : $series->stretches()->from($from, $plan);
    }

    /** @return list<array<string, mixed>> */
    private static function plain(PlanHistory $stretches): array
    {
        return array_map(fn (SeriesPlan $p): array => $p->toArray(), $stretches->plans);
    }

    private static function line(SeriesPlan $plan, ?LocalDate $from, ScheduleReconciliation $laying): Said
    {
        $said =
            $from === null
                ? new Said('history.whole', ['what' => $plan->said()])
                : new Said('history.from', ['day' => $from, 'what' => $plan->said()]);
        $told = ['move' => 0, 'come' => 0, 'go' => 0, 'lost' => 0];
        $effect = array_filter(array_intersect_key($laying->effect, $told));

        return $effect === []
            ? $said
            : new Said('history.in_brackets', [
                'what' => $said,
                'with' => array_map(
                    fn (string $what, int $n): Said => new Said("history.does.$what", ['n' => $n]),
                    array_keys($effect),
                    $effect,
                ),
            ]);
    }
}
