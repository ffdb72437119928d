<?php

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Nomada\App\Destinations\ConcurrentRequests;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\Places;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Publishing\Run;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\PlaceKind;
use Tests\Support\Radicale;

beforeEach(function () {
    $this->standins = $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
});

/** @param  array<string, mixed>  $with */
function placeForm(array $with = []): array
{
    return [
        'kind' => 'caldav',
        'url' => Radicale::shared()->url(),
        'user' => Radicale::USER,
        'password' => Radicale::PASSWORD,
        'pace' => '',
        'timeout' => '',
        ...$with,
    ];
}

test('a place is tried before it is kept, and what stood elsewhere is to be published anew', function () {
    Radicale::shared()->empty();
    Artisan::call('nomada:publish');
    $this->as('A-1')->get('/publishing/places')->assertSee('all five services are demo services');
    $this->put('/publishing/places/calendar/trial', placeForm(['password' => 'wrong']))->assertSessionHas(
        'trial',
        fn (array $t) => ! $t['works'] && str_contains($t['words'][0], 'does not accept this user name and password'),
    );
    $this->put('/publishing/places/calendar/trial', placeForm())->assertSessionHas('trial.works', true);
    expect(DB::table('service_connections')->count())->toBe(0);

    $this->put('/publishing/places/calendar', placeForm())->assertSessionHasNoErrors();
    $this->get('/joining/audit?kind=place')->assertSee('Calendar server: a calendar server (CalDAV) http');
    $this->get('/publishing/places')
        ->assertSee('a calendar server (CalDAV)')
        ->assertSee('6 to add')
        ->assertDontSee(Radicale::PASSWORD);
    expect(DB::table('service_connections')->value('password'))
        ->not->toContain(Radicale::PASSWORD)
        ->and(Placement::query()->where('place', 'calendar')->whereNotNull('published_hash')->count())
        ->toBe(0);
    // An empty password keeps the one that is kept, as long as the server stays the same.
    $this->put('/publishing/places/calendar', placeForm(['password' => '', 'pace' => '50']));
    expect(app(Places::class)->of(ExternalService::Calendar)->password)->toBe(Radicale::PASSWORD);
    $this->put('/publishing/places/calendar', placeForm(['password' => '', 'user' => 'other']));
    expect(app(Places::class)->of(ExternalService::Calendar)->password)->toBe('');
    $this->delete('/publishing/places/calendar');
    expect(app(Places::class)->of(ExternalService::Calendar)->kind)->toBe(PlaceKind::StandIn);
});

test('what cannot be a place is told beside its field, and nothing is kept', function (array $with, string $field) {
    $this->as('A-1')->put('/publishing/places/calendar', placeForm($with))->assertSessionHasErrors($field);
    expect(DB::table('service_connections')->count())->toBe(0);
})->with([
    [['kind' => 'smtp'], 'kind'],
    [['url' => 'calendar.example'], 'url'],
    [['pace' => 'fast'], 'pace'],
    [['pace' => '0.01'], 'pace'],
    [['timeout' => '900'], 'timeout'],
]);

test('a page of ours stands by itself: nothing is sent, and nothing can drift', function () {
    $this->as('A-1')->put('/publishing/places/course', ['kind' => 'our-page']);
    expect(Placement::query()->where('place', 'course-page')->whereRaw(Placement::DIFFERS)->count())->toBe(0);
    Artisan::call('nomada:publish', ['--section' => ['MAR']]);
    expect($this->standins->get('/course/pages/MAR')['items'])->toBe([]);
    // A change of what should be is at once.
    DB::table('series')->update(['title' => 'Practical']);
    app(Nomada\App\Actions\Publishing\RefreshPlacements::class)([$this->section('MAR')->id]);
    expect(Placement::query()->where('place', 'course-page')->whereRaw(Placement::DIFFERS)->count())->toBe(0);
});

test('drift is found, shown side by side, kept or put back, and what is left alone is named', function () {
    Artisan::call('nomada:publish');
    expect(Artisan::call('nomada:drift'))
        ->toBe(0)
        ->and(DB::table('outside_changes')->count())
        ->toBe(0);
    $this->standins->put(
        '/course/pages/MAR/items/week-6',
        '{"title":"Mine","block":"6","fields":{"Join link":"x"}}',
    );
    Http::withToken($this->standins->token)->delete($this->standins->url.'/course/pages/MAR/items/week-7');
    $post = $this->standins->get('/stream/sections/MAR')['posts'][0]['id'];
    Http::withToken($this->standins->token)->delete($this->standins->url."/stream/posts/$post");
    $this->as('A-1')
        ->post('/publishing/drift/look')
        ->assertSessionHas('said', '36 items checked. 3 were changed outside Nomada.');
    $page = $this->get('/publishing/drift')
        ->assertSee('Mine')
        ->assertSee('Live session')
        ->assertSee('Deleted there');
    expect(substr_count($page->getContent(), 'Deleted there'))->toBe(2);
    $this->get('/publishing')->assertSee('3 outside changes');
    // Looked at again, nothing is doubled; and what is as it was left again is nothing to be asked about.
    Artisan::call('nomada:drift', ['--section' => ['MAR'], '--json' => true]);
    expect(json_decode(Artisan::output(), true))->toMatchArray(['looked' => 19, 'found' => 3]);

    $ids = fn (string $key) => [Placement::query()->where('key', $key)->value('id')];
    $this->post('/publishing/drift/kept', ['chosen' => $ids('MAR/week-6')])->assertSessionHas('said');
    $this->get('/publishing/drift')->assertSee('Kept outside changes')->assertSee('Week 6');
    DB::table('published_items')
        ->where('key', 'MAR/week-6')
        ->update(['desired_hash' => 'newer']);
    Artisan::call('nomada:publish');
    expect($this->standins->get('/course/pages/MAR')['items'])
        ->toHaveCount(13)
        ->and(
            collect($this->standins->get('/course/pages/MAR')['items'])->firstWhere('item', 'MAR/week-6')['title'],
        )
        ->toBe('Mine');

    $this->post('/publishing/drift/back', ['chosen' => [...$ids('MAR/week-7'), ...$ids('MAR/opening')]]);
    $this->work();
    expect($this->standins->get('/course/pages/MAR')['items'])
        ->toHaveCount(14)
        ->and($this->standins->get('/stream/sections/MAR')['posts'])
        ->toHaveCount(1)
        ->and(DB::table('outside_changes')->count())
        ->toBe(0);
    $this->delete('/publishing/drift/kept/'.$ids('MAR/week-6')[0]);
    Artisan::call('nomada:drift');
    expect(DB::table('outside_changes')->count())->toBe(1);
    $this->post('/publishing/drift/back', ['chosen' => $ids('MAR/week-6')]);
    $this->post('/publishing/drift/back', ['chosen' => []])->assertSessionHasErrors('chosen');
});

test('a teacher decides of their own sections only', function () {
    Artisan::call('nomada:publish');
    $this->standins->put('/course/pages/MAR/items/week-6', '{"title":"Mine","block":"6","fields":{}}');
    Artisan::call('nomada:drift');
    $id = Placement::query()->where('key', 'MAR/week-6')->value('id');
    $this->as('T-1')->get('/publishing/drift')->assertOk()->assertDontSee('Mine');
    $this->post('/publishing/drift/kept', ['chosen' => [$id]])->assertForbidden();
    $this->post('/publishing/drift/back', ['chosen' => [$id]])->assertForbidden();
    $this->delete("/publishing/drift/kept/$id")->assertForbidden();
    $this->get('/publishing/places')->assertForbidden();
    $this->as('T-2')->get('/publishing/drift')->assertSee('Mine');
});

test('a run goes only where it was told to, is stopped and goes on by hand, and is told as CSV', function () {
    $this->as('A-1')->post('/publishing/runs', ['sections' => ['MAR'], 'places' => ['class-stream', 'calendar']]);
    $run = Run::query()->where('kind', 'publish')->firstOrFail();
    $this->post("/publishing/runs/$run->id/halt");
    $this->work();
    expect($this->standins->get('/stream/sections/MAR')['posts'])->toBe([]);
    Artisan::call('nomada:take-up', ['--idle' => 0]);
    $this->get("/publishing/runs/$run->id")->assertSee('Stopped.');
    $this->work();
    expect($this->standins->get('/stream/sections/MAR')['posts'])->toBe([]);
    $this->post("/publishing/runs/$run->id/going-on");
    $this->work();
    expect($this->standins->get('/stream/sections/MAR')['posts'])
        ->toHaveCount(1)
        ->and($this->standins->get('/course/pages/MAR')['items'])
        ->toBe([])
        ->and($run->refresh()->ended_at)
        ->not->toBeNull();
    $csv = $this->get("/publishing/runs/$run->id/record.csv")->streamedContent();
    expect(substr_count($csv, "\r\n"))
        ->toBe(6)
        ->and($csv)
        ->toContain('MAR,class-stream,add,MAR/opening,done,0,,20');
});

test('a run that begins later publishes what differs then, once', function () {
    momentAt('2027-02-09', '12:00');
    $later = ['sections' => ['MAR'], 'later' => 1, 'date' => '9 Feb', 'time' => '18:30'];
    $this->as('A-1')
        ->post('/publishing/runs', ['date' => '9 Feb', 'time' => '11:30'] + $later)
        ->assertSessionHasErrors('at');
    $this->post('/publishing/runs', ['time' => 'later'] + $later)->assertSessionHasErrors('time');
    $this->post('/publishing/runs', ['time' => ''] + $later)->assertSessionHasErrors('time');
    $this->post('/publishing/runs', $later)->assertSessionHasNoErrors();
    $run = Run::query()->where('kind', 'publish')->firstOrFail();
    Artisan::call('nomada:take-up', ['--idle' => 0]);
    expect($run->refresh()->ended_at)
        ->toBeNull()
        ->and(DB::table('run_steps')->where('lane', '!=', 'link')->count())
        ->toBe(0);
    momentAt('2027-02-09', '18:31');
    Artisan::call('nomada:take-up');
    Artisan::call('nomada:take-up');
    $this->work();
    expect(
        DB::table('run_steps')
            ->where(['run_id' => $run->id, 'state' => 'done'])
            ->count(),
    )
        ->toBe(19)
        ->and($run->refresh()->ended_at)
        ->not->toBeNull();
});

test(
    'known rooms: the room is that of the account which holds the series, and its address is shown to nobody before',
    function () {
        DB::table('host_accounts')->delete();
        $account = DB::table('host_accounts')->insertGetId([
            'name' => 'Harbour',
            'hosting_plan_id' => DB::table('hosting_plans')->value('id') ??
                DB::table('hosting_plans')->insertGetId(['name' => 'Small', 'seats' => 30, 'minutes' => 600]),
        ]);
        DB::table('series')->update(['host_account_id' => $account]);
        $list = fn (string $text) => ['rooms' => UploadedFile::fake()->createWithContent('rooms.csv', $text)];
        $this->as('A-1')->put('/publishing/places/bridge', ['kind' => 'known-rooms']);
        $this->post(
            '/publishing/rooms',
            $list("account,address,dial_in,pin\nNobody,http://x.example,,\n"),
        )->assertSessionHasErrors('rooms');
        expect(DB::table('known_rooms')->count())->toBe(0);
        $this->post(
            '/publishing/rooms',
            $list("account,address,dial_in,pin\nHarbour,https://rooms.example/7,+34 910,11\n"),
        )->assertSessionHasNoErrors();
        expect(DB::table('known_rooms')->value('address'))->not->toContain('rooms.example');
        $bridge = app(ConferenceBridge::class);
        $room = $bridge->makeRoom((string) DB::table('series')->value('uid'), 'A class');
        expect([$room->id, $room->dialIn, $room->pin])
            ->toBe(['Harbour', '+34 910', '11'])
            ->and($bridge->admit($room->id, 'S-1', 'Galia', false))
            ->toBe('https://rooms.example/7')
            ->and(fn () => $bridge->act($room->id, 'm', 'end', 0))
            ->toThrow(
                Nomada\App\Destinations\DestinationFailure::class,
                'This session’s room is on a service that '.'Nomada cannot control.',
            );
    },
);

test(
    'another conference service knows none of the rooms: each link gets a new one, or lacks it openly',
    function () {
        DB::table('host_accounts')->delete();
        Artisan::call('nomada:register');
        $links = fn () => DB::table('join_links')->where('kind', 'series')->whereNull('retired_at');
        [$secrets, $n] = [$links()->pluck('secret_hash')->all(), $links()->count()];
        expect($n)->toBeGreaterThan(1);
        $this->as('A-1')->put('/publishing/places/bridge', ['kind' => 'known-rooms']);
        $this->work();
        // No account holds any of them yet: nobody is told that all is well.
        expect($links()->where('room', '!=', '')->count())
            ->toBe(0)
            ->and($links()->whereNotNull('pin')->count())
            ->toBe(0);
        $this->get('/sections/MAR')->assertSee('No join link or room');
        $account = DB::table('host_accounts')->insertGetId([
            'name' => 'Harbour',
            'hosting_plan_id' => DB::table('hosting_plans')->value('id') ??
                DB::table('hosting_plans')->insertGetId(['name' => 'Small', 'seats' => 30, 'minutes' => 600]),
        ]);
        DB::table('series')->update(['host_account_id' => $account]);
        $this->post('/publishing/rooms', [
            'rooms' => UploadedFile::fake()->createWithContent(
                'rooms.csv',
                "account,address,dial_in,pin\nHarbour,https://rooms.example/7,+34 910,11\n",
            ),
        ]);
        Artisan::call('nomada:links');
        expect($links()->where('room', 'Harbour')->count())
            ->toBe($n)
            // The links that people have are the same.
            ->and($links()->pluck('secret_hash')->all())
            ->toEqualCanonicalizing($secrets);
        $this->delete('/publishing/places/bridge');
        $this->work();
        expect(
            $links()
                ->whereIn('room', ['', 'Harbour'])
                ->count(),
        )->toBe(0);
    },
);

test('what is done side by side comes back in order, each with its own answer or fault', function () {
    $at = [];
    $out = ConcurrentRequests::run([
        'a' => fn () => count($at),
        'b' => fn () => throw new RuntimeException('no'),
        'c' => fn () => Nomada\App\Destinations\Service::of(ExternalService::Course)
            ->send('GET', '/pages/MAR')
            ->status(),
    ]);
    expect(array_keys($out))
        ->toBe(['a', 'b', 'c'])
        ->and($out['b'])
        ->toBeInstanceOf(RuntimeException::class)
        ->and([$out['a'], $out['c']])
        ->toBe([0, 200]);
});

test('pages lead to where a place is: a stand-in\'s page, a page of ours, or nowhere', function () {
    $this->as('S-1')->get('/me')->assertSee('/course/pages/MAR', false)->assertSee('My calendar');
    $this->as('A-1')->put('/publishing/places/course', ['kind' => 'our-page']);
    $this->put('/publishing/places/stream', ['kind' => 'own-service', 'url' => 'https://stream.school.example']);
    $this->put('/publishing/places/calendar', placeForm());
    $this->as('S-1')
        ->get('/me')
        ->assertSee('/page" aria-label="Course page', false)
        ->assertDontSee('Class stream of')
        ->assertDontSee('<b>My calendar</b>', false);
    $this->as('A-1')->get('/sections/MAR')->assertOk();
});
