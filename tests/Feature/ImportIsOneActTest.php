<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\CheckDerived;
use Nomada\App\Actions\Publishing\RosterOut;
use Nomada\App\Actions\Term\ImportSchool;
use Nomada\App\Actions\Term\UndoImport;
use Nomada\App\Models\Term\SchoolImport;
use Nomada\App\Models\Term\Term;
use Nomada\Core\Interchange\SchoolReader;
use Tests\Support\SmallSchool;

// An import is one act with one undo, whatever kind of row came, changed, moved or went.

beforeEach(function () {
    $this->school();
    momentAt('2027-02-09', '12:00');
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
});

/** The small school's files with texts replaced in some of them; null takes a line out. */
function filesWith(array $change): array
{
    $files = SmallSchool::files();
    foreach ($change as $name => $pairs) {
        foreach ($pairs as $from => $to) {
            expect($files[$name])->toContain($from);
            $files[$name] = str_replace($from, (string) $to, $files[$name]);
        }
    }

    return $files;
}

function takesImport(array $files): array
{
    return app(ImportSchool::class)(SchoolReader::read($files), personCalled('A-1'), takesRemovals: true);
}

/** Every row that an import may touch, but for what tells when. */
function rowsOfAll(): array
{
    $but = array_flip(['updated_at', 'created_at', 'changed_at', 'sequence', 'remember_token', 'at']);
    $out = [];
    foreach (
        [
            'schools' => 'id',
            'terms' => 'id',
            'courses' => 'id',
            'sections' => 'id',
            'people' => 'id',
            'guardianships' => 'student_id',
            'enrolments' => 'id',
            'closures' => 'uid',
            'series' => 'id',
            'series_sections' => 'series_id',
            'sessions' => 'id',
            'join_links' => 'id',
            'registrations' => 'id',
        ] as $table => $order
    ) {
        $out[$table] = DB::table($table)
            ->orderBy($order)
            ->orderByRaw('1, 2')
            ->get()
            ->map(
                fn (stdClass $r): array => array_diff_key(
                    (array) $r,
                    $but + ($table === 'closures' ? ['id' => 0] : []),
                ),
            )
            ->all();
    }

    return $out;
}

test('each kind of row is imported, undone, and every row is as it was', function (array $change, string $kind) {
    $before = rowsOfAll();
    $done = takesImport(filesWith($change));
    expect(array_sum($done[$kind]))
        ->toBeGreaterThan(0, "nothing of $kind was done")
        ->and(rowsOfAll())
        ->not->toBe($before)
        ->and(app(CheckDerived::class)())
        ->toBe([]);
    app(UndoImport::class)(SchoolImport::query()->latest('id')->firstOrFail(), personCalled('A-1'));
    $after = rowsOfAll();
    foreach ($before as $table => $rows) {
        if ($table === 'join_links' || $table === 'registrations') {
            // Anybody who left has a new link, since the old one is dead for good; who is registered is as it was.
            $people = fn (array $of): array => array_map(
                fn (array $r): array => [$r['series_id'], $r['person_id'], $r['kind'] ?? $r['state']],
                array_values(
                    array_filter(
                        $of,
                        fn (array $r): bool => ($r['retired_at'] ?? null) === null &&
                            ($r['state'] ?? '') !== 'withdrawn',
                    ),
                ),
            );
            expect(array_count_values(array_map('json_encode', $people($after[$table]))))->toEqual(
                array_count_values(array_map('json_encode', $people($rows))),
                $table,
            );
        } else {
            expect($after[$table])->toBe($rows, $table);
        }
    }
    expect(app(CheckDerived::class)())->toBe([]);
})->with([
    'a school called otherwise' => [['orgs.csv' => ['Marisma Travelling School' => 'Marisma School']], 'schools'],
    'a zone' => [['orgs.csv' => ['Europe/Madrid' => 'Atlantic/Azores']], 'schools'],
    'a term that ends sooner' => [['academicSessions.csv' => ['2027-04-23' => '2027-04-09']], 'terms'],
    'a term that begins sooner and ends later' => [
        ['academicSessions.csv' => ['2027-01-11,2027-04-23' => '2027-01-04,2027-05-07']],
        'terms',
    ],
    'a course' => [['courses.csv' => ['8STA,,Statistics' => '8STA,,Numbers']], 'courses'],
    'a section more' => [
        ['classes.csv' => ['STA,,Statistics' => "NEW,,Sailing,08,8STA,MTS,27S\nSTA,,Statistics"]],
        'sections',
    ],
    'a person' => [['users.csv' => ['Nadir,Haddad' => 'Nadir,Haddad Ruiz']], 'people'],
    'a person more' => [
        ['users.csv' => ['G-1,,guardian' => "S-9,,student,Ana,Rey,ana@school.example,08,,\n".'G-1,,guardian']],
        'people',
    ],
    'somebody renumbered' => [
        ['users.csv' => ['S-2,,student' => 'S-22,,student'], 'enrollments.csv' => ['S-2,' => 'S-22,']],
        'people',
    ],
    'a guardian less' => [['users.csv' => ['08,G-1,' => '08,,']], 'guardians'],
    'a guardian more' => [['users.csv' => ['rui@school.example,08,' => 'rui@school.example,08,G-1']], 'guardians'],
    'somebody disabled' => [
        [
            'users.csv' => [
                'sourcedId,status,role' => 'enabledUser,sourcedId,status,role',
                'A-1,,adm' => 'true,A-1,,adm',
                'T-1,,tea' => 'true,T-1,,tea',
                'T-2,,tea' => 'true,T-2,,tea',
                'S-1,,stu' => 'false,S-1,,stu',
                'S-2,,stu' => 'true,S-2,,stu',
                'S-3,,stu' => 'true,S-3,,stu',
                'S-4,,stu' => 'true,S-4,,stu',
                'G-1,,gua' => 'true,G-1,,gua',
            ],
        ],
        'people',
    ],
    'an enrolment more' => [
        ['enrollments.csv' => ['E-8,,' => "E-9,,STA,S-1,student,false,,\nE-8,,"]],
        'enrolments',
    ],
    'an enrolment less' => [['enrollments.csv' => ["E-3,,MAR,S-2,student,false,,\n" => '']], 'enrolments'],
    'an enrolment that moves' => [['enrollments.csv' => ['E-3,,MAR' => 'E-3,,SPA']], 'enrolments'],
    'an enrolment that ends' => [
        ['enrollments.csv' => ['E-3,,MAR,S-2,student,false,,' => 'E-3,,MAR,S-2,student,false,,2027-03-01']],
        'enrolments',
    ],
    'closed days moved' => [['closures.ics' => ['20270129' => '20270305', '20270130' => '20270306']], 'closures'],
    'a series more' => [
        [
            'timetable.csv' => [
                'SPA,Spanish' => "STA,Statistics,2027-01-13T12:00,45,Europe/Madrid,\"FREQ=WEEKLY;BYDAY=WE\"\n".
                    'SPA,Spanish',
            ],
        ],
        'series',
    ],
    'a series changed' => [['timetable.csv' => ['T09:00,40' => 'T13:00,50']], 'series'],
    'a series renamed' => [['timetable.csv' => ['SPA,Spanish Language' => 'SPA,Conversation']], 'series'],
    'a series less' => [
        [
            'timetable.csv' => [
                'SPA,Spanish Language,2027-01-11T09:00,40,Europe/Madrid,"FREQ=DAILY;BYDAY=MO,TU,WE,TH,FR"' => '',
            ],
        ],
        'series',
    ],
]);

test('a series that an import has lost comes back with the next, links and registrations and all', function () {
    $links = fn (): array => DB::table('join_links')
        ->whereNull('retired_at')
        ->orderBy('id')
        ->pluck('secret_hash')
        ->all();
    $before = [$links(), DB::table('sessions')->orderBy('id')->pluck('id')->all()];
    $folder = SmallSchool::folder(['timetable.csv' => "class_sourced_id,title,dtstart,minutes,tzid,rrule\n"]);
    // On the console nothing goes where everything would.
    Artisan::call('nomada:import', ['path' => $folder]);
    expect(Artisan::output())
        ->toContain('2 not removed')
        ->toContain('--take-removals')
        ->and([$links(), DB::table('sessions')->orderBy('id')->pluck('id')->all()])
        ->toBe($before);
    Artisan::call('nomada:import', ['path' => $folder, '--take-removals' => true]);
    expect(DB::table('series')->count())->toBe(0);
    Artisan::call('nomada:import', ['path' => SmallSchool::folder()]);
    expect([$links(), DB::table('sessions')->orderBy('id')->pluck('id')->all()])
        ->toBe($before)
        ->and(app(CheckDerived::class)())
        ->toBe([]);
    // Undone, it is gone again; what a person deletes stays deleted.
    app(UndoImport::class)(SchoolImport::query()->latest('id')->firstOrFail(), personCalled('A-1'));
    expect(DB::table('series')->count())->toBe(0);
    Artisan::call('nomada:import', ['path' => SmallSchool::folder()]);
    $series = $this->section('SPA')->series()->firstOrFail();
    $this->as('A-1')->delete("/sections/SPA/series/$series->id");
    Artisan::call('nomada:import', ['path' => SmallSchool::folder()]);
    expect(DB::table('series')->count())->toBe(1);
});

test('a row that moves to another section ends one membership and begins another: the past stays', function () {
    $attendance = fn (): array => [
        $this->as('A-1')->get('/records/sections/MAR')->getContent(),
        DB::table('session_absences')->orderBy('session_id')->get()->toArray(),
    ];
    takesImport(filesWith(['enrollments.csv' => ['E-3,,MAR' => 'E-3,,SPA']]));
    $rows = DB::table('enrolments')
        ->join('sections', 'sections.id', '=', 'section_id')
        ->where('person_id', personCalled('S-2')->id)
        ->orderBy('begins_on', 'asc')
        ->get(['sections.sourced_id as section', 'begins_on', 'ends_on'])
        ->map(fn (stdClass $r): string => "$r->section $r->begins_on $r->ends_on")
        ->all();
    expect($rows)->toEqualCanonicalizing(['MAR  2027-02-08', 'SPA 2027-02-09 ']);
    // The same file again changes nothing.
    expect(
        array_filter(takesImport(filesWith(['enrollments.csv' => ['E-3,,MAR' => 'E-3,,SPA']]))['enrolments']),
    )->toBe([]);
});

test('who is disabled stays so by whatever path they come into a roster', function () {
    $this->as('A-1')->post('/people/S-4/disabled')->assertSessionHasNoErrors();
    takesImport(filesWith(['enrollments.csv' => ['E-8,,' => "E-9,,MAR,S-4,student,false,,\nE-8,,"]]));
    $this->post('/sections/MAR/people', ['person' => 'S-4', 'role' => 'observer']);
    $this->post('/people/T-1/disabled');
    $this->post('/sections/MAR/people', ['person' => 'T-1', 'role' => 'co-teacher']);
    expect(DB::table('enrolments')->where('person_id', personCalled('S-4')->id)->whereNull('disabled_on')->count())
        ->toBe(0)
        ->and(DB::table('memberships')->where('person_id', personCalled('T-1')->id)->whereNull('ends_on')->count())
        ->toBe(0)
        ->and(
            DB::table('registrations')
                ->where('person_id', personCalled('S-4')->id)
                ->where('state', 'accepted')
                ->count(),
        )
        ->toBe(0)
        ->and(app(CheckDerived::class)())
        ->toBe([]);
});

test('what is exported and read back changes nothing, whatever the school has in it', function () {
    // Series made here in every pattern, changed from a day on, shared, with exceptions; people of every kind.
    $this->as('A-1');
    $form = fn (array $with): array => $with + [
        'kind' => 'weekly',
        'weekdays' => [3],
        'every' => 1,
        'starts_on' => '2027-01-13',
        'start_time' => '12:00',
        'end_time' => '12:45',
        'end_kind' => 'term',
    ];
    foreach (
        [
            ['title' => 'Weekly'],
            ['title' => 'Every second week', 'every' => 2, 'start_time' => '13:00', 'end_time' => '13:45'],
            [
                'title' => 'Dates',
                'kind' => 'dates',
                'dates' => "2027-02-10\n2027-03-12",
                'start_time' => '15:00',
                'end_time' => '16:00',
            ],
            [
                'title' => '=Formula',
                'kind' => 'month-weekday',
                'month_nth' => '2',
                'month_weekday' => '5',
                'start_time' => '16:00',
                'end_time' => '16:30',
            ],
        ] as $one
    ) {
        $this->post('/sections/STA/series', $form($one))->assertSessionHasNoErrors();
    }
    $weekly = $this->section('STA')->series()->where('series.title', 'Weekly')->firstOrFail();
    $this->put(
        "/sections/STA/series/$weekly->id",
        $form(['title' => 'Weekly', 'weekdays' => [4], 'reach' => 'later', 'from_day' => '2027-03-01']),
    )->assertSessionHasNoErrors();
    $this->put(
        "/sections/SPA/series/{$this->section('SPA')->series()->value('series.id')}",
        $form(['title' => 'Conversation', 'weekdays' => [1, 2], 'starts_on' => '2027-01-11', 'reach' => 'whole']),
    );
    $this->post("/sections/STA/series/$weekly->id/sections", ['section' => 'MAR']);
    $this->post('/sections/SPA/people', ['person' => 'T-2', 'role' => 'co-teacher']);
    $this->post('/sections/SPA/people', ['person' => 'S-1', 'role' => 'observer']);
    $this->post('/people/S-3/disabled');
    DB::table('people')
        ->where('sourced_id', 'S-4')
        ->update(['given_name' => '=Lúa', 'roster_language' => 'es']);
    $before = rowsOfAll();
    $files = app(RosterOut::class)(Term::query()->firstOrFail());
    $data = SchoolReader::read($files);
    expect($data->faults)
        ->toBe([])
        ->and(
            array_map(
                fn ($l): string => json_encode($l),
                app(ImportSchool::class)->look($data, personCalled('A-1')),
            ),
        )
        ->toBe([]);
    app(ImportSchool::class)($data, personCalled('A-1'));
    expect(rowsOfAll())->toBe($before);
});
