<?php

use Illuminate\Support\Facades\Artisan;
use Nomada\App\Models\Timetable\Session;

beforeEach(fn () => $this->school());

function movePath($test, string $day): string
{
    $series = $test->section('MAR')->series()->firstOrFail();

    return "/sections/MAR/series/{$series->id}/sessions/{$series->sessions()->where('day', $day)->value('id')}";
}

test('one session is moved, its series stays, and it is where it was moved to on every screen', function () {
    $this->as('A-1')
        ->put(movePath($this, '2027-02-18'), [
            'move_day' => '2027-02-19',
            'move_start' => '12',
            'move_end' => '12:30',
        ])
        ->assertRedirect('/sections/MAR?day=2027-02-19');
    $this->get('/sections/MAR')->assertSee('moved from Thu 18 Feb')->assertSee('12:00–12:30');
    $this->get('/today?date=2027-02-19')->assertSee('12:00')->assertSee('Marine Science');
    $this->get('/today?date=2027-02-18')->assertDontSee('sections/MAR?day=2027-02-18');
    expect(
        Session::query()->where('state', 'planned')->whereRelation('series.section', 'sourced_id', 'MAR')->count(),
    )->toBe(25);
});

test('every calendar shows it at its new time and no more at its old one', function () {
    $standins = $this->standins();
    Artisan::call('nomada:links');
    $this->as('A-1')->put(movePath($this, '2027-02-18'), [
        'move_day' => '2027-02-19',
        'move_start' => '12',
        'move_end' => '12:30',
    ]);
    Artisan::call('nomada:publish', ['--section' => ['MAR']]);
    $series = $this->section('MAR')->series()->firstOrFail();
    $starts = Nomada\Core\Interchange\Calendar\Quietly::do(function () use ($standins, $series): array {
        $calendar = Sabre\VObject\Reader::read($standins->text("/calendar/people/S-1/$series->uid.ics"))->expand(
            new DateTimeImmutable('2027-02-17'),
            new DateTimeImmutable('2027-02-24'),
        );

        return array_map(
            fn ($e): string => $e->DTSTART->getDateTime()->format('m-d H:i').
                ' '.
                $e->DTEND->getDateTime()->format('H:i'),
            iterator_to_array($calendar->select('VEVENT'), false),
        );
    });
    sort($starts);

    expect($starts)->toBe(['02-19 11:00 11:30', '02-23 09:00 09:47']);
});

test('where it cannot go is told, and nothing moves', function (
    string $session,
    array $to,
    string $field,
    string $words,
) {
    $this->as('A-1')
        ->put(movePath($this, $session), [
            ...['move_day' => '2027-02-19', 'move_start' => '12', 'move_end' => '12:30'],
            ...$to,
        ])
        ->assertSessionHasErrors([$field => $words]);
    expect(Session::query()->whereNotNull('moved_from')->count())->toBe(0);
})->with([
    [
        '2027-02-18',
        ['move_day' => '2027-02-16'],
        'move_day',
        'School is closed on Tue 16 Feb: Carnival. Choose an open day.',
    ],
    [
        '2027-02-18',
        ['move_day' => '2027-05-04'],
        'move_day',
        'School is closed on Tue 4 May: Outside the term. Choose an open day.',
    ],
    [
        '2027-02-18',
        ['move_day' => '2027-02-23', 'move_start' => '10:30', 'move_end' => '11'],
        'move_start',
        'This series already meets on Tue 23 Feb from 10:00 to 10:47. Choose another time.',
    ],
    ['2027-02-18', ['move_day' => '2027-02-08'], 'move_start', 'This time is past. Choose a later one.'],
    ['2027-02-18', ['move_end' => '11'], 'move_end', '11:00 is not after 12:00. Enter a later end.'],
    [
        '2027-02-18',
        ['move_start' => 'noonish'],
        'move_start',
        '"noonish" is not a time of day. Write it as 9, 9:05, 0905 or 9.05am.',
    ],
    ['2027-02-04', [], 'session', 'This session has started, so it can no longer be changed.'],
]);

test('a move outlives a change of the series where its date still exists, and falls away where not', function () {
    $this->as('A-1')->put(movePath($this, '2027-02-18'), [
        'move_day' => '2027-02-19',
        'move_start' => '12',
        'move_end' => '12:30',
    ]);
    $this->put(movePath($this, '2027-02-23'), [
        'move_day' => '2027-02-24',
        'move_start' => '12',
        'move_end' => '12:30',
    ]);
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

    expect(Session::query()->whereNotNull('moved_from')->pluck('day', 'moved_from')->all())->toBe([
        '2027-02-18' => '2027-02-19',
    ]);
});

test('moved back to its place and time it is an exception no more', function () {
    $this->as('A-1')->put(movePath($this, '2027-02-18'), [
        'move_day' => '2027-02-19',
        'move_start' => '12',
        'move_end' => '12:30',
    ]);
    $this->put(movePath($this, '2027-02-19'), [
        'move_day' => '2027-02-18',
        'move_start' => '10',
        'move_end' => '10:47',
    ])->assertSessionHasNoErrors();
    expect(Session::query()->whereNotNull('moved_from')->count())->toBe(0);
});
