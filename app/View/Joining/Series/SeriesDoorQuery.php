<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Series;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Term\MembershipRow;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\Presets;
use Nomada\App\Queries\Showings;
use Nomada\App\Queries\Templates;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Order;
use Nomada\App\Support\Say;
use Nomada\App\View\Joining\DoorForm;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\Invitation;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Language\Said;
use Nomada\Core\Publishing\ItemName;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Registration\Registering;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;

/** Looks up everything about joining one series. */
final readonly class SeriesDoorQuery
{
    /** How many sessions can be chosen from. */
    private const COMING = 60;

    /** How many placements are named. */
    private const NAMED = 400;

    public function __construct(private Clock $clock)
    {
    }

    /** @param  int|null  $only  the session whose own door is to be changed */
    public function of(Section $section, Series $series, Person $for, ?int $only = null): SeriesDoorPage
    {
        $presets = Presets::all();
        $term = $section->term->calendar();
        [$door, $floor] = Presets::rules($series, $presets);
        $now = $this->clock->seconds();
        $coming = $series->sessions
            ->filter(
                fn (Session $s): bool => (int) $s->ends_at->timestamp > $now && $s->state === SessionState::Planned,
            )
            ->values();
        $chosen = $only === null ? null : $coming->firstWhere('id', $only);
        $moreOpen = Presets::moreOpenOf(
            $series,
            $presets,
            Presets::sessions([$series->id], $now)[$series->id] ?? [],
        );

        return new SeriesDoorPage(
            $section,
            $series,
            $term,
            $for->can('serve', $section),
            new SeriesRules(
                Presets::of($series, $presets),
                Say::this(Preset::say($door, $floor)),
                $moreOpen,
                $this->acceptedBy($series, $moreOpen),
                $presets,
                DoorForm::of(...Presets::rules($series, $presets, $chosen?->toCore())),
            ),
            $this->links($section, $series, $term->zone, $door),
            $coming->first()?->id,
            $this->places($series),
            RegisteringForm::of($series->registering === null ? null : Registering::from($series->registering)),
            new SessionRules(
                $this->own($series, $presets, $coming),
                $coming
                    ->take(self::COMING)
                    ->mapWithKeys(
                        fn (Session $s): array => [
                            $s->id => self::day($s).', '.$term->zone->clock((int) $s->starts_at->timestamp),
                        ],
                    )
                    ->all(),
                $chosen?->id,
                $chosen === null ? '' : self::day($chosen),
            ),
        );
    }

    private static function day(Session $session): string
    {
        return Say::day(LocalDate::parse($session->day));
    }

    /** @param  array<string, Said>  $moreOpen */
    private function acceptedBy(Series $series, array $moreOpen): ?string
    {
        $accepted = DB::table('accepted_deviations')
            ->leftJoin('people', 'people.id', '=', 'accepted_by')
            ->where('series_id', $series->id)
            ->first(['hash', 'given_name', 'family_name']);

        return $moreOpen !== [] && $accepted !== null && $accepted->hash === Presets::openness($moreOpen)
            ? trim("$accepted->given_name $accepted->family_name")
            : null;
    }

    private function links(Section $section, Series $series, Zone $zone, DoorRules $door): ?Links
    {
        $links = JoinLink::query()->inForce()->where('series_id', $series->id)->with('person')->get();
        $of = fn (LinkKind $kind): Collection => $links->filter(fn (JoinLink $l): bool => $l->kind === $kind);
        $link = $of(LinkKind::Series)->first();

        return $link === null
            ? null
            : new Links(
                $link->address(),
                JoinCode::show((string) $link->join_code),
                (string) $link->dial_in,
                (string) $link->pin,
                $of(LinkKind::Host)->first()?->address(),
                $link->short_address,
                $link->is_hidden,
                $this->invitations($section, $series, $zone, $door, $link),
                array_values(
                    $of(LinkKind::Personal)
                        ->sortBy(
                            fn (JoinLink $l): string => Order::key(
                                (string) $l->person?->family_name,
                                (string) $l->person?->given_name,
                            ),
                        )
                        ->map(
                            fn (JoinLink $l): PersonalLink => new PersonalLink($l->id, (string) $l->person?->name()),
                        )
                        ->all(),
                ),
                array_values(
                    $of(LinkKind::Guest)
                        ->map(
                            fn (JoinLink $l): GuestLine => new GuestLine(
                                $l->id,
                                (string) $l->guest_name,
                                Say::day($zone->dateAt((int) $l->expires_at?->timestamp - 1)),
                                $l->only_day === null ? '' : Say::day(LocalDate::parse($l->only_day)),
                                $l->address(),
                            ),
                        )
                        ->all(),
                ),
            );
    }

    /** @return list<InvitationText> */
    private function invitations(
        Section $section,
        Series $series,
        Zone $school,
        DoorRules $door,
        JoinLink $link,
    ): array {
        $teacher = MembershipRow::query()
            ->where('section_id', $series->section_id)
            ->where('role', MembershipRole::Teacher)
            ->orderByRaw("coalesce(ends_on, 'infinity') >= ? desc", [$this->clock->schoolDay()->iso()])
            ->orderByDesc('is_primary')
            ->with('person')
            ->first()?->person;
        $sessions = array_values($series->sessions->map(fn (Session $s): PlannedSession => $s->toCore())->all());
        $language = Showings::of([$section->id])[$section->id]->language;
        $out = [];
        foreach ($this->clocks($series, $school) as $name => $students) {
            $zone = Zone::named($name);
            $out[] = new InvitationText(
                Say::place($zone),
                $students,
                Invitation::text(
                    $section->name(),
                    (string) $teacher?->shortName(),
                    $sessions,
                    $zone,
                    $this->clock->seconds(),
                    $door,
                    $link->address(),
                    (string) $link->join_code,
                    route('join'),
                    (string) $link->dial_in,
                    (string) $link->pin,
                    $link->short_address === null ? '' : route('short', $link->short_address),
                    Templates::phrases($language),
                ),
                $language,
            );
        }

        return $out;
    }

    /**
     * The clocks that an invitation is read on: the school's first, then its students'.
     *
     * @return array<string, int> students by zone
     */
    private function clocks(Series $series, Zone $school): array
    {
        $zones = DB::table('memberships')
            ->join('people', 'people.id', '=', 'person_id')
            ->whereIn('section_id', $series->sectionIds())
            ->where('memberships.role', MembershipRole::Student)
            ->groupBy('time_zone')
            ->orderByRaw('1 desc, 2')
            ->pluck(DB::raw('count(distinct person_id) as n'), 'time_zone');

        return [
            $school->name => (int) ($zones[$school->name] ?? 0),
            ...$zones->except($school->name)->map(fn (mixed $n): int => (int) $n)->all(),
        ];
    }

    /** @return list<StandingPlace> */
    private function places(Series $series): array
    {
        $standing = DB::table('published_items')
            ->whereIn('section_id', $series->sectionIds())
            ->whereNotNull('published_hash');
        $items = (clone $standing)
            ->orderBy('place')
            ->orderBy('label')
            ->limit(self::NAMED)
            ->get(['place', 'key', 'label', DB::raw(Placement::DIFFERS.' as stale')])
            ->groupBy('place');

        return array_values(
            $standing
                ->groupBy('place')
                ->orderBy('place')
                ->get([
                    'place',
                    DB::raw('count(*) as n'),
                    DB::raw('count(*) filter (where '.Placement::DIFFERS.') as stale'),
                ])
                ->map(
                    fn (\stdClass $p): StandingPlace => new StandingPlace(
                        Say::this(Place::from($p->place)->said()),
                        (int) $p->n,
                        (int) $p->stale,
                        collect($items[$p->place] ?? [])
                            ->mapWithKeys(
                                fn (\stdClass $i): array => [
                                    Say::this(
                                        ItemName::of(Place::from($i->place), $i->key, $i->label),
                                    ) => (bool) $i->stale,
                                ],
                            )
                            ->all(),
                    ),
                )
                ->all(),
        );
    }

    /**
     * @param  array<string, Preset>  $presets
     * @param  Collection<int, Session>  $coming
     * @return list<OwnDoor>
     */
    private function own(Series $series, array $presets, Collection $coming): array
    {
        return array_values(
            $coming
                ->filter(fn (Session $s): bool => $s->door !== null || $s->floor !== null)
                ->map(
                    fn (Session $s): OwnDoor => new OwnDoor(
                        $s->id,
                        self::day($s),
                        Say::this(Preset::say(...Presets::rules($series, $presets, $s->toCore()))),
                    ),
                )
                ->all(),
        );
    }
}
