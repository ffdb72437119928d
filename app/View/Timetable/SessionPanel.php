<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Nomada\App\Models\Term\Part;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Role;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\FreeTimesQuery;
use Nomada\App\Support\Clock;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\SessionState;

/**
 * One session with all that can be done to it: move or lengthen with a reach, tell of it, cancel it, make it up, take
 * it out.
 */
final readonly class SessionPanel
{
    public function __construct(private Clock $clock, private FreeTimesQuery $free)
    {
    }

    /** @return array<string, mixed> */
    public function data(Section $section, Session $session): array
    {
        $zone = $section->term->calendar()->zone;
        $session->series->setRelation(
            'section',
            $session->series->section_id === $section->id
                ? $section
                : $session->series->section->setRelation('term', $section->term),
        );
        $start = (int) $session->starts_at->timestamp;
        $end = (int) $session->ends_at->timestamp;
        $day = LocalDate::parse($session->day);
        $isComing = $start > $this->clock->seconds();
        $isHeld = $session->state === SessionState::Planned;
        $madeUp = $isHeld
            ? null
            : Session::query()
                ->where('series_id', $session->series_id)
                ->where('makes_up', $session->day)
                ->where('state', SessionState::Planned)
                ->first();
        $teachers = Person::query()
            ->where('role', Role::Teacher)
            ->orderBy('family_name')
            ->orderBy('given_name')
            ->get();

        return [
            'section' => $section,
            'series' => $session->series,
            'one' => $session,
            'core' => $session->toCore(),
            'day' => $day,
            'zone' => $zone,
            'start' => $zone->clock($start),
            'end' => $zone->clock($end),
            'isComing' => $isComing,
            'isHeld' => $isHeld,
            'madeUp' => $madeUp === null ? null : LocalDate::parse($madeUp->day),
            'teachers' => $teachers,
            'elsewhere' => $this->elsewhere($section, $start, $zone),
            'makeUps' => $isHeld || $madeUp !== null ? [] : $this->free->forOne($session->series, $day, 4),
            'free' => $isHeld && $isComing && ! $session->is_extra
                    ? $this->free->forSeries($session->series, $day, 4)
                    : [],
            'first' => $section->term->calendar()->first,
            'last' => $section->term->calendar()->last,
        ];
    }

    /**
     * @return list<string> what its start is on the clocks of those students who live by another one: "09:00 Canary
     *   (3)"
     */
    private function elsewhere(Section $section, int $start, Zone $school): array
    {
        $zones = Part::query()
            ->where('section_id', $section->id)
            ->where('parts.role', 'student')
            ->join('people', 'people.id', '=', 'person_id')
            ->selectRaw('time_zone, count(*) as n')
            ->groupBy('time_zone')
            ->orderByDesc('n')
            ->pluck('n', 'time_zone');
        $out = [];
        foreach ($zones as $name => $n) {
            $zone = Zone::named((string) $name);
            if ($zone->offsetAt($start) !== $school->offsetAt($start)) {
                $out[] = $zone->clock($start).' '.$zone->place()." ($n)";
            }
        }

        return $out;
    }
}
