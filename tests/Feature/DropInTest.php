<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;

beforeEach(function () {
    $this->school();
    $this->standins = $this->standins();
    cache()->flush();
});

const ROOM = [
    'section' => 'MAR',
    'name' => 'Office hours',
    'hours' => 'Tue 15-16, Thu 9:00-9:50',
    'preset' => 'office-hours',
];

function clockAt(string $at): void
{
    app(Clock::class)->set(strtotime($at));
    cache()->flush();
}

test(
    'a drop-in room is open in its hours only; everybody waits outside until the teacher lets them in',
    function () {
        $this->as('T-2')
            ->post('/joining/drop-in', ROOM)
            ->assertSessionHasNoErrors()
            ->assertRedirect('/joining/drop-in');
        $room = DropInRoom::query()->firstOrFail();
        $this->get('/joining/drop-in')->assertSee('Tue 15:00–16:00, Thu 09:00–09:50')->assertSee('Tue 9 Feb 15:00');
        $door = "/join/$room->secret";
        // On the student's own clock, which is an hour behind.
        $this->as('S-1')
            ->get('/me')
            ->assertSee('Office hours, Y8 Marine Science')
            ->assertSee('Tue 9 Feb 14:00–15:00');
        $this->get($door)
            ->assertSee('The session is not open')
            ->assertSee('at 14:00 (15:00 in Madrid)')
            ->assertSee('Tue 15:00–16:00, Thu 09:00–09:50 in Madrid');
        $this->post($door)->assertRedirect($door);
        clockAt('2027-02-09T15:02:00+01:00');
        $this->get($door)->assertSee('The teacher is not here yet');
        expect((string) $this->as('T-2')->post($door)->headers->get('Location'))->toContain('/bridge/rooms/');
        cache()->flush();
        $this->as('S-1')->get('/me')->assertSee('open until 15:00');
        $this->get($door)->assertSee('The teacher will let you in');
        $at = (string) $this->post($door)->headers->get('Location');
        expect($this->standins->page($at))->toContain('The teacher will let you in');
        $this->as('T-2')
            ->get("/joining/drop-in/$room->id/live")
            ->assertSee('1 waiting to be let in')
            ->assertSee('Galia Zabalo')
            ->assertDontSee('not here')
            ->assertDontSee('Rehearse');
        $this->post("/joining/drop-in/$room->id/live", ['act' => 'let-in-all'])->assertSessionHas(
            'said',
            'Everybody was let in.',
        );
        expect($this->standins->page($at))->toContain('2 people are inside');
        $this->post("/joining/drop-in/$room->id/live", ['act' => 'rehearse'])->assertSessionHasErrors('form');
        $this->post("/joining/drop-in/$room->id/live", ['act' => 'end'])->assertSessionHas(
            'said',
            'The session has ended for everybody.',
        );
        $this->as('S-1')->get($door)->assertSee('next time the room is open')->assertDontSee('no more sessions');
        // The next hours are a meeting of their own.
        clockAt('2027-02-11T09:10:00+01:00');
        $this->as('S-1')->get($door)->assertSee('The teacher is not here yet');
        expect(
            DB::table('audit_log')->where('section', 'Y8 Marine Science')->orderBy('id')->pluck('words')->all(),
        )->toBe(['drop-in room Office hours, Tue 15:00–16:00, Thu 09:00–09:50', 'ended for everybody']);
    },
);

test('its link can be hidden and replaced, its code typed in, and the console answers for it', function () {
    $this->as('A-1')->post('/joining/drop-in', ROOM);
    $room = DropInRoom::query()->firstOrFail();
    $old = $room->secret;
    $this->as('S-1')
        ->post('/join', ['code' => $room->join_code])
        ->assertRedirect("/join/$old");
    $this->as('A-1')
        ->post("/joining/drop-in/$room->id/hiding", ['hidden' => 1])
        ->assertSessionHas('said');
    clockAt('2027-02-09T15:02:00+01:00');
    $this->as('S-1')
        ->get("/join/$old")
        ->assertSee('The session is not open')
        ->assertDontSee('Marine Science');
    $this->get('/me')->assertDontSee('Office hours');
    $this->as('A-1')->post("/joining/drop-in/$room->id/hiding", ['hidden' => 0]);
    $this->post("/joining/drop-in/$room->id/replacement")->assertSessionHas('said');
    $this->as('S-1')
        ->get("/join/$old")
        ->assertSee('This link was replaced')
        ->assertDontSee('Marine Science');
    Artisan::call('nomada:door', [
        '--link' => $room->refresh()->join_code,
        '--at' => '2027-02-09T14:59',
        '--person' => 'S-1',
        '--json' => true,
    ]);
    expect(json_decode(Artisan::output(), true))->toMatchArray([
        'reply' => 'shut',
        'opens' => false,
        'doors_open_at' => '2027-02-09T15:00:00+01:00',
    ]);
    Artisan::call('nomada:door', [
        '--link' => $room->secret,
        '--at' => '2027-02-09T14:50',
        '--person' => 'T-2',
        '--json' => true,
    ]);
    expect(json_decode(Artisan::output(), true))->toMatchArray(['reply' => 'come-in', 'as_host' => true]);
    auth()->logout();
    $this->get("/join/$room->secret")->assertRedirect('/sign-in');
    $this->as('A-1')->delete("/joining/drop-in/$room->id");
    $this->as('S-1')
        ->get("/join/$room->secret")
        ->assertNotFound();
});

test('it stands on the course page, changes there, and goes when it is taken out', function () {
    Artisan::call('nomada:links');
    $this->as('A-1')->post('/joining/drop-in', ROOM);
    $room = DropInRoom::query()->firstOrFail();
    $stands = fn (): ?object => DB::table('published_items')
        ->where('key', "MAR/drop-in-$room->id")
        ->first();
    expect($stands()->published_hash)->toBeNull();
    Artisan::call('nomada:publish', ['--section' => ['MAR']]);
    expect(Nomada\App\Support\SealedWords::open($stands()->standing))->toMatchArray([
        'title' => 'Office hours',
        'open' => 'Tue 15:00–16:00, Thu 09:00–09:50 Madrid',
        'link' => $room->address(),
    ]);
    // Its hours are in the language of the person who reads them.
    Nomada\App\Models\Term\Person::query()
        ->where('sourced_id', 'S-1')
        ->update(['language' => 'es']);
    $this->as('S-1')->get($room->address())->assertSee('mar 15:00–16:00, jue 09:00–09:50, hora de Madrid');
    $this->as('A-1');
    $this->put("/joining/drop-in/$room->id", [
        'name' => 'Help',
        'hours' => 'Wed 12-13',
        'preset' => 'guest-lecture',
    ])->assertSessionHasNoErrors();
    expect($stands()->desired_hash)->not->toBe($stands()->published_hash);
    $this->delete("/joining/drop-in/$room->id");
    expect($stands()->desired_hash)->toBeNull();
    Artisan::call('nomada:publish', ['--section' => ['MAR']]);
    expect($stands())->toBeNull();
});

test('what is typed wrongly is told, and nothing is made', function (array $with, string $field, string $words) {
    $this->as('A-1')
        ->from('/joining/drop-in')
        ->post('/joining/drop-in', [...ROOM, ...$with])
        ->assertSessionHasErrors([$field => $words]);
    expect(DropInRoom::query()->count())->toBe(0);
})->with([
    'no section' => [['section' => 'NONE'], 'section', 'Choose a section.'],
    'no hours' => [['hours' => ''], 'hours', 'Enter when the room is open: "Tue 15:00-16:00, Thu 9-10".'],
    'always open' => [
        ['hours' => 'Mon 7-20'],
        'hours',
        'Mon 07:00–20:00 is longer than 6 hours. Enter the actual hours.',
    ],
    'no preset' => [['preset' => 'party'], 'preset', 'This preset does not exist. Choose one from the list.'],
]);

test(
    'pressed twice one room is made; a second of its name is refused; another teacher makes none; a bridge that is '.
        'down is told',
    function () {
        $uid = '0b0e6ea6-3c7c-4d6e-9f0a-0d6a5d3e8a11';
        $this->as('T-2')->post('/joining/drop-in', ROOM + ['uid' => $uid]);
        $this->post('/joining/drop-in', ROOM + ['uid' => $uid])->assertSessionHasNoErrors();
        expect(DropInRoom::query()->count())->toBe(1);
        $this->post('/joining/drop-in', ROOM)->assertSessionHasErrors('name');
        $this->as('T-1')
            ->post('/joining/drop-in', ['name' => 'Mine'] + ROOM)
            ->assertForbidden();
        $this->standins->behave('bridge', ['failures' => 1]);
        $this->as('T-2')
            ->post('/joining/drop-in', ['name' => 'More'] + ROOM)
            ->assertSessionHasErrors('form');
        expect(DropInRoom::query()->count())->toBe(1);
    },
);

test(
    'one session has a door of its own, which survives a change of its series, and can be taken back and undone',
    function () {
        Artisan::call('nomada:links');
        Artisan::call('nomada:register', ['--section' => ['MAR']]);
        $path = '/sections/MAR/series/'.$this->section('MAR')->series()->value('series.id');
        $session = Session::query()
            ->where('day', '2027-02-18')
            ->whereRelation('series.section', 'sourced_id', 'MAR')
            ->firstOrFail();
        $rules = [
            'only' => $session->id,
            'opens_before' => 30,
            'opens_before_hosts' => 40,
            'needs_host' => 1,
            'straight_in' => 'anyone',
            'others_wait' => 0,
            'one_device' => 1,
            'speak' => 'everyone',
            'camera' => 'everyone',
            'chat' => 'everyone',
            'screen' => 'everyone',
            'draw' => 'host',
            'record' => 'host',
            'muted_on_entry' => 1,
        ];
        $this->as('T-2')
            ->put("$path/rules", $rules)
            ->assertSessionHasNoErrors();
        $this->get("$path/joining?only=$session->id")
            ->assertSee('For Thu 18 Feb only')
            ->assertSee('Save for this session');
        $this->as('A-1')
            ->get('/joining?show=open')
            ->assertSee('on Thu 18 Feb no waiting for anyone with the link')
            ->assertSee('on Thu 18 Feb everybody may share a screen');
        // Its series moves; the session's date stays, and so does its door.
        $this->put($path, [
            'title' => 'Marine Science',
            'series' => $session->series_id,
            'kind' => 'weekly',
            'weekdays' => [2, 4],
            'every' => 1,
            'starts_on' => '2027-01-12',
            'end_kind' => 'term',
            'start_time' => '10:15',
            'end_time' => '11:02',
            'reach' => 'whole',
        ])->assertSessionHasNoErrors();
        $door =
            '/join/'.
            DB::table('join_links')
                ->where('kind', 'personal')
                ->where('person_id', DB::table('people')->where('sourced_id', 'S-1')->value('id'))
                ->pluck('id')
                ->map(fn ($id) => Nomada\App\Models\Joining\JoinLink::query()->findOrFail($id)->secret)
                ->first();
        clockAt('2027-02-18T09:46:00+01:00');
        $this->as('S-1')->get($door)->assertSee('The teacher is not here yet');
        $this->get('/me')->assertSee('>Join</a>', false);
        $now = Session::query()->where('day', '2027-02-18')->where('series_id', $session->series_id)->firstOrFail();
        $this->as('T-2')
            ->delete("$path/sessions/$now->id/rules")
            ->assertSessionHasNoErrors();
        $this->as('S-1')->get($door)->assertSee('You are early');
        $change = DB::table('series_changes')->orderByDesc('id')->first();
        expect($change->words)->toBe('Thu 18 Feb: the series’ rules again');
        $this->as('A-1')
            ->post("/sections/MAR/changes/$change->id/undoing")
            ->assertSessionHasNoErrors();
        expect(
            Session::query()->where('day', '2027-02-18')->where('series_id', $session->series_id)->firstOrFail()
                ->door,
        )->toEqual(['opens_before' => 30, 'straight_in' => 'anyone', 'opens_before_hosts' => 40]);
        // One that is over has no door any more.
        $past = Session::query()
            ->where('day', '2027-02-09')
            ->where('series_id', $session->series_id)
            ->firstOrFail();
        $this->put("$path/rules", ['only' => $past->id] + $rules)->assertSessionHasErrors('only');
    },
);

test(
    'a link hidden outside the door\'s hours stands at no destination, and appears on the student\'s page when the '.
        'opens',
    function () {
        Artisan::call('nomada:links');
        Artisan::call('nomada:register', ['--section' => ['MAR']]);
        $path = '/sections/MAR/series/'.$this->section('MAR')->series()->value('series.id');
        $this->as('T-2')
            ->put("$path/rules", [
                'hidden_outside' => 1,
                'opens_before' => 5,
                'opens_before_hosts' => 15,
                'needs_host' => 1,
                'straight_in' => 'accepted',
                'others_wait' => 0,
                'one_device' => 1,
                'speak' => 'everyone',
                'camera' => 'everyone',
                'chat' => 'everyone',
                'screen' => 'host',
                'draw' => 'host',
                'record' => 'host',
                'muted_on_entry' => 1,
            ])
            ->assertSessionHasNoErrors();
        Artisan::call('nomada:publish', ['--section' => ['MAR']]);
        $standing = DB::table('published_items')
            ->where('section_id', $this->section('MAR')->id)
            ->where(fn ($q) => $q->where('place', 'course-page')->orWhere('person', 'S-1'))
            ->pluck('standing');
        expect($standing)->not->toBeEmpty();
        foreach ($standing as $sealed) {
            expect((string) json_encode(Nomada\App\Support\SealedWords::open($sealed), JSON_UNESCAPED_SLASHES))
                ->toContain('on your own page, during opening hours')
                ->not->toContain('/join/');
        }
        $door = Nomada\App\Models\Joining\JoinLink::query()
            ->where('kind', 'personal')
            ->whereRelation('person', 'sourced_id', 'S-1')
            ->firstOrFail()
            ->address();
        $this->as('S-1')->get('/me')->assertSee('The link appears here at 08:55')->assertDontSee($door);
        $this->get($door)->assertSee('The session is not open')->assertSee('It opens at 08:55 (09:55 in Madrid)');
        clockAt('2027-02-09T09:55:00+01:00');
        $this->get('/me')->assertSee($door);
        $this->get($door)->assertSee('The teacher is not here yet');
    },
);

test('the demo\'s clock steps to the doors of the next session, by that series\' own door', function () {
    $path = '/sections/MAR/series/'.$this->section('MAR')->series()->value('series.id');
    clockAt('2027-02-09T12:00:00+01:00');
    config(['nomada.demo' => true]);
    $this->as('A-1')->put("$path/rules", [
        'opens_before' => 90,
        'opens_before_hosts' => 90,
        'needs_host' => 1,
        'straight_in' => 'accepted',
        'others_wait' => 0,
        'one_device' => 1,
        'speak' => 'everyone',
        'camera' => 'everyone',
        'chat' => 'everyone',
        'screen' => 'host',
        'draw' => 'host',
        'record' => 'host',
        'muted_on_entry' => 1,
    ]);
    $this->as('T-2')
        ->post('/clock', ['step' => 'next'])
        ->assertSessionHasNoErrors();
    expect(app(Clock::class)->seconds())->toBe(strtotime('2027-02-11T08:30:00+01:00'));
    clockAt('2027-04-23T23:00:00+02:00');
    $this->post('/clock', ['step' => 'next'])->assertSessionHasErrors('step');
});
