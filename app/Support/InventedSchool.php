<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Writes the import folder of an invented school of any size, the same for the same seed: for measuring, and for seeing
 * long lists.
 *
 * Six years; each year's sections are in five option blocks, whose times do not overlap, and every student takes one
 * section of each block. Each section meets in two series (a lesson on two days, a practical on two others). A few
 * teachers are given two sections at once, and a few students change blocks, so that there are clashes to be found.
 */
final class InventedSchool
{
    private const GIVEN = [
        'Ana',
        'Bruno',
        'Celia',
        'Dario',
        'Elena',
        'Fadil',
        'Greta',
        'Hugo',
        'Irena',
        'Jalil',
        'Karim',
        'Lara',
        'Mateo',
        'Nadia',
        'Olaf',
        'Petra',
        'Quim',
        'Rania',
        'Sami',
        'Teo',
        'Uxia',
        'Vera',
        'Wafa',
        'Xenia',
        'Yara',
        'Zoran',
    ];

    private const FAMILY = [
        'Abella',
        'Barros',
        'Castell',
        'Doural',
        'Esteve',
        'Fontao',
        'Garces',
        'Haddou',
        'Ibarro',
        'Jardim',
        'Kallas',
        'Lourido',
        'Mestral',
        'Noguer',
        'Ordal',
        'Pineiro',
        'Quiral',
        'Rebolo',
        'Salgado',
        'Tavira',
        'Urdal',
        'Vilaro',
        'Xeres',
        'Ybarro',
        'Zabal',
    ];

    private const SUBJECTS = [
        'Mathematics',
        'English',
        'Spanish',
        'History',
        'Geography',
        'Chemistry',
        'Physics',
        'Biology',
        'Music',
        'Art',
        'Navigation',
        'Civics',
        'Economics',
        'Statistics',
        'Philosophy',
        'Marine Science',
        'Drama',
        'Latin',
        'Computing',
        'Design',
    ];

    private const ZONES = [
        'Europe/Madrid',
        'Europe/Madrid',
        'Europe/Madrid',
        'Europe/Madrid',
        'Atlantic/Canary',
        'Europe/Lisbon',
        'Africa/Casablanca',
        'Europe/Athens',
        'Atlantic/Azores',
    ];

    private const BLOCKS = 5;

    private Randomizer $random;

    private function __construct(
        private readonly string $folder,
        private readonly int $sections,
        private readonly int $students,
        int $seed,
    ) {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /**
     * @param  string|null  $closures  the file of closed days; the demo school's where null
     * @return array<string, int> how many of each were written
     */
    public static function write(
        string $folder,
        int $sections,
        int $students,
        int $seed,
        ?string $closures = null,
    ): array {
        return (new self($folder, $sections, $students, $seed))->all(
            $closures ?? database_path('demo/marisma/closures.ics'),
        );
    }

    /** @return array<string, int> */
    private function all(string $closures): array
    {
        is_dir($this->folder) || mkdir($this->folder, 0777, true);
        $this->csv(
            'orgs.csv',
            ['sourcedId', 'name', 'type', 'metadata.timeZone'],
            [['LTS', 'Large Travelling School', 'school', 'Europe/Madrid']],
        );
        $this->csv(
            'academicSessions.csv',
            ['sourcedId', 'title', 'type', 'startDate', 'endDate'],
            [['L27', 'Spring term', 'term', '2027-01-11', '2027-04-23']],
        );
        $courses = $classes = $timetable = $enrolments = [];
        $users = [$this->person('A-1', 'administrator', 0, '', 'Europe/Madrid')];
        $blocks = [];
        $n = 0;
        $teachers = max(1, (int) ceil($this->sections / self::BLOCKS));
        for ($i = 0; $i < $this->sections; $i++) {
            $year = 7 + ($i % 6);
            $block = intdiv($i, 6) % self::BLOCKS;
            $subject = self::SUBJECTS[intdiv($i, 6 * self::BLOCKS) % count(self::SUBJECTS)];
            $id = sprintf('L-%04d', $i + 1);
            $code = $year.strtoupper(substr($subject, 0, 3)).($block + 1);
            $courses["$year$subject$block"] = [$code, "$subject ".($block + 1), $code];
            $classes[] = [
                $id,
                "$subject ".($block + 1).chr(65 + (intdiv($i, 6 * self::BLOCKS * count(self::SUBJECTS)) % 26)),
                str_pad((string) $year, 2, '0', STR_PAD_LEFT),
                $code,
                'L27',
            ];
            $blocks[$year][$block][] = $id;
            // Within a block every teacher has one section; about one in forty is given a second at the same time.
            $teacher = intdiv($i, 6 * self::BLOCKS) * 6 + ($i % 6);
            $teacher = $this->random->getInt(1, 40) === 1 ? max(0, $teacher - 6) : $teacher;
            $enrolments[] = ['E-'.++$n, $id, sprintf('T-%04d', ($teacher % $teachers) + 1), 'teacher', 'true'];
            $minute = 8 * 60 + 30 + $block * 80 + ($year - 7) * 5;
            $time = sprintf('T%02d:%02d', intdiv($minute, 60), $minute % 60);
            $timetable[] = [
                $id,
                'Lesson',
                "2027-01-11$time",
                $this->random->getInt(8, 12) * 5,
                'Europe/Madrid',
                'FREQ=WEEKLY;BYDAY=MO,WE,FR;UNTIL=20270423T215959Z',
            ];
            $timetable[] = [
                $id,
                'Practical',
                "2027-01-12$time",
                $this->random->getInt(8, 14) * 5,
                'Europe/Madrid',
                'FREQ=WEEKLY;BYDAY=TU,TH;UNTIL=20270423T215959Z',
            ];
        }
        for ($t = 1; $t <= $teachers; $t++) {
            $users[] = $this->person(sprintf('T-%04d', $t), 'teacher', $t, '', 'Europe/Madrid');
        }
        $years = array_keys($blocks);
        for ($s = 1; $s <= $this->students; $s++) {
            $year = $years[$s % count($years)];
            $users[] = $this->person(
                sprintf('S-%05d', $s),
                'student',
                $s,
                str_pad((string) $year, 2, '0', STR_PAD_LEFT),
                self::ZONES[$this->random->getInt(0, count(self::ZONES) - 1)],
            );
            foreach ($blocks[$year] as $block => $ids) {
                // One in two hundred takes a section of another year's block of that number, whose time overlaps their
                // own.
                $from =
                    $this->random->getInt(1, 200) === 1
                        ? $blocks[$years[($s + 1) % count($years)]][$block] ?? $ids
                        : $ids;
                $enrolments[] = [
                    'E-'.++$n,
                    $from[$this->random->getInt(0, count($from) - 1)],
                    sprintf('S-%05d', $s),
                    'student',
                    'false',
                ];
            }
        }
        $this->csv('courses.csv', ['sourcedId', 'title', 'courseCode'], array_values($courses));
        $this->csv('classes.csv', ['sourcedId', 'title', 'grades', 'courseSourcedId', 'termSourcedIds'], $classes);
        $this->csv(
            'users.csv',
            ['sourcedId', 'role', 'givenName', 'familyName', 'email', 'grades', 'metadata.timeZone'],
            $users,
        );
        $this->csv(
            'enrollments.csv',
            ['sourcedId', 'classSourcedId', 'userSourcedId', 'role', 'primary'],
            $enrolments,
        );
        $this->csv(
            'timetable.csv',
            ['class_sourced_id', 'title', 'dtstart', 'minutes', 'tzid', 'rrule'],
            $timetable,
        );
        copy($closures, "$this->folder/closures.ics");

        return [
            'sections' => count($classes),
            'people' => count($users),
            'enrolments' => count($enrolments),
            'series' => count($timetable),
        ];
    }

    /** @return list<string> */
    private function person(string $id, string $role, int $n, string $year, string $zone): array
    {
        $given = self::GIVEN[$this->random->getInt(0, count(self::GIVEN) - 1)];
        $family = self::FAMILY[$this->random->getInt(0, count(self::FAMILY) - 1)];

        return [$id, $role, $given, $family, strtolower("$given.$family.$role$n@large.example"), $year, $zone];
    }

    /**
     * @param  list<string>  $header
     * @param  list<list<mixed>>  $rows
     */
    private function csv(string $name, array $header, array $rows): void
    {
        $out =
            fopen("$this->folder/$name", 'w') ?:
            throw new \RuntimeException("$this->folder/$name cannot be written");
        foreach ([$header, ...$rows] as $row) {
            fputcsv($out, array_map(fn (mixed $v): string => is_scalar($v) ? (string) $v : '', $row), escape: '');
        }
        fclose($out);
    }
}
