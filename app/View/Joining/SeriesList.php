<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Presets;
use Nomada\App\Queries\Registered;
use Nomada\App\Queries\Templates;
use Nomada\App\Support\Clock;
use Nomada\App\View\Timetable\SeriesWords;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Registration\Registering;

/** Every series with its join link and how many are registered for it, in a few queries however many there are. */
final readonly class SeriesList
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return list<SeriesRow> */
    public function rows(Term $term, Person $for): array
    {
        $mine = Section::query()->where('term_id', $term->id)->servedBy($for)->select('id');
        $today = $this->clock->today($term->calendar()->zone);
        $roster = DB::table('parts')
            ->join('series_sections', 'series_sections.section_id', '=', 'parts.section_id')
            ->whereIn(
                'series_id',
                DB::table('series_sections')->whereIn('section_id', clone $mine)->select('series_id'),
            )
            ->where('role', 'student')
            ->where(fn ($q) => $q->whereNull('ends_on')->orWhere('ends_on', '>=', $today->iso()))
            ->groupBy('series_id')
            ->pluck(DB::raw('count(distinct person_id) as n'), 'series_id');
        $registered = DB::table('registrations')
            ->whereRaw(Registered::on('registrations', $today))
            ->whereIn(
                'series_id',
                DB::table('series_sections')->whereIn('section_id', clone $mine)->select('series_id'),
            )
            ->groupBy('series_id')
            ->pluck(DB::raw(Registered::people('registrations').' as n'), 'series_id');
        $rows = DB::table('series')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->whereIn(
                'series.id',
                DB::table('series_sections')->whereIn('section_id', clone $mine)->select('series_id'),
            )
            ->leftJoin(
                'join_links',
                fn ($j) => $j
                    ->on('join_links.series_id', '=', 'series.id')
                    ->where('join_links.kind', 'series')
                    ->whereNull('retired_at'),
            )
            ->leftJoin('host_accounts', 'host_accounts.id', '=', 'host_account_id')
            ->leftJoin('openness_accepted', 'openness_accepted.series_id', '=', 'series.id')
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
                'pattern',
                'series.starts_on',
                'ends',
                'period',
                'earlier',
                'start_minute',
                'minutes',
                'series.time_zone',
                'secret',
                'join_code',
                'dial_in',
                'pin',
                'is_hidden',
                'preset',
                'door',
                'floor',
                'registering',
                'host_accounts.name as account',
                'print',
                DB::raw("people.given_name || ' ' || people.family_name as accepted"),
            ]);
        $presets = Presets::all();
        $own = Presets::sessions(array_values($rows->pluck('id')->all()), $this->clock->seconds());
        $door = url('/join');
        $school = $term->calendar()->zone;
        $phrases = Templates::phrases(app()->getLocale());

        return array_values(
            $rows
                ->map(function (\stdClass $r) use (
                    $presets,
                    $own,
                    $door,
                    $school,
                    $roster,
                    $registered,
                    $today,
                    $phrases,
                ): SeriesRow {
                    $preset = $presets[$r->preset] ?? $presets['lesson'];
                    $rules = Presets::door($r->preset, $r->door, $presets);
                    $floor = $preset->floor->with($r->floor === null ? null : (array) json_decode($r->floor, true));
                    $more =
                        $r->door === null && $r->floor === null && ! isset($own[$r->id])
                            ? []
                            : Presets::moreOpen($preset, $rules, $floor, $own[$r->id] ?? []);

                    return new SeriesRow(
                        $r->sourced_id,
                        ($r->year === '' ? '' : "Y$r->year ").$r->section,
                        $r->title === $r->section ? '' : $r->title,
                        SeriesWords::row($r, $today->day, $school),
                        $r->secret === null ? null : $door.'/'.Crypt::decryptString($r->secret),
                        $r->join_code === null ? null : JoinCode::show(Crypt::decryptString($r->join_code)),
                        $r->dial_in,
                        $r->pin === null ? null : Crypt::decryptString($r->pin),
                        (int) ($roster[$r->id] ?? 0),
                        (int) ($registered[$r->id] ?? 0),
                        (int) $r->id,
                        $preset->name,
                        Preset::say($rules, $floor),
                        $rules->toArray() !== $preset->door->toArray() ||
                            $floor->toArray() !== $preset->floor->toArray(),
                        $more,
                        $more !== [] && $r->print === Presets::openness($more) ? (string) $r->accepted : null,
                        (bool) $r->is_hidden,
                        $r->account,
                        $r->registering === null
                            ? null
                            : Registering::from((array) json_decode($r->registering, true))->say($phrases),
                    );
                })
                ->all(),
        );
    }
}
