<?php

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;

beforeEach(fn () => $this->school());

function seriesForm(array $change = []): array
{
    return [
        ...[
            'title' => '',
            'kind' => 'weekly',
            'weekdays' => [2, 4],
            'every' => 1,
            'start_time' => '11:15',
            'end_time' => '12',
            'starts_on' => '2027-01-12',
            'end_kind' => 'term',
        ],
        ...$change,
    ];
}

test('a series is planned, and its sessions follow', function () {
    $this->as('A-1')
        ->post('/sections/STA/series', seriesForm())
        ->assertRedirect('/sections/STA')
        ->assertSessionHas('said');
    $series = $this->section('STA')->series()->firstOrFail();

    expect($series->title)
        ->toBe('Statistics')
        ->and($series->start_minute)
        ->toBe(675)
        ->and($series->minutes)
        ->toBe(45)
        ->and($series->sessions()->where('state', 'planned')->count())
        ->toBe(25)
        ->and($series->sessions()->where('state', 'lost')->count())
        ->toBe(5);
});

test('the preview says what the pattern makes, and saves nothing', function () {
    $this->as('A-1')
        ->post('/sections/STA/series/preview', seriesForm(['weekdays' => [4], 'starts_on' => '2027-01-14']))
        ->assertOk()
        ->assertSee('13 sessions')
        ->assertSee('9 h 45 min')
        ->assertSee('2 lost, Easter break')
        ->assertSee('Thu 25 Mar, Thu 1 Apr');
    expect(Series::query()->where('section_id', $this->section('STA')->id)->count())->toBe(0);
});

test('the preview of a change says its reach', function () {
    $series = $this->section('MAR')->series()->firstOrFail();
    // At 09:52 on Tuesday 9 February eight sessions have begun; seventeen are to come, and move.
    $this->as('A-1')
        ->post(
            '/sections/MAR/series/preview',
            seriesForm(['series' => $series->id, 'start_time' => '12:15', 'end_time' => '13:00']),
        )
        ->assertOk()
        ->assertSee('17 sessions move')
        ->assertSee('8 sessions that have started stay as they are');
    $this->as('A-1')
        ->post(
            '/sections/MAR/series/preview',
            seriesForm(['series' => $series->id, 'start_time' => '10', 'end_time' => '10:47']),
        )
        ->assertSee('No future session changes');
});

test('a change leaves what has begun, and counts up the sequence once', function () {
    $series = $this->section('MAR')->series()->firstOrFail();
    $path = "/sections/MAR/series/{$series->id}";
    $this->as('A-1')
        ->put($path, seriesForm(['title' => $series->title, 'weekdays' => [1], 'starts_on' => '2027-01-11']))
        ->assertRedirect('/sections/MAR');
    $days = $series->sessions()->where('state', 'planned')->pluck('day')->all();

    expect(array_slice($days, 0, 9))
        ->toBe([
            '2027-01-12',
            '2027-01-14',
            '2027-01-19',
            '2027-01-21',
            '2027-01-26',
            '2027-01-28',
            '2027-02-02',
            '2027-02-04',
            '2027-02-22',
        ])
        ->and($series->refresh()->sequence)
        ->toBe(1);
    $this->put($path, seriesForm(['title' => $series->title, 'weekdays' => [1], 'starts_on' => '2027-01-11']));
    expect($series->refresh()->sequence)->toBe(1);
});

test('a session that is running is not moved', function () {
    app(Clock::class)->set(strtotime('2027-02-09T10:20:00+01:00'));
    $series = $this->section('MAR')->series()->firstOrFail();
    $this->as('A-1')->put(
        "/sections/MAR/series/{$series->id}",
        seriesForm(['title' => $series->title, 'start_time' => '12:15', 'end_time' => '13:00']),
    );

    expect($series->sessions()->where('day', '2027-02-09')->firstOrFail()->starts_at->toIso8601ZuluString())
        ->toBe('2027-02-09T09:00:00Z')
        ->and($series->sessions()->where('day', '2027-02-11')->firstOrFail()->starts_at->toIso8601ZuluString())
        ->toBe('2027-02-11T11:15:00Z');
});

test('what cannot be is told beside its field, and nothing is saved', function (
    array $change,
    string $field,
    string $words,
) {
    $this->as('A-1')
        ->from('/sections/STA')
        ->post('/sections/STA/series', seriesForm($change))
        ->assertRedirect('/sections/STA')
        ->assertSessionHasErrors([$field => $words]);
    expect(DB::table('series')->where('section_id', $this->section('STA')->id)->count())->toBe(0);
})->with([
    [['weekdays' => []], 'weekdays', 'Choose at least one weekday.'],
    [['start_time' => 'ten'], 'start_time', '"ten" is not a time of day. Write it as 9, 9:05, 0905 or 9.05am.'],
    [['start_time' => '3', 'end_time' => '16'], 'start_time', '15:00 or 03:00?'],
    [['start_time' => '22:10', 'end_time' => '23'], 'start_time', '22:10 is after 21:00. Is that right?'],
    [['end_time' => '11'], 'end_time', '11:00 is not after 11:15. Enter a later end.'],
    [
        ['starts_on' => '2027-01-04'],
        'starts_on',
        'Mon 4 Jan is outside the term. Choose a day from Mon 11 Jan to Fri 23 Apr.',
    ],
    [
        ['end_kind' => 'date', 'ends_on' => '2027-04-30'],
        'ends_on',
        'Fri 30 Apr is outside the term. Choose a day from Mon 11 Jan to Fri 23 Apr.',
    ],
    [
        ['starts_on' => '2027-03-01', 'end_kind' => 'date', 'ends_on' => '2027-02-01'],
        'ends_on',
        'The series ends on Mon 1 Feb, before it starts on Mon 1 Mar.',
    ],
    [['end_kind' => 'held', 'count' => ''], 'count', 'Enter how many sessions to hold, from 1 to 400.'],
    [['end_kind' => 'never'], 'end_kind', 'Choose how the series ends.'],
    [
        ['weekdays' => [5], 'starts_on' => '2027-04-22', 'end_kind' => 'date', 'ends_on' => '2027-04-22'],
        'weekdays',
        'This pattern makes no session in the term. Choose other weekdays or dates.',
    ],
    [['every' => 99], 'every', 'Enter a number of weeks from 1 to 26.'],
]);

test('a question about a time is answered by saying that it is meant', function () {
    $this->as('A-1')
        ->post(
            '/sections/STA/series',
            seriesForm(['start_time' => '3', 'end_time' => '16', 'sure_start_time' => '900 3']),
        )
        ->assertSessionHasNoErrors();
    expect($this->section('STA')->series()->firstOrFail()->start_minute)->toBe(900);
});

test('two series of a section need titles of their own', function () {
    $this->as('A-1')->post('/sections/MAR/series', seriesForm())->assertSessionHasErrors('title');
    $this->as('A-1')
        ->post('/sections/MAR/series', seriesForm(['title' => 'Laboratory']))
        ->assertSessionHasNoErrors();
    expect($this->section('MAR')->series()->count())->toBe(2);
});

test('a series is deleted with its sessions; one of another section is not found', function () {
    $series = $this->section('MAR')->series()->firstOrFail();
    $this->as('A-1')
        ->delete("/sections/STA/series/{$series->id}")
        ->assertNotFound();
    $this->as('A-1')
        ->delete("/sections/MAR/series/{$series->id}")
        ->assertRedirect('/sections/MAR');
    expect(DB::table('sessions')->where('series_id', $series->id)->count())->toBe(0);
});

test('text of people is escaped wherever it is shown', function () {
    $this->as('A-1')->post('/sections/STA/series', seriesForm(['title' => '<script>alert(1)</script>']));
    $this->get('/sections/STA')->assertDontSee('<script>alert', false)->assertSee('&lt;script&gt;alert', false);
    $this->get('/joining')->assertDontSee('<script>alert', false);
});

test('every pattern of the editor is planned and can be edited again', function (
    array $change,
    array $days,
    string $shown,
) {
    $this->as('A-1')
        ->post('/sections/STA/series', seriesForm(['weekdays' => [], 'starts_on' => '2027-02-10', ...$change]))
        ->assertSessionHasNoErrors();
    $series = $this->section('STA')->series()->firstOrFail();

    expect($series->sessions()->where('state', 'planned')->pluck('day')->all())->toBe($days);
    $this->get("/sections/STA?change={$series->id}")
        ->assertOk()
        ->assertSee($shown, false);
})->with([
    [
        ['kind' => 'every-days', 'every_days' => 30],
        ['2027-02-10', '2027-03-12'],
        'name="every_days" inputmode="numeric" aria-label="Days" value="30"',
    ],
    [
        ['kind' => 'month-weekday', 'month_nth' => '-1', 'month_weekday' => 3],
        ['2027-02-24'],
        '<option value="-1" selected',
    ],
    [
        ['kind' => 'month-day', 'month_day' => 15],
        ['2027-03-15', '2027-04-15'],
        'aria-label="Day of the month" value="15"',
    ],
    [
        ['kind' => 'dates', 'dates' => "2027-03-04\n2027-02-18", 'starts_on' => ''],
        ['2027-02-18', '2027-03-04'],
        "Thu 18 Feb 2027\nThu 4 Mar 2027",
    ],
]);

test('other patterns say beside their field what is wrong', function (array $change, string $field) {
    $this->as('A-1')->post('/sections/STA/series', seriesForm($change))->assertSessionHasErrors($field);
})->with([
    [['kind' => 'every-days', 'every_days' => '0'], 'every_days'],
    [['kind' => 'month-weekday', 'month_nth' => '9', 'month_weekday' => '2'], 'month_nth'],
    [['kind' => 'month-day', 'month_day' => '32'], 'month_day'],
    [['kind' => 'dates', 'dates' => ''], 'dates'],
    [['kind' => 'dates', 'dates' => '18 Feb, soon'], 'dates'],
    [['kind' => 'dates', 'dates' => '2027-05-18'], 'dates'],
]);
