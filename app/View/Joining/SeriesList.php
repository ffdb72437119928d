<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\App\View\Timetable\SeriesWords;
use Nomada\Core\Joining\JoinCode;

/** Every series with its join link and how many are registered for it, in three queries however many there are. */
final readonly class SeriesList
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return list<SeriesRow> */
    public function rows(Term $term, Person $for): array
    {
        $mine = Section::query()->where('term_id', $term->id)->seenBy($for)->select('id');
        $today = $term->calendar()->zone->dateAt($this->clock->seconds())->iso();
        $roster = DB::table('enrolments')->whereIn('section_id', clone $mine)->where('role', 'student')->where(fn ($q) => $q->whereNull('ends_on')->orWhere('ends_on', '>=', $today))
            ->groupBy('section_id')->pluck(DB::raw('count(*) as n'), 'section_id');
        $registered = DB::table('registrations')->join('series', 'series.id', '=', 'series_id')->whereIn('section_id', clone $mine)->where('state', 'accepted')
            ->groupBy('series_id')->pluck(DB::raw('count(*) as n'), 'series_id');
        $rows = DB::table('series')->join('sections', 'sections.id', '=', 'section_id')->whereIn('section_id', clone $mine)
            ->leftJoin('join_links', fn ($j) => $j->on('join_links.series_id', '=', 'series.id')->where('kind', 'series')->whereNull('retired_at'))
            ->orderByRaw("nullif(regexp_replace(year, '[^0-9]', '', 'g'), '')::int nulls last, sections.title, sections.id, series.title")
            ->get(['series.id', 'section_id', 'sections.sourced_id', 'sections.year', 'sections.title as section', 'series.title', 'pattern', 'start_minute', 'minutes', 'time_zone', 'secret', 'join_code', 'dial_in', 'pin']);
        $door = url('/join');
        $school = $term->calendar()->zone;

        return array_values($rows->map(fn (\stdClass $r): SeriesRow => new SeriesRow(
            $r->sourced_id, ($r->year === '' ? '' : "Y$r->year ").$r->section, $r->title === $r->section ? '' : $r->title, SeriesWords::of($r->pattern, $r->start_minute, $r->minutes, $r->time_zone, $school),
            $r->secret === null ? null : $door.'/'.Crypt::decryptString($r->secret), $r->join_code === null ? null : JoinCode::show($r->join_code), $r->dial_in, $r->pin,
            (int) ($roster[$r->section_id] ?? 0), (int) ($registered[$r->id] ?? 0),
        ))->all());
    }
}
