<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Timetable\SeriesPlan;

/**
 * What an import folder says, checked and joined up: the good rows, and every fault. Dates are `YYYY-MM-DD` text,
 * references are sourcedIds that are known to be good.
 *
 * @phpstan-type SchoolRow array{sourced_id: string, name: string, time_zone: string}
 * @phpstan-type TermRow array{sourced_id: string, title: string, starts_on: string, ends_on: string}
 * @phpstan-type CourseRow array{sourced_id: string, title: string, code: string}
 * @phpstan-type SectionRow array{sourced_id: string, title: string, code: string, year: string, course: string,
 *   term: string}
 * @phpstan-type PersonRow array{sourced_id: string, role: string, given_name: string, family_name: string,
 *   email: string|null, year: string, time_zone: string, roster_language: string|null, guardians: list<string>,
 *   enabled: bool|null}
 * @phpstan-type EnrolmentRow array{sourced_id: string, section: string, person: string, role: string, primary: bool,
 *   begins_on: ?string, ends_on: ?string}
 * @phpstan-type ClosureRow array{uid: string, first: string, last: string, reason: string, hours: ?string}
 * @phpstan-type ToPlaceRow array{section: string, title: string, per_week: int, minutes: int, from: string,
 *   until: ?string}
 * @phpstan-type SeriesRow array{section: string, title: string, plan: SeriesPlan, uid: string, cells: list<string>}
 */
final class SchoolData
{
    /** @var SchoolRow|null */
    public ?array $school = null;

    /** @var array<string, TermRow> by sourcedId, as are the next four */
    public array $terms = [];

    /** @var array<string, CourseRow> */
    public array $courses = [];

    /** @var array<string, SectionRow> */
    public array $sections = [];

    /** @var array<string, PersonRow> */
    public array $people = [];

    /** @var array<string, EnrolmentRow> */
    public array $enrolments = [];

    /** @var list<ClosureRow>|null null where no closures.ics was given */
    public ?array $closures = null;

    /** @var list<SeriesRow>|null null where no timetable.csv was given */
    public ?array $series = null;

    /** @var list<ToPlaceRow> series of timetable.csv that have no time yet */
    public array $toPlace = [];

    /** Whether orgs.csv says no zone, and nobody has given one. */
    public bool $needsZone = false;

    /** @var array<string, int> how many rows are left out because of another fault, by where that one stands */
    public array $followed = [];

    /** @var list<ImportFault> */
    public array $faults = [];

    /** @var list<ImportFault> */
    public array $warnings = [];

    public function add(ImportFault $fault): void
    {
        if ($fault->warning) {
            $this->warnings[] = $fault;
        } else {
            $this->faults[] = $fault;
        }
    }

    /** @return array<string, int> */
    public function counts(): array
    {
        return [
            'terms' => count($this->terms),
            'closures' => count($this->closures ?? []),
            'courses' => count($this->courses),
            'sections' => count($this->sections),
            'people' => count($this->people),
            'enrolments' => count($this->enrolments),
            'series' => count($this->series ?? []),
        ];
    }
}
