<?php

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

function presenceFile(string $text): string
{
    $path = sys_get_temp_dir().'/presence-'.bin2hex(random_bytes(4)).'.csv';
    file_put_contents($path, $text);

    return $path;
}

/** @return array{int, mixed} */
function presenceList(string $text, array $with = []): array
{
    $code = Artisan::call('nomada:presence', [
        'file' => presenceFile($text),
        '--section' => ['MAR'],
        '--day' => '2027-02-09',
        '--json' => true,
        ...$with,
    ]);

    return [$code, json_decode(Artisan::output(), true)];
}

/** @return array<string, array<string, mixed>> by person */
function attendance(string $day = '2027-02-09'): array
{
    Artisan::call('nomada:attendance', ['--section' => ['MAR'], '--day' => $day, '--json' => true]);

    return array_column((array) json_decode(Artisan::output(), true), null, 'person');
}

const LESSON =
    "person,at,what,device\nS-1,2027-02-09T09:58:00+01:00,join,phone\nS-1,2027-02-09T10:47:00+01:00,leave,phone\n".
    "rui@school.example,2027-02-09T10:08:00+01:00,join,\nNadir Haddad,2027-02-09T09:55:00+01:00,join,\n";

test('a list of another service becomes attendance, and the same list again changes nothing', function () {
    $this->school();
    momentAt('2027-02-09', '12:00');
    expect(presenceList(LESSON))->toBe([0, ['events' => 4, 'new' => 4, 'people' => 3, 'guests' => 0]]);
    expect(attendance())->toBe([
        'S-3' => [
            'day' => '2027-02-09',
            'person' => 'S-3',
            'status' => 'absent',
            'minutes' => 0,
            'late' => 0,
            'left' => 0,
            'away' => 0,
            'corrected' => false,
        ],
        'S-2' => [
            'day' => '2027-02-09',
            'person' => 'S-2',
            'status' => 'late',
            'minutes' => 39,
            'late' => 8,
            'left' => 0,
            'away' => 0,
            'corrected' => false,
        ],
        'S-1' => [
            'day' => '2027-02-09',
            'person' => 'S-1',
            'status' => 'present',
            'minutes' => 47,
            'late' => 0,
            'left' => 0,
            'away' => 0,
            'corrected' => false,
        ],
    ]);
    expect(presenceList(LESSON)[1]['new'])
        ->toBe(0)
        ->and(DB::table('presence_events')->count())
        ->toBe(4)
        ->and(
            (array) DB::table('session_sums')->first(['present', 'late', 'partial', 'absent', 'excused', 'guests']),
        )
        ->toBe(['present' => 1, 'late' => 1, 'partial' => 0, 'absent' => 1, 'excused' => 0, 'guests' => 0]);
});

test('a fault of a list names line and column, and nothing is kept', function () {
    $this->school();
    momentAt('2027-02-09', '12:00');
    [$code, $said] = presenceList(LESSON."S-1,noon,leave,\nVera Ocampo,2027-02-09T10:08:00+01:00,join,\n");
    expect($code)
        ->toBe(1)
        ->and(array_map(fn (array $f): array => [$f['line'], $f['column']], $said['faults']))
        ->toBe([[6, 'at'], [7, 'person']])
        ->and(DB::table('presence_events')->count())
        ->toBe(0);
    // On the screen the same.
    $at = (string) $this->as('A-1')
        ->post('/records/sections/MAR/lists', [
            'date' => '2027-02-09',
            'zone' => 'Europe/Madrid',
            'list' => UploadedFile::fake()->createWithContent('list.csv', LESSON."S-1,noon,leave,\n"),
        ])
        ->headers->get('Location');
    $this->get($at)->assertOk()->assertSee('line 6, column at');
    // Who is nobody of the section may be a guest, if somebody says so.
    expect(
        presenceList(LESSON."Vera Ocampo,2027-02-09T10:08:00+01:00,join,\n", ['--guests' => true])[1]['guests'],
    )
        ->toBe(1)
        ->and(DB::table('session_sums')->value('guests'))
        ->toBe(1)
        ->and(attendance())
        ->toHaveCount(3);
});

test('a list is refused for a day without a session, a section that is none, and a file that is none', function () {
    $this->school();
    momentAt('2027-02-09', '12:00');
    expect(presenceList(LESSON, ['--day' => '2027-02-10'])[1]['faults'][0]['expected'])
        ->toContain('Y8 Marine Science had no session on Wed 10 Feb.')
        ->and(presenceList(LESSON, ['--day' => '2027-02-11'])[0])
        ->toBe(1)
        ->and(presenceList(LESSON, ['--day' => 'soon'])[0])
        ->toBe(1)
        ->and(presenceList(LESSON, ['--section' => ['NONE']])[1]['faults'][0]['expected'])
        ->toContain('Name one section')
        ->and(presenceList(LESSON, ['file' => '/nowhere.csv'])[1]['faults'][0]['expected'])
        ->toContain('There is no file');
});

test(
    'the roster of the day counts: who left, who comes later, and sessions of which nothing is known',
    function () {
        $this->school();
        momentAt('2027-03-02', '12:00');
        // S-3 leaves on 20 February.
        foreach (['2027-02-18', '2027-02-23'] as $day) {
            presenceList("person,at,what\nS-1,{$day}T10:00:00+01:00,join\n", ['--day' => $day]);
        }
        expect(array_keys(attendance('2027-02-18')))
            ->toBe(['S-3', 'S-2', 'S-1'])
            ->and(array_keys(attendance('2027-02-23')))
            ->toBe(['S-2', 'S-1'])
            ->and(attendance('2027-02-25'))
            ->toBe([]);
    },
);
