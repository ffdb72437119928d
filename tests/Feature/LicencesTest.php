<?php

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Series;
use PhpOffice\PhpSpreadsheet\IOFactory;
use Tests\Support\English;

beforeEach(fn () => $this->school());

function plan($test, array $change = []): int
{
    $test
        ->as('A-1')
        ->post('/timetable/licences/plans', [
            ...['plan_name' => 'Small', 'seats' => 30, 'minutes' => 60, 'at_once' => 1],
            ...$change,
        ])
        ->assertSessionHasNoErrors();

    return (int) DB::table('hosting_plans')
        ->where('name', $change['plan_name'] ?? 'Small')
        ->value('id');
}

test('plans and accounts are kept, series are put on them, and the page says what suffices', function () {
    $this->as('A-1')
        ->get('/timetable/licences')
        ->assertOk()
        ->assertSee('up to 1 session at once')
        ->assertSee('1 account is enough')
        ->assertSee('No host account');
    $of = plan($this);
    $this->post('/timetable/licences/accounts', [
        'of' => $of,
        'account_name' => 'Host',
        'many' => '3',
    ])->assertSessionHas('said', '3 accounts added.');
    $this->get('/timetable/licences')
        ->assertSee('Host 3')
        ->assertSee('2 series have no account yet, and accounts fit for all of them.')
        ->assertSee('every series on one account');
    $this->post('/timetable/licences/assignment')->assertSessionHas(
        'said',
        '2 series have an account each; 0 changed.',
    );
    expect(Series::query()->whereNull('host_account_id')->count())->toBe(0);
    $this->get('/timetable/licences')->assertSee('Every series has an account, and no account is over its limit');
    $account = DB::table('host_accounts')->where('name', 'Host 1')->value('id');
    $this->delete("/timetable/licences/accounts/$account")->assertSessionHas(
        'said',
        'Host 1 removed. Its series have no account now.',
    );
    expect(Series::query()->whereNull('host_account_id')->count())->toBeGreaterThan(0);
    $this->delete("/timetable/licences/plans/$of")->assertSessionHasErrors([
        'plan_name' => 'Accounts use the plan Small. Give them another, or remove them first.',
    ]);
});

test('a series on no account, or on one that is too small, is an issue as soon as it is planned', function () {
    $this->as('A-1')->get('/')->assertDontSee('without a host account');
    $of = plan($this, ['seats' => 2]);
    $this->post('/timetable/licences/accounts', ['of' => $of, 'account_name' => 'Host']);
    $this->get('/')->assertSee('without a host account');
    $this->get('/sections/MAR')->assertSee('without a host account');
    DB::table('series')->update(['host_account_id' => DB::table('host_accounts')->value('id')]);
    Illuminate\Support\Facades\Cache::flush();
    $this->get('/')->assertDontSee('without a host account')->assertSee('series is too long or over capacity for its '
        .'host account');
});

test('two series on one account at one time clash hard, and show wherever clashes show', function () {
    $of = plan($this);
    $this->post('/timetable/licences/accounts', ['of' => $of, 'account_name' => 'Host']);
    $account = DB::table('host_accounts')->value('id');
    $this->post('/sections/STA/series', [
        'title' => '',
        'kind' => 'weekly',
        'weekdays' => [2],
        'start_time' => '10:30',
        'end_time' => '11:00',
        'starts_on' => '2027-02-16',
        'end_kind' => 'term',
    ]);
    foreach (['MAR', 'STA'] as $section) {
        $this->put('/timetable/licences/series/'.$this->section($section)->series()->value('series.id'), [
            'account' => $account,
        ])->assertSessionHasNoErrors();
    }
    $this->get('/timetable/clashes')
        ->assertSee('more sessions on one host account than its plan allows at once')
        ->assertSee('must fix');
    $this->get('/')->assertSee('host account shared with Y8 Statistics');
    $this->get('/timetable?week=7')->assertSee('host account in use');
    $this->put("/timetable/licences/accounts/$account", [
        'of' => plan($this, ['plan_name' => 'Double', 'at_once' => 2]),
    ])->assertSessionHas('said', 'Host now has the plan Double.');
    $this->get('/timetable/clashes')->assertDontSee('more on one host account');
});

test('too long and too full are issues with ways out: another account, or parts with a pause', function () {
    $this->as('A-1')
        ->put('/sections/MAR/series/'.$this->section('MAR')->series()->value('series.id'), [
            'title' => 'Marine Science',
            'kind' => 'weekly',
            'weekdays' => [2, 4],
            'start_time' => '10',
            'end_time' => '11:30',
            'starts_on' => '2027-01-12',
            'end_kind' => 'term',
        ])
        ->assertSessionHasNoErrors();
    $of = plan($this, ['minutes' => 50, 'seats' => 3]);
    $this->post('/timetable/licences/accounts', ['of' => $of, 'account_name' => 'Host']);
    $series = $this->section('MAR')->series()->firstOrFail();
    $this->put("/timetable/licences/series/{$series->id}", ['account' => DB::table('host_accounts')->value('id')]);
    $this->get('/timetable/licences')
        ->assertSee('90 minutes, 50 allowed')
        ->assertSee('4 people, too few seats')
        ->assertSee('Split into 2 parts');
    expect(DB::table('clashes')->orderBy('kind')->pluck('kind')->all())->toContain('full', 'long');
    $this->get('/')->assertSee('longer than its hosting plan allows');
    $this->post("/timetable/licences/series/{$series->id}/parts", [
        'most' => '50',
        'pause' => '999',
    ])->assertSessionHasErrors('pause');
    $this->post("/timetable/licences/series/{$series->id}/parts", [
        'most' => '50',
        'pause' => '10',
    ])->assertSessionHas('said', 'Future sessions are split into 2 parts.');
    $second = $this->section('MAR')->series()->where('series.title', 'Marine Science, part 2')->firstOrFail();

    expect(English::said($series->refresh()->plan()->said()))
        ->toBe('Tue Thu 10:00–10:45')
        ->and(English::said($second->plan()->said()))
        ->toBe('Tue Thu 10:55–11:40')
        ->and($series->sessions()->where('day', '2027-02-04')->firstOrFail()->ends_at->toIso8601ZuluString())
        ->toBe('2027-02-04T09:47:00Z')
        ->and($second->sessions()->where('state', 'planned')->min('day'))
        ->toBe('2027-02-09')
        ->and(DB::table('clashes')->where('kind', 'long')->count())
        ->toBe(0);
    $this->post("/timetable/licences/series/{$series->id}/parts", [
        'most' => '50',
        'pause' => '10',
    ])->assertSessionHasErrors(['pause' => 'Its sessions last 45 minutes and do not need to be split.']);
});

test('what cannot be of licences is told beside its field', function (string $path, array $with, string $field) {
    plan($this);
    $this->as('A-1')->post($path, $with)->assertSessionHasErrors($field);
})->with([
    ['/timetable/licences/plans', ['plan_name' => '', 'seats' => '', 'minutes' => '', 'at_once' => ''], 'seats'],
    [
        '/timetable/licences/plans',
        ['plan_name' => 'Small', 'seats' => 3, 'minutes' => 3, 'at_once' => 1],
        'plan_name',
    ],
    ['/timetable/licences/plans', ['plan_name' => 'x', 'seats' => 3, 'minutes' => 3, 'at_once' => 0], 'at_once'],
    ['/timetable/licences/accounts', ['of' => 0, 'account_name' => 'x'], 'of'],
    ['/timetable/licences/accounts', ['of' => 1, 'account_name' => '', 'many' => 900], 'many'],
]);

test('contact time is shown against a target, and exported as CSV and XLSX', function () {
    $this->as('A-1')
        ->put('/timetable/contact-time', ['sections' => ['MAR'], 'target' => '20'])
        ->assertSessionHas('said', 'Target saved.');
    $this->get('/timetable/contact-time')->assertOk()->assertSee('1 below its target')->assertSee('25 min');
    $this->get('/sections/MAR')
        ->assertSee('6 h 16 min')
        ->assertSee('25 min short of')
        ->assertSee('the target of 20 h');
    $csv = (string) $this->get('/timetable/contact-time.csv?year=8')
        ->assertOk()
        ->assertHeader('Content-Type', 'text/csv; charset=utf-8')
        ->getContent();
    expect(explode("\r\n", $csv)[1])
        ->toBe('MAR,Y8 Marine Science,N. Haddad,25,1410,376,799,235,0,1200,25')
        ->and($csv)
        ->not->toContain('SPA');
    $file = tempnam(sys_get_temp_dir(), 'x').'.xlsx';
    file_put_contents($file, (string) $this->get('/timetable/contact-time.xlsx')->assertOk()->getContent());
    $sheet = IOFactory::load($file)->getActiveSheet();
    expect($sheet->getCell('A1')->getValue())
        ->toBe('section')
        ->and($sheet->getCell('B2')->getValue())
        ->toBe('Y7 Spanish Language')
        ->and($sheet->getCell('J3')->getValue())
        ->toBe(1200);
    $this->put('/timetable/contact-time', ['sections' => ['MAR'], 'target' => 'much'])->assertSessionHasErrors([
        'target' => '"much" is not a number of hours. Write it as 36 or 36:30.',
    ]);
    $this->put('/timetable/contact-time', ['sections' => ['MAR'], 'target' => '']);
    expect(DB::table('sections')->whereNotNull('target_minutes')->count())->toBe(0);
    // A teacher's table has only their own sections.
    expect((string) $this->as('T-1')->get('/timetable/contact-time.csv')->getContent())->not->toContain('MAR,');
});

test('a title that a spreadsheet would run is only text in the table', function () {
    DB::table('sections')
        ->where('sourced_id', 'MAR')
        ->update(['title' => '=HYPERLINK("x")', 'year' => '']);
    expect((string) $this->as('A-1')->get('/timetable/contact-time.csv')->getContent())->toContain(
        "\"'=HYPERLINK(\"\"x\"\")\"",
    );
});

test(
    'of many sessions the licences are worked out behind the page, once, until anything of them changes',
    function () {
        config(['nomada.behind_page' => 1]);
        cache()->flush();
        DB::table('jobs')->delete();
        $this->as('A-1')
            ->get('/timetable/licences')
            ->assertOk()
            ->assertSee('Calculating')
            ->assertSee('Add a plan');
        $this->get('/timetable/licences')->assertSee('being calculated');
        expect(DB::table('jobs')->count())->toBe(1);
        $this->work();
        $this->get('/timetable/licences')->assertSee('session at once')->assertDontSee('being calculated');
        // Two sessions change places: the sum of their times is the same, what is worked out is not.
        $two = DB::table('sessions')->where('state', 'planned')->orderByDesc('id')->limit(2)->get();
        DB::table('sessions')
            ->where('id', $two[0]->id)
            ->update([
                'starts_at' => DB::raw("starts_at + interval '1 hour'"),
                'ends_at' => DB::raw("ends_at + interval '1 hour'"),
            ]);
        DB::table('sessions')
            ->where('id', $two[1]->id)
            ->update([
                'starts_at' => DB::raw("starts_at - interval '1 hour'"),
                'ends_at' => DB::raw("ends_at - interval '1 hour'"),
            ]);
        $this->get('/timetable/licences')->assertSee('being calculated');
    },
);

test('sessions that find no account stand on none, rather than on a full one', function () {
    $of = plan($this);
    $this->post('/timetable/licences/accounts', ['of' => $of, 'account_name' => 'Host']);
    $account = DB::table('host_accounts')->value('id');
    $this->post('/sections/STA/series', [
        'title' => '',
        'kind' => 'weekly',
        'weekdays' => [2, 3],
        'start_time' => '10:30',
        'end_time' => '11:00',
        'starts_on' => '2027-02-16',
        'end_kind' => 'term',
    ]);
    foreach (['MAR', 'STA'] as $section) {
        $this->put('/timetable/licences/series/'.$this->section($section)->series()->value('series.id'), [
            'account' => $account,
        ]);
    }
    expect(DB::table('clashes')->where('kind', 'account')->count())->toBe(1);
    $this->post('/timetable/licences/assignment')->assertSessionHas('said');
    // On Tuesdays one of the two is left over; on Wednesdays and Thursdays everybody has their account.
    expect(DB::table('clashes')->where('kind', 'account')->count())
        ->toBe(0)
        ->and(
            DB::table('sessions')
                ->join('series', 'series.id', '=', 'series_id')
                ->where('day', '2027-02-23')
                ->where('series.section_id', '!=', $this->section('SPA')->id)
                ->pluck(DB::raw('coalesce(sessions.host_account_id, series.host_account_id) as account'))
                ->filter()
                ->all(),
        )
        ->toBe([$account]);
});
