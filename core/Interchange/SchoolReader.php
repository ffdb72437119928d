<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Fault;
use Nomada\Core\Interchange\Calendar\ClosureReader;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/**
 * Reads an import folder: OneRoster 1.1 CSV files, and beside them `closures.ics` and `timetable.csv`.
 *
 * The school's zone is the column `metadata.timeZone` of orgs.csv, a person's that of users.csv. A person's year is the
 * column `grades`. A row whose status is `tobedeleted` is read as if it were not there. Every fault is listed; a row
 * that refers to a faulty row is a fault itself.
 */
final class SchoolReader
{
    public const FILES = [
        'manifest.csv',
        'orgs.csv',
        'academicSessions.csv',
        'courses.csv',
        'classes.csv',
        'users.csv',
        'enrollments.csv',
        'closures.ics',
        'timetable.csv',
    ];

    private const NEEDED = [
        'orgs.csv',
        'academicSessions.csv',
        'courses.csv',
        'classes.csv',
        'users.csv',
        'enrollments.csv',
    ];

    private const ROLES = [
        'student' => 'student',
        'teacher' => 'teacher',
        'aide' => 'teacher',
        'proctor' => 'teacher',
        'administrator' => 'coordinator',
        'guardian' => 'guardian',
        'parent' => 'guardian',
        'relative' => 'guardian',
    ];

    private SchoolData $data;

    private Zone $zone;

    /** @param  array<string, string>  $files contents by file name */
    public static function read(array $files): SchoolData
    {
        return (new self())->all($files);
    }

    /** @param  array<string, string>  $files */
    private function all(array $files): SchoolData
    {
        $this->data = new SchoolData();
        $this->zone = Zone::named('UTC');
        foreach (self::NEEDED as $name) {
            if (! isset($files[$name])) {
                $this->data->add(new ImportFault($name, 0, '', "The file $name was expected in the folder."));
            }
        }
        $this->schools($this->csv($files, 'orgs.csv', ['sourcedId', 'name', 'type']));
        $this->terms(
            $this->csv($files, 'academicSessions.csv', ['sourcedId', 'title', 'type', 'startDate', 'endDate']),
        );
        $this->courses($this->csv($files, 'courses.csv', ['sourcedId', 'title']));
        $this->sections(
            $this->csv($files, 'classes.csv', ['sourcedId', 'title', 'courseSourcedId', 'termSourcedIds']),
        );
        $this->people($this->csv($files, 'users.csv', ['sourcedId', 'role', 'givenName', 'familyName', 'email']));
        $this->enrolments(
            $this->csv($files, 'enrollments.csv', ['sourcedId', 'classSourcedId', 'userSourcedId', 'role']),
        );
        if (isset($files['closures.ics'])) {
            [$this->data->closures, $faults] = ClosureReader::read(
                $files['closures.ics'],
                'closures.ics',
                $this->zone,
            );
            array_map($this->data->add(...), $faults);
        }
        if (isset($files['timetable.csv'])) {
            [$this->data->series, $faults] = TimetableReader::read(
                $files['timetable.csv'],
                'timetable.csv',
                $this->data,
                $this->zone,
            );
            array_map($this->data->add(...), $faults);
        }

        return $this->data;
    }

    /** @param  iterable<CsvRow>  $rows */
    private function schools(iterable $rows): void
    {
        $last = null;
        foreach ($this->named($rows, 'name') as $row) {
            $last = $row;
            if ($row->get('type') !== 'school') {
                continue;
            }
            if ($this->data->school !== null) {
                $this->data->add(
                    $row->fault(
                        'type',
                        'One school was expected; this is a second one. Import one school at a time.',
                    ),
                );

                continue;
            }
            $zone = $this->zone($row, 'metadata.timeZone');
            if ($zone !== null) {
                $this->zone = Zone::named($zone);
                $this->data->school = [
                    'sourced_id' => $row->get('sourcedId'),
                    'name' => $row->get('name'),
                    'time_zone' => $zone,
                ];
            }
        }
        if ($last !== null && $this->data->school === null && $this->data->faults === []) {
            $this->data->add($last->fault('type', 'A row of the type "school" was expected.'));
        }
    }

    /** @param  iterable<CsvRow>  $rows */
    private function terms(iterable $rows): void
    {
        foreach ($this->named($rows, 'title') as $row) {
            if (! in_array($row->get('type'), ['term', 'semester'], true)) {
                if (! in_array($row->get('type'), ['gradingPeriod', 'schoolYear'], true)) {
                    $this->data->add(
                        $row->fault('type', 'One of term, semester, gradingPeriod, schoolYear was expected.'),
                    );
                }

                continue;
            }
            $first = $this->date($row, 'startDate', true);
            $last = $this->date($row, 'endDate', true);
            if ($first === null || $last === null) {
                continue;
            }
            if ($last < $first) {
                $this->data->add($row->fault('endDate', "A date on or after the startDate $first was expected."));

                continue;
            }
            $this->data->terms[$row->get('sourcedId')] = [
                'sourced_id' => $row->get('sourcedId'),
                'title' => $row->get('title'),
                'starts_on' => $first,
                'ends_on' => $last,
            ];
        }
    }

    /** @param  iterable<CsvRow>  $rows */
    private function courses(iterable $rows): void
    {
        foreach ($this->named($rows, 'title') as $row) {
            $this->data->courses[$row->get('sourcedId')] = [
                'sourced_id' => $row->get('sourcedId'),
                'title' => $row->get('title'),
                'code' => $row->get('courseCode'),
            ];
        }
    }

    /** @param  iterable<CsvRow>  $rows */
    private function sections(iterable $rows): void
    {
        foreach ($this->named($rows, 'title') as $row) {
            $course = $this->reference($row, 'courseSourcedId', $this->data->courses, 'courses.csv');
            $terms = array_values(array_filter(array_map(trim(...), explode(',', $row->get('termSourcedIds')))));
            if ($terms === [] || ! isset($this->data->terms[$terms[0]])) {
                $this->data->add(
                    $row->fault('termSourcedIds', 'The sourcedId of a term of academicSessions.csv was expected.'),
                );
            } elseif ($course !== null) {
                $this->data->sections[$row->get('sourcedId')] = [
                    'sourced_id' => $row->get('sourcedId'),
                    'title' => $row->get('title'),
                    'code' => $this->data->courses[$course]['code'],
                    'year' => ltrim($row->get('grades'), '0'),
                    'course' => $course,
                    'term' => $terms[0],
                ];
            }
        }
    }

    /** @param  iterable<CsvRow>  $rows */
    private function people(iterable $rows): void
    {
        $addresses = [];
        foreach ($this->named($rows, 'familyName') as $row) {
            $role = self::ROLES[$row->get('role')] ?? null;
            if ($role === null) {
                $this->data->add(
                    $row->fault('role', 'One of '.implode(', ', array_keys(self::ROLES)).' was expected.'),
                );

                continue;
            }
            $email = mb_strtolower($row->get('email'));
            if (filter_var($email, FILTER_VALIDATE_EMAIL, FILTER_FLAG_EMAIL_UNICODE) === false) {
                $this->data->add($row->fault('email', 'An e-mail address was expected.'));

                continue;
            }
            if (isset($addresses[$email])) {
                $this->data->add(
                    $row->fault(
                        'email',
                        "An address of this person's own was expected; line $addresses[$email] has the same.",
                    ),
                );

                continue;
            }
            $addresses[$email] = $row->line;
            $zone =
                $row->get('metadata.timeZone') === '' ? $this->zone->name : $this->zone($row, 'metadata.timeZone');
            if ($zone === null) {
                continue;
            }
            $this->data->people[$row->get('sourcedId')] = [
                'sourced_id' => $row->get('sourcedId'),
                'role' => $role,
                'given_name' => $row->get('givenName'),
                'family_name' => $row->get('familyName'),
                'email' => $email,
                'year' => ltrim($row->get('grades'), '0'),
                'time_zone' => $zone,
                'guardians' => $role === 'student'
                        ? array_values(
                            array_filter(array_map(trim(...), explode(',', $row->get('agentSourcedIds')))),
                        )
                        : [],
            ];
        }
        foreach ($this->data->people as $id => $person) {
            $this->data->people[$id]['guardians'] = array_values(
                array_filter($person['guardians'], fn (string $g): bool => isset($this->data->people[$g])),
            );
        }
    }

    /** @param  iterable<CsvRow>  $rows */
    private function enrolments(iterable $rows): void
    {
        $pairs = [];
        foreach ($this->named($rows, 'sourcedId') as $row) {
            $section = $this->reference($row, 'classSourcedId', $this->data->sections, 'classes.csv');
            $person = $this->reference($row, 'userSourcedId', $this->data->people, 'users.csv');
            $role =
                ['student' => 'student', 'teacher' => 'teacher', 'aide' => 'co-teacher', 'proctor' => 'observer'][
                    $row->get('role')
                ] ?? null;
            if ($role === null) {
                $this->data->add($row->fault('role', 'One of student, teacher, aide, proctor was expected.'));
            }
            $begins = $this->date($row, 'beginDate', false);
            $ends = $this->date($row, 'endDate', false);
            if ($section === null || $person === null || $role === null || $begins === null || $ends === null) {
                continue;
            }
            if ($begins !== '' && $ends !== '' && $ends < $begins) {
                $this->data->add($row->fault('endDate', "A date on or after the beginDate $begins was expected."));

                continue;
            }
            if (isset($pairs["$section $person $role"])) {
                $this->data->add(
                    $row->fault(
                        'userSourcedId',
                        'Each person is enrolled in a section once; line '.
                            $pairs["$section $person $role"].
                            ' has the same.',
                    ),
                );

                continue;
            }
            $pairs["$section $person $role"] = $row->line;
            $this->data->enrolments[$row->get('sourcedId')] = [
                'sourced_id' => $row->get('sourcedId'),
                'section' => $section,
                'person' => $person,
                'role' => $role,
                'primary' => strtolower($row->get('primary')) === 'true',
                'begins_on' => $begins === '' ? null : $begins,
                'ends_on' => $ends === '' ? null : $ends,
            ];
        }
    }

    /**
     * The rows that have a sourcedId of their own and a name, and are not to be deleted.
     *
     * @param  iterable<CsvRow>  $rows
     * @return iterable<CsvRow>
     */
    private function named(iterable $rows, string $column): iterable
    {
        $seen = [];
        foreach ($rows as $row) {
            if (strtolower($row->get('status')) === 'tobedeleted') {
                continue;
            }
            $id = $row->get('sourcedId');
            if ($id === '' || $row->get($column) === '') {
                $this->data->add(
                    $row->fault($id === '' ? 'sourcedId' : $column, 'A value was expected; this one is empty.'),
                );
            } elseif (isset($seen[$id])) {
                $this->data->add(
                    $row->fault('sourcedId', "A sourcedId of its own was expected; line $seen[$id] has the same."),
                );
            } else {
                $seen[$id] = $row->line;
                yield $row;
            }
        }
    }

    /** @param  array<string, mixed>  $known */
    private function reference(CsvRow $row, string $column, array $known, string $file): ?string
    {
        $id = $row->get($column);
        if (! isset($known[$id])) {
            $this->data->add($row->fault($column, "The sourcedId of a good row of $file was expected."));

            return null;
        }

        return $id;
    }

    /** The date as ISO text, '' where it is empty and may be, null where it is a fault. */
    private function date(CsvRow $row, string $column, bool $needed): ?string
    {
        $text = $row->get($column);
        if ($text === '' && ! $needed) {
            return '';
        }
        try {
            return LocalDate::parse($text)->iso();
        } catch (Fault) {
            $this->data->add($row->fault($column, 'A date as 2027-02-18 was expected.'));

            return null;
        }
    }

    private function zone(CsvRow $row, string $column): ?string
    {
        try {
            return Zone::named($row->get($column))->name;
        } catch (Fault) {
            $this->data->add(
                $row->fault($column, 'The IANA name of a time zone was expected, as in Europe/Madrid.'),
            );

            return null;
        }
    }

    /**
     * @param  array<string, string>  $files
     * @param  list<string>  $needs
     * @return list<CsvRow>
     */
    private function csv(array $files, string $name, array $needs): array
    {
        if (! isset($files[$name])) {
            return [];
        }
        $csv = new Csv($name, $files[$name], $needs);
        array_map($this->data->add(...), $csv->faults);

        return $csv->rows;
    }
}
