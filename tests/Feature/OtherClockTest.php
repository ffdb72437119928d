<?php

use Illuminate\Support\Facades\Artisan;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\FreeTimesQuery;
use Nomada\Core\Timetable\FreeTime;
use Tests\Support\English;
use Tests\Support\SmallSchool;

// Statistics follows Casablanca's clock, on Mondays at 10:00 there: 11:00 in Madrid until 8 March, 10:00 from 15 March,
// 11:00 from April on.
beforeEach(
    fn () => $this->school([
        'timetable.csv' => SmallSchool::files()['timetable.csv'].
            "STA,Statistics,2027-03-01T10:00,45,Africa/Casablanca,FREQ=WEEKLY;BYDAY=MO\n",
    ]),
);

function statisticsOn($test, string $day): Session
{
    return $test->section('STA')->series()->firstOrFail()->sessions()->where('day', $day)->firstOrFail();
}

test('a series on another clock says whose it is, wherever its hours are told', function () {
    $this->as('A-1')
        ->get('/')
        ->assertSee('Mon 10:00–10:45 Casablanca')
        ->assertSee('Tue Thu 10:00–10:47')
        ->assertDontSee('Tue Thu 10:00–10:47 Madrid');
    $this->get('/joining')->assertSee('Mon 10:00–10:45 Casablanca');
    $this->get('/sections/STA')
        ->assertSee('Mon 10:00–10:45 Casablanca')
        ->assertDontSee('Casablanca Madrid')
        ->assertSee('11:00–11:45');
    $this->get('/sections/MAR')->assertSee('Tue Thu 10:00–10:47 Madrid');
});

test('one session is moved on the clock that the screen shows', function () {
    $session = statisticsOn($this, '2027-03-08');
    $path = "/sections/STA/series/{$session->series_id}/sessions/{$session->id}";
    $this->as('A-1')
        ->put($path, ['move_day' => '2027-03-09', 'move_start' => '14:00', 'move_end' => '14:45'])
        ->assertSessionHasNoErrors();
    expect(statisticsOn($this, '2027-03-09')->starts_at->toIso8601ZuluString())->toBe('2027-03-09T13:00:00Z');
    $this->get('/sections/STA')->assertSee('14:00–14:45')->assertSee('moved from Mon 8 Mar');

    // 11:00 in Madrid is where the pattern had put it: back there, it is an exception no more.
    $this->put($path, [
        'move_day' => '2027-03-08',
        'move_start' => '11:00',
        'move_end' => '11:45',
    ])->assertSessionHasNoErrors();
    expect(statisticsOn($this, '2027-03-08')->moved_from)
        ->toBeNull()
        ->and(statisticsOn($this, '2027-03-08')->starts_at->toIso8601ZuluString())
        ->toBe('2027-03-08T10:00:00Z');
});

test('its free times are on its own clock, as the editor that takes them is', function () {
    $series = $this->section('STA')->series()->with('section.term.school', 'section.term.closures')->firstOrFail();
    $free = app(FreeTimesQuery::class)->forSeries($series, null, 200);
    $early = array_values(array_filter($free, fn (FreeTime $f): bool => $f->shift === 0 && $f->start <= 495));

    // Inés Belmar teaches Spanish from 9:00 to 9:40 in Madrid. That is 8:00 to 8:40 in Casablanca on all Mondays but 15
    // March, so that 8:15 to 9:00 there is hers on most of them; read on Madrid's clock it would touch nothing.
    expect($early)->not->toBe([]);
    foreach ($early as $time) {
        expect($time->clear)->toBeLessThan($time->sessions, English::said($time->when()));
    }
});

test('who teaches stands on the day\'s board and on the student\'s page', function () {
    Artisan::call('nomada:register');
    $this->as('A-1')->get('/today')->assertSee('N. Haddad')->assertSee('I. Belmar');
    $this->as('S-1')->get('/me')->assertSee('N. Haddad')->assertDontSee('I. Belmar');
});
