<?php

declare(strict_types=1);

namespace Nomada\App\View;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Term\Person;
use Nomada\App\Queries\AcceptedClashes;
use Nomada\App\Queries\Belongings;
use Nomada\App\Queries\CurrentTerm;
use Nomada\App\Queries\Registered;
use Nomada\App\Support\Clock;
use Nomada\App\Support\WriteVersionedCache;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\Clash;

/**
 * The route across the top: the seven stops of the work, each with what is left to do there for the viewer.
 */
final readonly class RouteView
{
    private const NAMES = ['term', 'timetable', 'joining', 'registration', 'publishing', 'today', 'records'];

    /** Pages that stand beneath a stop of another name, by the name of their route or its first part. */
    private const PAGES = [
        'board' => '',
        'house' => '',
        'import' => 'term',
        'set-up' => '',
        'people' => '',
        'make-ups' => 'term',
        'closures' => 'term',
        'section' => 'timetable',
        'session' => 'timetable',
        // Where somebody else has saved meanwhile, the page of a change is shown.
        'series.update' => 'timetable',
        'licences' => 'timetable',
        'contact-time' => 'timetable',
        'clashes' => 'timetable',
        'events' => 'timetable',
        'series' => 'joining',
        'presets' => 'joining',
        'drop-ins' => 'joining',
        'audit' => 'joining',
        'desk' => 'registration',
        'letters' => 'registration',
        'run' => 'publishing',
        'runs' => 'publishing',
        'showing' => 'publishing',
        'places' => 'publishing',
        'webhooks' => 'publishing',
        'drift' => 'publishing',
        'live' => 'today',
        'drop-in' => 'today',
    ];

    public function __construct(private CurrentTerm $term, private Clock $clock)
    {
    }

    /** @return list<RouteStop> */
    public function stops(Person $for): array
    {
        $term = $this->term->find();
        if ($term === null) {
            return array_map(
                fn (string $name): RouteStop => $name === 'term'
                    ? new RouteStop($name, RouteStop::TODO, 'begin')
                    : new RouteStop($name, RouteStop::DONE, 'nothing'),
                self::NAMES,
            );
        }
        $person = $for->isCoordinator() ? null : $for->id;
        $minute = intdiv($this->clock->seconds(), WriteVersionedCache::AT_MOST);
        $n = WriteVersionedCache::untilWritten(
            "route $term->id $person $minute",
            fn (): \stdClass => $this->counts($person, $term->id, $this->clock->today($term->calendar()->zone)),
        );
        $stop = fn (string $name, int $left, string $todo, string $done): RouteStop => $left > 0
            ? new RouteStop($name, RouteStop::TODO, $todo, $left)
            : new RouteStop($name, RouteStop::DONE, $done);

        return [
            new RouteStop('term', RouteStop::DONE, 'set'),
            $n->clashes > 0
                ? new RouteStop('timetable', RouteStop::WRONG, 'clashes', $n->clashes)
                : $stop('timetable', $n->sections - $n->timetabled, 'no_timetable', 'all_timetabled'),
            $stop('joining', $n->series - $n->linked, 'no_link', 'all_linked'),
            $stop('registration', $n->seats - $n->registered, 'to_register', 'all_registered'),
            match (true) {
                $n->trouble > 0 => new RouteStop('publishing', RouteStop::WRONG, 'refused', $n->trouble),
                $n->differing === 0 && $n->to_tell > 0 => $stop('publishing', $n->to_tell, 'to_tell', ''),
                $n->differing === 0 && $n->unpublished > 0 => $stop(
                    'publishing',
                    $n->unpublished,
                    'unpublished',
                    '',
                ),
                default => $stop('publishing', $n->differing, 'changes', 'all_published'),
            },
            new RouteStop('today', RouteStop::DONE, 'today', $n->today),
            $n->to_release > 0
                ? new RouteStop('records', RouteStop::TODO, 'to_release', $n->to_release)
                : new RouteStop('records', RouteStop::DONE, 'held', $n->held),
        ];
    }

    /** At which stop of the route a page is; empty where it is at none. */
    public static function at(string $route): string
    {
        return self::PAGES[$route] ?? (self::PAGES[explode('.', $route)[0]] ?? explode('.', $route)[0]);
    }

    /**
     * All counts in one question, each from an index of its own: this is on every page. What there is most of is
     * counted section by section, which an index alone answers; a join would go over each of the 100,000.
     *
     * @param  int|null  $person  whose sections; null for all of the term
     */
    private function counts(?int $person, int $term, LocalDate $today): \stdClass
    {
        $now = $this->clock->seconds();
        $mine =
            $person === null
                ? ''
                : "and id in (select section_id from memberships where person_id = $person and role <> 'student'
                    and coalesce(ends_on, 'infinity') >= '{$today->iso()}')";
        $row = DB::selectOne(
            "
            with mine as materialized (select id from sections where term_id = ? $mine),
            own as materialized (select distinct s.series_id as id from series_sections s join mine on mine.id =
                s.section_id),
            met as (select section_id, count(*) as n from series_sections s join mine on mine.id = s.section_id
                group by section_id)
            select
            (select count(*) from mine) as sections,
            (select count(*) from met) as timetabled,
            (select count(*) from clashes where kind in ('".
                implode("', '", Clash::grave()).
                "') and (section_id in (select id from mine) or other_section_id in (select id from mine))
                and (clashes.days->>-1)::int >= {$today->day}
                and not exists (select 1 from accepted_clashes k where ".
                AcceptedClashes::ACCEPTED.
                ")) as clashes,
            (select count(*) from own) as series,
            (select count(*) from join_links l join own on own.id = l.series_id
                where kind = 'series' and retired_at is null and room <> '') as linked,
            (select coalesce(sum(met.n * (select count(*) from memberships where memberships.section_id = met.section_id
                and ".
                Belongings::ON_ROSTER.
                ')), 0)::bigint from met) as seats,
            (select coalesce(sum('.
                Registered::peopleOf('own.id', $today).
                '), 0)::bigint from own) as registered,
            (select coalesce(sum((select count(*) from published_items p where p.section_id = mine.id and '.
                Placement::DIFFERS.
                ")), 0)::bigint from mine) as differing,
            (select count(*) from section_announcements t join mine on mine.id = t.section_id
                where tell_until > to_timestamp($now)) as to_tell,
            (select count(*) from met where not exists (select 1 from published_items p
                where p.section_id = met.section_id and published_hash is not null)) as unpublished,
            (select count(*) from published_items p join mine on mine.id = p.section_id
                where trouble is not null) as trouble,
            (select count(*) from sessions x join own on own.id = x.series_id
                where state = 'planned' and day = ?) as today,
            (select count(*) from sessions x join own on own.id = x.series_id
                where state = 'planned' and ends_at <= to_timestamp($now)) as held,
            (select count(*) from recordings r join sessions x on x.id = r.session_id join own on own.id = x.series_id
                where r.state = 'ready' and r.deleted_at is null) as to_release",
            [$term, $today->iso(), $today->iso()],
        );

        return $row instanceof \stdClass ? $row : throw new \LogicException('The database gave no counts');
    }
}
