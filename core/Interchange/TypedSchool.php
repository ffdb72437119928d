<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Belonging\Role;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/**
 * A school as somebody types it for the first time: its name, zone and term, its sections and its students, a line
 * each, as they come out of a sheet (parted by tabs, semicolons or commas). What comes of it are the files that an
 * import reads, so that everything is checked and shown as in any import.
 */
final class TypedSchool
{
    /** Lines of each list, at most; more comes as files. */
    private const MOST = 3000;

    /** @var array<string, list<list<string>>> rows by file, the heads first */
    private array $rows;

    /** @var array<string, string> sourcedIds of people by their address, or by their name where they have none */
    private array $people = [];

    /** @var array<string, list<string>> sourcedIds of sections by their year, and by title and year */
    private array $sections = [];

    /** @var array<string, string> sourcedIds of courses by title */
    private array $courses = [];

    private function __construct(private readonly string $school, private readonly string $zone)
    {
        $this->rows = [
            'orgs.csv' => [['sourcedId', 'status', 'name', 'type', 'metadata.timeZone']],
            'academicSessions.csv' => [['sourcedId', 'status', 'title', 'type', 'startDate', 'endDate']],
            'courses.csv' => [['sourcedId', 'status', 'title', 'courseCode']],
            'classes.csv' => [
                ['sourcedId', 'status', 'title', 'grades', 'courseSourcedId', 'schoolSourcedId', 'termSourcedIds'],
            ],
            'users.csv' => [
                ['sourcedId', 'status', 'role', 'givenName', 'familyName', 'email', 'grades', 'agentSourcedIds'],
            ],
            'enrollments.csv' => [
                [
                    'sourcedId',
                    'status',
                    'classSourcedId',
                    'userSourcedId',
                    'role',
                    'primary',
                    'beginDate',
                    'endDate',
                ],
            ],
        ];
    }

    /**
     * @param  string  $sections  a line each: title, year, teacher's given name, family name, address
     * @param  string  $students  a line each: given name, family name, address, year, sections (parted by `|`; those of
     *   the year where none is named)
     * @return array<string, string> the texts of the files by their names
     *
     * @throws Fault under the field that is wrong, naming its line
     */
    public static function files(
        string $name,
        string $zone,
        string $term,
        LocalDate $first,
        LocalDate $last,
        string $sections,
        string $students,
    ): array {
        if (trim($name) === '' || trim($term) === '') {
            throw new Fault('school.names', trim($name) === '' ? 'name' : 'term');
        }
        if ($last->day <= $first->day) {
            throw new Fault('school.term', 'term_last');
        }
        $made = new self('SCHOOL', Zone::named($zone)->name);
        $made->add('orgs.csv', [$made->school, '', trim($name), 'school', $made->zone]);
        $made->add('academicSessions.csv', ['TERM-1', '', trim($term), 'term', $first->iso(), $last->iso()]);
        foreach (TypedTable::lines($sections, 'sections', self::MOST) as $n => $cells) {
            $made->section($n, $cells);
        }
        if ($made->sections === []) {
            throw new Fault('school.sections', 'sections');
        }
        foreach (TypedTable::lines($students, 'students', self::MOST) as $n => $cells) {
            $made->student($n, $cells);
        }

        return array_map(CsvText::write(...), $made->rows);
    }

    /** @param  list<string>  $cells */
    private function section(int $n, array $cells): void
    {
        [$title, $year, $given, $family, $address] = array_pad($cells, 5, '');
        if ($title === '' || ($given.$family !== '' && ($given === '' || $family === ''))) {
            throw new Fault('school.section_line', 'sections', ['n' => $n]);
        }
        $key = mb_strtolower("$title $year");
        if (isset($this->sections[$key])) {
            throw new Fault('school.section_twice', 'sections', ['n' => $n, 'title' => $title, 'year' => $year]);
        }
        $course = $this->courses[mb_strtolower($title)] ?? null;
        if ($course === null) {
            $course = self::id('COURSE', mb_strtolower($title));
            $this->courses[mb_strtolower($title)] = $course;
            $this->add('courses.csv', [$course, '', $title, '']);
        }
        $id = self::id('SECTION', $key);
        $this->add('classes.csv', [$id, '', $title, $year, $course, $this->school, 'TERM-1']);
        $this->sections[$key] = [$id];
        $this->sections["of $year"][] = $id;
        if ($given !== '') {
            $this->enrol($id, $this->person('teacher', $given, $family, $address, ''), 'teacher');
        }
    }

    /** @param  list<string>  $cells */
    private function student(int $n, array $cells): void
    {
        [$given, $family, $address, $year, $named] = array_pad($cells, 5, '');
        if ($given === '' || $family === '') {
            throw new Fault('school.student_line', 'students', ['n' => $n]);
        }
        $in = $named === '' ? $this->sections["of $year"] ?? [] : [];
        foreach ($named === '' ? [] : array_map(trim(...), explode('|', $named)) as $title) {
            $found =
                $this->sections[mb_strtolower("$title $year")] ??
                ($this->sections[mb_strtolower("$title ")] ?? null);
            if ($found === null) {
                throw new Fault('school.student_section', 'students', [
                    'n' => $n,
                    'title' => $title,
                    'year' => $year,
                ]);
            }
            array_push($in, ...$found);
        }
        $person = $this->person('student', $given, $family, $address, $year);
        foreach (array_unique($in) as $section) {
            $this->enrol($section, $person, 'student');
        }
    }

    /** One person a line, or one of several lines with the same address. */
    private function person(string $role, string $given, string $family, string $address, string $year): string
    {
        $key = $role.' '.mb_strtolower($address === '' ? "$given $family $year" : $address);
        if (! isset($this->people[$key])) {
            $this->people[$key] = self::id(strtoupper($role), $key);
            $this->add('users.csv', [$this->people[$key], '', $role, $given, $family, $address, $year, '']);
        }

        return $this->people[$key];
    }

    private function enrol(string $section, string $person, string $role): void
    {
        $this->add('enrollments.csv', [
            self::id('ENROLMENT', "$section $person"),
            '',
            $section,
            $person,
            $role,
            $role === Role::Teacher->value ? 'true' : 'false',
            '',
            '',
        ]);
    }

    /** By what a line says, never by where it is: the same line is the same person wherever it is typed again. */
    private static function id(string $kind, string $of): string
    {
        return $kind.'-'.substr(hash('sha256', $of), 0, 12);
    }

    /** @param  list<string>  $row */
    private function add(string $file, array $row): void
    {
        $this->rows[$file][] = $row;
    }
}
