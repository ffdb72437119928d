<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\App\Queries\TimetableRows;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Belonging\Role;
use Nomada\Core\Interchange\CsvText;
use Nomada\Core\Interchange\OneRosterManifest;
use Nomada\Core\Interchange\TimetableWriter;
use stdClass;

/** What we hold of a term as an import folder: OneRoster 1.1 CSV and timetable.csv, as our own reader reads them. */
final class RosterOut
{
    private const ROLES = [
        Role::Student->value => 'student',
        Role::Teacher->value => 'teacher',
        Role::Coordinator->value => 'administrator',
        Role::Guardian->value => 'guardian',
    ];

    private const PARTS = [
        MembershipRole::Student->value => 'student',
        MembershipRole::Teacher->value => 'teacher',
        MembershipRole::CoTeacher->value => 'aide',
        MembershipRole::Observer->value => 'proctor',
    ];

    /** @return array<string, string> files by name */
    public function __invoke(Term $term): array
    {
        return array_map(CsvText::write(...), $this->rows($term));
    }

    /**
     * @param  bool  $everybody  people without a section in the term, too
     * @return array<string, list<array<int, string|int|float|null>>> rows by file, the headings first
     */
    public function rows(Term $term, bool $everybody = false): array
    {
        $sections = DB::table('sections')
            ->leftJoin('courses', 'courses.id', '=', 'course_id')
            ->where('term_id', $term->id)
            ->orderBy('sections.id')
            ->get([
                'sections.*',
                'courses.sourced_id as course',
                'courses.title as course_title',
                'courses.code as course_code',
            ]);
        $ids = array_values(array_map(intval(...), $sections->pluck('id')->all()));
        $school = $term->school;

        return [
            OneRosterManifest::NAME => OneRosterManifest::of([
                'academicSessions',
                'classes',
                'courses',
                'enrollments',
                'orgs',
                'users',
            ]),
            'orgs.csv' => [
                [
                    'sourcedId',
                    'status',
                    'dateLastModified',
                    'name',
                    'type',
                    'identifier',
                    'parentSourcedId',
                    'metadata.timeZone',
                ],
                [$school->sourced_id, '', '', $school->name, 'school', $school->sourced_id, '', $school->time_zone],
            ],
            'academicSessions.csv' => [
                [
                    'sourcedId',
                    'status',
                    'dateLastModified',
                    'title',
                    'type',
                    'startDate',
                    'endDate',
                    'parentSourcedId',
                    'schoolYear',
                ],
                [
                    $term->sourced_id,
                    '',
                    '',
                    $term->title,
                    'term',
                    substr((string) $term->starts_on, 0, 10),
                    substr((string) $term->ends_on, 0, 10),
                    '',
                    substr((string) $term->ends_on, 0, 4),
                ],
            ],
            'courses.csv' => [
                [
                    'sourcedId',
                    'status',
                    'dateLastModified',
                    'schoolYearSourcedId',
                    'title',
                    'courseCode',
                    'grades',
                    'orgSourcedId',
                    'subjects',
                    'subjectCodes',
                ],
                ...$sections
                    ->whereNotNull('course')
                    ->unique('course')
                    ->map(
                        fn (stdClass $s): array => [
                            $s->course,
                            '',
                            '',
                            '',
                            $s->course_title,
                            (string) $s->course_code,
                            self::grade($s->year),
                            $school->sourced_id,
                            '',
                            '',
                        ],
                    )
                    ->values()
                    ->all(),
            ],
            'classes.csv' => [
                [
                    'sourcedId',
                    'status',
                    'dateLastModified',
                    'title',
                    'grades',
                    'courseSourcedId',
                    'classType',
                    'location',
                    'schoolSourcedId',
                    'termSourcedIds',
                    'subjects',
                    'subjectCodes',
                    'periods',
                ],
                ...$sections
                    ->map(
                        fn (stdClass $s): array => [
                            $s->sourced_id,
                            '',
                            '',
                            $s->title,
                            self::grade($s->year),
                            (string) $s->course,
                            'scheduled',
                            '',
                            $school->sourced_id,
                            $term->sourced_id,
                            '',
                            '',
                            '',
                        ],
                    )
                    ->all(),
            ],
            'users.csv' => $this->users($ids, $school->sourced_id, $everybody),
            'enrollments.csv' => $this->enrolments($ids, $school->sourced_id),
            'timetable.csv' => $this->timetable($ids),
        ];
    }

    /**
     * @param  list<int>  $sections
     * @return list<list<string>>
     */
    private function users(array $sections, string $school, bool $everybody): array
    {
        $guardians = [];
        foreach (
            DB::table('guardianships')
                ->join('people', 'people.id', '=', 'guardian_id')
                ->orderBy('guardian_id')
                ->get(['student_id', 'sourced_id']) as $row
        ) {
            $guardians[(int) $row->student_id][] = $row->sourced_id;
        }
        $of = DB::table('enrolments')->whereIntegerInRaw('section_id', $sections)->select('person_id');
        $people = DB::table('people')
            ->when(
                ! $everybody,
                fn ($q) => $q->where(
                    fn ($w) => $w
                        ->whereIn('id', $of)
                        ->orWhereIn(
                            'id',
                            DB::table('guardianships')->whereIn('student_id', clone $of)->select('guardian_id'),
                        )
                        ->orWhere('role', Role::Coordinator),
                ),
            )
            ->orderBy('id')
            ->get();

        return [
            [
                'sourcedId',
                'status',
                'dateLastModified',
                'enabledUser',
                'orgSourcedIds',
                'role',
                'username',
                'userIds',
                'givenName',
                'familyName',
                'middleName',
                'identifier',
                'email',
                'sms',
                'phone',
                'agentSourcedIds',
                'grades',
                'password',
                'metadata.timeZone',
                'metadata.language',
            ],
            ...array_values(
                $people
                    ->map(
                        fn (stdClass $p): array => [
                            $p->sourced_id,
                            '',
                            '',
                            $p->disabled_on === null ? 'true' : 'false',
                            $school,
                            self::ROLES[$p->role] ?? $p->role,
                            (string) ($p->sign_in ?? $p->email),
                            '',
                            $p->given_name,
                            $p->family_name,
                            '',
                            $p->sourced_id,
                            (string) $p->email,
                            '',
                            '',
                            implode(',', $guardians[(int) $p->id] ?? []),
                            self::grade($p->year),
                            '',
                            $p->time_zone,
                            (string) $p->roster_language,
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    /**
     * @param  list<int>  $sections
     * @return list<list<string>>
     */
    private function enrolments(array $sections, string $school): array
    {
        $rows = DB::table('enrolments')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->join('people', 'people.id', '=', 'person_id')
            ->whereIntegerInRaw('section_id', $sections)
            ->whereIn('enrolments.role', array_keys(self::PARTS))
            ->orderBy('enrolments.id')
            ->get(['enrolments.*', 'sections.sourced_id as section', 'people.sourced_id as person']);

        return [
            [
                'sourcedId',
                'status',
                'dateLastModified',
                'classSourcedId',
                'schoolSourcedId',
                'userSourcedId',
                'role',
                'primary',
                'beginDate',
                'endDate',
            ],
            ...array_values(
                $rows
                    ->map(
                        fn (stdClass $r): array => [
                            (string) ($r->sourced_id ?? "E-$r->section-$r->person-$r->role"),
                            '',
                            '',
                            $r->section,
                            $school,
                            $r->person,
                            self::PARTS[$r->role],
                            $r->is_primary ? 'true' : 'false',
                            (string) $r->begins_on,
                            (string) $r->ends_on,
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    /**
     * @param  list<int>  $sections
     * @return list<list<string|int>>
     */
    private function timetable(array $sections): array
    {
        $out = [TimetableWriter::HEADER];
        $all = Series::query()->with('section')->whereIntegerInRaw('section_id', $sections)->orderBy('id')->get();
        foreach (TimetableRows::of($all) as $rows) {
            array_push($out, ...$rows);
        }
        foreach (
            SeriesToPlace::query()
                ->with('section')
                ->whereIntegerInRaw('section_id', $sections)
                ->orderBy('id')
                ->get() as $one
        ) {
            $out[] = TimetableWriter::toPlace(
                $one->section->sourced_id,
                $one->title,
                $one->per_week,
                $one->minutes,
                $one->starts_on,
                $one->ends_on,
            );
        }

        return $out;
    }

    /** A year as OneRoster writes grades: two digits where it is a number. */
    private static function grade(?string $year): string
    {
        return ctype_digit((string) $year) ? str_pad((string) $year, 2, '0', STR_PAD_LEFT) : (string) $year;
    }
}
