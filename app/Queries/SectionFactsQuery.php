<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use LogicException;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\Core\Belonging\Belonging;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Publishing\DropInFacts;
use Nomada\Core\Publishing\MaterialFacts;
use Nomada\Core\Publishing\PublishedWords;
use Nomada\Core\Publishing\Reader;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Publishing\SeriesFacts;
use Nomada\Core\Publishing\SessionChange;
use Nomada\Core\Publishing\TellingFacts;
use Nomada\Core\Registration\Registering;
use Nomada\Core\Registration\RegistrationState;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;
use stdClass;

/** Reads what publishing needs to know of sections, in a fixed number of queries however many there are. */
final class SectionFactsQuery
{
    /** @var array<string, Preset>|null */
    private ?array $presets = null;

    /** What the address of every door begins with. */
    private ?string $door = null;

    /** @var array<string, PublishedWords>|null */
    private ?array $words = null;

    /**
     * @param  list<int>  $ids
     * @param  bool  $unlinked  with the series that have no join link yet
     * @param  bool  $withReaders  false for what the section reads together only: nobody's calendar comes of it
     * @return array<int, SectionFacts> by section
     */
    public function for(array $ids, bool $unlinked = false, bool $withReaders = true): array
    {
        $sections = DB::table('sections')
            ->whereIn('id', $ids)
            ->orderBy('id')
            ->get(['id', 'sourced_id', 'title', 'year', 'term_id']);
        $terms = Term::query()
            ->whereKey($sections->pluck('term_id')->unique()->all())
            ->with(['school', 'closures'])
            ->get()
            ->keyBy('id');
        $series = [];
        foreach (
            Series::query()
                ->join('series_sections', 'series_sections.series_id', '=', 'series.id')
                ->whereIn('series_sections.section_id', $ids)
                ->orderBy('starts_on')
                ->orderBy('series.title')
                ->get(['series.*', 'series_sections.section_id as in_section']) as $one
        ) {
            $series[(int) $one->getAttribute('in_section')][] = $one;
        }
        $of = array_values(
            array_unique(array_map(fn (Series $s): int => $s->id, array_merge(...array_values($series)))),
        );
        $sessions = $this->sessions($of);
        $links = $this->links($of, $withReaders);
        $shared = $withReaders ? $this->shared($of) : [];
        $people = $this->people($ids, $withReaders);
        $belongings = $withReaders ? Belongings::ofSeries($of) : [];
        $recordings = $this->recordings($of);
        $tellings = $this->tellings($ids);
        $materials = $this->materials($ids);
        $chosen = $withReaders ? $this->chosen(array_merge(...array_values($series))) : [];
        $showings = Showings::of($ids);
        $words = $this->words ??= Templates::published();
        $school = (string) DB::table('schools')->orderBy('id')->value('name');
        $rooms = DropInRoom::query()
            ->whereIn('section_id', $ids)
            ->where('is_hidden', false)
            ->orderBy('name')
            ->get()
            ->groupBy('section_id');
        $out = [];
        foreach ($sections as $section) {
            $id = (int) $section->id;
            $term = (
                $terms[$section->term_id] ?? throw new LogicException('A section without its term')
            )->calendar();
            $linked = array_values(
                array_filter(
                    $series[$id] ?? [],
                    fn (Series $s): bool => $unlinked || isset($links[$s->id]['series']),
                ),
            );
            $out[$id] = new SectionFacts(
                $section->sourced_id,
                Section::called($section->year, $section->title),
                $this->teacher($people[$id] ?? []),
                $term,
                $linked === [] ? new DoorRules() : $this->rules($linked[0]),
                array_map(
                    fn (Series $s): SeriesFacts => $this->series(
                        $s,
                        $links[$s->id]['series'][0] ?? null,
                        $sessions[$s->id] ?? [],
                        $shared[$s->id][$id] ?? [],
                        $belongings[$s->id] ?? [],
                        $chosen[$s->id] ?? null,
                        $recordings[$s->id] ?? [],
                    ),
                    $linked,
                ),
                $withReaders ? $this->readers($people[$id] ?? [], $linked, $links) : [],
                route('join'),
                array_values(
                    ($rooms[$id] ?? collect())
                        ->map(
                            fn (DropInRoom $r): DropInFacts => new DropInFacts(
                                $r->id,
                                $r->name,
                                $r->openHours(),
                                $term->zone,
                                $r->address(),
                                $r->join_code,
                                $r->dial_in,
                                $r->pin,
                            ),
                        )
                        ->all(),
                ),
                $tellings[$id] ?? [],
                $materials[$id] ?? [],
                $words,
                $showings[$id],
                $school,
            );
        }

        return $out;
    }

    /**
     * Planned and cancelled ones.
     *
     * @param  list<int>  $series
     * @return array<int, list<PlannedSession>>
     */
    private function sessions(array $series): array
    {
        $out = [];
        foreach (
            DB::table('sessions')
                ->leftJoin('people', 'people.id', '=', 'teacher_id')
                ->whereIn('series_id', $series)
                ->whereIn('state', [SessionState::Planned, SessionState::Cancelled])
                ->orderBy('starts_at')
                ->get([
                    'sessions.*',
                    DB::raw('extract(epoch from starts_at)::bigint as s'),
                    DB::raw('extract(epoch from ends_at)::bigint as e'),
                    DB::raw("left(given_name, 1) || '. ' || family_name as teacher"),
                ]) as $row
        ) {
            $out[(int) $row->series_id][] = Session::core(
                (array) $row,
                (int) $row->s,
                (int) $row->e,
                $row->teacher,
            );
        }

        return $out;
    }

    /**
     * The links in force.
     *
     * @param  list<int>  $series
     * @return array<int, array<string, list<stdClass>>> by series and kind
     */
    private function links(array $series, bool $withPersonal): array
    {
        $out = [];
        foreach (
            DB::table('join_links')
                ->whereIn('series_id', $series)
                ->whereNull('retired_at')
                ->when(! $withPersonal, fn ($q) => $q->where('kind', LinkKind::Series))
                ->orderBy('id')
                ->get(['series_id', 'kind', 'person_id', 'secret', 'join_code', 'dial_in', 'pin', 'is_hidden']) as $row
        ) {
            $out[(int) $row->series_id][$row->kind][] = $row;
        }

        return $out;
    }

    /**
     * @param  list<int>  $sections
     * @return array<int, list<TellingFacts>>
     */
    private function tellings(array $sections): array
    {
        $out = [];
        foreach (
            DB::table('announcements')
                ->whereIn('section_id', $sections)
                ->where('is_in_stream', true)
                ->orderBy('id')
                ->get() as $row
        ) {
            $changes = array_map(SessionChange::from(...), (array) json_decode($row->changes, true));
            $out[(int) $row->section_id][] = new TellingFacts((int) $row->id, array_values($changes));
        }

        return $out;
    }

    /**
     * What students need; what was for a session that is gone or cancelled is left out.
     *
     * @param  list<int>  $sections
     * @return array<int, list<MaterialFacts>>
     */
    private function materials(array $sections): array
    {
        $out = [];
        foreach (
            DB::table('materials')
                ->leftJoin('sessions', 'sessions.id', '=', 'session_id')
                ->whereIn('section_id', $sections)
                ->where(fn ($q) => $q->whereNull('session_id')->orWhere('sessions.state', SessionState::Planned))
                ->orderBy('materials.id')
                ->get(['section_id', 'materials.title', 'address', 'day']) as $row
        ) {
            $out[(int) $row->section_id][] = new MaterialFacts(
                $row->title,
                $row->address,
                $row->day === null ? null : LocalDate::parse($row->day)->day,
            );
        }

        return $out;
    }

    /** What a row has sealed; empty where it has nothing. */
    private static function open(?string $sealed): string
    {
        return $sealed === null ? '' : Crypt::decryptString($sealed);
    }

    /**
     * @param  list<int>  $sections
     * @return array<int, list<stdClass>> staff first, then by name
     */
    private function people(array $sections, bool $withStudents): array
    {
        $out = [];
        foreach (
            DB::table('memberships')
                ->join('people', 'people.id', '=', 'person_id')
                ->whereIn('section_id', $sections)
                ->when(! $withStudents, fn ($q) => $q->where('memberships.role', MembershipRole::Teacher))
                ->orderByRaw("(memberships.role = 'student'), family_name, given_name, memberships.id")
                ->get([
                    'section_id',
                    'person_id',
                    'memberships.role',
                    'is_primary',
                    'people.sourced_id',
                    'given_name',
                    'family_name',
                    'people.language',
                    'roster_language',
                ]) as $row
        ) {
            $out[(int) $row->section_id][] = $row;
        }

        return $out;
    }

    /**
     * Of each series that sections share, the people who have it by a section before each of them: the series' own
     * section is the first.
     *
     * @param  list<int>  $series
     * @return array<int, array<int, array<string, true>>> by series, then by section
     */
    private function shared(array $series): array
    {
        $pairs = DB::table('series_sections')
            ->join('series', 'series.id', '=', 'series_id')
            ->whereIn('series_id', $series)
            ->whereIn(
                'series_id',
                DB::table('series_sections')->groupBy('series_id')->havingRaw('count(*) > 1')->select('series_id'),
            )
            ->orderByRaw(
                'series_id, (series.section_id = series_sections.section_id) desc, series_sections.section_id',
            )
            ->get(['series_id', 'series_sections.section_id']);
        $people = [];
        foreach (
            $pairs->isEmpty()
                ? []
                : DB::table('memberships')
                    ->join('people', 'people.id', '=', 'person_id')
                    ->whereIn('section_id', $pairs->pluck('section_id'))
                    ->get(['section_id', 'people.sourced_id']) as $row
        ) {
            $people[$row->section_id][$row->sourced_id] = true;
        }
        $out = $before = [];
        foreach ($pairs as $pair) {
            $out[(int) $pair->series_id][(int) $pair->section_id] = $before[$pair->series_id] ?? [];
            $before[$pair->series_id] = ($before[$pair->series_id] ?? []) + ($people[$pair->section_id] ?? []);
        }

        return $out;
    }

    /**
     * The sessions for which each is registered, of the series for whose sessions students register one by one.
     *
     * @param  list<Series>  $series
     * @return array<int, array<string, list<int>>> by series, then by the person's sourcedId
     */
    private function chosen(array $series): array
    {
        $out = [];
        foreach ($series as $one) {
            if (Registering::from($one->registering ?? [])->each) {
                $out[$one->id] = [];
            }
        }
        $rows =
            $out === []
                ? []
                : DB::table('registrations')
                    ->join('people', 'people.id', '=', 'person_id')
                    ->whereIn('series_id', array_keys($out))
                    ->where('state', RegistrationState::Accepted)
                    ->whereNotNull('session_id')
                    ->get(['series_id', 'people.sourced_id', 'session_id']);
        foreach ($rows as $row) {
            $out[(int) $row->series_id][$row->sourced_id][] = (int) $row->session_id;
        }

        return $out;
    }

    /** @param  list<stdClass>  $people */
    private function teacher(array $people): string
    {
        $teachers = array_values(
            array_filter($people, fn (stdClass $p): bool => $p->role === MembershipRole::Teacher->value),
        );
        usort($teachers, fn (stdClass $a, stdClass $b): int => (int) $b->is_primary <=> (int) $a->is_primary);

        return $teachers === [] ? '' : mb_substr($teachers[0]->given_name, 0, 1).". {$teachers[0]->family_name}";
    }

    /**
     * @param  list<PlannedSession>  $sessions
     * @param  array<string, true>  $elsewhere
     * @param  array<string, Belonging>  $belongings
     * @param  array<int, string>  $recordings  addresses by the session's start
     * @param  array<string, list<int>>|null  $registered  sessions' ids by person, where each session is registered for
     */
    private function series(
        Series $series,
        ?stdClass $link,
        array $sessions,
        array $elsewhere,
        array $belongings,
        ?array $registered,
        array $recordings,
    ): SeriesFacts {
        $in = fn (SessionState $state): array => array_values(
            array_filter($sessions, fn (PlannedSession $s): bool => $s->state === $state),
        );
        $isHidden = (bool) $link?->is_hidden;

        return new SeriesFacts(
            $series->id,
            $series->uid,
            $series->title,
            $series->sequence,
            (int) $series->changed_at->timestamp,
            $series->plan(),
            $in(SessionState::Planned),
            $link === null ? '' : $this->address($link),
            $isHidden ? '' : self::open($link?->join_code),
            $isHidden ? '' : (string) $link?->dial_in,
            $isHidden ? '' : self::open($link?->pin),
            $in(SessionState::Cancelled),
            $elsewhere,
            $isHidden || $this->rules($series)->hiddenOutside,
            $belongings,
            $series->stretches(),
            $registered,
            $recordings,
        );
    }

    /**
     * What is released to everybody.
     *
     * @param  list<int>  $series
     * @return array<int, array<int, string>> addresses by series and by the session's start
     */
    private function recordings(array $series): array
    {
        $out = [];
        foreach (
            DB::table('recordings')
                ->join('sessions', 'sessions.id', '=', 'recordings.session_id')
                ->whereIntegerInRaw('series_id', $series)
                ->where('recordings.state', 'released')
                ->whereNull('deleted_at')
                ->whereExists(
                    fn ($q) => $q
                        ->select(DB::raw(1))
                        ->from('recording_segments')
                        ->whereColumn('recording_id', 'recordings.id')
                        ->whereNotNull('released_at')
                        ->where('to_all', true),
                )
                ->orderBy('recordings.id')
                ->get(['recordings.id', 'series_id', DB::raw('extract(epoch from starts_at)::bigint as s')]) as $r
        ) {
            $out[(int) $r->series_id][(int) $r->s] = route('recording', $r->id);
        }

        return $out;
    }

    private function address(stdClass $link): string
    {
        // Making an address costs more than opening what is sealed in it, and all of them begin alike.
        $this->door ??= substr(route('door', '-'), 0, -1);

        return $this->door.rawurlencode(Crypt::decryptString($link->secret));
    }

    /**
     * @param  list<stdClass>  $people
     * @param  list<Series>  $linked
     * @param  array<int, array<string, list<stdClass>>>  $links
     * @return list<Reader>
     */
    private function readers(array $people, array $linked, array $links): array
    {
        $personal = $hosts = [];
        foreach ($linked as $series) {
            // A link that is hidden, outside the door's hours or by hand, is on the student's own page at most.
            $own = $this->rules($series)->hiddenOutside ? [] : $links[$series->id][LinkKind::Personal->value] ?? [];
            foreach (array_filter($own, fn (stdClass $l): bool => ! $l->is_hidden) as $link) {
                $personal[(int) $link->person_id][$series->id] = $this->address($link);
            }
            foreach ($links[$series->id][LinkKind::Host->value] ?? [] as $link) {
                $hosts[$series->id] = $this->address($link);
            }
        }
        $out = [];
        foreach ($people as $person) {
            $role = MembershipRole::from($person->role);
            $out[$person->sourced_id] ??= new Reader(
                $person->sourced_id,
                "$person->given_name $person->family_name",
                $role,
                $role->hosts() ? $hosts : $personal[(int) $person->person_id] ?? [],
                $person->language ?? $person->roster_language,
            );
        }

        return array_values($out);
    }

    private function rules(Series $series): DoorRules
    {
        $this->presets ??= Presets::all();

        return Presets::rules($series, $this->presets)[0];
    }
}
