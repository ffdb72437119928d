<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Nomada\App\Actions\Publishing\PlanQuery;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\SealedWords;

beforeEach(function () {
    $this->standins = $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
});

function planTotal(array $options = []): array
{
    Artisan::call('nomada:publish', ['--plan' => true, '--json' => true, ...$options]);

    return json_decode(Artisan::output(), true)['total'];
}

/** @return array<string, mixed> what is at all stand-ins */
function standing($standins): array
{
    return [
        array_map(
            fn ($s) => array_map(fn ($i) => [$i['item'], $i['etag']], $standins->get("/course/pages/$s")['items']),
            ['MAR', 'SPA', 'STA'],
        ),
        array_map(fn ($p) => $standins->get("/calendar/people/$p")['objects'], [
            'S-1',
            'S-2',
            'S-3',
            'S-4',
            'T-1',
            'T-2',
        ]),
        array_map(fn ($s) => array_column($standins->get("/stream/sections/$s")['posts'], 'id'), [
            'MAR',
            'SPA',
            'STA',
        ]),
    ];
}

test('the plan adds everything, the run carries it out, and the same again changes nothing', function () {
    // MAR: pinned, 13 weeks, 3 students and a teacher, a post: 19. SPA: pinned, 13 weeks, a student and a teacher, a
    // post: 17.
    expect(planTotal())->toBe(['add' => 36, 'change' => 0, 'remove' => 0, 'leave' => 0, 'trouble' => 0]);
    $weeks = array_column(app(PlanQuery::class)->items($this->section('MAR')->id)['course-page'], 'label');
    expect([$weeks[0], $weeks[1], $weeks[2], $weeks[13]])->toBe([
        'Pinned: next session',
        'Week 1',
        'Week 2',
        'Week 15',
    ]);
    $run = $this->as('A-1')
        ->post('/publishing/runs', ['sections' => ['MAR', 'SPA', 'STA']])
        ->headers->get('Location');
    $this->get($run)->assertSee('0 of 36 items');
    $this->work();
    $this->get("$run/progress")->assertSee('All 36 items up to date');
    // Statistics has no timetable: nothing should be done there, and still it is not as it should be.
    $this->get('/publishing?show=all')
        ->assertSeeText('0 sections have something to publish')
        ->assertSeeText('2 are up to date')
        ->assertSeeText('1 has no timetable or no link yet');
    $before = standing($this->standins);

    expect(planTotal())->toBe(['add' => 0, 'change' => 0, 'remove' => 0, 'leave' => 36, 'trouble' => 0]);
    $this->post('/publishing/runs', ['sections' => ['MAR', 'SPA', 'STA']])->assertSessionHas('said');
    expect(Artisan::call('nomada:publish'))
        ->toBe(0)
        ->and(standing($this->standins))
        ->toBe($before)
        ->and($this->standins->get('/course/pages/MAR')['items'])
        ->toHaveCount(14)
        ->and($this->standins->get('/calendar/people/S-1')['objects'])
        ->toHaveCount(1)
        ->and($this->standins->get('/stream/sections/MAR')['posts'])
        ->toHaveCount(1);
});

test('publishing some sections leaves the others alone', function () {
    Artisan::call('nomada:publish', ['--section' => ['MAR'], '--json' => true]);
    expect(json_decode(Artisan::output(), true)['done'])
        ->toBe(19)
        ->and($this->standins->get('/course/pages/SPA')['items'])
        ->toBe([])
        ->and(planTotal(['--section' => ['SPA']])['add'])
        ->toBe(17);
});

test('a changed pattern changes exactly the affected placements', function () {
    Artisan::call('nomada:publish');
    $series = $this->section('MAR')->series()->firstOrFail();
    $this->as('A-1')->put("/sections/MAR/series/{$series->id}", [
        'title' => $series->title,
        'kind' => 'weekly',
        'weekdays' => [2, 4],
        'start_time' => '12:15',
        'end_time' => '13:02',
        'starts_on' => '2027-01-12',
        'end_kind' => 'date',
        'ends_on' => '2027-04-23',
    ]);

    // Weeks 1 to 4 are past and stay; the pinned place, weeks 5 to 15 but two, four calendars and the post say
    // something else.
    expect(planTotal(['--section' => ['MAR']]))
        ->toBe(['add' => 0, 'change' => 15, 'remove' => 0, 'leave' => 4, 'trouble' => 0])
        ->and(planTotal(['--section' => ['SPA']])['leave'])
        ->toBe(17);
});

test('before and after of a change are shown', function () {
    Artisan::call('nomada:publish');
    $series = $this->section('MAR')->series()->firstOrFail();
    $this->as('A-1')->put("/sections/MAR/series/{$series->id}", [
        'title' => $series->title,
        'kind' => 'weekly',
        'weekdays' => [2, 4],
        'start_time' => '12:15',
        'end_time' => '13:02',
        'starts_on' => '2027-01-12',
        'end_kind' => 'term',
    ]);

    $this->get('/publishing')->assertSee('Y8 Marine Science')->assertSee('changed')->assertDontSee('Y7 Spanish');
    $this->get('/publishing/sections/MAR')
        ->assertSee('<del>Tue Thu 10:00–10:47 Madrid</del>', false)
        ->assertSee('<ins>Tue Thu 12:15–13:02 Madrid</ins>', false);
});

test('past sessions keep their times in the calendar, coming ones have the new', function () {
    Artisan::call('nomada:publish');
    $series = $this->section('MAR')->series()->firstOrFail();
    $this->as('A-1')->put("/sections/MAR/series/{$series->id}", [
        'title' => $series->title,
        'kind' => 'weekly',
        'weekdays' => [2, 4],
        'start_time' => '12:15',
        'end_time' => '13:02',
        'starts_on' => '2027-01-12',
        'end_kind' => 'term',
    ]);
    Artisan::call('nomada:publish');
    $ics = $this->standins->text('/calendar/people/S-1/'.$series->uid.'.ics');

    expect($ics)
        ->toContain('SEQUENCE:1')
        ->toContain(
            "RECURRENCE-ID;TZID=Europe/Madrid:20270204T121500\r\nDTSTART;TZID=Europe/Madrid:20270204T100000",
        );
});

test('what is no longer wanted is removed', function () {
    Artisan::call('nomada:publish');
    $series = $this->section('MAR')->series()->firstOrFail();
    $this->as('A-1')->delete("/sections/MAR/series/{$series->id}");
    expect(planTotal(['--section' => ['MAR']]))->toMatchArray(['remove' => 19, 'leave' => 0]);
    Artisan::call('nomada:publish');

    expect($this->standins->get('/course/pages/MAR')['items'])
        ->toBe([])
        ->and($this->standins->get('/calendar/people/S-1')['objects'])
        ->toBe([])
        ->and($this->standins->get('/stream/sections/MAR')['posts'])
        ->toBe([])
        ->and(Placement::query()->where('section_id', $this->section('MAR')->id)->count())
        ->toBe(0);
});

test(
    'a destination that fails is reported in its own words, stops nothing else, and trying the rest again mends it',
    function () {
        $this->standins->behave('calendar', [
            'failures' => -1,
            'words' => 'This calendar is full.',
            'only_path' => 'S-2',
        ]);
        $run = (string) $this->as('A-1')
            ->post('/publishing/runs', ['sections' => ['MAR', 'SPA']])
            ->headers->get('Location');
        $this->work();

        $this->get($run)
            ->assertSee('1 step failed')
            ->assertSeeInOrder(['Add</span> Rui Mestre', 'This calendar is full.'], false)
            ->assertSee('<progress max="6" value="5" aria-label="Calendar">', false)
            ->assertSee('35 done');
        $this->get('/')->assertSee('1 failed: Calendar');
        $this->standins->behave('calendar', ['failures' => 0]);
        $this->post("$run/again")->assertRedirect($run);
        $this->work();
        $this->get($run)->assertSee('All 36 items up to date');
        $this->get('/')->assertDontSee('refused 1');
    },
);

test('an answer that got lost leaves no second placement', function () {
    // The destination has it, we do not know: as after a crash between the answer and our note of it.
    Artisan::call('nomada:publish');
    $before = standing($this->standins);
    DB::table('published_items')->update([
        'published_hash' => null,
        'standing' => null,
        'remote' => null,
        'etag' => null,
    ]);
    Artisan::call('nomada:publish', ['--json' => true]);

    expect(json_decode(Artisan::output(), true))
        ->toMatchArray(['done' => 36, 'failed' => []])
        ->and(standing($this->standins))
        ->toBe($before);
});

test(
    'what somebody changed at the destination is not overwritten, and what somebody deleted is put back',
    function () {
        Artisan::call('nomada:publish');
        $this->standins->put('/course/pages/MAR/items/week-6', '{"title":"Mine","block":"6","fields":{}}');
        Http::withToken($this->standins->token)->delete($this->standins->url.'/course/pages/MAR/items/week-7');
        DB::table('published_items')
            ->whereIn('key', ['MAR/week-6', 'MAR/week-7'])
            ->update(['published_hash' => 'old']);
        Artisan::call('nomada:publish', ['--json' => true]);
        $out = json_decode(Artisan::output(), true);

        expect($out['done'])
            ->toBe(1)
            ->and([$out['failed'], $out['asked']])
            ->toBe([[], 1])
            ->and(
                DB::table('outside_changes')
                    ->join('published_items', 'published_items.id', '=', 'placement_id')
                    ->pluck('key')
                    ->all(),
            )
            ->toBe(['MAR/week-6'])
            ->and(array_column($this->standins->get('/course/pages/MAR')['items'], 'item'))
            ->toContain('MAR/week-7');
    },
);

test('without a join link nothing is published', function () {
    DB::table('join_links')->delete();
    $this->as('A-1')->put('/sections/SPA/series/'.$this->section('SPA')->series()->value('id'), [
        'title' => 'Spanish Language',
        'kind' => 'weekly',
        'weekdays' => [1],
        'start_time' => '9',
        'end_time' => '9:40',
        'starts_on' => '2027-01-11',
        'end_kind' => 'term',
    ]);

    expect(planTotal(['--section' => ['SPA']])['add'])->toBe(0);
    $this->get('/publishing?show=all')->assertSee('no join link yet');
});

test('the pages of the destinations show what a student sees, and open with their own pass only', function () {
    Artisan::call('nomada:publish');
    $page = $this->as('S-1')->get('/me');
    preg_match_all('#href="(http[^"]+/(?:course|calendar|stream)/[^"]+)"#', (string) $page->getContent(), $m);
    $pages = array_map(
        fn (string $u) => Http::withHeaders(['Accept' => 'text/html'])->get(html_entity_decode($u)),
        $m[1],
    );

    expect($pages[0]->body())
        ->toContain('Tue 9 Feb')
        ->toContain('09:00–09:47')
        ->and($pages[1]->body())
        ->toContain('Tue 9 Feb, 10:00–10:47 Madrid')
        ->toContain('Week 5')
        ->and($pages[2]->body())
        ->toContain('how to join');
    expect(
        Http::withHeaders(['Accept' => 'text/html'])
            ->get(str_replace('S-1', 'S-2', html_entity_decode($m[1][0])))
            ->status(),
    )
        ->toBe(403)
        ->and($this->standins->text('/stream/sections/MAR/atom'))
        ->toContain('<feed xmlns="http://www.w3.org/2005/Atom">')
        ->toContain('how to join');
});

test('a section\'s feed has a secret address and every planned session', function () {
    $feed = Nomada\App\Actions\Publishing\SectionFeed::address($this->section('MAR'));
    $answer = $this->get($feed)->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8');
    Artisan::call('nomada:calendar', ['--section' => ['MAR']]);

    expect(Artisan::output())
        ->toBe($answer->getContent())
        ->toContain('NAME:Y8 Marine Science')
        ->toContain('RRULE:FREQ=WEEKLY;BYDAY=TU,TH;UNTIL=20270422T080000Z');
    $this->get(substr_replace($feed, 'x', -6, 1))->assertNotFound();
    $this->withHeaders(['If-None-Match' => $answer->headers->get('ETag')])
        ->get($feed)
        ->assertStatus(304);
});

test('runs left behind are taken up again', function () {
    $run = app(Nomada\App\Actions\Publishing\StartRun::class)->publish(
        [Section::query()->where('sourced_id', 'MAR')->value('id')],
        null,
    )->run;
    DB::table('jobs')->delete();
    Run::query()
        ->whereKey($run->id)
        ->update(['updated_at' => now()->subHour()]);
    Artisan::call('nomada:take-up');
    $this->work();

    expect($run->refresh()->ended_at)
        ->not->toBeNull()
        ->and($run->steps()->where('state', 'done')->count())
        ->toBe(19);
});

test('what stands is kept sealed and pressed; what was kept before it was pressed is read as well', function () {
    $words = ['title' => 'Wednesday', 'sessions' => array_fill(0, 40, 'Wed 10 Feb, 09:00–09:45 Madrid')];
    $sealed = SealedWords::seal($words);
    expect(SealedWords::open($sealed))
        ->toBe($words)
        ->and(strlen($sealed))
        ->toBeLessThan(600)
        ->and($sealed)
        ->not->toContain('Wednesday')
        ->and(SealedWords::open(encrypt((string) json_encode($words), false)))
        ->toBe($words);
});
