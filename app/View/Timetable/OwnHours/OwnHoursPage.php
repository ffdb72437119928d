<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\OwnHours;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Meetings;
use Nomada\App\Queries\SolverRulesOfTerm;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\App\View\Timetable\Fix\FixSeries;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\Attendee;
use Nomada\Core\Timetable\Meeting;
use Nomada\Core\Timetable\OwnHours;

/** Who is outside their hours: whom the timetable, as it is, meets at which time on their own clock. */
final readonly class OwnHoursPage
{
    /**
     * @param  list<OwnHoursRow>  $rows  most sessions of students first
     * @param  int  $students  how many different ones
     */
    private function __construct(
        public string $opens,
        public string $closes,
        public array $rows,
        public int $students,
    ) {
    }

    public static function of(Term $term, Meetings $meetings, SolverRulesOfTerm $rules, Clock $clock): self
    {
        $hours = $rules->of($term)->ownHours;
        [$all, $rosters] = $meetings->of($term);
        $today = $clock->schoolDay()->day;
        $series = FixSeries::ofTerm($term);
        $found = $ids = [];
        foreach ($all as $meeting) {
            foreach ($rosters[$meeting->roster] ?? [] as $attendee) {
                if ($attendee->isTeacher || $attendee->zone === '') {
                    continue;
                }
                $times = OwnHours::outside(
                    self::sessions($meeting, $attendee, $today),
                    Zone::named($attendee->zone),
                    $hours,
                );
                if ($times !== []) {
                    $key = "$meeting->series $attendee->zone ".json_encode($times);
                    $found[$key] ??= [$meeting->series, $attendee->zone, $times, []];
                    $found[$key][3][] = $attendee->person;
                    $ids[$attendee->person] = true;
                }
            }
        }
        $people = Person::query()->findMany(array_keys($ids))->keyBy('id');
        $rows = [];
        foreach ($found as [$id, $zone, $times, $who]) {
            $rows[] = new OwnHoursRow(
                $series[$id]->code ?? '',
                $series[$id]->name ?? '',
                isset($series[$id]) ? $series[$id]->when() : '',
                Say::place(Zone::named($zone)),
                $times,
                array_map(fn (int $person): string => (string) $people->get($person)?->name(), $who),
            );
        }
        usort($rows, fn (OwnHoursRow $a, OwnHoursRow $b): int => $b->sessions() <=> $a->sessions());

        return new self(TypedTime::format($hours[0]), TypedTime::format($hours[1]), $rows, count($ids));
    }

    /** @return list<array{int, int, int}> those to come while somebody is in the section */
    private static function sessions(Meeting $meeting, Attendee $attendee, int $today): array
    {
        return array_values(
            array_filter(
                $meeting->sessions,
                fn (array $s): bool => $s[0] >= max($today, $attendee->from ?? $s[0]) &&
                    $s[0] <= ($attendee->until ?? $s[0]),
            ),
        );
    }
}
