<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Queries\CurrentTerm;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Registration\Finding;
use Nomada\Core\Registration\Matching;
use Nomada\Core\Registration\Registrant;
use Nomada\Core\Registration\RegistrationState;
use Nomada\Core\Registration\RosterEntry;
use Nomada\Core\Term\Zone;

/**
 * Compares registrations that wait with the rosters: one question for the queue, one for the rosters, and the core's
 * matching.
 */
final readonly class RegistrationChecks
{
    public function __construct(private Clock $clock, private CurrentTerm $term)
    {
    }

    /**
     * @param  iterable<Registration>  $queue  with their series and its section
     * @return array<int, Finding> by registration
     */
    public function findings(iterable $queue): array
    {
        // One day of an "each session" series is a queue of its own: a student may be registered for several.
        $byDay = [];
        $courses = [];
        foreach ($queue as $r) {
            $byDay[$r->only_day ?? ''][] = $r;
            $courses[$r->series->section->course_id] = true;
        }
        if ($byDay === []) {
            return [];
        }
        $school = self::domains();
        $out = [];
        foreach ($byDay as $day => $registrations) {
            $registrants = array_map(
                fn (Registration $r): Registrant => new Registrant(
                    $r->id,
                    (string) $r->typed_name,
                    (string) $r->typed_email,
                    $r->series->section_id,
                    $r->series->section->course_id,
                    $r->person_id,
                ),
                $registrations,
            );
            $matching = new Matching(
                $this->roster(
                    array_keys($courses),
                    array_map(fn (Registration $r): int => $r->series->section_id, $registrations),
                    array_map(fn (Registration $r): int => $r->series_id, $registrations),
                    (string) $day,
                ),
                $school,
            );
            foreach ($matching->findings(array_values($registrants)) as $finding) {
                $out[$finding->registrant->id] = $finding;
            }
        }

        return $out;
    }

    /** Whether it may be accepted without anybody looking: certain, and from the very account that the roster names. */
    public static function isSafe(Finding $finding, Registration $registration): bool
    {
        return $finding->verdict === \Nomada\Core\Registration\Verdict::Certain &&
            $finding->entry?->person === $registration->person_id;
    }

    /**
     * The domains of the school's own addresses: those that at least one in ten of its people has, or its staff.
     *
     * @return list<string>
     */
    public static function domains(): array
    {
        return Cache::remember('school domains', 300, function (): array {
            $rows = DB::select(
                "select split_part(lower(email), '@', 2) as domain, count(*) as n, bool_or(role <> 'student' and
                    role <> 'guardian') as staff, sum(count(*)) over () as everybody from people where role <>
                    'guardian' group by 1",
            );

            return array_values(
                array_map(
                    fn (\stdClass $r): string => $r->domain,
                    array_filter(
                        $rows,
                        fn (\stdClass $r): bool => $r->domain !== '' && ($r->staff || $r->n * 10 >= $r->everybody),
                    ),
                ),
            );
        });
    }

    /**
     * The rosters of the sections asked for, and of their courses' other sections.
     *
     * @param  list<int>  $courses
     * @param  list<int>  $sections
     * @param  list<int>  $series  in which somebody may be registered already
     * @return list<RosterEntry>
     */
    private function roster(array $courses, array $sections, array $series, string $day): array
    {
        $today = ($this->term->find()?->calendar()->zone ?? Zone::named('UTC'))
            ->dateAt($this->clock->seconds())
            ->iso();
        $registered = [];
        foreach (
            DB::table('registrations')
                ->join('series', 'series.id', '=', 'series_id')
                ->whereIn('series_id', array_values(array_unique($series)))
                ->where('state', RegistrationState::Accepted)
                ->when(
                    $day !== '',
                    fn ($q) => $q->where(fn ($w) => $w->whereNull('only_day')->orWhere('only_day', $day)),
                )
                ->get(['person_id', 'section_id']) as $r
        ) {
            $registered["$r->section_id $r->person_id"] = true;
        }
        $people = DB::table('memberships')
            ->join('people', 'people.id', '=', 'person_id')
            ->join('sections', 'sections.id', '=', 'memberships.section_id')
            ->where('memberships.role', MembershipRole::Student)
            ->where(fn ($q) => $q->whereNull('ends_on')->orWhere('ends_on', '>=', $today));
        $columns = ['person_id', 'course_id', 'given_name', 'family_name', 'email'];
        // Who comes to a shared series is on the roster of that series, by whichever of its sections.
        $shared = (clone $people)
            ->join('series_sections', 'series_sections.section_id', '=', 'memberships.section_id')
            ->join('series', 'series.id', '=', 'series_sections.series_id')
            ->whereIn('series.id', array_values(array_unique($series)))
            ->whereColumn('series.section_id', '!=', 'memberships.section_id')
            ->get([...$columns, 'series.section_id']);
        $rows = $people
            ->where(fn ($q) => $q->whereIn('sections.course_id', $courses)->orWhereIn('sections.id', $sections))
            ->get([...$columns, 'section_id'])
            ->concat($shared)
            ->unique(fn (\stdClass $r): string => "$r->section_id $r->person_id");

        return array_values(
            $rows
                ->map(
                    fn (\stdClass $r): RosterEntry => new RosterEntry(
                        $r->person_id,
                        trim("$r->given_name $r->family_name"),
                        (string) $r->email,
                        $r->section_id,
                        $r->course_id ?? 0,
                        isset($registered["$r->section_id $r->person_id"]),
                    ),
                )
                ->all(),
        );
    }
}
