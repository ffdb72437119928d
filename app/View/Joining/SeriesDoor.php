<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Term\Part;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\Presets;
use Nomada\App\Support\Clock;
use Nomada\Core\Joining\Invitation;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Registration\Registering;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;

/**
 * Everything about joining one series: its links in every form, where they stand, its door and floor, and its guests.
 */
final readonly class SeriesDoor
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param  int|null  $only  the session whose own door is to be changed
     * @return array<string, mixed>
     */
    public function data(Section $section, Series $series, ?int $only = null): array
    {
        $all = Presets::all();
        [$door, $floor] = Presets::rules($series, $all);
        $links = JoinLink::query()->inForce()->where('series_id', $series->id)->with('person')->get();
        $link = $links->first(fn (JoinLink $l): bool => $l->kind === LinkKind::Series);
        $now = $this->clock->seconds();
        $coming = $series->sessions
            ->filter(
                fn (Session $s): bool => (int) $s->ends_at->timestamp > $now && $s->state === SessionState::Planned,
            )
            ->values();
        $chosen = $only === null ? null : $coming->firstWhere('id', $only);
        [$formDoor, $formFloor] = Presets::rules($series, $all, $chosen?->toCore());
        $own = Presets::sessions([$series->id], $now)[$series->id] ?? [];
        $more = Presets::moreOpenOf($series, $all, $own);
        $accepted = DB::table('openness_accepted')
            ->leftJoin('people', 'people.id', '=', 'accepted_by')
            ->where('series_id', $series->id)
            ->first(['print', 'given_name', 'family_name', 'at']);
        $isAccepted = $more !== [] && $accepted !== null && $accepted->print === Presets::openness($more);
        $zone = $section->term->calendar()->zone;
        $teacher = Part::query()
            ->where('section_id', $series->section_id)
            ->where('role', 'teacher')
            ->orderByRaw("coalesce(ends_on, 'infinity') >= ? desc", [$this->clock->schoolDay()->iso()])
            ->orderByDesc('is_primary')
            ->with('person')
            ->first()?->person;
        $sessions = array_values($series->sessions->map(fn (Session $s): PlannedSession => $s->toCore())->all());

        $acceptedBy = $isAccepted ? trim("$accepted->given_name $accepted->family_name") : null;

        return [
            'registering' => $series->registering === null ? null : Registering::from($series->registering),
            'section' => $section,
            'series' => $series,
            'presets' => $all,
            'preset' => Presets::of($series, $all),
            'door' => $formDoor,
            'floor' => $formFloor,
            'chosen' => $chosen,
            'coming' => $coming->take(60),
            'own' => $coming
                ->filter(fn (Session $s): bool => $s->door !== null || $s->floor !== null)
                ->map(
                    fn (Session $s): array => [
                        'session' => $s,
                        'words' => Preset::say(...Presets::rules($series, $all, $s->toCore())),
                    ],
                )
                ->values()
                ->all(),
            'sentence' => Preset::say($door, $floor),
            'more' => $more,
            'isAccepted' => $isAccepted,
            'acceptedBy' => $acceptedBy,
            'link' => $link,
            'host' => $links->first(fn (JoinLink $l): bool => $l->kind === LinkKind::Host),
            'personal' => $links
                ->filter(fn (JoinLink $l): bool => $l->kind === LinkKind::Personal)
                ->sortBy(fn (JoinLink $l): string => (string) $l->person?->family_name)
                ->values(),
            'guests' => $links->filter(fn (JoinLink $l): bool => $l->kind === LinkKind::Guest)->values(),
            'zone' => $zone,
            'term' => $section->term->calendar(),
            'invitations' => $link === null
                    ? []
                    : array_map(
                        fn (array $of): array => [
                            ...$of,
                            'text' => Invitation::text(
                                $section->name(),
                                (string) $teacher?->shortName(),
                                $sessions,
                                $of['zone'],
                                $now,
                                $door,
                                $link->address(),
                                (string) $link->join_code,
                                route('join'),
                                (string) $link->dial_in,
                                (string) $link->pin,
                                $link->short_address === null ? '' : route('short', $link->short_address),
                            ),
                        ],
                        $this->clocks($series, $zone),
                    ),
            'places' => DB::table('placements')
                ->whereIn('section_id', $series->sectionIds())
                ->whereNotNull('standing_print')
                ->groupBy('place')
                ->orderBy('place')
                ->get([
                    'place',
                    DB::raw('count(*) as n'),
                    DB::raw('count(*) filter (where '.Placement::DIFFERS.') as stale'),
                ])
                ->all(),
            'standing' => DB::table('placements')
                ->whereIn('section_id', $series->sectionIds())
                ->whereNotNull('standing_print')
                ->orderBy('place')
                ->orderBy('label')
                ->limit(400)
                ->get(['place', 'label', DB::raw(Placement::DIFFERS.' as stale')])
                ->groupBy('place')
                ->all(),
            'next' => $coming->first(),
        ];
    }

    /**
     * The clocks that an invitation is read on: the school's first, then its students'.
     *
     * @return list<array{zone: Zone, students: int}>
     */
    private function clocks(Series $series, Zone $school): array
    {
        $zones = DB::table('parts')
            ->join('people', 'people.id', '=', 'person_id')
            ->whereIn('section_id', $series->sectionIds())
            ->where('parts.role', 'student')
            ->groupBy('time_zone')
            ->orderByRaw('1 desc, 2')
            ->pluck(DB::raw('count(distinct person_id) as n'), 'time_zone')
            ->all();
        $out = [['zone' => $school, 'students' => (int) ($zones[$school->name] ?? 0)]];
        foreach ($zones as $name => $n) {
            if ($name !== $school->name) {
                $out[] = ['zone' => Zone::named((string) $name), 'students' => (int) $n];
            }
        }

        return $out;
    }
}
