<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Support\InventedSchool;

test('a section that nobody knows is named, and nothing is done', function (string $command) {
    $this->school();
    expect(Artisan::call($command, ['--section' => ['MAR', 'NOPE']]))
        ->toBe(1)
        ->and(Artisan::output())
        ->toContain('NOPE')
        ->and(DB::table('join_links')->count() + DB::table('registrations')->count() + DB::table('runs')->count())
        ->toBe(0);
})->with([
    'nomada:links',
    'nomada:register',
    'nomada:publish',
    'nomada:calendar',
    'nomada:sessions',
    'nomada:clashes',
    'nomada:free-times',
    'nomada:contact-time',
]);

test('before a school is imported, a command says what to do first', function () {
    expect(Artisan::call('nomada:links'))->toBe(1)->and(Artisan::output())->toContain('nomada:import');
});

test('a path that is not there is a fault in both forms', function () {
    expect(Artisan::call('nomada:import', ['path' => '/nowhere', '--json' => true]))
        ->toBe(2)
        ->and(json_decode(Artisan::output(), true)['faults'][0]['expected'])
        ->toContain('There is no folder or zip')
        ->and(Artisan::call('nomada:import', ['path' => '/nowhere']))
        ->toBe(2)
        ->and(Artisan::output())
        ->toContain('There is no folder or zip');
    $empty = sys_get_temp_dir().'/empty-'.bin2hex(random_bytes(4));
    mkdir($empty);
    expect(Artisan::call('nomada:import', ['path' => $empty]))
        ->toBe(2)
        ->and(Artisan::output())
        ->toContain('None of the known files was found.');
});

test('the demo is loaded once, by the ordinary import, and never where this is no demo', function () {
    expect(Artisan::call('nomada:demo', ['--fresh' => true]))
        ->toBe(0)
        ->and(DB::table('sections')->count())
        ->toBe(24)
        ->and(DB::table('people')->where('role', 'student')->count())
        ->toBe(180);
    DB::table('sections')
        ->where('sourced_id', '8MAR')
        ->update(['title' => 'Changed']);
    expect(Artisan::call('nomada:demo', ['--if-empty' => true]))
        ->toBe(0)
        ->and(DB::table('sections')->where('title', 'Changed')->count())
        ->toBe(1);
    config(['nomada.demo' => false]);
    expect(Artisan::call('nomada:demo'))
        ->toBe(1)
        ->and(Artisan::call('nomada:demo', ['--if-empty' => true]))
        ->toBe(0);
});

test('an invented school is the same for the same seed, another for another, and free of faults', function () {
    $made = function (int $seed): array {
        $folder = sys_get_temp_dir().'/made-'.bin2hex(random_bytes(5));
        Artisan::call('nomada:make-school', [
            '--sections' => 40,
            '--students' => 90,
            '--seed' => $seed,
            '--to' => $folder,
        ]);

        return array_map(
            file_get_contents(...),
            array_combine(array_map(basename(...), glob("$folder/*") ?: []), glob("$folder/*") ?: []),
        );
    };
    [$a, $b, $c] = [$made(7), $made(7), $made(8)];
    $data = Nomada\Core\Interchange\SchoolReader::read($a);

    expect($b)
        ->toBe($a)
        ->and($c)
        ->not->toBe($a)
        ->and($data->faults)
        ->toBe([])
        ->and($data->counts())
        ->toMatchArray(['sections' => 40, 'series' => 80])
        ->and(Artisan::call('nomada:make-school', ['--sections' => 0]))
        ->toBe(1);
    expect(
        InventedSchool::write(sys_get_temp_dir().'/made-'.bin2hex(random_bytes(5)), 30, 60, 1),
    )->toMatchArray(['sections' => 30, 'enrolments' => 330]);
});

test('links are listed as they stand, in both forms', function () {
    $this->standins();
    $this->school();
    Artisan::call('nomada:links', ['--json' => true]);
    $json = json_decode(Artisan::output(), true);
    Artisan::call('nomada:links');

    expect($json['made'])
        ->toBe(2)
        ->and(array_column($json['links'], 'section'))
        ->toBe(['MAR', 'SPA'])
        ->and(Artisan::output())
        ->toContain('+---------+------------------+--------------------------------------------------------+---')
        ->toContain($json['links'][0]['join_code']);
    Artisan::call('nomada:publish', ['--plan' => true]);
    expect(Artisan::output())->toContain('MAR')->toContain('add 14, change 0');
    Artisan::call('nomada:publish');
    expect(Artisan::output())->toContain('items published, 0 failed');
    Artisan::call('nomada:sessions', ['--section' => ['SPA']]);
    expect(Artisan::output())->toContain('Carnival');
});

test('licences, contact time and one make-up are computed on the console as on the screen', function () {
    expect(Artisan::call('nomada:licences', ['--json' => true]))->toBe(1);
    $this->school();
    $json = function (string $command, array $with = []): array {
        expect(Artisan::call($command, [...$with, '--json' => true]))->toBe(0);

        return json_decode(Artisan::output(), true);
    };
    expect(
        array_intersect_key(
            $json('nomada:licences'),
            array_flip(['peak', 'fewest', 'accounts', 'sessions_without_account']),
        ),
    )
        ->toBe(['peak' => 1, 'accounts' => 0, 'fewest' => 1, 'sessions_without_account' => 86])
        ->and($json('nomada:contact-time', ['--section' => ['MAR']]))
        ->toBe([
            [
                'section' => 'MAR',
                'sessions' => 25,
                'planned' => 1410,
                'held' => 376,
                'coming' => 799,
                'lost' => 235,
                'made_up' => 0,
                'target' => null,
                'short' => null,
            ],
        ])
        ->and(
            $json('nomada:free-times', ['--section' => ['MAR'], '--day' => '2027-02-16', '--most' => 1])[0]['cost'],
        )
        ->toBe('everybody is free')
        ->and(Artisan::call('nomada:licences'))
        ->toBe(0)
        ->and(Artisan::call('nomada:contact-time'))
        ->toBe(0)
        ->and(Artisan::output())
        ->toContain('SPA');
});

test('above the columns of a table of the console stand words', function (string $command, string $heads) {
    $this->school();
    Artisan::call("nomada:$command");
    $lines = explode("\n", Artisan::output());
    expect(preg_replace('/\s*\|\s*/', '|', trim($lines[1])))->toBe("|$heads|");
})->with([
    ['attendance --section=MAR', 'Section|Day|Person|Status|Minutes|Late|Left|Absent|Corrected'],
    ['clashes', 'Kind|Severity|Sections|People|Days'],
    ['contact-time', 'Section|Sessions|Planned|Held|To come|Lost|Made up|Target|Shortfall'],
    [
        'free-times --section=MAR',
        'Section|Series|Time|Start|Shift in days|Clear|Of|Student clashes|Early or late|Conflicts',
    ],
    ['licences', 'What|Count'],
    ['match', 'Section|Registrant|Email address|Result|Roster'],
    ['register', 'Section|Registered|Withdrawn'],
    ['sessions', 'Section|Series|Start|End|State|Reason'],
]);

test('a demo that was half loaded is recognised, and the next start loads the rest of it', function () {
    $dies = true;
    DB::listen(function ($query) use (&$dies): void {
        if ($dies && str_contains($query->sql, 'insert into "busy_blocks"')) {
            $dies = false;
            throw new RuntimeException('killed');
        }
    });
    expect(fn () => Artisan::call('nomada:demo', ['--fresh' => true]))
        ->toThrow(RuntimeException::class)
        ->and([DB::table('sections')->count(), DB::table('day_plans')->count()])
        ->toBe([24, 0])
        ->and(Artisan::call('nomada:demo', ['--fresh' => true, '--if-empty' => true]))
        ->toBe(0)
        ->and(Artisan::output())
        ->toContain('only partly loaded')
        ->and([DB::table('sections')->count(), DB::table('day_plans')->count(), DB::table('busy_blocks')->count()])
        ->toBe([24, 2, 3])
        ->and(DB::table('people')->where('has_demo_password', false)->count())
        ->toBe(0)
        ->and(DB::table('settings')->where('name', 'demo')->value('value'))
        ->toBe('whole');
});

test('a school that did not come from the demo is never emptied', function () {
    $this->school();
    expect(Artisan::call('nomada:demo', ['--again' => true]))
        ->toBe(1)
        ->and(DB::table('sections')->count())
        ->toBe(3);
});
