<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Belongings;
use Nomada\App\Queries\Presets;
use Nomada\App\Queries\Registered;
use Nomada\App\Queries\Templates;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\App\Support\WriteVersionedCache;
use Nomada\App\View\Timetable\SeriesWords;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\Floor;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Registration\Registering;
use Nomada\Core\Term\LocalDate;
use stdClass;

/** Every series with its join link and how many are registered for it, in a few queries however many there are. */
final readonly class SeriesList
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param  list<int>|null  $only  ids of series
     * @return list<SeriesRow>
     */
    public function rows(Term $term, Person $for, ?array $only = null): array
    {
        $mine = Section::query()->where('term_id', $term->id)->servedBy($for)->select('id');
        $today = $this->clock->today($term->calendar()->zone);
        $ids = DB::table('series_sections')
            ->whereIn('section_id', $mine)
            ->when($only !== null, fn ($q) => $q->whereIn('series_id', $only))
            ->select('series_id');
        $count = fn (): array => [
            $this->roster(clone $ids, $today),
            DB::table('series')
                ->whereIn('id', clone $ids)
                ->pluck(DB::raw(Registered::peopleOf('series.id', $today).' as n'), 'id')
                ->all(),
        ];
        [$roster, $registered] =
            $only === null
                ? WriteVersionedCache::untilWritten(
                    "series $term->id ".($for->isCoordinator() ? '' : $for->id)." $today->day",
                    $count,
                )
                : $count();
        $rows = DB::table('series')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->whereIn('series.id', clone $ids)
            ->leftJoin(
                'join_links',
                fn ($j) => $j
                    ->on('join_links.series_id', '=', 'series.id')
                    ->where('join_links.kind', 'series')
                    ->whereNull('retired_at'),
            )
            ->leftJoin('host_accounts', 'host_accounts.id', '=', 'host_account_id')
            ->leftJoin('accepted_deviations', 'accepted_deviations.series_id', '=', 'series.id')
            ->leftJoin('people', 'people.id', '=', 'accepted_by')
            ->orderByRaw(
                "nullif(regexp_replace(sections.year, '[^0-9]', '', 'g'), '')::int nulls last, sections.title, ".
                    'sections.id, series.title',
            )
            ->get([
                'series.id',
                'series.section_id',
                'sections.sourced_id',
                'sections.year',
                'sections.title as section',
                'series.title',
                ...SeriesWords::COLUMNS,
                'secret',
                'join_code',
                'is_hidden',
                'preset',
                'door',
                'floor',
                'registering',
                'host_accounts.name as account',
                'accepted_deviations.hash',
                DB::raw("people.given_name || ' ' || people.family_name as accepted"),
            ]);
        $presets = Presets::all();
        $own = Presets::sessions(array_values($rows->pluck('id')->all()), $this->clock->seconds());
        $school = $term->calendar()->zone;
        $phrases = Templates::phrases(app()->getLocale());

        // Few doors, floors and ways to register are many series' own, so each is read once.
        $known = $registers = [];

        return array_values(
            $rows
                ->map(function (stdClass $r) use (
                    $presets,
                    $own,
                    $school,
                    $roster,
                    $registered,
                    $today,
                    $phrases,
                    &$known,
                    &$registers,
                ): SeriesRow {
                    [$preset, $rules, $floor, $sentence, $differs] = $known[
                        "$r->preset $r->door $r->floor"
                    ] ??= self::rules($r, $presets);
                    $more =
                        $r->door === null && $r->floor === null && ! isset($own[$r->id])
                            ? []
                            : Presets::moreOpen($preset, $rules, $floor, $own[$r->id] ?? []);

                    return new SeriesRow(
                        $r->sourced_id,
                        Section::called($r->year, $r->section),
                        $r->title === $r->section ? '' : $r->title,
                        SeriesWords::row($r, $today->day, $school),
                        $r->secret,
                        $r->join_code,
                        (int) ($roster[$r->id] ?? 0),
                        (int) ($registered[$r->id] ?? 0),
                        (int) $r->id,
                        $preset,
                        $sentence,
                        $differs,
                        $more,
                        $more !== [] && $r->hash === Presets::openness($more) ? (string) $r->accepted : null,
                        (bool) $r->is_hidden,
                        $r->account,
                        $r->registering === null
                            ? null
                            : ($registers[$r->registering] ??= Registering::from(
                                (array) json_decode($r->registering, true),
                            )->say($phrases)),
                    );
                })
                ->all(),
        );
    }

    /**
     * The rules of a row, what a student reads of them, and whether they differ from the preset's.
     *
     * @param  array<string, Preset>  $presets
     * @return array{Preset, DoorRules, Floor, string, bool}
     */
    private static function rules(stdClass $row, array $presets): array
    {
        $preset = $presets[$row->preset] ?? $presets['lesson'];
        $rules = Presets::door($row->preset, $row->door, $presets);
        $floor = $preset->floor->with($row->floor === null ? null : (array) json_decode($row->floor, true));

        return [
            $preset,
            $rules,
            $floor,
            Say::this(Preset::say($rules, $floor)),
            $rules->toArray() !== $preset->door->toArray() || $floor->toArray() !== $preset->floor->toArray(),
        ];
    }

    /**
     * How many students each series is for. Of a series of one section that is its section's roster, counted once a
     * section; only where several sections share a series can somebody be in two of them.
     *
     * @param  Builder  $series  ids of them
     * @return array<int, int> by series
     */
    private function roster(Builder $series, LocalDate $today): array
    {
        $sections = [];
        $pairs = DB::table('series_sections')
            ->whereIn('series_id', $series)
            ->get(['series_id', 'section_id']);
        foreach ($pairs as $pair) {
            $sections[(int) $pair->series_id][] = (int) $pair->section_id;
        }
        $students = DB::table('memberships')
            ->whereIn('section_id', array_values(array_unique(array_merge(...$sections))))
            ->whereRaw(Belongings::ON_ROSTER, [$today->iso()])
            ->groupBy('section_id')
            ->pluck(DB::raw('count(*) as n'), 'section_id');
        $shared = array_keys(array_filter($sections, fn (array $of): bool => count($of) > 1));
        $distinct =
            $shared === []
                ? collect()
                : DB::table('memberships')
                    ->join('series_sections', 'series_sections.section_id', '=', 'memberships.section_id')
                    ->whereIn('series_id', $shared)
                    ->whereRaw(Belongings::ON_ROSTER, [$today->iso()])
                    ->groupBy('series_id')
                    ->pluck(DB::raw('count(distinct person_id) as n'), 'series_id');
        $out = [];
        foreach ($sections as $series => $of) {
            $out[$series] = (int) (count($of) > 1 ? $distinct[$series] ?? 0 : $students[$of[0]] ?? 0);
        }

        return $out;
    }
}
