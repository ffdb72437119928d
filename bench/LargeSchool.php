<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Nomada\App\Support\InventedSchool;
use Nomada\Core\Interchange\SchoolReader;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\Attendee;
use Nomada\Core\Timetable\Meeting;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\Solver\TimetabledSeries;
use PDO;

/**
 * The large invented school, read by our own reader; and its rows in temporary tables of PostgreSQL, for peers that
 * answer in SQL.
 */
final class LargeSchool
{
    private readonly \Nomada\Core\Interchange\SchoolData $data;

    public readonly Term $term;

    private PDO $pdo;

    public function __construct(int $sections = 600, int $students = 9000)
    {
        $folder = sys_get_temp_dir()."/nomada-bench-$sections-$students";
        if (! is_file("$folder/timetable.csv")) {
            InventedSchool::write(
                $folder,
                $sections,
                $students,
                7,
                __DIR__.'/../database/demo/marisma/closures.ics',
            );
        }
        $files = [];
        foreach (glob("$folder/*") ?: [] as $file) {
            $files[basename($file)] = (string) file_get_contents($file);
        }
        $this->data = SchoolReader::read($files);
        $this->term = new Term(
            'Spring term',
            LocalDate::parse('2027-01-11'),
            LocalDate::parse('2027-04-23'),
            Zone::named('Europe/Madrid'),
            array_map(
                fn (array $c): Closure => new Closure(
                    LocalDate::parse($c['first']),
                    LocalDate::parse($c['last']),
                    $c['reason'],
                ),
                $this->data->closures ?? [],
            ),
        );
    }

    /**
     * @param  int  $accounts  over how many host accounts the series are dealt out, without regard to their times; 0
     *   for none
     * @return list<Meeting>
     */
    public function meetings(int $accounts = 0): array
    {
        $sections = array_flip(array_keys($this->data->sections));
        $out = [];
        foreach ($this->data->series ?? [] as $i => $series) {
            $plan = $series['plan'];
            $sessions = [];
            foreach ($plan->sessions($this->term) as $s) {
                if ($s->state === SessionState::Planned) {
                    $sessions[] = [$s->day, $s->start, $s->end];
                }
            }
            $out[] = new Meeting(
                $i + 1,
                $sections[$series['section']],
                $sessions,
                $plan->startMinute,
                $plan->startMinute + $plan->minutes,
                null,
                $accounts === 0 ? null : ($i % $accounts) + 1,
            );
        }

        return $out;
    }

    /** @return list<TimetabledSeries> as the solver reads them */
    public function timetabled(): array
    {
        $rosters = $this->rosters();
        $plans = array_column($this->data->series ?? [], 'plan');

        return array_map(
            fn (Meeting $m): TimetabledSeries => new TimetabledSeries(
                $m->series,
                $m->series,
                $m->section,
                $plans[$m->series - 1],
                $m->sessions,
                [],
                $rosters[$m->section] ?? [],
            ),
            $this->meetings(),
        );
    }

    /** @return array<int, list<Attendee>> */
    public function rosters(): array
    {
        $sections = array_flip(array_keys($this->data->sections));
        $people = array_flip(array_keys($this->data->people));
        $out = [];
        foreach ($this->data->enrolments as $e) {
            $out[$sections[$e['section']]][] = new Attendee(
                $people[$e['person']],
                $e['role'] !== 'student',
                null,
                null,
                $this->data->people[$e['person']]['time_zone'],
            );
        }

        return $out;
    }

    /**
     * @param  list<Meeting>  $meetings
     * @param  array<int, list<Attendee>>  $rosters
     */
    public function fill(array $meetings, array $rosters): void
    {
        $env = [];
        foreach (
            is_file(__DIR__.'/../.env') ? (file(__DIR__.'/../.env', FILE_IGNORE_NEW_LINES) ?: []) : [] as $line
        ) {
            if (preg_match('/^(DB_\w+)=(.*)$/', $line, $m)) {
                $env[$m[1]] = $m[2];
            }
        }
        $get = fn (string $name, string $default): string => getenv($name) ?: $env[$name] ?? $default;
        $this->pdo = new PDO(
            sprintf(
                'pgsql:host=%s;port=%s;dbname=postgres',
                $get('DB_HOST', '127.0.0.1'),
                $get('DB_PORT', '54330'),
            ),
            $get('DB_USERNAME', 'nomada'),
            $get('DB_PASSWORD', ''),
            [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
        );
        $this->pdo->exec(
            'create temp table s (series int, section int, account int, span int8range); create temp table e (section '.
                'int, person int, teacher boolean)',
        );
        $rows = [];
        foreach ($meetings as $m) {
            foreach ($m->sessions as [, $start, $end]) {
                $rows[] = "$m->series\t$m->section\t".($m->account ?? '\\N')."\t[$start,$end)";
            }
        }
        $this->pdo->pgsqlCopyFromArray('s', $rows);
        $rows = [];
        foreach ($rosters as $section => $attendees) {
            foreach ($attendees as $a) {
                $rows[] = "$section\t$a->person\t".($a->isTeacher ? 't' : 'f');
            }
        }
        $this->pdo->pgsqlCopyFromArray('e', $rows);
        $this->pdo->exec(
            'create index on s using gist (span); create index on s (section); create index on s (account);
                create index on e (person, teacher); create index on e (section); analyze s; analyze e',
        );
    }

    /**
     * The same question in SQL: sections that share somebody, then sessions of theirs that overlap.
     *
     * @return list<string> kind and the two series
     */
    public function overlaps(): array
    {
        $found = $this->pdo->query("
            with pairs as (select distinct least(a.section, b.section) as a, greatest(a.section, b.section) as b,
                a.teacher from e a join e b on a.person = b.person and a.teacher = b.teacher and a.section <= b.section)
            select distinct case when p.teacher then 'teacher ' else 'students ' end || least(x.series, y.series) ||
                ' ' || greatest(x.series, y.series)
            from pairs p join s x on x.section = p.a join s y on y.section = p.b and x.span && y.span and (p.a <>
                p.b or x.series < y.series)
            union
            select distinct 'account ' || x.series || ' ' || y.series from s x join s y on x.account = y.account and
                x.series < y.series and x.span && y.span");

        return $found === false ? [] : array_values(array_map(strval(...), $found->fetchAll(PDO::FETCH_COLUMN)));
    }
}
