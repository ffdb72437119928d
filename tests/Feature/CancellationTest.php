<?php

use Illuminate\Support\Facades\Artisan;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\Core\Timetable\SessionState;

beforeEach(fn () => $this->school());

function cancelPath($test, string $day): string
{
    $series = $test->section('MAR')->series()->firstOrFail();

    return "/sections/MAR/series/{$series->id}/sessions/{$series->sessions()->where('day', $day)->value(
        'id',
    )}/cancellation";
}

test(
    'one session is cancelled with a reason, the rest of its series stays, and it is undone as easily',
    function () {
        $path = cancelPath($this, '2027-02-11');
        $this->as('A-1')
            ->post($path, ['reason' => 'the teacher is ill'])
            ->assertRedirect('/sections/MAR');
        $this->get('/sections/MAR?day=2027-02-11')
            ->assertSee('cancelled: the teacher is ill')
            ->assertSee('Reinstate this session')
            ->assertSee('Make up');
        Artisan::call('nomada:sessions', ['--section' => ['MAR'], '--json' => true]);
        expect(array_count_values(array_column(json_decode(Artisan::output(), true), 'state')))->toBe([
            'planned' => 24,
            'cancelled' => 1,
            'lost' => 5,
        ]);

        $this->delete($path)->assertRedirect('/sections/MAR');
        expect(Session::query()->where('state', SessionState::Cancelled)->count())
            ->toBe(0)
            ->and($this->section('MAR')->series()->firstOrFail()->sequence)
            ->toBe(2);
    },
);

test('it is told at every destination, and leaves the calendar', function () {
    $standins = $this->standins();
    Artisan::call('nomada:links');
    Artisan::call('nomada:publish');
    $this->as('A-1')->post(cancelPath($this, '2027-02-18'), ['reason' => 'storm']);
    Artisan::call('nomada:publish');
    $series = $this->section('MAR')->series()->firstOrFail();
    $week = collect($standins->get('/course/pages/MAR')['items'])->firstWhere('item', 'MAR/week-6');

    expect($week['fields']['Sessions'])
        ->toBe(['Thu 18 Feb, 10:00–10:47 Madrid: cancelled, storm'])
        ->and(str_replace("\r\n ", '', $standins->text("/calendar/people/S-1/$series->uid.ics")))
        ->toContain('EXDATE;TZID=Europe/Madrid:20270216T100000,20270218T100000');
});

test('what has begun, is lost, is cancelled already or has no reason is refused in words', function () {
    $this->as('A-1')
        ->post(cancelPath($this, '2027-02-11'), ['reason' => ' '])
        ->assertSessionHasErrors(['reason' => 'Enter why it is cancelled; students can read it.']);
    $this->post(cancelPath($this, '2027-02-04'), ['reason' => 'x'])->assertSessionHasErrors([
        'session' => 'This session has started, so it can no longer be changed.',
    ]);
    $this->post(cancelPath($this, '2027-02-16'), ['reason' => 'x'])->assertSessionHasErrors('session');
    $this->delete(cancelPath($this, '2027-02-11'))->assertSessionHasErrors('session');
    $this->post(cancelPath($this, '2027-02-11'), ['reason' => 'x']);
    $this->post(cancelPath($this, '2027-02-11'), ['reason' => 'y'])->assertSessionHasErrors('session');
    $this->post(str_replace('/MAR/', '/SPA/', cancelPath($this, '2027-02-18')), [
        'reason' => 'x',
    ])->assertNotFound();
});

test('a cancellation outlives a change of the series where its date still exists', function () {
    $this->as('A-1')->post(cancelPath($this, '2027-02-11'), ['reason' => 'storm']);
    $this->post(cancelPath($this, '2027-02-23'), ['reason' => 'regatta']);
    $series = $this->section('MAR')->series()->firstOrFail();
    $this->put("/sections/MAR/series/{$series->id}", [
        'title' => $series->title,
        'kind' => 'weekly',
        'weekdays' => [4],
        'start_time' => '12',
        'end_time' => '12:45',
        'starts_on' => '2027-01-14',
        'end_kind' => 'term',
    ])->assertSessionHasNoErrors();

    expect(Session::query()->where('state', SessionState::Cancelled)->pluck('reason', 'day')->all())->toBe([
        '2027-02-11' => 'storm',
    ]);
    app(Clock::class)->set(strtotime('2027-02-11T11:55:00+01:00'));
    $this->get('/today')->assertSee('storm');
});
