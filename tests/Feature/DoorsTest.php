<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\Core\Joining\LinkKind;
use Tests\Support\AtDoors;

beforeEach(function () {
    $this->school();
    $this->standins = $this->standins();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    cache()->flush();
});

test(
    'students come in once a teacher is inside; a second device takes over; after the end nobody comes back',
    function () {
        $own = AtDoors::link($this, LinkKind::Personal, 'S-1');
        $this->as('S-1')
            ->get('/join/'.$own->secret)
            ->assertSee('The teacher is not here yet');
        expect(AtDoors::enter($this, 'S-1', $own))->toContain('/join/');
        expect(AtDoors::enter($this, 'T-2', AtDoors::link($this, LinkKind::Host)))->toContain('/bridge/rooms/');
        $first = AtDoors::enter($this, 'S-1', $own);
        expect($first)->toContain('/bridge/rooms/');
        cache()->flush();
        $this->as('S-1')
            ->get('/join/'.$own->secret)
            ->assertSee('You are already inside on another device')
            ->assertSee('Join on this device');
        expect(AtDoors::enter($this, 'S-1', $own))
            ->not->toBe($first)
            ->and($this->standins->page($first))
            ->toContain('which took over');
        // The live desk: end for all.
        $session = Session::query()
            ->where('day', '2027-02-09')
            ->whereRelation('series.section', 'sourced_id', 'MAR')
            ->firstOrFail();
        $this->as('T-2')
            ->get("/live/{$session->id}")
            ->assertOk()
            ->assertSee('Galia Zabalo')
            ->assertSee('running')
            ->assertSee('2 have not joined');
        $this->post("/live/{$session->id}", ['act' => 'end'])->assertSessionHas(
            'said',
            'The session has ended for everybody.',
        );
        expect(AtDoors::enter($this, 'S-1', $own))->toContain('/join/');
        cache()->flush();
        $this->as('S-1')
            ->get('/join/'.$own->secret)
            ->assertSee('This session is over');
        $this->as('T-2')
            ->get("/live/{$session->id}")
            ->assertSee('The session was ended for everybody.')
            ->assertSee('Reopen session');
    },
);

test(
    'others wait outside where the door says so; the teacher lets them in, gives the floor, sends out',
    function () {
        $this->as('T-2')
            ->put(
                AtDoors::series($this).'/rules',
                ['straight_in' => 'nobody', 'others_wait' => 1] + AtDoors::RULES,
            )
            ->assertSessionHasNoErrors();
        AtDoors::enter($this, 'T-2', AtDoors::link($this, LinkKind::Host));
        $at = AtDoors::enter($this, 'S-1', AtDoors::link($this, LinkKind::Personal, 'S-1'));
        AtDoors::enter($this, 'S-2', AtDoors::link($this, LinkKind::Personal, 'S-2'));
        expect($this->standins->page($at))->toContain('You are waiting to be let in');
        app(Clock::class)->set(strtotime('2027-02-09T10:06:00+01:00'));
        $live =
            '/live/'.
            Session::query()
                ->where('day', '2027-02-09')
                ->whereRelation('series.section', 'sourced_id', 'MAR')
                ->value('id');
        $this->as('T-2')->get($live)->assertSee('2 waiting to be let in')->assertSee('Let everybody in, late');
        $this->post($live, ['act' => 'let-in', 'person' => 'S-1'])->assertSessionHas('said', 'Let in.');
        // What the desk fetches behind in between only looks: what is to be said is still said.
        $this->get($live, ['X-Requested-With' => 'XMLHttpRequest'])->assertHeader('X-Version');
        $this->get($live)->assertSee('Let in.')->assertSee('1 waiting to be let in')->assertSee('late');
        $this->post($live, ['act' => 'give-floor', 'person' => 'S-1']);
        expect($this->standins->page($at))->toContain('Share a screen: yes');
        $this->post($live, ['act' => 'take-floor', 'person' => 'S-1']);
        expect($this->standins->page($at))->toContain('Share a screen: no');
        $this->post($live, ['act' => 'send-out', 'person' => 'S-1']);
        expect(AtDoors::enter($this, 'S-1', AtDoors::link($this, LinkKind::Personal, 'S-1')))->toContain('/join/');
        cache()->flush();
        $this->as('S-1')
            ->get('/join/'.AtDoors::link($this, LinkKind::Personal, 'S-1')->secret)
            ->assertSee('You were removed from this session');
        $this->as('T-2')
            ->post($live, ['act' => 'dance'])
            ->assertSessionHasErrors('act');
        $this->as('T-1')
            ->post($live, ['act' => 'end'])
            ->assertForbidden();
    },
);

test('a rehearsal brings invented students, and counts for nothing', function () {
    $live =
        '/live/'.
        Session::query()
            ->where('day', '2027-02-11')
            ->whereRelation('series.section', 'sourced_id', 'MAR')
            ->value('id');
    $this->as('T-2')
        ->get("$live?rehearsal=1")
        ->assertSee('Start rehearsal');
    $this->post($live, ['act' => 'rehearse', 'rehearsal' => 1])->assertSessionHas('said');
    $this->get("$live?rehearsal=1")
        ->assertSee('Alba Ferrán')
        ->assertSee('4 waiting to be let in');
    $this->post($live, ['act' => 'let-in-all', 'rehearsal' => 1]);
    $this->get("$live?rehearsal=1")
        ->assertDontSee(' outside')
        ->assertSee('7 people inside');
    // They raise their hands and write, a step at a time.
    $this->post($live, ['act' => 'rehearse', 'rehearsal' => 1])->assertSessionHas('said', 'The rehearsal has moved on '
        .'one step.');
    $this->get("$live?rehearsal=1")
        ->assertSee('aria-label="Hand 1"', false)
        ->assertSee('Is the harbour the grey part?');
    $this->get($live)->assertDontSee('Alba Ferrán');
});

test('the student\'s page and Today name the doors of the series\' own preset', function () {
    $this->as('T-2')
        ->put(
            AtDoors::series($this).'/rules',
            ['opens_before' => 30, 'opens_before_hosts' => 40] + AtDoors::RULES,
        )
        ->assertSessionHasNoErrors();
    app(Clock::class)->set(strtotime('2027-02-11T09:20:00+01:00'));
    $this->as('S-1')->get('/me')->assertSee('Join page, open at 08:30');
    $this->as('T-2')->get('/today')->assertSee('opens at 09:30');
});

test(
    'a replaced link is dead at once, tells where the new one is, and everything that carries it is stale',
    function () {
        Artisan::call('nomada:publish', ['--section' => ['MAR']]);
        $old = AtDoors::link($this, LinkKind::Series);
        $own = AtDoors::link($this, LinkKind::Personal, 'S-1');
        expect(
            DB::table('published_items')
                ->where('section_id', $this->section('MAR')->id)
                ->whereRaw('desired_hash is distinct from published_hash')
                ->count(),
        )->toBe(0);
        $this->as('A-1')
            ->get(AtDoors::series($this).'/joining')
            ->assertSeeInOrder(['5 links stop working at once', 'Calendar: 4 items', 'Replace links']);
        $this->post(AtDoors::series($this).'/replacement')->assertSessionHas('said');
        $this->get(AtDoors::series($this).'/joining')->assertSeeInOrder([
            'Calendar: 4 items',
            '4 out of date',
            'Galia Zabalo',
            'out of date',
        ]);

        expect(
            DB::table('published_items')
                ->where('section_id', $this->section('MAR')->id)
                ->whereRaw('desired_hash is distinct from published_hash')
                ->count(),
        )->toBe(DB::table('published_items')->where('section_id', $this->section('MAR')->id)->count());
        foreach ([$old, $own] as $link) {
            $this->as('S-1')
                ->get('/join/'.$link->secret)
                ->assertSee('This link was replaced')
                ->assertDontSee('Marine Science')
                ->assertDontSee('10:00');
        }
        $new = AtDoors::link($this, LinkKind::Series);
        expect($new->room)->toBe($old->room)->and($new->join_code)->not->toBe($old->join_code);
        $this->post('/join', ['code' => (string) $old->join_code])->assertSessionHasErrors('code');
        $this->post('/join', ['code' => (string) $new->join_code])->assertRedirect('/join/'.$new->secret);
        // One personal link alone.
        $this->as('A-1')
            ->post(AtDoors::series($this).'/replacement', [
                'link' => AtDoors::link($this, LinkKind::Personal, 'S-2')->id,
            ])
            ->assertSessionHasNoErrors();
        $this->get('/joining/audit?kind=link')
            ->assertSee('personal link of Rui Mestre replaced')
            ->assertSee('5 links replaced');
    },
);

test('a guest comes in by a pass without an account, until it runs out or is taken back', function () {
    $path = AtDoors::series($this);
    $this->as('A-1')
        ->post("$path/guests", [
            'guest_name' => 'Vera Ocampo',
            'guest_email' => 'vera@boats.example',
            'until' => '2027-02-10',
        ])
        ->assertSessionHasNoErrors();
    $pass = AtDoors::link($this, LinkKind::Guest);
    AtDoors::enter($this, 'T-2', AtDoors::link($this, LinkKind::Host));
    auth()->logout();
    cache()->flush();
    $this->get('/join/'.$pass->secret)
        ->assertOk()
        ->assertSee('<h1>You can join</h1>', false)
        ->assertDontSee('Galia');
    expect(AtDoors::enter($this, null, $pass))->toContain('/bridge/rooms/');
    // Any other link asks to sign in first, and says nothing.
    auth()->logout();
    $this->get('/join/'.AtDoors::link($this, LinkKind::Series)->secret)->assertRedirect('/sign-in');
    app(Clock::class)->set(strtotime('2027-02-11T10:00:00+01:00'));
    $this->get('/join/'.$pass->secret)->assertSee('This guest pass has expired');
    app(Clock::class)->set(strtotime('2027-02-09T09:52:00+01:00'));
    $this->as('A-1')
        ->delete("$path/guests/{$pass->id}")
        ->assertSessionHasNoErrors();
    auth()->logout();
    $this->get('/join/'.$pass->secret)->assertSee('This link was replaced');
    $this->as('A-1')
        ->post("$path/guests", ['guest_name' => '', 'guest_email' => 'x', 'until' => '2027-01-01'])
        ->assertSessionHasErrors(['guest_name', 'guest_email']);
    $this->post("$path/guests", ['guest_name' => 'A', 'until' => '2027-01-12'])->assertSessionHasErrors([
        'until' => 'This day is past. Choose a later one.',
    ]);
    $this->post("$path/guests", [
        'guest_name' => 'A',
        'until' => '2027-03-12',
        'only_day' => '2027-03-01',
    ])->assertSessionHasErrors('only_day');
    // The session says how long; without either nobody knows.
    $this->post("$path/guests", ['guest_name' => 'A'])->assertSessionHasErrors('until');
    $this->post("$path/guests", ['guest_name' => 'Ilan', 'only_day' => '2027-02-11'])->assertSessionHasNoErrors();
});

test('a short address leads to the door, is nobody\'s name, and is its own', function () {
    $path = AtDoors::series($this);
    $this->as('A-1')
        ->put("$path/short-address", ['short_address' => ''])
        ->assertSessionHasNoErrors();
    expect(AtDoors::link($this, LinkKind::Series)->short_address)->toBe('y8-marine-science');
    $this->as('S-1')
        ->get('/go/Y8-Marine-Science')
        ->assertRedirect('/join/'.AtDoors::link($this, LinkKind::Series)->secret);
    $this->as('A-1')
        ->put("$path/short-address", ['short_address' => 'class with zabalo'])
        ->assertSessionHasErrors([
            'short_address' => 'This short link would reveal a student. Use words from the section and its title.',
        ]);
    $this->put('/sections/SPA/series/'.$this->section('SPA')->series()->value('series.id').'/short-address', [
        'short_address' => 'Y8 Marine Science',
    ])->assertSessionHasErrors('short_address');
});

test('seats are given once each, however many arrive at one moment', function () {
    $link = AtDoors::link($this, LinkKind::Series);
    $url = config('nomada.standins.url')."/bridge/rooms/{$link->room}/people";
    $answers = Illuminate\Support\Facades\Http::pool(
        fn ($pool) => array_map(
            fn (int $n) => $pool
                ->withToken((string) config('nomada.standins.token'))
                ->withBody(
                    (string) json_encode([
                        'person' => 'P-'.$n % 12,
                        'name' => "P $n",
                        'meeting' => 'm',
                        'seats' => 5,
                    ]),
                    'application/json',
                )
                ->post($url),
            range(0, 47),
        ),
    );
    $state = $this->standins->get("/bridge/rooms/{$link->room}?meeting=m");
    $in = array_filter($answers, fn ($a): bool => $a->status() === 201);

    expect($state['inside'])
        ->toHaveCount(5)
        ->and(array_unique(array_column($state['inside'], 'person')))
        ->toHaveCount(5)
        ->and(count($in))
        ->toBeGreaterThanOrEqual(5)
        ->and(array_unique(array_map(fn ($a): int => $a->status(), $answers)))
        ->each->toBeIn([201, 409]);
});

test('the whole invitation is there on each student\'s clock', function () {
    $this->as('T-2')
        ->get(AtDoors::series($this).'/joining')
        ->assertSee('Full invitation, on each student’s clock')
        ->assertSee('On Canary time')
        ->assertSee("When (Canary time):\n  Tue 9 Feb, 09:00–09:47")
        ->assertSee("When (Madrid time):\n  Tue 9 Feb, 10:00–10:47")
        ->assertSee("When (Casablanca time):\n  Tue 9 Feb, 09:00–09:47");
});

test('whoever waits is told when the door has changed, without a session, and all share one look', function () {
    momentAt('2027-02-11', '09:30');
    $link = AtDoors::link($this, LinkKind::Series);
    $look = AtDoors::look($this, 'S-1', $link);
    $version = function (bool $shared = false) use ($look): string {
        $shared || cache()->flush();
        $answer = $this->get($look)->assertOk();
        expect($answer->headers->getCookies())->toBe([]);

        return (string) $answer->json('version');
    };
    $early = $version();
    expect($version())->toBe($early);
    // The page itself carries it, and how long it is until the doors open.
    $this->as('S-1')
        ->get("/join/$link->secret")
        ->assertSee("data-version=\"$early\"", false)
        ->assertSee('data-opens="1200"', false);
    auth()->logout();
    // Nobody asks for somebody else.
    $this->get(str_replace('person=', 'person=1', $look))->assertForbidden();
    $this->get("/join/$link->secret/look")->assertForbidden();

    momentAt('2027-02-11', '09:52');
    expect($version(shared: true))->toBe($early);
    $open = $version();
    expect($open)->not->toBe($early);
    // Hidden by somebody: at once, no matter who else has looked.
    $link->update(['is_hidden' => true]);
    expect($version(shared: true))->not->toBe($open);
    $link->update(['is_hidden' => false]);
    expect($version(shared: true))->toBe($open);
    // A registration is decided: theirs, by the link of everybody.
    $mine = fn () => DB::table('registrations')->where('person_id', personCalled('S-1')->id);
    $mine()->update(['state' => 'waiting']);
    expect($version(shared: true))->not->toBe($open);
    $mine()->update(['state' => 'accepted']);
    DB::table('registrations')
        ->where('person_id', personCalled('S-2')->id)
        ->update(['state' => 'waiting']);
    expect($version(shared: true))->toBe($open);
    // The teacher comes in: all are told. Who comes in after that changes nothing for those outside.
    $this->standins->page(AtDoors::enter($this, 'T-2', AtDoors::link($this, LinkKind::Host)));
    auth()->logout();
    $inside = $version();
    expect($inside)->not->toBe($open);
    expect($into = AtDoors::enter($this, 'S-3', $link))->toContain('/bridge/rooms/');
    $this->standins->page($into);
    auth()->logout();
    expect($version())->toBe($inside);
    DB::table('sessions')
        ->where('day', '2027-02-11')
        ->update(['state' => 'cancelled', 'cancelled' => 'ill']);
    expect($version())->not->toBe($inside);
});

test(
    'a pass is one person\'s: the first browser keeps it, the next asks, and the teacher sees both and decides',
    function () {
        $path = AtDoors::series($this);
        $this->as('A-1')
            ->post("$path/guests", ['guest_name' => 'Vera Ocampo', 'until' => '12 Feb'])
            ->assertSessionHasNoErrors();
        $pass = AtDoors::link($this, LinkKind::Guest);
        AtDoors::enter($this, 'T-2', AtDoors::link($this, LinkKind::Host));
        $as = function (array $cookies, string $browser) use ($pass) {
            auth()->logout();
            cache()->flush();
            $this->defaultCookies = $cookies;

            return [
                $this->withCookies($cookies)
                    ->withHeader('User-Agent', $browser)
                    ->get("/join/$pass->secret"),
                $this->withCookies($cookies)
                    ->withHeader('User-Agent', $browser)
                    ->post("/join/$pass->secret"),
            ];
        };
        [$page, $entered] = $as([], 'Firefox/130 (Windows)');
        $page->assertSee('<h1>You can join</h1>', false);
        $word = $entered->getCookie('guest')->getValue();
        expect($entered->headers->get('Location'))->toContain('/bridge/rooms/');
        // The same browser again, and another one.
        $as(['guest' => $word], 'Firefox/130 (Windows)')[0]->assertSee('Join on this device');
        [$page, $entered] = $as([], 'Safari/604 (iPhone)');
        $page->assertSee('This pass is in use in another browser')->assertSee('Ask for entry in this browser');
        expect($entered->headers->get('Location'))->toContain("/join/$pass->secret");
        // A student of the class comes as the student, whatever pass it is; somebody else's account as a guest.
        $this->as('S-1')
            ->get("/join/$pass->secret")
            ->assertDontSee('another browser');
        auth()->logout();
        $this->defaultCookies = [];
        $asks = $this->withHeader('User-Agent', 'Safari/604 (iPhone)')->post("/join/$pass->secret/pass");
        $second = $asks->getCookie('guest')->getValue();
        $this->withCookies(['guest' => $second])
            ->get("/join/$pass->secret")
            ->assertSee('The teacher has been asked');
        $session = $this->section('MAR')
            ->series()
            ->firstOrFail()
            ->sessions()
            ->where('day', '2027-02-09')
            ->firstOrFail();
        $this->as('T-2')
            ->get("/live/$session->id")
            ->assertSee('1 pass open in two browsers')
            ->assertSee('First: Firefox, Windows')
            ->assertSee('Asking: Safari, iPhone');
        $claim = (string) DB::table('pass_claims')->value('id');
        $this->as('T-1')
            ->post("/live/$session->id", ['act' => 'pass-move', 'person' => $claim])
            ->assertForbidden();
        $this->as('T-2')
            ->post("/live/$session->id", ['act' => 'pass-move', 'person' => $claim])
            ->assertSessionHas('said', 'The pass of Vera Ocampo was moved to the second browser.');
        $this->post("/live/$session->id", ['act' => 'pass-keep', 'person' => $claim])->assertSessionHasErrors(
            'form',
        );
        $as(['guest' => $second], 'Safari/604 (iPhone)')[0]->assertSee('<h1>You can join</h1>', false);
        $as(['guest' => $word], 'Firefox/130 (Windows)')[0]->assertSee('in use in another browser');
        // In the database no word of a cookie.
        expect(json_encode([DB::table('join_links')->get(), DB::table('pass_claims')->get()]))
            ->not->toContain($word)
            ->not->toContain($second);
    },
);

test('a guest who was sent out stays out by a second pass too', function () {
    $path = AtDoors::series($this);
    foreach (['Vera Ocampo', 'V. Ocampo'] as $name) {
        $this->as('A-1')->post("$path/guests", ['guest_name' => $name, 'until' => '12 Feb']);
    }
    [$first, $second] = JoinLink::query()->where('kind', LinkKind::Guest)->orderBy('id')->get()->all();
    AtDoors::enter($this, 'T-2', AtDoors::link($this, LinkKind::Host));
    auth()->logout();
    $word = $this->post("/join/$first->secret")
        ->getCookie('guest')
        ->getValue();
    $room = AtDoors::link($this, LinkKind::Series)->room;
    $guest = array_values(
        array_filter(
            app(ConferenceBridge::class)->state($room, '2027-02-09T09:00')['inside'],
            fn (array $p): bool => ! $p['host'],
        ),
    )[0]['person'];
    $session = $this->section('MAR')->series()->firstOrFail()->sessions()->where('day', '2027-02-09')->value('id');
    $this->as('T-2')->post("/live/$session", ['act' => 'send-out', 'person' => $guest]);
    auth()->logout();
    cache()->flush();
    foreach ([$first, $second] as $pass) {
        $this->withCookies(['guest' => $word])
            ->get("/join/$pass->secret")
            ->assertSee('You were removed from this session');
    }
});

test('guests are marked, and a pass for one session goes where it goes', function () {
    $path = AtDoors::series($this);
    $this->as('A-1')
        ->post("$path/guests", ['guest_name' => 'Vera Ocampo', 'until' => '9 Feb', 'only_day' => '9 Feb'])
        ->assertSessionHasNoErrors();
    $pass = AtDoors::link($this, LinkKind::Guest);
    $series = $this->section('MAR')->series()->firstOrFail();
    $session = $series->sessions()->where('day', '2027-02-11')->firstOrFail();
    $pass->update(['only_session_id' => $session->id, 'only_day' => '2027-02-11']);
    $this->put("/sections/MAR/series/$series->id/sessions/$session->id", [
        'move_day' => '12 Feb',
        'move_start' => '10:00',
        'move_end' => '10:47',
    ])->assertSessionHasNoErrors();
    expect($pass->fresh()->onlyDay())->toBe('2027-02-12');
    auth()->logout();
    momentAt('2027-02-11', '09:58');
    $this->get("/join/$pass->secret")
        ->assertSee('Fri 12 Feb')
        ->assertDontSee('<h1>You can join</h1>', false);
    momentAt('2027-02-12', '09:58');
    AtDoors::enter($this, 'T-2', AtDoors::link($this, LinkKind::Host));
    auth()->logout();
    cache()->flush();
    $this->post("/join/$pass->secret");
    $room = AtDoors::link($this, LinkKind::Series)->room;
    $names = array_column($this->standins->get("/bridge/rooms/$room?meeting=2027-02-12T09:00")['inside'], 'name');
    expect($names)->toContain('Vera Ocampo (guest)');
    momentAt('2027-02-12', '23:59');
    $this->get("/join/$pass->secret")->assertDontSee('<h1>You can join</h1>', false);
});
