<?php

declare(strict_types=1);

namespace Nomada\App\View\SetUp;

use Illuminate\Support\Facades\DB;
use Nomada\App\Destinations\Places;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Belongings;
use Nomada\App\Queries\Registered;
use Nomada\App\Support\Clock;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\PlaceKind;

/** What is left until a new school's first lesson, in the order in which it is done. */
final readonly class SetUpList
{
    public function __construct(private Places $places, private Clock $clock)
    {
    }

    /** @return list<SetUpStep> */
    public function of(Term $term): array
    {
        $n = $this->counts($term);
        $service = fn (string $key, ExternalService ...$of): SetUpStep => new SetUpStep(
            $key,
            1,
            1,
            route('places'),
            array_filter(
                $of,
                fn (ExternalService $s): bool => $this->places->of($s)->kind === PlaceKind::StandIn,
            ) !== [],
        );

        return [
            new SetUpStep('calendar', min(1, (int) $n->closures), 1, route('term')),
            new SetUpStep('people', (int) $n->reachable, (int) $n->people, route('people', ['lacks' => 'email'])),
            new SetUpStep(
                'timetable',
                (int) $n->timetabled,
                (int) $n->sections,
                route('board', ['show' => 'issues']),
            ),
            $service('conference', ExternalService::Bridge),
            $service('mail', ExternalService::Post),
            $service('destinations', ExternalService::Course, ExternalService::Calendar, ExternalService::Stream),
            new SetUpStep('links', (int) $n->linked, (int) $n->series, route('joining', ['show' => 'missing'])),
            new SetUpStep(
                'registrations',
                (int) $n->registered,
                (int) $n->seats,
                route('registration', ['show' => 'left']),
            ),
            new SetUpStep('publishing', (int) $n->published, (int) $n->timetabled, route('publishing')),
            new SetUpStep('invitations', (int) $n->invited, (int) $n->people, route('accounts')),
        ];
    }

    /** Whether home shows it: until every step is done or somebody has hidden it; never in the demo. */
    public function isWanted(): bool
    {
        return ! config('nomada.demo') && DB::table('settings')->where('name', 'set_up_hidden')->doesntExist();
    }

    private function counts(Term $term): \stdClass
    {
        $today = $this->clock->schoolDay();
        $row = DB::selectOne(
            'with mine as (select id from sections where term_id = ?),
            own as (select distinct series_id as id from series_sections where section_id in (select id from mine))
            select
            (select count(*) from closures where term_id = ?) + (select count(*) from day_plans where term_id = ?)
                as closures,
            (select count(*) from people where disabled_on is null) as people,
            (select count(*) from people where disabled_on is null and email is not null) as reachable,
            (select count(*) from people p where disabled_on is null and (password_set_at is not null or exists
                (select 1 from account_passes a where a.person_id = p.id))) as invited,
            (select count(*) from mine) as sections,
            (select count(distinct section_id) from series_sections where section_id in (select id from mine))
                as timetabled,
            (select count(*) from own) as series,
            (select count(*) from join_links l join own on own.id = l.series_id where kind = \'series\' and retired_at
                is null and room <> \'\') as linked,
            (select count(*) from memberships join series_sections using (section_id) where section_id in (select id
                from mine) and '.
                Belongings::ON_ROSTER.
                ') as seats,
            (select coalesce(sum('.
                Registered::peopleOf('own.id', $today).
                '), 0)::bigint from own) as registered,
            (select count(distinct section_id) from published_items where published_hash is not null and section_id in
                (select id from mine)) as published',
            [$term->id, $term->id, $term->id, $today->iso()],
        );

        return $row instanceof \stdClass ? $row : throw new \LogicException('The database gave no counts');
    }
}
