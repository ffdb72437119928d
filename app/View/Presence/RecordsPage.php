<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Presence\Attendances;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\App\View\Presence\Records\Records;
use Nomada\App\View\Presence\Records\SectionRecord;
use Nomada\App\View\Presence\Records\SectionRows;
use Nomada\App\View\Presence\Records\SessionRecord;
use Nomada\App\View\Timetable\Contact\ContactRows;
use Nomada\Core\Recording\RecordingState;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SessionState;
use stdClass;

/**
 * Builds Records: for every session of the past whether it was held, who was there, its recording, and what is left to
 * do; and the sums of the term. Time planned, held, lost and made up is Contact time's own.
 */
final readonly class RecordsPage
{
    public function __construct(
        private Clock $clock,
        private ContactRows $times,
        private Attendances $attendances,
    ) {
    }

    /** @param  LocalDate|null  $day  whose sessions are shown one by one; null for the last that had some */
    public function of(Term $term, Person $for, ?LocalDate $day): Records
    {
        $sections = DB::table('sections')
            ->where('term_id', $term->id)
            ->whereIn('id', Section::query()->seenBy($for)->select('id'))
            ->pluck('id');
        $ids = array_values(array_map(intval(...), $sections->all()));
        $day ??= $this->lastDay($ids);

        return new Records(
            $this->sections($term, $for, $ids),
            $day,
            $day === null ? [] : $this->sessions($ids, $day, $term),
            $term->calendar()->zone,
            $this->attendances->rules(),
            (int) $term->school->recordings_days,
            $term->school->substitute_days,
            $this->usualWait(),
            $day === null ? null : $this->neighbour($ids, $day, '<', 'desc'),
            $day === null ? null : $this->neighbour($ids, $day, '>', 'asc'),
        );
    }

    /**
     * Some sections' sums, of those that the person sees.
     *
     * @param  list<string>  $only  sourcedIds
     */
    public function rows(Term $term, Person $for, array $only): SectionRows
    {
        $ids = DB::table('sections')->where('term_id', $term->id)->whereIn('sourced_id', $only)->pluck('id');

        return new SectionRows(
            $this->sections($term, $for, array_values(array_map(intval(...), $ids->all())), $only),
        );
    }

    /**
     * @param  list<int>  $ids  of them
     * @param  list<string>|null  $only  their sourcedIds; null for all
     * @return list<SectionRecord>
     */
    private function sections(Term $term, Person $for, array $ids, ?array $only = null): array
    {
        $sums = $this->sums($ids);
        $rows = [];
        foreach (($this->times)($term, $for, only: $only) as $row) {
            $own = $sums[$row->id] ?? null;
            $rows[] = new SectionRecord(
                $row->id,
                $row->name,
                $row->time,
                (int) ($own->held ?? 0),
                (int) ($own->told ?? 0),
                (int) ($own->came ?? 0),
                (int) ($own->absent ?? 0),
                (int) ($own->to_release ?? 0),
                (int) ($own->released ?? 0),
            );
        }

        return $rows;
    }

    /**
     * @param  list<int>  $sections
     * @return array<string, stdClass> by sourcedId
     */
    private function sums(array $sections): array
    {
        return DB::table('sections')
            ->join('series_sections', 'section_id', '=', 'sections.id')
            ->join('sessions', 'sessions.series_id', '=', 'series_sections.series_id')
            ->leftJoin(
                'session_sums as u',
                fn ($j) => $j->on('u.session_id', '=', 'sessions.id')->on('u.section_id', '=', 'sections.id'),
            )
            ->leftJoin(
                'recordings as r',
                fn ($j) => $j->on('r.session_id', '=', 'sessions.id')->whereNull('r.deleted_at'),
            )
            ->whereIn('sections.id', $sections)
            ->where('sessions.state', SessionState::Planned)
            ->where('ends_at', '<=', gmdate('Y-m-d H:i:sP', $this->clock->seconds()))
            ->groupBy('sections.sourced_id')
            ->get([
                'sections.sourced_id',
                DB::raw('count(distinct sessions.id) as held'),
                DB::raw('count(distinct u.session_id) as told'),
                DB::raw('coalesce(sum(u.present + u.late + u.partial), 0) as came'),
                DB::raw('coalesce(sum(u.absent), 0) as absent'),
                DB::raw("count(distinct r.id) filter (where r.state in ('ready', 'withdrawn')) as to_release"),
                DB::raw("count(distinct r.id) filter (where r.state = 'released') as released"),
            ])
            ->keyBy('sourced_id')
            ->all();
    }

    /**
     * @param  list<int>  $sections
     * @return list<SessionRecord>
     */
    private function sessions(array $sections, LocalDate $day, Term $term): array
    {
        $now = $this->clock->seconds();

        return array_values(
            DB::table('sessions')
                ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
                ->join('sections', 'sections.id', '=', 'series_sections.section_id')
                ->leftJoin(
                    'session_sums as u',
                    fn ($j) => $j->on('u.session_id', '=', 'sessions.id')->on('u.section_id', '=', 'sections.id'),
                )
                ->whereIn('sections.id', $sections)
                ->where('day', $day->iso())
                ->where('starts_at', '<=', gmdate('Y-m-d H:i:sP', $now))
                ->orderBy('starts_at')
                ->orderBy('sections.id')
                ->get([
                    'sessions.id',
                    'sections.sourced_id',
                    'sections.title',
                    'sections.year',
                    DB::raw('coalesce(sessions.title, sessions.topic) as topic'),
                    'sessions.state',
                    'reason',
                    'makes_up',
                    DB::raw('extract(epoch from starts_at)::bigint as s'),
                    DB::raw('extract(epoch from ends_at)::bigint as e'),
                    'present',
                    'late',
                    'partial',
                    'absent',
                    'excused',
                    'guests',
                    DB::raw('(select json_build_array(r.id, r.state, r.trouble) from recordings r
                        where r.session_id = sessions.id and r.deleted_at is null order by r.id desc limit 1) as rec'),
                ])
                ->map(function (stdClass $r) use ($term, $now): SessionRecord {
                    [$id, $state, $trouble] = (array) json_decode($r->rec ?? '[null,null,null]', true);

                    return new SessionRecord(
                        (int) $r->id,
                        $r->sourced_id,
                        Section::called($r->year, $r->title),
                        (string) $r->topic,
                        $term->calendar()->zone->clock((int) $r->s),
                        $r->state === SessionState::Planned->value,
                        Say::because($r->reason),
                        $r->state === SessionState::Planned->value && (int) $r->e > $now,
                        $r->makes_up !== null,
                        $r->present === null ? null : (int) $r->present + (int) $r->late + (int) $r->partial,
                        (int) $r->late,
                        (int) $r->absent,
                        (int) $r->excused,
                        (int) $r->guests,
                        $id === null ? null : (int) $id,
                        $state === null ? null : RecordingState::from($state),
                        $trouble,
                    );
                })
                ->all(),
        );
    }

    /** @param  list<int>  $sections */
    private function lastDay(array $sections): ?LocalDate
    {
        return $this->day($sections, '<=', $this->clock->schoolDay()->iso(), 'desc');
    }

    /** @param  list<int>  $sections */
    private function neighbour(array $sections, LocalDate $day, string $is, string $order): ?LocalDate
    {
        $found = $this->day($sections, $is, $day->iso(), $order);

        return $found !== null && $found->day <= $this->clock->schoolDay()->day ? $found : null;
    }

    /** @param  list<int>  $sections */
    private function day(array $sections, string $is, string $iso, string $order): ?LocalDate
    {
        $day = DB::table('sessions')
            ->whereIn(
                'series_id',
                DB::table('series_sections')->whereIntegerInRaw('section_id', $sections)->select('series_id'),
            )
            ->where('starts_at', '<=', gmdate('Y-m-d H:i:sP', $this->clock->seconds()))
            ->where('day', $is, $iso)
            ->orderBy('day', $order)
            ->value('day');

        return $day === null ? null : LocalDate::parse((string) $day);
    }

    /** Seconds that it usually took from the end of recording until it was ready; null where none has been yet. */
    private function usualWait(): ?int
    {
        $wait = DB::table('recordings')
            ->whereNotNull('ready_at')
            ->whereNotNull('stopped_at')
            ->whereNotNull('bridge_id')
            ->selectRaw(
                'percentile_cont(0.5) within group (order by extract(epoch from ready_at - stopped_at)) as wait',
            )
            ->value('wait');

        return $wait === null ? null : max(0, (int) $wait);
    }
}
