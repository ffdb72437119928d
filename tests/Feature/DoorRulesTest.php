<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\Core\Joining\LinkKind;
use Tests\Support\AtDoors;

beforeEach(function () {
    $this->school();
    $this->standins = $this->standins();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    cache()->flush();
});

test('what opens more than its preset is a issue until somebody accepts it, with their name', function () {
    $path = AtDoors::series($this);
    $this->as('A-1')
        ->put("$path/rules", ['straight_in' => 'anyone', 'screen' => 'everyone'] + AtDoors::RULES)
        ->assertSessionHasNoErrors();
    $this->get('/joining?show=open')
        ->assertSee('no waiting for anyone with the link, everybody may share a screen')
        ->assertSee('1 less strict than the preset');
    $this->get('/joining/audit')->assertSee('nobody yet');
    $this->get("$path/joining")->assertSee('Less strict than its preset');
    $this->post("$path/openness")->assertSessionHasNoErrors();
    $this->get('/joining/audit')->assertSee('Candela Marrero')->assertDontSee('nobody yet');
    // Opened further, it is a issue again.
    $this->put(
        "$path/rules",
        ['straight_in' => 'anyone', 'screen' => 'everyone', 'needs_host' => 0] + AtDoors::RULES,
    );
    $this->get('/joining/audit')->assertSee('nobody yet');
    $this->put("$path/preset", ['preset' => 'lesson']);
    $this->get('/joining/audit')->assertSee('no series is less strict than its preset');
    $this->put("$path/preset", ['preset' => 'party'])->assertSessionHasErrors('preset');
    $this->put(
        "$path/rules",
        ['opens_before' => 500, 'record' => 'everyone', 'speakers' => 0] + AtDoors::RULES,
    )->assertSessionHasErrors(['opens_before', 'record', 'speakers']);
});

test('acts on many say first what they will do, then what came of each', function () {
    $ids = DB::table('series')->pluck('id')->all();
    $this->as('A-1')
        ->post('/joining/acts', ['series' => $ids, 'act' => 'preset', 'preset' => 'guest-lecture'])
        ->assertOk()
        ->assertSee('Lesson → Guest lecture')
        ->assertSee('series will change.');
    expect(DB::table('series')->where('preset', 'guest-lecture')->count())->toBe(0);
    $this->post('/joining/acts', [
        'series' => $ids,
        'act' => 'preset',
        'preset' => 'guest-lecture',
        'sure' => 1,
    ])->assertRedirect('/joining/acts/'.Nomada\App\Models\Joining\ActResult::query()->value('id'));
    $this->get('/joining/acts/'.Nomada\App\Models\Joining\ActResult::query()->value('id'))->assertSee(
        '2 series changed',
    );
    $this->post('/joining/acts', ['series' => $ids, 'act' => 'preset', 'preset' => 'guest-lecture'])->assertSee(
        'no change',
    );
    $this->followingRedirects()
        ->post('/joining/acts', ['series' => $ids, 'act' => 'hide', 'sure' => 1])
        ->assertSee('2 series changed');
    $this->followRedirects = false;
    $this->get('/joining?show=hidden')->assertSee('Hidden 2');
    $this->as('S-1')
        ->get('/join/'.AtDoors::link($this, LinkKind::Personal, 'S-1')->secret)
        ->assertSee('The session is not open');
    $this->as('A-1')
        ->post('/joining/acts', ['series' => $ids, 'act' => 'show', 'sure' => 1])
        ->assertRedirect();
    $this->post('/joining/acts', ['series' => [], 'act' => 'hide'])->assertSessionHasErrors('series');
    $this->post('/joining/acts', ['series' => $ids, 'act' => 'burn'])->assertSessionHasErrors('act');
    // A teacher acts on their own only.
    $this->as('T-2')
        ->post('/joining/acts', ['series' => $ids, 'act' => 'hide', 'sure' => 1])
        ->assertForbidden();
});

test('links of chosen series are made only after they were shown, and of no other series', function () {
    DB::table('join_links')->delete();
    $mar = (int) $this->section('MAR')->series()->value('series.id');
    $this->as('A-1')
        ->post('/joining/acts', ['series' => [$mar], 'act' => 'links'])
        ->assertSee('a room, a join link with code and phone number, and a host link')
        ->assertSee('Nothing is saved yet.');
    expect(JoinLink::query()->count())->toBe(0);
    $this->post('/joining/acts', ['series' => [$mar], 'act' => 'links', 'sure' => 1])->assertRedirect();
    $this->work();
    expect(JoinLink::query()->pluck('series_id')->unique()->all())->toBe([$mar]);
    $this->post('/joining/acts', ['series' => [$mar], 'act' => 'links'])->assertSee('already has a link');
    $this->post('/joining/acts', ['series' => [$mar], 'act' => 'links', 'sure' => 1])->assertRedirect('/joining');
});

test(
    'many handed over to one account: the clashes of the account are known at once, and it is written down',
    function () {
        $plan = Nomada\App\Models\Timetable\HostingPlan::query()->create([
            'name' => 'Tiny',
            'seats' => 1,
            'minutes' => 30,
            'at_once' => 1,
        ]);
        $account = Nomada\App\Models\Timetable\HostAccountRow::query()->create([
            'name' => 'Host',
            'hosting_plan_id' => $plan->id,
        ]);
        $ids = DB::table('series')->pluck('id')->all();
        $this->as('A-1')
            ->post('/joining/acts', ['series' => $ids, 'act' => 'account', 'account' => $account->id])
            ->assertSee('host account: Host; its plan has too few seats or minutes');
        expect(
            DB::table('clashes')
                ->whereIn('kind', ['long', 'full'])
                ->count(),
        )->toBe(0);
        $this->post('/joining/acts', [
            'series' => $ids,
            'act' => 'account',
            'account' => $account->id,
            'sure' => 1,
        ])->assertRedirect();
        // Two series, each too long and too full for it.
        expect(DB::table('clashes')->where('kind', 'long')->count())
            ->toBe(2)
            ->and(DB::table('clashes')->where('kind', 'full')->count())
            ->toBeGreaterThan(0)
            ->and(DB::table('audit_log')->where('words', 'host account changed to Host')->count())
            ->toBe(2);
    },
);

test('own presets are kept, used and taken out only when nobody goes by them', function () {
    $this->as('A-1')
        ->post('/joining/presets', ['preset_name' => 'Harbour visit', 'screen' => 'everyone'] + AtDoors::RULES)
        ->assertSessionHasNoErrors();
    $this->get('/joining/presets')->assertSee('Harbour visit');
    $this->put(AtDoors::series($this).'/preset', ['preset' => 'harbour-visit'])->assertSessionHasNoErrors();
    $this->delete('/joining/presets/harbour-visit')->assertSessionHasErrors('preset_name');
    $this->post('/joining/presets', ['preset_name' => 'Lesson'] + AtDoors::RULES)->assertSessionHasErrors(
        'preset_name',
    );
    $this->post('/joining/presets', ['preset_name' => ''] + AtDoors::RULES)->assertSessionHasErrors('preset_name');
    $this->put(AtDoors::series($this).'/preset', ['preset' => 'lesson']);
    $this->delete('/joining/presets/harbour-visit')->assertSessionHas('said', 'Preset deleted.');
});

test('guessed join codes are written down, and the log is exported with formulas disarmed', function () {
    $this->as('S-1')
        ->post('/join', ['code' => 'BCDFHJKMNB'])
        ->assertSessionHasErrors('code');
    DB::table('audit_log')->insert(['at' => now(), 'kind' => 'link', 'section' => '=1+1', 'words' => 'x']);
    $csv = (string) $this->as('A-1')->get('/joining/audit.csv')->assertOk()->getContent();
    expect($csv)
        ->toContain('unknown join code entered')
        ->toContain("'=1+1")
        ->and($csv)
        ->not->toContain(',=1+1');
    expect((string) $this->get('/joining/audit.csv?kind=code')->getContent())->not->toContain('=1+1');
});

test(
    'a preset of one\'s own that is changed reaches its series and what stands of them, and is written down',
    function () {
        $this->as('A-1')
            ->post('/joining/presets', ['preset_name' => 'Quiet hour'] + AtDoors::RULES)
            ->assertSessionHasNoErrors();
        $this->put(AtDoors::series($this).'/preset', ['preset' => 'quiet-hour'])->assertSessionHasNoErrors();
        Artisan::call('nomada:publish', ['--section' => ['MAR']]);
        $stale = fn (): int => DB::table('published_items')
            ->where('section_id', $this->section('MAR')->id)
            ->whereColumn('desired_hash', '!=', 'published_hash')
            ->count();
        expect($stale())->toBe(0);
        $changed = ['preset_name' => 'Quiet hour', 'opens_before' => 3] + AtDoors::RULES;
        $this->post('/joining/presets', $changed)->assertSessionHasErrors('preset_name');
        $this->get('/joining/presets?change=quiet-hour')
            ->assertSee('Change Quiet hour')
            ->assertSee('value="quiet-hour"', false);
        $this->get('/joining/presets?change=lesson')->assertDontSee('name="changes"', false);
        $this->post('/joining/presets', ['changes' => 'gone'] + $changed)->assertSessionHasErrors('preset_name');
        $this->post('/joining/presets', ['changes' => 'quiet-hour'] + $changed)->assertSessionHasNoErrors();
        $this->work();
        // The doors' opening is told in the pinned place, the opening post, and every calendar.
        expect($stale())->toBe(6);
        $this->get('/joining/audit?q=preset')
            ->assertSee('preset Quiet hour made: ')
            ->assertSee('preset Quiet hour changed: Registered students can join from 3 minutes before');
        $this->delete('/joining/presets/quiet-hour')->assertSessionHasErrors('preset_name');
        $this->put(AtDoors::series($this).'/preset', ['preset' => 'lesson']);
        $this->delete('/joining/presets/quiet-hour')->assertSessionHasNoErrors();
        $this->get('/joining/audit?q=removed')->assertSee('preset Quiet hour removed');
    },
);

test('who made links, and that a deleted series\' links are dead, is written down', function () {
    $this->as('A-1')->delete(AtDoors::series($this))->assertSessionHasNoErrors();
    $words = DB::table('audit_log')
        ->where('section', 'Y8 Marine Science')
        ->where('kind', 'link')
        ->pluck('words')
        ->all();
    expect($words)->toBe(['join link and host link made', 'series deleted: 5 links stopped working']);
    // Asked for again where it is there already, nothing is written down.
    Artisan::call('nomada:links');
    expect(DB::table('audit_log')->where('words', 'join link and host link made')->count())->toBe(2);
});
