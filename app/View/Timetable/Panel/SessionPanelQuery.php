<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Panel;

use Nomada\App\Models\Term\MembershipRow;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\FreeTimesQuery;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Belonging\Role;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\SessionState;

/** Looks up one session for its panel. */
final readonly class SessionPanelQuery
{
    public function __construct(private Clock $clock, private FreeTimesQuery $free)
    {
    }

    public function of(Section $section, Session $session): SessionPanel
    {
        $term = $section->term->calendar();
        $series = $session->series;
        $series->setRelation(
            'section',
            $series->section_id === $section->id ? $section : $series->section->setRelation('term', $section->term),
        );
        $core = $session->toCore();
        $day = new LocalDate($core->day);
        $isComing = $core->start > $this->clock->seconds();
        $isHeld = $core->state === SessionState::Planned;
        $madeUp = $isHeld ? null : $this->madeUp($session);
        $teachers = Person::query()
            ->where('role', Role::Teacher)
            ->orderBy('family_name')
            ->orderBy('given_name')
            ->get();

        return new SessionPanel(
            $section,
            $series,
            $session,
            $day,
            $term->zone->clock($core->start),
            $term->zone->clock($core->end),
            $core->state,
            Say::this($core->own?->said() ?? []),
            $isComing,
            $madeUp,
            $teachers->mapWithKeys(fn (Person $p): array => [$p->sourced_id => $p->sortedName()])->all(),
            $teachers->find($session->teacher_id)?->sourced_id,
            $this->elsewhere($section, $core->start, $term->zone),
            $isHeld || $madeUp !== null ? [] : FreeLine::ofOne($this->free->forOne($series, $day, 4)),
            $isHeld && $isComing && ! $session->is_extra
                ? FreeLine::ofSeries($this->free->forSeries($series, $day, 4), $day)
                : [],
            $term->first->iso(),
            $term->last->iso(),
        );
    }

    private function madeUp(Session $session): ?LocalDate
    {
        $day = Session::query()
            ->where('series_id', $session->series_id)
            ->where('makes_up', $session->day)
            ->where('state', SessionState::Planned)
            ->value('day');

        return $day === null ? null : LocalDate::parse((string) $day);
    }

    /**
     * @return list<string> what its start is on the clocks of those students who live by another one: "09:00 Canary
     *   (3)"
     */
    private function elsewhere(Section $section, int $start, Zone $school): array
    {
        $zones = MembershipRow::query()
            ->where('section_id', $section->id)
            ->where('memberships.role', MembershipRole::Student)
            ->join('people', 'people.id', '=', 'person_id')
            ->selectRaw('time_zone, count(*) as n')
            ->groupBy('time_zone')
            ->orderByDesc('n')
            ->pluck('n', 'time_zone');
        $out = [];
        foreach ($zones as $name => $n) {
            $zone = Zone::named((string) $name);
            if ($zone->offsetAt($start) !== $school->offsetAt($start)) {
                $out[] = $zone->clock($start).' '.Say::place($zone)." ($n)";
            }
        }

        return $out;
    }
}
