<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Nomada\App\Actions\Publishing\TellTruth;
use Nomada\App\Actions\Publishing\TellTruthAfter;
use Nomada\App\Destinations\Places;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Timetable\Session;

beforeEach(function () {
    $this->standins = $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    momentAt('2027-02-08', '08:00');
});

/** @return array<string, mixed> */
function truthOf(array $options = []): array
{
    Artisan::call('nomada:truth', ['--json' => true, ...$options]);

    return (array) json_decode(Artisan::output(), true);
}

/** @return list<string> */
function causesOf(array $truth): array
{
    $out = array_map(fn ($d) => "{$d['cause']} {$d['seen']} {$d['place']} {$d['section']}", $truth['differences']);
    sort($out);

    return $out;
}

test(
    'before anything is published nobody sees anything; afterwards everybody sees what the door would say',
    function () {
        $before = truthOf(['--section' => ['MAR']]);
        expect(causesOf($before))->toBe([
            'not-published missing calendar MAR',
            'not-published missing class-stream MAR',
            'not-published missing course-page MAR',
        ]);
        $calendar = collect($before['differences'])->firstWhere('place', 'calendar');
        expect($calendar['people'])
            ->toEqualCanonicalizing(['S-1', 'S-2', 'S-3', 'T-2'])
            ->and($calendar['sessions'])
            ->toBe(['2027-02-09T09:00:00Z', '2027-02-11T09:00:00Z']);
        Artisan::call('nomada:publish');
        $after = truthOf();
        expect($after)->toMatchArray(['people' => 6, 'differences' => []]);
        // Four of MAR with two sessions each, two of SPA with one or more.
        expect($after['sessions'])->toBeGreaterThanOrEqual(10);
        expect(Artisan::call('nomada:truth'))->toBe(0);
        expect(json_decode(DB::table('check_results')->where('what', 'truth')->value('result'), true))->toMatchArray([
            'differing' => 0,
            'people' => 6,
        ]);
    },
);

test(
    'who sees something else, and why: unpublished, changed there, deleted there, left alone, no answer',
    function () {
        Artisan::call('nomada:publish');
        // A session is moved, and not published yet.
        $session = Session::query()
            ->whereRelation('series.section', 'sourced_id', 'MAR')
            ->where('day', '2027-02-09')
            ->firstOrFail();
        $this->as('A-1')
            ->put("/sections/MAR/series/$session->series_id/sessions/$session->id", [
                'move_day' => '2027-02-10',
                'move_start' => '12',
                'move_end' => '12:30',
            ])
            ->assertSessionHasNoErrors();
        $truth = truthOf(['--section' => ['MAR']]);
        expect(causesOf($truth))->toContain('not-published other-words course-page MAR');
        Artisan::call('nomada:publish');
        expect(truthOf()['differences'])->toBe([]);

        $uid = Placement::query()
            ->where('key', 'like', 'S-1/%')
            ->where('section_id', $this->section('MAR')->id)
            ->value('key');
        $path = '/calendar/people/S-1/'.substr($uid, 4).'.ics';
        $text = $this->standins->text($path);
        $put = fn (string $body) => Http::withToken($this->standins->token)
            ->withBody($body, 'text/calendar')
            ->put($this->standins->url.$path);
        $put(preg_replace('/\r\nURL[^\r]*(\r\n [^\r]*)*/', "\r\nURL:https://elsewhere.example", $text));
        expect(causesOf(truthOf()))->toBe(['changed-there other-link calendar MAR']);
        $put($text);
        expect(truthOf()['differences'])->toBe([]);
        Http::withToken($this->standins->token)->delete($this->standins->url.$path);
        expect(causesOf(truthOf()))->toBe(['deleted-there missing calendar MAR']);
        Placement::query()
            ->where('key', $uid)
            ->update(['left_alone' => true]);
        expect(causesOf(truthOf()))->toBe(['left-alone missing calendar MAR']);
        Placement::query()
            ->where('key', $uid)
            ->update(['left_alone' => false]);
        $put($text);
        $this->standins->behave('stream', ['failures' => 99, 'words' => 'Out of order']);
        expect(causesOf(truthOf(['--section' => ['MAR']])))->toBe(['no-answer missing class-stream MAR']);
    },
);

test('one worker checks after a run, and another takes over when its lease has run out', function () {
    Artisan::call('nomada:publish');
    $run = DB::table('runs')->where('kind', 'publish')->value('id');
    $held = fn (string $until) => DB::table('runs')->update([
        'truth' => null,
        'checked_by' => 'another worker',
        'checked_until' => DB::raw("now() + interval '$until'"),
    ]);
    $check = function () use ($run): ?int {
        app()->call([(new TellTruthAfter($run))->withFakeQueueInteractions(), 'handle']);

        return DB::table('runs')->where('id', $run)->value('truth');
    };
    $held('1 minute');
    expect($check())->toBeNull();
    $held('-1 second');
    expect($check())
        ->toBe(0)
        ->and(DB::table('runs')->where('id', $run)->value('checked_until'))
        ->toBeNull();
});

test('a check ends without a result as soon as another worker holds it', function () {
    Artisan::call('nomada:publish');
    $sections = DB::table('sections')->pluck('id')->all();
    expect(app(TellTruth::class)($sections, goesOn: fn (): bool => false))->toBeNull();
});

test('a place of ours is true by itself', function () {
    foreach (['course', 'calendar', 'stream'] as $place) {
        config(["places.$place.kind" => 'our-page']);
    }
    app(Places::class)->forget();
    expect(truthOf())->toMatchArray(['pages' => 0, 'differences' => []]);
});

test('days that cannot be are refused', function () {
    expect(Artisan::call('nomada:truth', ['--days' => 0]))->toBe(1);
    expect(Artisan::call('nomada:truth', ['--section' => ['NONE']]))->toBe(1);
});

test('looking as a student: every place read back beside the door, and what differs is marked', function () {
    $look = '/people/S-1/look';
    $this->as('A-1')->get($look)->assertSee('not shown')->assertSee('2 sessions are shown wrongly somewhere');
    Artisan::call('nomada:publish');
    $page = $this->get($look)
        ->assertSee('all destinations show the right sessions')
        ->assertSee('lets them in from 08:50')
        ->assertSee('Tue 9 Feb, 10:00–10:47 Madrid');
    // No secret of the student's is shown to the viewer.
    expect($page->getContent())->not->toContain('/join/');
    $this->standins->put(
        '/course/pages/MAR/items/week-5',
        '{"title":"x","block":"5","fields":{"Sessions":["Tue 9 Feb, 11:00"]}}',
    );
    $this->get($look)->assertSee('different:')->assertSee('Tue 9 Feb, 11:00');
    $this->get("$look?date=2027-03-01&time=08:00")
        ->assertSee('Tue 2 Mar')
        ->assertDontSee('Tue 9 Feb 10');
    $this->get("$look?date=2027-02-08&time=x")
        ->assertOk()
        ->assertSee('fault', false);
    // Of the sections that a teacher has in common with them only.
    // A guardian reads of their children, and nothing is promised that they have not.
    $this->as('A-1')
        ->get('/people/G-1/look')
        ->assertSee('Children')
        ->assertSee('/people/S-1/look', false)
        ->assertDontSee('all destinations show the right sessions');
    $this->as('T-1')->get($look)->assertNotFound();
    $this->as('T-2')->get($look)->assertOk();
    $this->as('S-1')->get($look)->assertForbidden();
    $this->standins->behave('calendar', ['failures' => 9, 'words' => 'Shut for the night']);
    $this->as('A-1')->get($look)->assertOk()->assertSee('Shut for the night');
});

test('looking as somebody counts its questions, however many sections they have', function () {
    Artisan::call('nomada:publish');
    $this->as('A-1');
    DB::enableQueryLog();
    $this->get('/people/S-1/look')->assertOk();
    expect(count(DB::getQueryLog()))->toBeLessThan(60);
});

test('the roster of a section leads to what each student sees', function () {
    $this->as('T-2')->get('/sections/MAR')->assertSee('/people/S-1/look', false);
});

test('the page of a run asks on until its last line is there', function (
    array $run,
    int $waiting,
    bool $isSettled,
) {
    $page = new Nomada\App\View\Publishing\Run\RunPage(
        (new Nomada\App\Models\Publishing\Run())->forceFill(['kind' => 'publish', 'truth' => null, ...$run]),
        '',
        '',
        ['calendar' => new Nomada\App\View\Publishing\Run\RunLane('Calendar', 3, 0, 0, $waiting)],
        [],
        [],
        1,
    );
    expect($page->isSettled())->toBe($isSettled);
    $html = view('publishing.run.state', ['page' => $page])->render();
    expect(str_contains($html, 'data-over'))->toBe($isSettled);
})->with([
    'on its way' => [['ended_at' => null], 1, false],
    'ended, and nobody has looked yet' => [fn () => ['ended_at' => now()], 0, false],
    'nothing differs' => [fn () => ['ended_at' => now(), 'truth' => 0], 0, true],
    'something does' => [fn () => ['ended_at' => now(), 'truth' => 2], 0, true],
    'nobody will look any more' => [fn () => ['ended_at' => now()->subMinutes(6)], 0, true],
    'a run of links has no such line' => [fn () => ['kind' => 'links', 'ended_at' => now()], 0, true],
]);
