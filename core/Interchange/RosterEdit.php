<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Belonging\Role;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;

/**
 * Changes people by hand: the school's own data as OneRoster files, with rows added or changed. What comes out is read
 * as any import is, so that every change is checked, previewed and undone in the same way.
 */
final class RosterEdit
{
    /** Lines that can be added at once. */
    private const MOST = 1000;

    /** What a column may be called, in the order in which they are without headings. */
    private const HEADINGS = [
        'given' => ['given', 'given name', 'first name', 'nombre'],
        'family' => ['family', 'family name', 'last name', 'surname', 'apellido', 'apellidos'],
        'email' => ['email', 'e-mail', 'email address', 'correo', 'correo electrónico'],
        'year' => ['year', 'grade', 'curso'],
        'sections' => ['sections', 'section', 'classes', 'class', 'grupos', 'grupo'],
        'guardian' => ['guardian', 'guardian name', 'parent', 'familia'],
        'guardian_email' => ['guardian email', 'parent email', 'correo familia'],
    ];

    /** @var array<string, array<string, int>> where each column is, by file */
    private array $at = [];

    /** @param  array<string, list<array<int, string|int|float|null>>>  $files  rows by file, the headings first */
    public function __construct(private array $files)
    {
        foreach (['users.csv', 'enrollments.csv', 'classes.csv'] as $file) {
            $this->at[$file] = array_flip(array_map(strval(...), $files[$file][0]));
        }
    }

    /**
     * Adds people, a line each: given name, family name, email, year, sections (separated by `|`), guardian, guardian's
     * email. The first line may name the columns. Somebody whose email is known already is only added to the sections.
     *
     * @return list<Fault> what is wrong, each with the number of its line; nothing is added where there is any
     *
     * @throws Fault where there are too many lines
     */
    public function add(Role $role, string $typed): array
    {
        $lines = TypedTable::lines($typed, 'people', self::MOST);
        $columns = array_keys(self::HEADINGS);
        $first = array_key_first($lines);
        if ($first !== null && ($named = self::headings($lines[$first])) !== []) {
            $columns = $named;
            unset($lines[$first]);
        }
        $before = $this->files;
        $faults = [];
        foreach ($lines as $n => $cells) {
            $line = array_fill_keys(array_keys(self::HEADINGS), '');
            foreach ($columns as $i => $column) {
                $column === '' || ($line[$column] = $cells[$i] ?? '');
            }
            try {
                $this->one($role, $line);
            } catch (Fault $e) {
                $faults[] = new Fault($e->says, 'people', ['n' => $n] + $e->with);
            }
        }
        if ($lines === []) {
            $faults[] = new Fault('people.none', 'people');
        }
        if ($faults !== []) {
            $this->files = $before;
        }

        return $faults;
    }

    /**
     * @param  array<string, string>  $to  by column of users.csv
     *
     * @throws Fault where nobody has the id
     */
    public function change(string $person, array $to): void
    {
        $row = $this->find('users.csv', 'sourcedId', $person) ?? throw new Fault('people.nobody', 'person');
        foreach ($to as $column => $value) {
            $this->files['users.csv'][$row][$this->at['users.csv'][$column]] = $value;
        }
    }

    /** Ends a student's membership with the day before, and begins another on the day; either may be null. */
    public function move(string $person, ?string $leaves, ?string $joins, LocalDate $on): void
    {
        $at = $this->at['enrollments.csv'];
        foreach ($this->files['enrollments.csv'] as $i => $row) {
            if ($i > 0 && $row[$at['userSourcedId']] === $person && $row[$at['classSourcedId']] === $leaves) {
                $this->files['enrollments.csv'][$i][$at['endDate']] = $on->plus(-1)->iso();
            }
        }
        $joins === null || $this->enrol($person, $joins, Role::Student, $on->iso());
    }

    /** @return array<string, string> the texts of the files by their names */
    public function texts(): array
    {
        return array_map(CsvText::write(...), $this->files);
    }

    /** @param  array<string, string>  $line */
    private function one(Role $role, array $line): void
    {
        if (preg_match('/^(.+?)\s*<([^<>\s]+)>$/u', $line['given'], $m) === 1) {
            // As an email program writes people: "Galia Zabalo <galia@school.example>".
            [$line['given'], $line['email']] = [$m[1], $m[2]];
        }
        if ($line['family'] === '' && preg_match('/^(\S+)\s+(.+)$/u', $line['given'], $m) === 1) {
            [$line['given'], $line['family']] = [$m[1], $m[2]];
        }
        if ($line['given'] === '' || $line['family'] === '') {
            throw new Fault('people.name', 'people');
        }
        foreach (['email', 'guardian_email'] as $email) {
            if ($line[$email] !== '' && filter_var($line[$email], FILTER_VALIDATE_EMAIL) === false) {
                throw new Fault('people.email', 'people', ['email' => $line[$email]]);
            }
        }
        $sections = array_map(
            fn (string $title): string => $this->section($title, $line['year']),
            array_values(array_filter(array_map(trim(...), explode('|', $line['sections'])))),
        );
        $person = $this->known($role, $line) ?? $this->person($role, $line, $this->guardian($role, $line));
        foreach ($sections as $section) {
            $this->enrol($person, $section, $role, '');
        }
    }

    /**
     * @param  array<string, string>  $line
     *
     * @throws Fault where the email is somebody else's, or the name could be theirs
     */
    private function known(Role $role, array $line): ?string
    {
        $at = $this->at['users.csv'];
        $name = mb_strtolower("$line[given] $line[family]");
        foreach (array_slice($this->files['users.csv'], 1) as $row) {
            $isNamed = mb_strtolower("{$row[$at['givenName']]} {$row[$at['familyName']]}") === $name;
            $isSameEmail =
                $line['email'] !== '' && strcasecmp((string) $row[$at['email']], $line['email']) === 0;
            if ($isSameEmail && ($row[$at['role']] !== $role->value || ! $isNamed)) {
                throw new Fault('people.email_taken', 'people', [
                    'email' => $line['email'],
                    'name' => "{$row[$at['givenName']]} {$row[$at['familyName']]}",
                ]);
            }
            if ($isSameEmail) {
                return (string) $row[$at['sourcedId']];
            }
            if ($isNamed && $row[$at['role']] === $role->value && $line['email'] === '') {
                throw new Fault('people.same_name', 'people', ['name' => "$line[given] $line[family]"]);
            }
        }

        return null;
    }

    /** @param  array<string, string>  $line */
    private function guardian(Role $role, array $line): string
    {
        if ($role !== Role::Student || $line['guardian'] === '') {
            return '';
        }
        [$given, $family] = array_pad(explode(' ', $line['guardian'], 2), 2, $line['family']);
        $guardian = ['given' => $given, 'family' => $family, 'email' => $line['guardian_email'], 'year' => ''];

        return $this->known(Role::Guardian, $guardian) ?? $this->person(Role::Guardian, $guardian, '');
    }

    /** @param  array<string, string>  $line */
    private function person(Role $role, array $line, string $guardian): string
    {
        $of = $line['email'] === '' ? "$line[given] $line[family] $line[year]" : $line['email'];
        $id = strtoupper($role->value[0]).'-'.substr(hash('sha256', mb_strtolower("$role->value $of")), 0, 12);
        $this->row('users.csv', [
            'sourcedId' => $id,
            'enabledUser' => 'true',
            'orgSourcedIds' => (string) $this->files['orgs.csv'][1][0],
            'role' => $role === Role::Coordinator ? 'administrator' : $role->value,
            'username' => $line['email'],
            'givenName' => $line['given'],
            'familyName' => $line['family'],
            'identifier' => $id,
            'email' => $line['email'],
            'agentSourcedIds' => $guardian,
            'grades' => $line['year'],
        ]);

        return $id;
    }

    private function enrol(string $person, string $section, Role $role, string $from): void
    {
        $at = $this->at['enrollments.csv'];
        foreach (array_slice($this->files['enrollments.csv'], 1) as $row) {
            $isThis = $row[$at['userSourcedId']] === $person && $row[$at['classSourcedId']] === $section;
            if ($isThis && $row[$at['endDate']] === '') {
                return;
            }
        }
        $this->row('enrollments.csv', [
            'sourcedId' => 'E-'.substr(hash('sha256', "$person $section $from"), 0, 12),
            'classSourcedId' => $section,
            'schoolSourcedId' => (string) $this->files['orgs.csv'][1][0],
            'userSourcedId' => $person,
            'role' => $role->value,
            'primary' => 'false',
            'beginDate' => $from,
        ]);
    }

    /** A section by its code, or by its title with or without the year. */
    private function section(string $typed, string $year): string
    {
        $at = $this->at['classes.csv'];
        $found = [];
        foreach (array_slice($this->files['classes.csv'], 1) as $row) {
            [$id, $title] = [(string) $row[$at['sourcedId']], (string) $row[$at['title']]];
            $of = ltrim((string) $row[$at['grades']], '0');
            if (strcasecmp($id, $typed) === 0) {
                return $id;
            }
            $isTitled = strcasecmp($title, $typed) === 0 && ($year === '' || $of === '' || $of === $year);
            if ($isTitled || strcasecmp("Y$of $title", $typed) === 0) {
                $found[] = $id;
            }
        }
        if (count($found) !== 1) {
            throw new Fault($found === [] ? 'people.no_section' : 'people.two_sections', 'people', ['title' => $typed]);
        }

        return $found[0];
    }

    /** @param  array<string, string>  $values  by column; the others are empty */
    private function row(string $file, array $values): void
    {
        $row = array_fill(0, count($this->at[$file]), '');
        foreach ($values as $column => $value) {
            $row[$this->at[$file][$column]] = $value;
        }
        $this->files[$file][] = $row;
    }

    private function find(string $file, string $column, string $value): ?int
    {
        foreach ($this->files[$file] as $i => $row) {
            if ($i > 0 && $row[$this->at[$file][$column]] === $value) {
                return $i;
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $cells
     * @return list<string> what each column is, '' for one that is not known; none where the line names no columns
     */
    private static function headings(array $cells): array
    {
        $out = [];
        foreach ($cells as $cell) {
            $is = '';
            $cell = (string) preg_replace('/\b(of|the|de|la)\s+/u', '', mb_strtolower($cell));
            foreach (self::HEADINGS as $column => $names) {
                $is = in_array($cell, $names, true) ? $column : $is;
            }
            $out[] = $is;
        }

        return count(array_filter($out)) >= 2 ? $out : [];
    }
}
