<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\InventedSchool;
use Tests\Support\SmallSchool;

/** Statistics at the time of Marine Science: Teo is in both, until 20 February. */
function clashing(): array
{
    $statistics = "STA,Statistics,2027-01-14T10:30,45,,FREQ=WEEKLY;BYDAY=TH\n";

    return ['timetable.csv' => SmallSchool::files()['timetable.csv'].$statistics];
}

test('clashes are found by the import, told on every screen, and as JSON', function () {
    $this->school(clashing());
    Artisan::call('nomada:clashes', ['--json' => true]);

    // 18 February is the last Thursday before Teo leaves Marine Science.
    expect(json_decode(Artisan::output(), true))->toBe([
        [
            'kind' => 'students',
            'gravity' => 'soft',
            'sections' => ['MAR', 'STA'],
            'people' => 1,
            'dates' => ['2027-01-14', '2027-01-21', '2027-01-28', '2027-02-04', '2027-02-11', '2027-02-18'],
        ],
    ]);
    $this->as('A-1')
        ->get('/timetable/clashes')
        ->assertSee('1 student would be in two places')
        ->assertSee('Thu 11 Feb and Thu 18 Feb');
    $this->get('/')->assertSee('2 clashes with Y8 Statistics')->assertSee('1 clash');
    $this->get('/sections/STA')->assertSee('2 clashes with Y8 Marine Science');
});

test('moving a series takes its clash away; moving it back brings it', function () {
    $this->school(clashing());
    $series = $this->section('STA')->series()->firstOrFail();
    $form = [
        'title' => 'Statistics',
        'kind' => 'weekly',
        'weekdays' => [4],
        'start_time' => '12',
        'end_time' => '12:45',
        'starts_on' => '2027-01-14',
        'end_kind' => 'term',
    ];
    $this->as('A-1')
        ->put("/sections/STA/series/{$series->id}", $form)
        ->assertSessionHasNoErrors();
    // What has begun stays where it was, and so do its clashes: four Thursdays are past.
    expect(json_decode((string) DB::table('clashes')->where('kind', 'students')->value('days'), true))->toHaveCount(
        4,
    );
    $this->put("/sections/STA/series/{$series->id}", [...$form, 'start_time' => '10:30', 'end_time' => '11:15']);
    expect(json_decode((string) DB::table('clashes')->where('kind', 'students')->value('days'), true))->toHaveCount(
        6,
    );
    $this->delete("/sections/STA/series/{$series->id}");
    expect(DB::table('clashes')->count())->toBe(0);
});

test('a clash is accepted with a reason and a name, and counts again when that is taken back', function () {
    $this->school(clashing());
    $series = [$this->section('MAR')->series()->value('id'), $this->section('STA')->series()->value('id')];
    $key = 'students '.min($series).' '.max($series);
    $this->as('A-1')
        ->post('/timetable/clashes', ['key' => $key, 'reason' => ' '])
        ->assertSessionHasErrors('reason');
    $this->post('/timetable/clashes', ['key' => 'nonsense', 'reason' => 'x'])->assertSessionHasErrors('key');
    $this->post('/timetable/clashes', ['key' => $key, 'reason' => 'Teo watches the recording'])->assertRedirect(
        '/timetable/clashes',
    );
    $this->get('/timetable/clashes')->assertSee('No clashes');
    $this->get('/timetable/clashes?show=accepted')
        ->assertSee('Teo watches the recording')
        ->assertSee('Candela Marrero');
    $this->get('/')->assertDontSee('clashes with');
    $this->delete('/timetable/clashes', ['key' => $key]);
    $this->get('/')->assertSee('2 clashes with');
});

test('free times are those at which nobody is elsewhere, best first', function () {
    $this->school(clashing());
    Artisan::call('nomada:free-times', ['--section' => ['STA'], '--json' => true]);
    $free = json_decode(Artisan::output(), true);

    // Ten Thursdays are to come; Teo's Marine Science ends at 10:47.
    expect($free[0])
        ->toMatchArray([
            'section' => 'STA',
            'time' => 'Thu 10:50–11:35',
            'shift_days' => 0,
            'clear' => 9,
            'sessions' => 9,
            'student_clashes' => 0,
        ])
        ->and(Artisan::call('nomada:free-times', ['--section' => ['STA'], '--from' => 'soon']))
        ->toBe(1);
    $this->as('A-1')
        ->get('/sections/STA?change='.$this->section('STA')->series()->value('id'))
        ->assertSee('Free times')
        ->assertSee('Use Thu 10:50–11:35');
});

test('observers are in nobody\'s way', function () {
    $this->school([
        ...clashing(),
        'enrollments.csv' => str_replace(
            'E-8,,STA,S-3,student',
            'E-8,,STA,S-3,proctor',
            SmallSchool::files()['enrollments.csv'],
        ),
    ]);
    expect(DB::table('clashes')->count())->toBe(0);
});

test('on an invented school, what is kept after changes is what a search of everything finds', function () {
    $folder = sys_get_temp_dir().'/invented-'.bin2hex(random_bytes(4));
    InventedSchool::write($folder, 60, 300, 7);
    Artisan::call('nomada:import', ['path' => $folder]);
    $term = Term::query()->firstOrFail();
    $kept = fn (): array => DB::table('clashes')
        ->orderBy('kind')
        ->orderBy('series_id')
        ->orderBy('other_series_id')
        ->get(['kind', 'series_id', 'other_series_id', 'days', 'people'])
        ->all();
    $this->as('A-1');
    mt_srand(5);
    for ($i = 0; $i < 6; $i++) {
        $series = Nomada\App\Models\Timetable\Series::query()
            ->with('section')
            ->inRandomOrder((string) $i)
            ->firstOrFail();
        $hour = mt_rand(8, 14);
        $this->put("/sections/{$series->section->sourced_id}/series/{$series->id}", [
            'title' => $series->title,
            'kind' => 'weekly',
            'weekdays' => [mt_rand(1, 5)],
            'start_time' => sprintf('%02d:30', $hour),
            'end_time' => sprintf('%02d:20', $hour + 1),
            'starts_on' => '2027-01-11',
            'end_kind' => 'term',
        ])->assertSessionHasNoErrors();
    }
    $step = $kept();
    app(RefreshClashes::class)($term);

    expect($step)->not->toBe([])->and($kept())->toEqual($step);
});

test('no list asks more questions for more sections', function () {
    $this->school();
    $count = function (string $path): int {
        $this->as('A-1');
        app()->forgetScopedInstances();
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->get($path)->assertOk();

        return count(DB::getQueryLog());
    };
    $paths = [
        '/',
        '/timetable',
        '/timetable/clashes',
        '/joining',
        '/registration',
        '/publishing?show=all',
        '/today',
        '/records',
        '/term',
        '/find?q=a',
        '/sections/MAR',
    ];
    $this->as('A-1')->get('/sections/MAR'); // The first look makes the feed's address.
    $few = array_map($count, $paths);
    $folder = sys_get_temp_dir().'/invented-'.bin2hex(random_bytes(4));
    InventedSchool::write($folder, 30, 60, 3);
    DB::table('terms')->update(['sourced_id' => 'L27']);
    DB::table('schools')->update(['sourced_id' => 'LTS']);
    Artisan::call('nomada:import', ['path' => $folder]);

    foreach ($paths as $i => $path) {
        expect($count($path))->toBeLessThanOrEqual($few[$i], $path);
    }
});

test('every kind of clash has its words wherever it is shown', function (string $kind) {
    expect(Illuminate\Support\Facades\Lang::has("clashes.kinds.$kind"))
        ->toBeTrue()
        ->and(Illuminate\Support\Facades\Lang::has("clashes.words.$kind"))
        ->toBeTrue()
        ->and(
            ! in_array($kind, Nomada\Core\Timetable\Clash::grave(), true) ||
                (Illuminate\Support\Facades\Lang::has("says.clash.$kind") &&
                    Illuminate\Support\Facades\Lang::has("week.wrong.$kind")),
        )
        ->toBeTrue();
})->with(array_keys(Nomada\Core\Timetable\Clash::GRAVITY));

/** The suggestions for the one clash of the small school, as addresses of previews. */
function suggestions($test, int $most = 3): array
{
    $series = [$test->section('MAR')->series()->value('id'), $test->section('STA')->series()->value('id')];
    $key = 'students '.min($series).' '.max($series);
    $html = (string) $test->as('A-1')
        ->get(route('clashes.options', ['key' => $key, 'most' => $most]))
        ->assertOk()
        ->getContent();
    preg_match_all('/href="([^"]+)"/', $html, $links);

    return array_map(html_entity_decode(...), $links[1]);
}

test('a clash is resolved in two presses: a suggested time, and its preview', function () {
    $this->school(clashing());
    momentAt('2027-02-09', '09:00');
    $links = suggestions($this);
    expect(count($links))->toBeBetween(1, 3)->and(suggestions($this, 1))->toBe([$links[0]]);
    foreach ($links as $link) {
        $this->get($link)
            ->assertOk()
            ->assertSee('Clashes now: 1')
            ->assertSee('None in these sections.');
    }
    parse_str((string) parse_url($links[0], PHP_URL_QUERY), $query);
    // Nothing that is held today is moved.
    expect(array_column($query['moves'], 'day')[0])->toBeGreaterThan('2027-02-09');
    $this->post('/timetable/moves', ['moves' => $query['moves']])->assertSessionHasNoErrors();
    $days = array_column((array) json_decode((string) DB::table('clashes')->value('days'), true), null);
    expect(array_filter($days, fn (int $day): bool => $day > 20_858))->toBe([])->and(suggestions($this))->toBe([]);
});

test('home begins with what needs the coordinator, and teachers see no such list', function () {
    $this->school(clashing());
    momentAt('2027-02-09', '09:00');
    $needs = fn (string $who): string => (string) $this->as($who)->get('/')->assertOk()->getContent();
    expect($needs('A-1'))
        ->toContain('Needs attention')
        ->toContain('Y8 Marine Science / Y8 Statistics: 1 student would be in two places (Thu 11 Feb and Thu 18 Feb)')
        ->toContain('sections without a join link')
        ->and($needs('T-2'))
        ->not->toContain('Needs attention');
    $this->as('A-1')->get('/?show=issues')->assertDontSee('Needs attention');
    $series = [$this->section('MAR')->series()->value('id'), $this->section('STA')->series()->value('id')];
    $this->post('/timetable/clashes', ['key' => 'students '.min($series).' '.max($series), 'reason' => 'Agreed']);
    expect($needs('A-1'))->not->toContain('would be in two places');
});

test('the bars of a clash lie where its sessions do, and share what both last', function () {
    $zone = Nomada\Core\Term\Zone::named('Europe/Madrid');
    $at = fn (string $time): int => (int) strtotime("2027-02-11 $time+01");
    $bars = Nomada\App\View\Timetable\Clashes\ClashBars::of(
        [[$at('10:00'), $at('10:45')], [$at('10:30'), $at('11:15')]],
        $zone,
    );
    expect($bars->bars)->toBe([
        ['x' => 0.0, 'width' => 60.0, 'times' => '10:00–10:45'],
        ['x' => 40.0, 'width' => 60.0, 'times' => '10:30–11:15'],
    ])
        ->and($bars->shared)
        ->toBe(['x' => 40.0, 'width' => 20.0]);
    $next = Nomada\App\View\Timetable\Clashes\ClashBars::of(
        [[$at('10:00'), $at('10:45')], [$at('10:45'), $at('11:30')]],
        $zone,
    );
    expect($next->shared)->toBeNull();
});
