<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\Presence\Attendances;
use Nomada\App\Queries\Presence\HeldSession;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Order;
use Nomada\Core\Presence\AbsenceStreak;
use Nomada\Core\Presence\Attendance;
use Nomada\Core\Presence\Status;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use stdClass;

/** One student over all sections: what was missed first, and absences that were told. */
final readonly class StudentPage
{
    /**
     * @param  list<StudentSection>  $sections
     * @param  list<ToldAbsence>  $told
     * @param  list<array{HeldSession, Attendance, string}>  $missed  the last ones first, with the section's name
     */
    private function __construct(
        public Person $student,
        public Zone $zone,
        public array $sections,
        public array $told,
        public array $missed,
    ) {
    }

    /** @param  list<int>|null  $only  sections that the viewer may see; null for all */
    public static function of(Person $student, Attendances $attendances, Clock $clock, ?array $only = null): self
    {
        $bySection = [];
        $missed = [];
        $names = Section::query()
            ->whereIn('id', DB::table('memberships')->where('person_id', $student->id)->select('section_id'))
            ->get()
            ->keyBy('id');
        foreach ($attendances->ofPerson($student->id) as [$session, $one, $section]) {
            if (($only === null || in_array($section, $only, true)) && ! $session->isRunning) {
                $bySection[$section][] = $one;
                if ($one->status() === Status::Absent || $one->status() === Status::Excused) {
                    $missed[] = [$session, $one, $names[$section]?->name() ?? ''];
                }
            }
        }
        $sections = [];
        foreach ($bySection as $id => $all) {
            $counts = array_fill_keys(array_column(Status::cases(), 'value'), 0);
            foreach ($all as $one) {
                $counts[$one->status()->value]++;
            }
            $sections[] = new StudentSection(
                $names[$id]->sourced_id ?? '',
                $names[$id]?->name() ?? '',
                $counts,
                array_sum(array_map(fn (Attendance $a): int => $a->minutes(), $all)),
                AbsenceStreak::absences(array_map(fn (Attendance $a): Status => $a->status(), $all)),
            );
        }
        $sections = Order::rows($sections, fn (StudentSection $s): array => [Order::key($s->name)]);
        usort($missed, fn (array $a, array $b): int => $b[0]->start <=> $a[0]->start);

        return new self(
            $student,
            $student->zone(),
            $sections,
            self::told($student, $clock),
            array_slice($missed, 0, 40),
        );
    }

    /** @return list<ToldAbsence> the coming ones, and the last of the past */
    private static function told(Person $student, Clock $clock): array
    {
        $today = $clock->schoolDay()->day;

        return array_values(
            DB::table('reported_absences')
                ->leftJoin('people', 'people.id', '=', 'by_id')
                ->where('person_id', $student->id)
                ->orderByDesc('from_day')
                ->limit(20)
                ->get(['reported_absences.id', 'from_day', 'to_day', 'why', 'given_name', 'family_name'])
                ->map(
                    fn (stdClass $r): ToldAbsence => new ToldAbsence(
                        (int) $r->id,
                        LocalDate::parse((string) $r->from_day),
                        LocalDate::parse((string) $r->to_day),
                        $r->why,
                        trim("$r->given_name $r->family_name"),
                        LocalDate::parse((string) $r->to_day)->day < $today,
                    ),
                )
                ->all(),
        );
    }
}
