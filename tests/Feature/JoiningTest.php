<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Support\Clock;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\LinkKind;

beforeEach(function () {
    $this->standins = $this->standins();
    $this->school();
});

test('links are made for chosen sections, once, with code, dial-in and a host link', function () {
    $run = $this->as('A-1')
        ->post('/joining/links', ['sections' => ['MAR', 'SPA', 'STA']])
        ->assertRedirect()
        ->headers->get('Location');
    $this->work();
    $link = JoinLink::query()
        ->where('kind', LinkKind::Series)
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->firstOrFail();

    expect(JoinLink::query()->count())
        ->toBe(4)
        ->and(JoinCode::isValid((string) $link->join_code))
        ->toBeTrue()
        ->and($link->dial_in)
        ->toStartWith('+34')
        ->and($link->pin)
        ->not->toBeEmpty()
        ->and($this->standins->get('/bridge/rooms')['rooms'])
        ->toHaveCount(2);
    $this->get($run)->assertOk()->assertSee('All 2 links created');
    $this->get('/sections/MAR')->assertSee(JoinCode::show((string) $link->join_code));
    $this->post('/joining/links', ['sections' => ['MAR', 'SPA', 'STA']])->assertSessionHas('said');
    expect(Run::query()->count())->toBe(1);
});

test('a stolen copy of the database opens no door', function () {
    Artisan::call('nomada:links', ['--section' => ['MAR'], '--json' => true]);
    $link = json_decode(Artisan::output(), true)['links'][0]['link'];
    $secret = basename($link);

    expect($secret)->toMatch('/^[A-Za-z0-9_-]{27}$/');
    foreach (DB::table('join_links')->get() as $row) {
        expect((string) json_encode($row))->not->toContain($secret);
    }
});

test(
    'a bridge that fails for a while is asked again; one that goes on failing is reported in its own words',
    function () {
        $this->standins->behave('bridge', ['failures' => 1, 'words' => 'All operators are busy.']);
        expect(Artisan::call('nomada:links', ['--json' => true]))
            ->toBe(0)
            ->and(json_decode(Artisan::output(), true)['made'])
            ->toBe(2);

        DB::table('join_links')->delete();
        $this->standins->behave('bridge', ['failures' => -1, 'words' => 'All operators are busy.']);
        expect(Artisan::call('nomada:links', ['--json' => true]))->toBe(1);
        $out = json_decode(Artisan::output(), true);
        expect($out['failed'][0])
            ->toMatchArray(['section' => 'MAR', 'words' => 'All operators are busy.'])
            ->and($out['links'][0]['link'])
            ->toBeNull();

        // The key of the request is the series': the room that was made before is found again.
        $this->standins->behave('bridge', ['failures' => 0]);
        Artisan::call('nomada:links');
        expect($this->standins->get('/bridge/rooms')['rooms'])->toHaveCount(2);
    },
);

test('a bridge that limits its rate is waited for', function () {
    $this->standins->behave('bridge', ['per_second' => 1]);
    expect(Artisan::call('nomada:links', ['--json' => true]))
        ->toBe(0)
        ->and(JoinLink::query()->where('kind', LinkKind::Series)->count())
        ->toBe(2);
});

test('registering a roster gives everybody enrolled a personal link; again changes nothing', function () {
    $this->as('A-1')
        ->post('/registration/rosters', ['sections' => ['MAR', 'STA']])
        ->assertSessionHas(
            'said',
            fn (string $s) => str_contains($s, '3 registrations made') && str_contains($s, 'Y8 Statistics'),
        );
    $links = JoinLink::query()->where('kind', LinkKind::Personal)->pluck('secret_hash');
    $this->post('/registration/rosters', ['sections' => ['MAR']])->assertSessionHas(
        'said',
        fn (string $s) => str_contains($s, 'No changes'),
    );

    expect($links)
        ->toHaveCount(3)
        ->and(JoinLink::query()->where('kind', LinkKind::Personal)->pluck('secret_hash')->all())
        ->toBe($links->all());
});

test('a registered section follows its roster: joiners get a link, leavers lose theirs', function () {
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    $files = Tests\Support\SmallSchool::files();
    $this->school(['enrollments.csv' => str_replace('E-3,,MAR,S-2,', 'E-9,,MAR,S-4,', $files['enrollments.csv'])]);
    $state = fn (string $who) => DB::table('registrations')
        ->join('people', 'people.id', '=', 'person_id')
        ->where('sourced_id', $who)
        ->value('state');

    expect($state('S-4'))
        ->toBe('accepted')
        ->and($state('S-2'))
        ->toBe('withdrawn')
        ->and(JoinLink::query()->inForce()->whereRelation('person', 'sourced_id', 'S-2')->exists())
        ->toBeFalse();
    app(Clock::class)->set(strtotime('2027-02-21T12:00:00+01:00'));
    Artisan::call('nomada:register', ['--section' => ['MAR'], '--json' => true]);
    expect(json_decode(Artisan::output(), true)[0])->toBe(['section' => 'MAR', 'joined' => 0, 'left' => 1]);
});

function own(string $who): string
{
    return JoinLink::query()->inForce()->whereRelation('person', 'sourced_id', $who)->firstOrFail()->address();
}

test('the door answers by the clock\'s moment, on the student\'s own clock', function (
    string $at,
    string $title,
    string $words,
) {
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    $series = $this->section('MAR')->series()->firstOrFail();
    $this->as('A-1')
        ->post(
            "/sections/MAR/series/{$series->id}/sessions/{$series->sessions()->where('day', '2027-02-11')->value(
                'id',
            )}/cancellation",
            ['reason' => 'the teacher is ill'],
        )
        ->assertSessionHasNoErrors();
    app(Clock::class)->set(strtotime($at));
    // The teacher is inside already, where the doors are open for one.
    $this->as('T-2')->post(
        JoinLink::query()
            ->where('kind', LinkKind::Host)
            ->whereRelation('series.section', 'sourced_id', 'MAR')
            ->firstOrFail()
            ->address(),
    );

    $this->as('S-1')->get(own('S-1'))->assertOk()->assertSee($title)->assertSee($words);
})->with([
    'too early' => [
        '2027-02-09T09:41:00+01:00',
        'You are early',
        'The session opens at 08:50 (09:50 in Madrid)',
    ],
    'come in' => ['2027-02-09T09:52:00+01:00', 'You can join', 'It starts at 09:00 (10:00 in Madrid)'],
    'over' => [
        '2027-02-09T11:00:00+01:00',
        'This session is over',
        'The next session is Thu 18 Feb at 09:00 (10:00 in Madrid)',
    ],
    'cancelled' => ['2027-02-11T09:55:00+01:00', 'No class today', 'Reason: the teacher is ill.'],
]);

test('who may come in comes into the room, and the room says who is in', function () {
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    $host = JoinLink::query()
        ->where('kind', LinkKind::Host)
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->firstOrFail()
        ->address();
    $this->as('T-2')->post($host)->assertRedirectContains('/bridge/rooms/');
    $room = $this->as('S-1')->post(own('S-1'))->headers->get('Location');
    expect($room)->toContain('/bridge/rooms/');
    $state = $this->standins->get(parse_url((string) $room, PHP_URL_PATH).'?meeting=2027-02-09T09:00');
    expect(array_column($state['inside'], 'name'))
        ->toBe(['Nadir Haddad', 'Galia Zabalo'])
        ->and($state['state'])
        ->toBe('running');
});

test('a link is nobody else\'s, and tells a stranger nothing about people', function () {
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    $link = own('S-1');
    $this->as('S-2')
        ->get($link)
        ->assertSee('somebody else')
        ->assertDontSee('Galia')
        ->assertDontSee('Haddad')
        ->assertDontSee('Marine');
    $this->as('S-2')->post($link)->assertRedirect($link);
    $series = JoinLink::query()
        ->where('kind', LinkKind::Series)
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->firstOrFail()
        ->address();
    $this->as('S-4')
        ->get($series)
        ->assertSee('You are not in this class')
        ->assertDontSee('Haddad')
        ->assertDontSee('Marine');
    auth()->logout();
    $this->get($link)->assertRedirect('/sign-in');
});

test('a student sees their own coming sessions, in their zone, with the school\'s time beside it', function () {
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    $this->as('S-1')
        ->get('/me')
        ->assertOk()
        ->assertSee('09:00–09:47')
        ->assertSee('10:00 Madrid')
        ->assertSee(own('S-1'))
        ->assertDontSee('Spanish')
        ->assertDontSee(own('S-2'));
    $this->as('S-3')->get('/me')->assertSee('10:00–10:47')->assertDontSee('Madrid</small>', false);
});

test('a join code brings its student to the door; a slip in it is told', function () {
    Artisan::call('nomada:links');
    $link = JoinLink::query()
        ->where('kind', LinkKind::Series)
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->firstOrFail();
    $this->as('S-1')
        ->post('/join', ['code' => strtolower(JoinCode::show((string) $link->join_code))])
        ->assertRedirect($link->address());
    $this->post('/join', ['code' => 'RXTN-4BKD-7'])->assertSessionHasErrors('code');
    $this->post('/join', ['code' => ''])->assertSessionHasErrors('code');
});

test('guessing codes comes to an end', function () {
    for ($i = 0; $i < 12; $i++) {
        $this->as('S-1')->post('/join', ['code' => 'BBBBBBBBBB']);
    }
    $this->as('S-1')
        ->post('/join', ['code' => 'BBBBBBBBBB'])
        ->assertStatus(429);
});

test('a room that does not open is told, and the phone is offered', function () {
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    $this->standins->behave('bridge', ['failures' => -1, 'words' => 'All operators are busy.']);
    $this->as('S-1')
        ->post(own('S-1'))
        ->assertRedirect(own('S-1'))
        ->assertSessionHasErrors([
            'bridge' => 'The room did not open: All operators are busy. Try again in a minute, or join by phone.',
        ]);
});
