<?php

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Series;
use Tests\Support\SmallSchool;

function importCommand(array $change = [], array $options = []): array
{
    $code = Artisan::call('nomada:import', ['path' => SmallSchool::folder($change), '--json' => true, ...$options]);

    return [$code, json_decode(Artisan::output(), true)];
}

test('a good folder is saved, and the same again changes nothing', function () {
    [$code, $first] = importCommand();
    $before = [
        DB::table('people')->orderBy('id')->get(),
        DB::table('sessions')->orderBy('id')->get(),
        DB::table('published_items')->get(),
    ];
    [, $again] = importCommand();

    expect($code)
        ->toBe(0)
        ->and($first['saved'])
        ->toBeTrue()
        ->and($first['done']['people']['added'])
        ->toBe(8)
        ->and(array_sum(array_map(array_sum(...), $again['done'])))
        ->toBe(0)
        ->and([
            DB::table('people')->orderBy('id')->get(),
            DB::table('sessions')->orderBy('id')->get(),
            DB::table('published_items')->get(),
        ])
        ->toEqual($before);
});

test('with any fault nothing is saved, and the exit code is 2', function () {
    [$code, $out] = importCommand([
        'users.csv' => str_replace('rui@school.example', 'rui', SmallSchool::files()['users.csv']),
    ]);

    expect($code)
        ->toBe(2)
        ->and($out['saved'])
        ->toBeFalse()
        ->and($out['faults'][0])
        ->toMatchArray(['file' => 'users.csv', 'line' => 6, 'column' => 'email'])
        ->and(DB::table('schools')->count())
        ->toBe(0);
});

test('--take-good takes the good rows and lists the rest', function () {
    [$code, $out] = importCommand(
        ['users.csv' => str_replace('rui@school.example', 'rui', SmallSchool::files()['users.csv'])],
        ['--take-good' => true],
    );

    expect($code)
        ->toBe(0)
        ->and($out['faults'])
        ->toHaveCount(1)
        ->and($out['followed'])
        ->toBe(['users.csv, line 6' => 1])
        ->and(DB::table('people')->count())
        ->toBe(7);
});

test('a faulty row takes nobody out of a section who was there before', function () {
    importCommand();
    importCommand(
        ['users.csv' => str_replace('rui@school.example', 'rui', SmallSchool::files()['users.csv'])],
        ['--take-good' => true],
    );

    expect(DB::table('enrolments')->count())->toBe(8);
});

test('who is no longer enrolled is taken out, and what changed is changed', function () {
    importCommand();
    $files = SmallSchool::files();
    [, $out] = importCommand([
        'enrollments.csv' => str_replace("E-3,,MAR,S-2,student,false,,\n", '', $files['enrollments.csv']),
        'users.csv' => str_replace('Mestre', 'Mestre Luz', $files['users.csv']),
    ]);

    expect($out['done']['enrolments']['removed'])->toBe(1)->and($out['done']['people']['changed'])->toBe(1);
});

test('a new closed day takes future sessions out, and none that has begun', function () {
    importCommand();
    $ics = str_replace(
        'END:VCALENDAR',
        "BEGIN:VEVENT\r\nUID:a\r\nDTSTAMP:20261201T080000Z\r\nSUMMARY:Storm\r\nDTSTART;VALUE=DATE:20270114\r\n".
            "END:VEVENT\r\nBEGIN:VEVENT\r\nUID:b\r\nDTSTAMP:20261201T080000Z\r\nSUMMARY:Fair\r\n".
            "DTSTART;VALUE=DATE:20270223\r\nEND:VEVENT\r\nEND:VCALENDAR",
        SmallSchool::closures(),
    );
    importCommand(['closures.ics' => $ics]);
    $mar = DB::table('sessions')
        ->join('series', 'series.id', '=', 'series_id')
        ->where('section_id', $this->section('MAR')->id);

    expect((clone $mar)->where('day', '2027-01-14')->value('state'))
        ->toBe('planned')
        ->and((clone $mar)->where('day', '2027-02-23')->first())
        ->toMatchObject(['state' => 'lost', 'reason' => 'Fair']);
});

test('what was changed on the screen survives the same import, and yields to a changed row', function () {
    importCommand();
    $series = $this->section('MAR')->series()->firstOrFail();
    $this->as('A-1')
        ->put("/sections/MAR/series/{$series->id}", [
            'title' => $series->title,
            'kind' => 'weekly',
            'weekdays' => [1],
            'start_time' => '12',
            'end_time' => '12:40',
            'starts_on' => '2027-01-11',
            'end_kind' => 'term',
        ])
        ->assertSessionHasNoErrors();
    importCommand();
    expect(Series::query()->find($series->id)->start_minute)->toBe(720);
    importCommand([
        'timetable.csv' => str_replace('T10:00,47', 'T11:00,47', SmallSchool::files()['timetable.csv']),
    ]);
    expect(Series::query()->find($series->id)->start_minute)->toBe(660);
});

test('sessions are told with offsets, states and reasons', function () {
    importCommand();
    Artisan::call('nomada:sessions', ['--section' => ['MAR'], '--json' => true]);
    $sessions = json_decode(Artisan::output(), true);

    expect($sessions)
        ->toHaveCount(30)
        ->and($sessions[0])
        ->toMatchArray([
            'start' => '2027-01-12T10:00:00+01:00',
            'end' => '2027-01-12T10:47:00+01:00',
            'state' => 'planned',
            'reason' => null,
        ])
        ->and(array_count_values(array_column($sessions, 'state')))
        ->toBe(['planned' => 25, 'lost' => 5])
        ->and(end($sessions)['start'])
        ->toBe('2027-04-22T10:00:00+02:00')
        ->and(Artisan::call('nomada:sessions', ['--section' => ['NOPE'], '--json' => true]))
        ->toBe(1);
});

test('the page shows what is in a zip before anything is saved', function () {
    $this->school();
    $folder = SmallSchool::folder([
        'classes.csv' => str_replace(
            'Statistics,08,8STA',
            'Statistics,08,9STA',
            SmallSchool::files()['classes.csv'],
        ),
    ]);
    $zip = new ZipArchive();
    $zip->open("$folder/school.zip", ZipArchive::CREATE);
    foreach (glob("$folder/*.*") ?: [] as $file) {
        $zip->addFile($file, 'school/'.basename($file));
    }
    $zip->close();
    $sections = DB::table('sections')->count();
    $preview = $this->as('A-1')
        ->post('/term/import', [
            'files' => [new UploadedFile("$folder/school.zip", 'school.zip', 'application/zip', null, true)],
        ])
        ->headers->get('Location');

    $this->get($preview)
        ->assertOk()
        ->assertSee('classes.csv')
        ->assertSee('courseSourcedId')
        ->assertSee('Import good rows');
    $this->post($preview)->assertSessionHasErrors('take_good');
    expect(DB::table('sections')->count())->toBe($sections);
    $this->post($preview, ['take_good' => '1'])
        ->assertRedirect('/term')
        ->assertSessionHas('said');
    $this->get($preview)->assertNotFound();
});

test('a file that is no zip is refused in words', function () {
    $this->school();
    $answer = $this->as('A-1')
        ->from('/term/import')
        ->post('/term/import', ['files' => [UploadedFile::fake()->createWithContent('holiday.txt', 'hello')]]);
    $this->followingRedirects()->get($answer->headers->get('Location'))->assertSee('not a zip');
    $this->from('/term/import')->post('/term/import', [])->assertSessionHasErrors('files');
});

test('what is larger than 64 MB together is refused before it is read, whatever each file says', function () {
    $zip = new ZipArchive();
    $path = sys_get_temp_dir().'/large-'.bin2hex(random_bytes(4)).'.zip';
    $zip->open($path, ZipArchive::CREATE);
    $zip->addFromString('users.csv', str_repeat(' ', 40 * 1024 * 1024));
    $zip->addFromString('enrollments.csv', str_repeat(' ', 30 * 1024 * 1024));
    $zip->close();

    expect(fn () => Nomada\App\Support\ImportFiles::from($path))->toFault('larger than 64 MB together', 'file');
    unlink($path);
});

test('the files of another school are refused, and nothing of ours changes', function () {
    $this->school();
    $orgs = str_replace(['MTS', 'Marisma'], ['OTS', 'Other'], SmallSchool::files()['orgs.csv']);
    expect(fn () => importCommand(['orgs.csv' => $orgs]))
        ->toThrow(Nomada\Core\Fault::class, 'import.school')
        ->and(DB::table('schools')->pluck('name')->all())
        ->toBe(['Marisma Travelling School']);
});
