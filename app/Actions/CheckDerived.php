<?php

declare(strict_types=1);

namespace Nomada\App\Actions;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Timetable\LaySessions;
use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\Core\Publishing\WantedPlacements;
use Nomada\Core\Timetable\Clash;
use stdClass;

/**
 * Computes everything derived again (sessions, clashes, what should be published, parts of disabled
 * people, registrations of rosters), and lists what differs from what is kept. Nothing is written. There is nothing to
 * list, ever: whatever is found here is a mistake of ours.
 */
final readonly class CheckDerived
{
    public function __construct(
        private LaySessions $lay,
        private RefreshClashes $clashes,
        private SectionFactsQuery $facts,
    ) {
    }

    /**
     * @return list<array{kind: string, what: string}> kind: sessions, overlap, clashes, placements, parts, strays,
     *   promises, collations
     */
    public function __invoke(): array
    {
        $out = [];
        $terms = Term::query()
            ->with(['school', 'closures'])
            ->orderBy('id')
            ->get();
        foreach ($terms as $term) {
            array_push($out, ...$this->sessions($term), ...$this->found($term), ...$this->placements($term));
        }

        return [
            ...$out,
            ...$this->overlaps(),
            ...$this->parts(),
            ...$this->strays(),
            ...$this->promises(),
            ...$this->collations(),
        ];
    }

    /**
     * Names are sorted by a library of the operating system. When an update of it sorts otherwise, indexes are wrong
     * until they are rebuilt.
     *
     * @return list<array{kind: string, what: string}>
     */
    private function collations(): array
    {
        $rows = DB::select(
            'select collname from pg_collation where collversion is distinct from pg_collation_actual_version(oid)
                and collnamespace = current_schema()::regnamespace',
        );

        return array_values(
            array_map(
                fn (stdClass $r): array => self::row(
                    'collations',
                    (string) __('console.check.collation', ['name' => $r->collname]),
                ),
                $rows,
            ),
        );
    }

    /** @return list<array{kind: string, what: string}> */
    private function sessions(Term $term): array
    {
        $out = [];
        $series = Series::query()
            ->whereHas('section', fn ($q) => $q->where('term_id', $term->id))
            ->with('section')
            ->orderBy('id')
            ->get();
        foreach ($series->chunk(200) as $some) {
            foreach ($this->lay->follow($some, $term->calendar(), false) as $id => [, $isChanged]) {
                $one = $some->firstWhere('id', $id);
                if ($isChanged) {
                    $out[] = self::row(
                        'sessions',
                        (string) __('console.check.sessions', [
                            'section' => (string) $one?->section->sourced_id,
                            'series' => (string) $one?->title,
                        ]),
                    );
                }
            }
        }

        return $out;
    }

    /** @return list<array{kind: string, what: string}> */
    private function found(Term $term): array
    {
        $print = fn (string $kind, array $series, array $people, array $days): string => (string) json_encode([
            $kind,
            $series,
            $people,
            $days,
        ]);
        $kept = DB::table('clashes')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->get(['kind', 'series_id', 'other_series_id', 'people', 'days'])
            ->map(
                fn (stdClass $c): string => $print(
                    $c->kind,
                    array_values(array_filter([(int) $c->series_id, (int) $c->other_series_id])),
                    (array) json_decode($c->people, true),
                    (array) json_decode($c->days, true),
                ),
            )
            ->all();
        $found = array_map(
            fn (Clash $c): string => $print($c->kind, $c->series, $c->people, $c->days),
            $this->clashes->find($term),
        );

        return [
            ...array_map(fn (string $c): array => self::row('clashes', "missing: $c"), array_diff($found, $kept)),
            ...array_map(fn (string $c): array => self::row('clashes', "kept: $c"), array_diff($kept, $found)),
        ];
    }

    /** @return list<array{kind: string, what: string}> */
    private function placements(Term $term): array
    {
        $out = [];
        $ids = Section::query()->where('term_id', $term->id)->orderBy('id')->pluck('id')->all();
        foreach (array_chunk(array_values(array_map(intval(...), $ids)), 40) as $chunk) {
            $wanted = [];
            foreach ($this->facts->for($chunk) as $facts) {
                foreach (WantedPlacements::of($facts) as $one) {
                    $wanted["{$one->place->value} $one->key"] = $one->fingerprint();
                }
            }
            $kept = DB::table('published_items')
                ->whereIn('section_id', $chunk)
                ->whereNotNull('desired_hash')
                ->get(['place', 'key', 'desired_hash'])
                ->mapWithKeys(fn (stdClass $p): array => ["$p->place $p->key" => $p->desired_hash])
                ->all();
            foreach (array_keys(array_diff_assoc($wanted, $kept) + array_diff_assoc($kept, $wanted)) as $key) {
                $out[] = self::row('placements', (string) $key);
            }
        }

        return $out;
    }

    /** @return list<array{kind: string, what: string}> */
    private function overlaps(): array
    {
        $rows = DB::select(
            "select a.series_id, a.id as a, b.id as b from sessions a join sessions b on a.series_id = b.series_id
                    and a.id < b.id and a.starts_at < b.ends_at and b.starts_at < a.ends_at
                    where a.state = 'planned' and b.state = 'planned'",
        );

        return array_values(
            array_map(
                fn (stdClass $r): array => self::row('overlap', "series $r->series_id, sessions $r->a and $r->b"),
                $rows,
            ),
        );
    }

    /** @return list<array{kind: string, what: string}> */
    private function parts(): array
    {
        $rows = DB::select(
            'select e.sourced_id from enrolments e join people p on p.id = e.person_id
                    where e.disabled_on is distinct from p.disabled_on',
        );

        return array_values(
            array_map(
                fn (stdClass $r): array => self::row(
                    'parts',
                    (string) __('console.check.disabled', ['enrolment' => $r->sourced_id]),
                ),
                $rows,
            ),
        );
    }

    /**
     * What is about one session belongs to its series and says its day: registrations, passes, materials. (The
     * database holds that there was such a session.)
     *
     * @return list<array{kind: string, what: string}>
     */
    private function strays(): array
    {
        $rows = DB::select(
            "select 'registration' as what, r.id from registrations r join sessions s on s.id = r.session_id
                where s.series_id <> r.series_id or r.only_day is distinct from s.day
            union all
            select 'pass', l.id from join_links l join sessions s on s.id = l.only_session_id
                where retired_at is null and (s.series_id <> l.series_id or l.only_day is distinct from s.day)
            union all
            select 'material', m.id from materials m join sessions s on s.id = m.session_id
                where not exists (select from series_sections x
                    where x.series_id = s.series_id and x.section_id = m.section_id)",
        );

        return array_values(
            array_map(
                fn (stdClass $r): array => self::row(
                    'strays',
                    (string) __("console.check.strays.$r->what", ['id' => $r->id]),
                ),
                $rows,
            ),
        );
    }

    /**
     * What a person was promised: everybody who is accepted has a link that works, and no series has accepted more
     * people than it has seats.
     *
     * @return list<array{kind: string, what: string}>
     */
    private function promises(): array
    {
        $rows = DB::select(
            "select 'link' as what, r.id from registrations r join people p on p.id = r.person_id
                where r.state = 'accepted' and p.disabled_on is null
                    and exists (select from join_links l where l.series_id = r.series_id and l.kind = 'series'
                        and l.retired_at is null)
                    and not exists (select from join_links l where l.series_id = r.series_id
                        and l.person_id = r.person_id and l.retired_at is null)
            union all
            select 'unregistered', l.id from join_links l
                where l.kind = 'personal' and l.retired_at is null and l.person_id is not null
                    and not exists (select from registrations r where r.series_id = l.series_id
                        and r.person_id = l.person_id and r.state = 'accepted')
            union all
            select 'seats', series.id from series join registrations r on r.series_id = series.id
                where r.state = 'accepted' and (registering->>'seats')::int > 0 and r.came_by <> 'roster'
                group by series.id, r.session_id having count(*) > (registering->>'seats')::int",
        );

        return array_values(
            array_map(
                fn (stdClass $r): array => self::row(
                    'promises',
                    (string) __("console.check.promises.$r->what", ['id' => $r->id]),
                ),
                $rows,
            ),
        );
    }

    /** @return array{kind: string, what: string} */
    private static function row(string $kind, string $what): array
    {
        return ['kind' => $kind, 'what' => mb_strimwidth($what, 0, 300, '…')];
    }
}
