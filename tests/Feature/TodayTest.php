<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\View\Presence\Today\TodayPage;
use Nomada\App\View\Presence\Today\TodayQuery;
use Nomada\App\View\Presence\Today\TodayRow;

/** Marine Science meets on Tuesday 9 February from 10:00 to 10:47; it opens at 09:50. */
function dayOf(string $who, string $at): TodayPage
{
    momentAt('2027-02-09', $at);

    return app(TodayQuery::class)->page(Term::query()->firstOrFail(), personCalled($who), '2027-02-09');
}

function marineOf(TodayPage $page): TodayRow
{
    return array_values(array_filter($page->rows, fn (TodayRow $r): bool => $r->of->section === 'MAR'))[0];
}

function lessonOfTuesday(): Session
{
    return Session::query()
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->where('day', '2027-02-09')
        ->firstOrFail();
}

/** Comes in, and leaves again where a second time is given. */
function goesIn(string $who, string $from, ?string $until = null): void
{
    $session = lessonOfTuesday();
    foreach (array_filter([$from, $until]) as $i => $at) {
        DB::table('presence_events')->insert([
            'session_id' => $session->id,
            'who' => $who,
            'person_id' => personCalled($who)->id,
            'at' => "2027-02-09 $at+01",
            'is_join' => $i === 0,
        ]);
    }
}

beforeEach(function () {
    $this->school();
    $this->standins();
    Artisan::call('nomada:links', ['--section' => ['MAR']]);
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
});

test('a session says how many of its students are inside, from when it opens', function () {
    expect(marineOf(dayOf('A-1', '09:49'))->now->count())->toBe('3 registered');
    goesIn('T-2', '09:50');
    goesIn('S-1', '09:51');
    // With a second device.
    goesIn('S-1', '09:54');
    goesIn('S-2', '09:52', '09:53');
    $page = dayOf('A-1', '09:55');
    expect(marineOf($page)->now->count())->toBe('1 of 3 inside')->and([$page->open(), $page->inside()])->toBe([1, 1]);
    expect(marineOf(dayOf('A-1', '10:47'))->now->state->value)->toBe('over');
});

test('a session that runs without a teacher is wrong until one comes', function () {
    expect(marineOf(dayOf('A-1', '09:59'))->now->lacksTeacher)->toBeFalse();
    $row = marineOf(dayOf('A-1', '10:00'));
    expect([$row->now->words(), $row->now->tone(), $row->track->is])->toBe(['teacher not here', 'bad', 'wrong']);
    goesIn('T-2', '10:00');
    $row = marineOf(dayOf('A-1', '10:01'));
    expect([$row->now->words(), $row->track->is])->toBe(['running', 'now']);
});

test('who teaches a session joins it from here while it is open, and nobody else does', function () {
    $may = fn (string $who, string $at): bool => marineOf(dayOf($who, $at))->mayJoin;
    expect([$may('T-2', '09:49'), $may('T-2', '09:50'), $may('T-2', '10:46'), $may('T-2', '10:47')])
        ->toBe([false, true, true, false])
        ->and($may('A-1', '10:00'))
        ->toBeFalse();
    dayOf('T-2', '09:49');
    $this->as('T-2')->get('/today')->assertOk()->assertDontSee('Join Y8 Marine Science');
    dayOf('T-2', '10:00');
    $this->get('/today')->assertSeeInOrder(['1 session open', 'Y8 Marine Science', 'Join', 'Live desk']);
    // A substitute takes the teacher's place.
    lessonOfTuesday()->update(['teacher_id' => personCalled('T-1')->id]);
    expect([$may('T-2', '10:00'), $may('T-1', '10:00')])->toBe([false, true]);
});

test('the drawing has a session where it is in the day', function () {
    $page = dayOf('A-1', '10:00');
    $track = marineOf($page)->track;
    $x = array_column($page->hours, 'x', 'time');
    expect($track->start)->toBe($x['10:00'])
        ->and($track->opens)->toBeLessThan($x['10:00'])
        ->and($track->start + $track->width)->toBeLessThan($x['11:00'] ?? 100.0)
        ->and($page->now)->toBe($x['10:00'])
        ->and(dayOf('A-1', '23:00')->now)->toBeNull();
});

test('a teacher begins with the lessons of today, a coordinator with all sections', function () {
    config(['nomada.demo' => true]);
    $this->post('/sign-in/demo', ['person' => 'T-2'])->assertRedirect('/today');
    $this->post('/sign-out');
    $this->post('/sign-in/demo', ['person' => 'A-1'])->assertRedirect('/');
});
