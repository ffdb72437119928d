<?php

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\CheckDerived;
use Nomada\App\Actions\Term\ImportSchool;
use Nomada\App\Actions\Term\UndoImport;
use Nomada\App\Models\Term\ClosedRange;
use Nomada\App\Models\Timetable\Series;
use Nomada\Core\Interchange\ImportLine;
use Nomada\Core\Interchange\SchoolReader;
use Tests\Support\SmallSchool;

beforeEach(function () {
    $this->school();
    momentAt('2027-02-09');
});

/** One of the small school's files with something else in it. */
function file_with(string $name, string $from, string $to): array
{
    $text = str_replace($from, $to, SmallSchool::files()[$name]);
    expect($text)->not->toBe(SmallSchool::files()[$name]);

    return [$name => $text];
}

/** @return list<string> "kind verb of", the dangerous ones with their code */
function looked(array $change, ?string $by = 'A-1'): array
{
    $lines = app(ImportSchool::class)->look(
        SchoolReader::read(SmallSchool::files($change)),
        $by === null ? null : personCalled($by),
    );

    return array_map(
        fn (ImportLine $l): string => trim("$l->kind $l->verb $l->of".($l->isDangerous() ? " [$l->code]" : '')),
        $lines,
    );
}

function importing(array $change, ?array $sure = null, ?string $by = 'A-1'): array
{
    return app(
        ImportSchool::class,
    )(SchoolReader::read(SmallSchool::files($change)), $by === null ? null : personCalled($by), $sure);
}

function marineSeries(): Series
{
    return Series::query()->whereRelation('section', 'sourced_id', 'MAR')->orderBy('id')->firstOrFail();
}

function carnivalUid(): string
{
    preg_match('/UID:(\S+)(?:(?!END:VEVENT).)*SUMMARY:Carnival/s', SmallSchool::closures(), $m);

    return $m[1];
}

/** Every row that an import can touch. */
function kept(): array
{
    $of = fn (string $table): array => DB::table($table)
        ->orderBy('id')
        ->get()
        ->map(
            fn (stdClass $r): array => array_diff_key((array) $r, [
                'updated_at' => 0,
                'sequence' => 0,
                'changed_at' => 0,
            ]),
        )
        ->all();

    return [
        $of('people'),
        $of('enrolments'),
        $of('sections'),
        $of('closures'),
        $of('series'),
        array_map(fn (array $r): array => array_diff_key($r, ['id' => 0]), $of('sessions')),
    ];
}

test('nothing is dangerous about the same files, and looking writes nothing', function () {
    $before = kept();
    expect(looked([]))
        ->toBe([])
        ->and(kept())
        ->toBe($before)
        ->and(DB::table('imports')->count())
        ->toBe(1);
});

test(
    'who becomes or ceases to be a coordinator, whose address changes, who leaves and what opens is asked one by one',
    function (array $change, string $line, string $code, Closure $is) {
        $code =
            $code === 'series:'
                ? 'series:'.Series::query()->whereRelation('section', 'sourced_id', 'SPA')->value('id')
                : $code;
        expect(looked($change))->toContain("$line [$code]");
        $before = $is();
        importing($change, []);
        expect($is())->toBe($before);
        importing($change, [$code]);
        expect($is())->not->toBe($before)->and(app(CheckDerived::class)())->toBe([]);
    },
)->with([
    'a role' => [
        fn () => file_with('users.csv', 'T-2,,teacher', 'T-2,,administrator'),
        'role change Nadir Haddad',
        'role:T-2',
        fn () => personCalled('T-2')->role->value,
    ],
    'an address' => [
        fn () => file_with('users.csv', 'rui@school.example', 'ruy@school.example'),
        'address change Rui Mestre',
        'address:S-2',
        fn () => personCalled('S-2')->email,
    ],
    'a new coordinator' => [
        fn () => [
            'users.csv' => SmallSchool::files()['users.csv']."A-9,,administrator,Uxía,Rei,u@school.example,,,\n",
        ],
        'people add Uxía Rei',
        'role:A-9',
        fn () => DB::table('people')->where('sourced_id', 'A-9')->count(),
    ],
    'a leaver' => [
        fn () => file_with('enrollments.csv', "E-3,,MAR,S-2,student,false,,\n", ''),
        'enrolments remove Rui Mestre, Y8 Marine Science',
        'leaves:E-3',
        fn () => DB::table('enrolments')->where('sourced_id', 'E-3')->value('ends_on'),
    ],
    'an opened closure' => [
        fn () => [
            'closures.ics' => preg_replace(
                '/BEGIN:VEVENT(?:(?!END:VEVENT).)*Carnival.*?END:VEVENT\r?\n/s',
                '',
                SmallSchool::closures(),
            ),
        ],
        'closures remove Carnival',
        'closure:'.carnivalUid(),
        fn () => ClosedRange::query()->where('reason', 'Carnival')->count(),
    ],
    'somebody disabled' => [
        fn () => [
            'users.csv' => str_replace(
                ['grades,agentSourcedIds', ',08,G-1', ',,,', ',08,,', ',07,,'],
                ['grades,enabledUser,agentSourcedIds', ',08,false,G-1', ',,,,', ',08,,,', ',07,,,'],
                SmallSchool::files()['users.csv'],
            ),
        ],
        'people remove Galia Zabalo',
        'disable:S-1',
        fn () => personCalled('S-1')->disabled_on,
    ],
    'a row of the timetable that is gone' => [
        fn () => ['timetable.csv' => preg_replace('/^SPA.*\n/m', '', SmallSchool::files()['timetable.csv'])],
        'series remove Y7 Spanish Language, Spanish Language',
        'series:',
        fn () => Series::query()->whereRelation('section', 'sourced_id', 'SPA')->count(),
    ],
]);

test('whoever imports stays a coordinator with their own address, and the last one stays one', function () {
    $change = file_with(
        'users.csv',
        'A-1,,administrator,Candela,Marrero,candela@',
        'A-1,,teacher,Candela,Marrero,other@',
    );
    expect(looked($change))->toContain('role stays Candela Marrero', 'address stays Candela Marrero');
    importing($change);
    expect(personCalled('A-1')->role->value)
        ->toBe('coordinator')
        ->and(personCalled('A-1')->email)
        ->toBe('candela@school.example');
    importing($change, null, null);
    expect(personCalled('A-1')->role->value)->toBe('coordinator');
});

test('what was closed or opened here stays so, whatever the files say', function () {
    $this->as('A-1')->post('/term/closures', [
        'first' => '2027-02-25',
        'last' => '2027-02-25',
        'reason' => 'Storm',
    ]);
    $this->delete('/term/closures/'.ClosedRange::query()->where('reason', 'Carnival')->value('id'));
    expect(looked([]))->toBe(['closures stays Carnival', 'closures stays Storm']);
    importing([]);
    expect(ClosedRange::query()->where('reason', 'Storm')->exists())
        ->toBeTrue()
        ->and(ClosedRange::query()->where('reason', 'Carnival')->exists())
        ->toBeFalse();
});

test('a series that was renamed here, or whose row was renamed there, is not made twice', function () {
    marineSeries()->update(['title' => 'Tides']);
    importing([]);
    expect(DB::table('series')->count())
        ->toBe(2)
        ->and(marineSeries()->title)
        ->toBe('Tides');
    // The row gets another title: the series keeps the one that it was given here.
    importing([
        'timetable.csv' => str_replace('MAR,Marine Science,', 'MAR,Shores,', SmallSchool::files()['timetable.csv']),
    ]);
    expect(DB::table('series')->count())
        ->toBe(2)
        ->and(marineSeries()->title)
        ->toBe('Tides');
    // Of one that was not renamed here it is taken over.
    importing([
        'timetable.csv' => str_replace(
            'SPA,Spanish Language,',
            'SPA,Castilian,',
            SmallSchool::files()['timetable.csv'],
        ),
    ]);
    expect(DB::table('series')->pluck('title')->sort()->values()->all())->toBe(['Castilian', 'Tides']);
});

test('a series that was deleted here stays deleted; undone, the import knows it again', function () {
    $id = marineSeries()->id;
    $this->as('A-1')->delete("/sections/MAR/series/$id");
    expect(looked([]))->toBe(['series stays Y8 Marine Science, Marine Science']);
    importing([]);
    expect(DB::table('series')->count())->toBe(1);
    $this->post('/sections/MAR/changes/'.DB::table('series_changes')->max('id').'/undoing');
    expect(looked([]))
        ->toBe([])
        ->and(DB::table('series')->count())
        ->toBe(2);
});

test('a series that somebody has changed here is not deleted because its row is gone', function () {
    marineSeries()->update(['title' => 'Tides']);
    DB::table('series_changes')->insert([
        'section_id' => marineSeries()->section_id,
        'series_id' => marineSeries()->id,
        'at' => now(),
        'words' => 'renamed',
        'before' => '{}',
    ]);
    $without = ['timetable.csv' => preg_replace('/^MAR.*\n/m', '', SmallSchool::files()['timetable.csv'])];
    expect(looked($without))->toBe(['series stays Y8 Marine Science, Tides']);
    importing($without);
    expect(DB::table('series')->count())->toBe(2);
});

test('a moved enrolment takes effect on both sides, there and back', function () {
    $this->standins();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register', ['--section' => ['MAR', 'SPA']]);
    $state = fn (): array => DB::table('registrations')
        ->join('series', 'series.id', '=', 'series_id')
        ->join('sections', 'sections.id', '=', 'section_id')
        ->where('person_id', personCalled('S-2')->id)
        ->pluck('state', 'sections.sourced_id')
        ->all();
    importing(file_with('enrollments.csv', 'E-3,,MAR,S-2', 'E-3,,SPA,S-2'));
    expect($state())
        ->toBe(['MAR' => 'withdrawn', 'SPA' => 'accepted'])
        ->and(app(CheckDerived::class)())
        ->toBe([]);
    importing([]);
    expect($state())
        ->toBe(['MAR' => 'accepted', 'SPA' => 'withdrawn'])
        ->and(app(CheckDerived::class)())
        ->toBe([]);
});

test('two who exchange addresses or places are exchanged', function () {
    importing([
        'users.csv' => strtr(SmallSchool::files()['users.csv'], ['rui@' => 'teo@', 'teo@' => 'rui@']),
        'enrollments.csv' => strtr(SmallSchool::files()['enrollments.csv'], [
            'E-2,,MAR,S-1' => 'E-2,,MAR,S-2',
            'E-3,,MAR,S-2' => 'E-3,,MAR,S-1',
        ]),
    ]);
    expect(personCalled('S-2')->email)
        ->toBe('teo@school.example')
        ->and(personCalled('S-3')->email)
        ->toBe('rui@school.example')
        ->and(DB::table('enrolments')->where('sourced_id', 'E-2')->value('person_id'))
        ->toBe(personCalled('S-2')->id)
        ->and(app(CheckDerived::class)())
        ->toBe([]);
});

test('whoever is gone from the files has left today and keeps what was; back in them, they are back', function () {
    $without = file_with('enrollments.csv', "E-3,,MAR,S-2,student,false,,\n", '');
    importing($without);
    expect(DB::table('enrolments')->where('sourced_id', 'E-3')->value('ends_on'))
        ->toBe('2027-02-08')
        ->and(importing($without)['enrolments'])
        ->toBe(['added' => 0, 'changed' => 0, 'removed' => 0]);
    $this->as('A-1')->get('/registration/desk?show=changes')->assertSee('Rui Mestre')->assertSee('left');
    importing([]);
    expect(DB::table('enrolments')->where('sourced_id', 'E-3')->value('ends_on'))->toBeNull();
    // Who comes in the middle of the term begins then.
    importing(['enrollments.csv' => SmallSchool::files()['enrollments.csv']."E-99,,MAR,S-4,student,false,,\n"]);
    expect(DB::table('enrolments')->where('sourced_id', 'E-99')->value('begins_on'))->toBe('2027-02-09');
});

test('a changed shared series reaches the other section too, and is in its history', function () {
    $this->standins();
    $this->as('A-1')
        ->post('/sections/MAR/series/'.marineSeries()->id.'/sections', ['share' => 'STA'])
        ->assertSessionHasNoErrors();
    Artisan::call('nomada:links');
    importing(['timetable.csv' => str_replace('T10:00,47', 'T11:00,47', SmallSchool::files()['timetable.csv'])]);
    expect(app(CheckDerived::class)())
        ->toBe([])
        ->and(DB::table('series_changes')->orderByDesc('id')->value('words'))
        ->toStartWith('import: ');
});

test('an undo takes the import back and nothing before it', function () {
    $path = '/sections/MAR/series/'.marineSeries()->id;
    $this->as('A-1')->put($path, [
        'title' => 'Marine Science',
        'kind' => 'weekly',
        'weekdays' => [2, 4],
        'start_time' => '11:00',
        'end_time' => '11:47',
        'starts_on' => '2027-01-12',
        'end_kind' => 'term',
    ]);
    importing(['timetable.csv' => str_replace('T10:00,47', 'T12:00,47', SmallSchool::files()['timetable.csv'])]);
    expect(marineSeries()->start_minute)->toBe(720);
    $this->post('/sections/MAR/changes/'.DB::table('series_changes')->max('id').'/undoing');
    expect(marineSeries()->start_minute)->toBe(660);
    // And importing the same row again brings it back.
    importing(['timetable.csv' => str_replace('T10:00,47', 'T12:00,47', SmallSchool::files()['timetable.csv'])]);
    expect(marineSeries()->start_minute)->toBe(720);
});

test('the last import can be taken back, and then all is as it was', function () {
    $this->standins();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    $before = kept();
    $files = SmallSchool::files();
    importing([
        'users.csv' => str_replace('Mestre', 'Mestre Luz', $files['users.csv']).
            "S-9,,student,Noa,Vila,noa@school.example,08,,\n",
        'enrollments.csv' => str_replace("E-3,,MAR,S-2,student,false,,\n", '', $files['enrollments.csv']).
            "E-98,,MAR,S-9,student,false,,\n",
        'closures.ics' => str_replace(
            ['DTSTART;VALUE=DATE:20270129', 'DTEND;VALUE=DATE:20270130'],
            ['DTSTART;VALUE=DATE:20270305', 'DTEND;VALUE=DATE:20270306'],
            $files['closures.ics'],
        ),
        'timetable.csv' => str_replace('T10:00,47', 'T11:00,47', $files['timetable.csv']),
    ]);
    expect(kept())->not->toBe($before);
    $this->as('A-1')
        ->get('/term/import')
        ->assertSee('Last import')
        ->assertSee(
            '1 person added, 1 person changed, 1 enrolment added, 1 enrolment removed, 1 closed day range changed, 1 '
                .'series '
                .'changed',
        );
    $this->post('/term/imports/'.UndoImport::last()->id.'/undoing')->assertSessionHas('said');
    expect(kept())->toBe($before)->and(app(CheckDerived::class)())->toBe([]);
    expect(UndoImport::last())->toBeNull();
});

test('the page shows what the import would do, and only what is ticked is done', function () {
    $folder = SmallSchool::folder([
        'users.csv' => str_replace('T-2,,teacher', 'T-2,,administrator', SmallSchool::files()['users.csv']).
            "S-9,,student,Noa,Vila,noa@school.example,08,,\n",
    ]);
    $uploads = array_map(
        fn (string $f): UploadedFile => new UploadedFile($f, basename($f), null, null, true),
        glob("$folder/*.*"),
    );
    $at = $this->as('A-1')
        ->post('/term/import', ['files' => $uploads])
        ->headers->get('Location');
    $this->get($at)
        ->assertOk()
        ->assertSee('Nadir Haddad changes from teacher to coordinator')
        ->assertSee('1 to add')
        ->assertSee('Noa Vila');
    expect(DB::table('people')->where('sourced_id', 'S-9')->exists())->toBeFalse();
    $this->post($at, [])->assertRedirect('/term')->assertSessionHas('said', 'Imported: 1 person added.');
    expect(personCalled('T-2')->role->value)->toBe('teacher')->and(personCalled('S-9')->given_name)->toBe('Noa');
});

test('real rosters: no address, a family\'s address, no zone, other separators and encodings', function () {
    $users = str_replace(
        ['rui@school.example', 'teo@school.example'],
        ['', 'galia@school.example'],
        SmallSchool::files()['users.csv'],
    );
    $data = SchoolReader::read(SmallSchool::files(['users.csv' => $users]));
    expect($data->faults)
        ->toBe([])
        ->and($data->people['S-2']['email'])
        ->toBeNull()
        ->and(array_column($data->warnings, 'column'))
        ->toContain('email');
    importing(['users.csv' => $users]);
    // Who shares an address signs in by the school's id of them.
    personCalled('S-3')
        ->forceFill(['password' => 'a long password'])
        ->save();
    $this->post('/sign-in', [
        'email' => 'galia@school.example',
        'password' => 'a long password',
    ])->assertSessionHasErrors('email');
    $this->post('/sign-in', ['email' => 'S-3', 'password' => 'a long password'])->assertRedirect();
    $this->assertAuthenticatedAs(personCalled('S-3'));
    $orgs = ['orgs.csv' => str_replace('Europe/Madrid', '', SmallSchool::files()['orgs.csv'])];
    expect(SchoolReader::read(SmallSchool::files($orgs))->needsZone)
        ->toBeTrue()
        ->and(SchoolReader::read(SmallSchool::files($orgs), 'Europe/Madrid')->faults)
        ->toBe([]);
    foreach (['orgs.csv', 'academicSessions.csv', 'courses.csv', 'classes.csv', 'users.csv'] as $name) {
        $text = SmallSchool::files()[$name];
        foreach (
            [
                strtr($text, ',', ';'),
                strtr($text, ',', "\t"),
                "\xFF\xFE".mb_convert_encoding($text, 'UTF-16LE', 'UTF-8'),
            ] as $other
        ) {
            $read = SchoolReader::read(SmallSchool::files([$name => $other]));
            expect($read->faults)
                ->toBe([])
                ->and($read->people)
                ->toEqual(SchoolReader::read(SmallSchool::files())->people);
            expect($read->warnings)->not->toBe([]);
        }
    }
});

test('over random nights of imports everything derived follows, and the last one can be taken back', function (
    int $seed,
) {
    mt_srand($seed);
    $this->standins();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register', ['--section' => ['MAR', 'SPA']]);
    $roll = fn (int $n): bool => mt_rand(1, $n) === 1;
    for ($night = 0; $night < 6; $night++) {
        momentAt('2027-02-'.(10 + 2 * $night));
        $files = SmallSchool::files();
        $roll(2) &&
            ($files['enrollments.csv'] = str_replace(
                'E-3,,MAR',
                'E-3,,'.['SPA', 'STA'][mt_rand(0, 1)],
                $files['enrollments.csv'],
            ));
        $roll(3) && ($files['enrollments.csv'] = preg_replace('/^E-6.*\n/m', '', $files['enrollments.csv']));
        $roll(3) && ($files['enrollments.csv'] .= "E-50,,MAR,S-4,student,false,,\n");
        $roll(3) &&
            ($files['timetable.csv'] = str_replace(
                'T10:00,47',
                'T'.mt_rand(10, 15).':05,47',
                $files['timetable.csv'],
            ));
        $roll(3) &&
            ($files['closures.ics'] = str_replace('20270129', '202703'.mt_rand(10, 19), $files['closures.ics']));
        $roll(3) &&
            $this->as('A-1')->post('/term/closures', [
                'first' => ($d = '2027-03-'.sprintf('%02d', mt_rand(1, 9))),
                'last' => $d,
                'reason' => 'Storm',
            ]);
        $before = kept();
        $newest = (int) DB::table('imports')->max('id');
        importing($files);
        expect(app(CheckDerived::class)())->toBe([]);
        $last = UndoImport::last();
        if ($last !== null && $last->id > $newest && $roll(2)) {
            app(UndoImport::class)($last, personCalled('A-1'));
            expect(kept())->toBe($before)->and(app(CheckDerived::class)())->toBe([]);
        }
    }
})->with([1, 2, 3, 4]);

test('an import says what closed days cost, and which close none', function () {
    $events = str_replace(
        'END:VCALENDAR',
        "BEGIN:VEVENT\r\nUID:storm\r\nDTSTAMP:20261201T080000Z\r\nSUMMARY:Storm\r\nDTSTART;VALUE=DATE:20270302\r\n".
            "END:VEVENT\r\nBEGIN:VEVENT\r\nUID:summer\r\nDTSTAMP:20261201T080000Z\r\nSUMMARY:Summer\r\n".
            "DTSTART;VALUE=DATE:20270802\r\nEND:VEVENT\r\nBEGIN:VEVENT\r\nUID:visit\r\nDTSTAMP:20261201T080000Z\r\n".
            "SUMMARY:Visit\r\nDTSTART:20270309T080000Z\r\nDTEND:20270309T110000Z\r\nEND:VEVENT\r\nEND:VCALENDAR",
        (string) preg_replace('/BEGIN:VEVENT\r\nUID:easter.*?END:VEVENT\r\n/s', '', SmallSchool::closures()),
    );
    $lines = array_filter(
        app(ImportSchool::class)->look(
            SchoolReader::read(SmallSchool::files(['closures.ics' => $events])),
            personCalled('A-1'),
        ),
        fn (ImportLine $l): bool => $l->kind === 'closures',
    );
    expect(
        array_map(fn (ImportLine $l): string => "$l->verb $l->of $l->after $l->sessions", array_values($lines)),
    )->toEqualCanonicalizing([
        'remove Easter break  14',
        'add Storm 2027-03-02 2027-03-02 2',
        'outside Summer  0',
        'hours Visit 09:00–12:00 0',
    ]);
    importing(['closures.ics' => $events], []);
    expect(ClosedRange::query()->orderBy('starts_on')->pluck('reason')->all())->toBe([
        'Staff day',
        'Carnival',
        'Storm',
        'Easter break',
    ]);
});
