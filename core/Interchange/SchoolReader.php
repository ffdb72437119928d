<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Belonging\Role;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\Calendar\ClosureReader;
use Nomada\Core\Language\ReaderLanguage;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/**
 * Reads an import folder: OneRoster 1.1 CSV files, and beside them `closures.ics` and `timetable.csv`.
 *
 * The school's zone is the column `metadata.timeZone` of orgs.csv, a person's that of users.csv, and their language
 * `metadata.language`. A person's year is the column `grades`. A row whose status is `tobedeleted` is read as if it
 * were not there. Every fault is listed; a row that refers to a faulty row is a fault itself.
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

    /** Texts of a row, by the characters that are kept of each. */
    private const TEXTS = [
        'sourcedId' => 250,
        'name' => 250,
        'title' => 250,
        'familyName' => 250,
        'givenName' => 250,
        'email' => 250,
        'grades' => 10,
    ];

    private SchoolData $data;

    private Zone $zone;

    private Deadline $deadline;

    private string $given = '';

    /** @var array<string, array<string, int>> line of each row that was not read, by file and sourcedId */
    private array $bad = [];

    /**
     * @param  array<string, string>  $files contents by file name
     * @param  string  $zone  the school's zone, where orgs.csv does not say it
     */
    public static function read(array $files, string $zone = ''): SchoolData
    {
        return (new self())->all($files, $zone);
    }

    /** @param  array<string, string>  $files */
    private function all(array $files, string $given): SchoolData
    {
        $this->given = $given;
        $this->data = new SchoolData();
        $this->deadline = new Deadline();
        $this->zone = Zone::named('UTC');
        foreach (self::NEEDED as $name) {
            if (! isset($files[$name])) {
                $this->data->add(new ImportFault($name, 0, '', new Fault('roster.file', '', ['file' => $name])));
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
                $this->data->add($row->fault('type', 'roster.second'));

                continue;
            }
            $zone =
                $row->get('metadata.timeZone') === '' && $this->given !== ''
                    ? $this->given
                    : $this->zone($row, 'metadata.timeZone');
            if ($row->get('metadata.timeZone') === '' && $zone === null) {
                $this->data->needsZone = true;
            }
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
            $this->data->add($last->fault('type', 'roster.school'));
        }
    }

    /** @param  iterable<CsvRow>  $rows */
    private function terms(iterable $rows): void
    {
        foreach ($this->named($rows, 'title') as $row) {
            if (! in_array($row->get('type'), ['term', 'semester'], true)) {
                if (! in_array($row->get('type'), ['gradingPeriod', 'schoolYear'], true)) {
                    $this->data->add($row->fault('type', 'roster.session'));
                }

                continue;
            }
            $first = $this->date($row, 'startDate', true);
            $last = $this->date($row, 'endDate', true);
            if ($first === null || $last === null) {
                $this->bad['academicSessions.csv'][$row->get('sourcedId')] = $row->line;

                continue;
            }
            if ($last < $first) {
                $this->fault($row, 'endDate', new Fault('roster.ends', '', ['first' => $first]));

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
                $line = $this->bad['academicSessions.csv'][$terms[0] ?? ''] ?? null;
                $this->bad['classes.csv'][$row->get('sourcedId')] = $line ?? $row->line;
                if ($line === null) {
                    $this->data->add($row->fault('termSourcedIds', 'roster.term'));
                } else {
                    $where = "academicSessions.csv, line $line";
                    $this->data->followed[$where] = ($this->data->followed[$where] ?? 0) + 1;
                }
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
        $addresses = $lines = [];
        foreach ($this->named($rows, 'familyName') as $row) {
            $role = self::ROLES[strtolower($row->get('role'))] ?? null;
            if ($role === null) {
                $this->bad['users.csv'][$row->get('sourcedId')] = $row->line;
                $this->data->add(
                    $row->fault('role', new Fault('roster.role', '', ['roles' => array_keys(self::ROLES)]), true),
                );

                continue;
            }
            $email = mb_strtolower($row->get('email'));
            if ($email !== '' && filter_var($email, FILTER_VALIDATE_EMAIL, FILTER_FLAG_EMAIL_UNICODE) === false) {
                $this->fault($row, 'email', 'roster.email');

                continue;
            }
            if ($row->get('givenName') === '') {
                $this->data->add($row->fault('givenName', 'roster.given', true));
            }
            if ($email !== '' && isset($addresses[$email])) {
                $this->data->add(
                    $row->fault(
                        'email',
                        new Fault('roster.same_address', '', ['line' => $addresses[$email]]),
                        true,
                    ),
                );
            }
            $enabled = match (strtolower($row->get('enabledUser'))) {
                '' => null,
                'true', '1' => true,
                'false', '0' => false,
                default => 'odd',
            };
            if ($enabled === 'odd') {
                $this->fault($row, 'enabledUser', 'roster.bool');

                continue;
            }
            $addresses[$email] ??= $row->line;
            $zone =
                $row->get('metadata.timeZone') === '' ? $this->zone->name : $this->zone($row, 'metadata.timeZone');
            if ($zone === null) {
                continue;
            }
            $lines[$row->get('sourcedId')] = $row->line;
            $this->data->people[$row->get('sourcedId')] = [
                'sourced_id' => $row->get('sourcedId'),
                'role' => $role,
                'given_name' => $row->get('givenName'),
                'family_name' => $row->get('familyName'),
                'email' => $email === '' ? null : $email,
                'enabled' => $enabled,
                'year' => ltrim($row->get('grades'), '0'),
                'time_zone' => $zone,
                'roster_language' => $this->language($row),
                'guardians' => $role === Role::Student->value
                        ? array_values(
                            array_filter(array_map(trim(...), explode(',', $row->get('agentSourcedIds')))),
                        )
                        : [],
            ];
        }
        foreach ($this->data->people as $id => $person) {
            $known = [];
            foreach ($person['guardians'] as $guardian) {
                if (isset($this->data->people[$guardian])) {
                    $known[] = $guardian;

                    continue;
                }
                $this->data->add(
                    new ImportFault(
                        'users.csv',
                        $lines[$id] ?? 0,
                        'agentSourcedIds',
                        'roster.guardian',
                        $guardian,
                        true,
                    ),
                );
            }
            $this->data->people[$id]['guardians'] = $known;
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
                [
                    'student' => 'student',
                    'teacher' => 'teacher',
                    'aide' => 'co-teacher',
                    'proctor' => 'observer',
                    'administrator' => 'observer',
                ][strtolower($row->get('role'))] ?? null;
            if ($role === null) {
                $this->data->add($row->fault('role', 'roster.part'));
            }
            $account = $person === null ? '' : $this->data->people[$person]['role'];
            if (
                in_array($role, ['teacher', 'co-teacher'], true) &&
                in_array($account, ['student', 'guardian'], true)
            ) {
                $this->data->add(
                    $row->fault(
                        'role',
                        new Fault('roster.staff', '', ['person' => $person, 'account' => $account]),
                    ),
                );

                continue;
            }
            if (! in_array(strtolower($row->get('primary')), ['', 'true', 'false', '0', '1'], true)) {
                $this->data->add($row->fault('primary', 'roster.bool'));

                continue;
            }
            $begins = $this->date($row, 'beginDate', false);
            $ends = $this->date($row, 'endDate', false);
            if ($section === null || $person === null || $role === null || $begins === null || $ends === null) {
                continue;
            }
            if ($begins !== '' && $ends !== '' && $ends < $begins) {
                $this->data->add($row->fault('endDate', new Fault('roster.part_ends', '', ['begins' => $begins])));

                continue;
            }
            if (isset($pairs["$section $person $role"])) {
                $this->data->add(
                    $row->fault(
                        'userSourcedId',
                        new Fault('roster.twice', '', ['line' => $pairs["$section $person $role"]]),
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
                'primary' => in_array(strtolower($row->get('primary')), ['true', '1'], true),
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
                $this->data->add($row->fault($id === '' ? 'sourcedId' : $column, 'roster.empty'));
            } elseif (isset($seen[$id])) {
                $this->data->add($row->fault('sourcedId', new Fault('roster.own_id', '', ['line' => $seen[$id]])));
            } else {
                $seen[$id] = $row->line;
                $isLong = fn (int $n, string $c): bool => mb_strlen($row->get($c)) > $n;
                $long = array_key_first(array_filter(self::TEXTS, $isLong, ARRAY_FILTER_USE_BOTH));
                if ($long === null) {
                    yield $row;
                } else {
                    $this->fault($row, $long, new Fault('roster.long', '', ['n' => self::TEXTS[$long]]));
                }
            }
        }
    }

    /** A tag (BCP 47) as it is; what is none is told, and the row stays without one. */
    private function language(CsvRow $row): ?string
    {
        $tag = $row->get('metadata.language');
        if ($tag === '' || ReaderLanguage::isTag($tag)) {
            return $tag === '' ? null : $tag;
        }
        $this->data->add(
            new ImportFault($row->file, $row->line, 'metadata.language', 'roster.language', $tag, true),
        );

        return null;
    }

    /** A fault that leaves a row out: what refers to the row follows from it. */
    private function fault(CsvRow $row, string $column, Fault|string $expected): void
    {
        $this->bad[$row->file][$row->get('sourcedId')] = $row->line;
        $this->data->add($row->fault($column, $expected));
    }

    /** @param  array<string, mixed>  $known */
    private function reference(CsvRow $row, string $column, array $known, string $file): ?string
    {
        $id = $row->get($column);
        if (! isset($known[$id])) {
            $line = $this->bad[$file][$id] ?? null;
            $this->bad[$row->file][$row->get('sourcedId')] = $line ?? $row->line;
            if ($line === null) {
                $this->data->add($row->fault($column, new Fault('roster.reference', '', ['file' => $file])));
            } else {
                // It follows from a fault that is listed already.
                $this->data->followed["$file, line $line"] = ($this->data->followed["$file, line $line"] ?? 0) + 1;
            }

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
            $this->data->add($row->fault($column, 'roster.date'));

            return null;
        }
    }

    private function zone(CsvRow $row, string $column): ?string
    {
        try {
            return Zone::named($row->get($column))->name;
        } catch (Fault) {
            $this->data->add($row->fault($column, 'roster.zone'));

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
        $csv = new Csv($name, $files[$name], $needs, $this->deadline);
        array_map($this->data->add(...), $csv->faults);

        return $csv->rows;
    }
}
