<?php

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;

beforeEach(fn () => $this->school());

function marine($test): Series
{
    return $test->section('MAR')->series()->firstOrFail();
}

/** The path of a session of Marine Science. */
function one($test, string $day): string
{
    $series = marine($test);

    return "/sections/MAR/series/{$series->id}/sessions/{$series->sessions()->where('day', $day)->value('id')}";
}

/** @return list<string> "02-16 09:00" in UTC */
function stands($test, string $from = '2027-02-09', int $n = 5): array
{
    return marine($test)
        ->sessions()
        ->where('state', 'planned')
        ->where('day', '>=', $from)
        ->get()
        ->take($n)
        ->map(fn (Session $s): string => $s->starts_at->format('m-d H:i'))
        ->values()
        ->all();
}

const TO = ['move_day' => '2027-02-24', 'move_start' => '11:15', 'move_end' => '12:02'];

test('before a move every reach says what it would do, and nothing is saved', function () {
    $this->as('A-1')
        ->post(one($this, '2027-02-23').'/moving', TO)
        ->assertOk()
        ->assertSeeInOrder([
            'This one',
            '1 session moves',
            'This and later',
            'Wed Fri 11:15–12:02',
            '14 sessions move',
            'The whole series',
            '17 sessions move',
            'sessions that have started stay',
        ]);
    expect(stands($this))
        ->toBe(['02-09 09:00', '02-11 09:00', '02-18 09:00', '02-23 09:00', '02-25 09:00'])
        ->and(SeriesChange::query()->whereNotNull('person_id')->count())
        ->toBe(0);
});

test('this and later ones are moved, and it stays one series with its link and its history', function () {
    $series = marine($this);
    $this->as('A-1')
        ->put(one($this, '2027-02-23'), TO + ['reach' => 'later'])
        ->assertRedirect()
        ->assertSessionHas('said', 'This session and the later ones were moved.');

    expect(stands($this))
        ->toBe(['02-09 09:00', '02-11 09:00', '02-18 09:00', '02-24 10:15', '02-26 10:15'])
        ->and(marine($this)->id)
        ->toBe($series->id)
        ->and(marine($this)->uid)
        ->toBe($series->uid)
        ->and(marine($this)->sequence)
        ->toBe(1)
        ->and(marine($this)->earlier)
        ->toHaveCount(1);
    $this->get('/sections/MAR')
        ->assertSee('Tue Thu 10:00–10:47, from Tue 23 Feb: Wed Fri 11:15–12:02')
        ->assertSee('from Tue 23 Feb on: moved to Wed 11:15–12:02');
    foreach (['/', '/joining'] as $list) {
        $this->get($list)->assertSee('Tue Thu 10:00–10:47, from Tue 23 Feb: Wed Fri 11:15–12:02');
    }
});

test('the whole series is moved, but for what has begun', function () {
    app(Clock::class)->set(strtotime('2027-02-09T10:20:00+01:00'));
    $this->as('A-1')
        ->put(one($this, '2027-02-23'), TO + ['reach' => 'whole'])
        ->assertSessionHasNoErrors();
    expect(stands($this))
        ->toBe(['02-09 09:00', '02-12 10:15', '02-19 10:15', '02-24 10:15', '02-26 10:15'])
        ->and(marine($this)->sessions()->where('day', '2027-02-04')->exists())
        ->toBeTrue();
});

test('the editor goes from a day on, too', function () {
    $series = marine($this);
    $form = [
        'title' => $series->title,
        'series' => $series->id,
        'kind' => 'weekly',
        'weekdays' => [1],
        'start_time' => '12',
        'end_time' => '12:47',
        'starts_on' => '2027-01-12',
        'end_kind' => 'term',
        'reach' => 'later',
        'from_day' => '2027-03-01',
    ];
    $this->as('A-1')->post('/sections/MAR/series/preview', $form)->assertOk()->assertSee('stay');
    $this->put("/sections/MAR/series/{$series->id}", $form)->assertSessionHasNoErrors();
    expect(stands($this, '2027-02-23', 4))->toBe(['02-23 09:00', '02-25 09:00', '03-01 11:00', '03-08 11:00']);
    $this->put("/sections/MAR/series/{$series->id}", [
        ...$form,
        'from_day' => '2027-08-01',
    ])->assertSessionHasErrors('from_day');
});

test('where a reach cannot be, it says so beside the reach', function () {
    $series = $this->section('SPA')->series()->firstOrFail();
    $path = "/sections/SPA/series/{$series->id}/sessions/{$series->sessions()->where('day', '2027-02-23')->value(
        'id',
    )}";
    $this->as('A-1')
        ->put($path, ['move_day' => '2027-02-24', 'move_start' => '9', 'move_end' => '9:40', 'reach' => 'later'])
        ->assertSessionHasErrors([
            'reach' => 'Some sessions would fall on a Sat, when school is closed. Move only this session, or change '.
                'the series.',
        ]);
    $this->put(one($this, '2027-02-04'), TO + ['reach' => 'whole'])->assertSessionHasErrors('session');
    $this->put(one($this, '2027-02-23'), TO + ['reach' => 'sideways'])->assertSessionHasErrors('reach');
    $this->post(one($this, '2027-02-23').'/moving', [
        'move_day' => '2027-02-16',
        'move_start' => '11',
        'move_end' => '12',
    ])->assertSee('School is closed on Tue 16 Feb: Carnival. Choose an open day.');
});

test('the last change is undone, one after another, by anyone who may', function () {
    $this->as('A-1')->put(one($this, '2027-02-23'), TO + ['reach' => 'later']);
    $this->post(one($this, '2027-02-11').'/cancellation', ['reason' => 'ill']);
    [$moved, $cancelled] = SeriesChange::query()->whereNotNull('person_id')->orderBy('id')->pluck('id')->all();
    $this->get('/sections/MAR')->assertSee('C. Marrero')->assertSee('cancelled Thu 11 Feb: ill')->assertSee('Undo');
    $this->post("/sections/MAR/changes/$moved/undoing")->assertSessionHasErrors([
        'change' => 'Only the last change of a series can be undone. Undo the later changes first.',
    ]);
    $this->post("/sections/SPA/changes/$cancelled/undoing")->assertNotFound();
    $this->post("/sections/MAR/changes/$cancelled/undoing")->assertSessionHas(
        'said',
        'Undone: cancelled Thu 11 Feb: ill.',
    );
    $this->post("/sections/MAR/changes/$moved/undoing")->assertSessionHasNoErrors();

    expect(stands($this))
        ->toBe(['02-09 09:00', '02-11 09:00', '02-18 09:00', '02-23 09:00', '02-25 09:00'])
        ->and(marine($this)->earlier)
        ->toBe([])
        ->and(marine($this)->sequence)
        ->toBe(4);
    $this->get('/sections/MAR')->assertSee('undone by C. Marrero');
});

test('what has begun since, and days that were closed since, stay so when a change is undone', function () {
    $this->as('A-1')->put(one($this, '2027-02-23'), TO + ['reach' => 'later']);
    $change = SeriesChange::query()->whereNotNull('person_id')->value('id');
    $this->post('/term/closures', ['first' => '2027-03-02', 'last' => '2027-03-02', 'reason' => 'Storm']);
    app(Clock::class)->set(strtotime('2027-02-24T12:00:00+01:00'));
    $this->post("/sections/MAR/changes/$change/undoing")->assertSessionHasNoErrors();

    expect(stands($this, '2027-02-18', 4))
        ->toBe(['02-18 09:00', '02-24 10:15', '02-25 09:00', '03-04 09:00'])
        ->and(marine($this)->sessions()->where('day', '2027-03-02')->firstOrFail()->reason)
        ->toBe('Storm');
});

test('a deleted series comes back with its links and registrations, and a new one goes again', function () {
    $series = marine($this);
    DB::table('join_links')->insert([
        'series_id' => $series->id,
        'kind' => 'series',
        'secret_hash' => 'x',
        'secret' => encrypt('y'),
        'join_code' => encrypt('BCDFGHJKLM', false),
        'created_at' => now(),
        'updated_at' => now(),
    ]);
    DB::table('registrations')->insert([
        'series_id' => $series->id,
        'person_id' => DB::table('people')->where('sourced_id', 'S-1')->value('id'),
        'state' => 'accepted',
        'came_by' => 'roster',
        'created_at' => now(),
        'updated_at' => now(),
    ]);
    $this->as('A-1')->delete("/sections/MAR/series/{$series->id}");
    expect(DB::table('registrations')->where('series_id', $series->id)->count())->toBe(0);
    $this->get('/sections/MAR')->assertSee('deleted Marine Science');
    $this->post(
        '/sections/MAR/changes/'.
            SeriesChange::query()->where('words', 'like', 'deleted%')->value('id').
            '/undoing',
    )->assertSessionHasNoErrors();

    expect(marine($this)->id)
        ->toBe($series->id)
        ->and(stands($this))
        ->toHaveCount(5)
        ->and(DB::table('registrations')->where('series_id', $series->id)->count())
        ->toBe(1)
        ->and(DB::table('join_links')->where('series_id', $series->id)->count())
        ->toBe(1);
    $this->post('/sections/STA/series', [
        'title' => '',
        'kind' => 'weekly',
        'weekdays' => [5],
        'start_time' => '14:00',
        'end_time' => '15:00',
        'starts_on' => '2027-02-09',
        'end_kind' => 'term',
    ]);
    $this->post(
        '/sections/STA/changes/'.
            SeriesChange::query()->where('words', 'like', 'planned Statistics%')->value('id').
            '/undoing',
    )->assertSessionHasNoErrors();
    expect($this->section('STA')->series()->count())->toBe(0);
});

test(
    'one session has another teacher, a title and a note; everybody is told, and the teacher\'s clashes follow',
    function () {
        $path = one($this, '2027-02-18');
        $this->as('A-1')
            ->put("$path/particulars", [
                'teacher' => 'T-1',
                'title' => 'Visit to the harbour',
                'note' => 'Bring a coat',
            ])
            ->assertSessionHasNoErrors();
        $this->get('/sections/MAR')
            ->assertSee('Visit to the harbour')
            ->assertSee('with I. Belmar')
            ->assertSee('Bring a coat');
        $this->get('/timetable?week=6')->assertSee('with I. Belmar');
        $this->get('/today?date=2027-02-18')->assertSee('I. Belmar');
        $this->as('S-1')->get('/me')->assertSee('Visit to the harbour')->assertSee('I. Belmar');
        // Inés Belmar teaches Spanish from 09:00 to 09:40; a session at 09:30 would put her in two places.
        $this->as('A-1')
            ->put($path, ['move_day' => '2027-02-18', 'move_start' => '9:30', 'move_end' => '10:17'])
            ->assertSessionHasNoErrors();
        expect(DB::table('clashes')->where('kind', 'teacher')->pluck('days')->all())->toBe([
            json_encode([Nomada\Core\Term\LocalDate::parse('2027-02-18')->day]),
        ]);
        $this->put("$path/particulars", ['teacher' => '', 'title' => '', 'note' => ''])->assertSessionHasNoErrors();
        expect(DB::table('clashes')->where('kind', 'teacher')->count())
            ->toBe(0)
            ->and(Session::query()->whereNotNull('teacher_id')->count())
            ->toBe(0);
        $this->put("$path/particulars", ['teacher' => 'S-1'])->assertSessionHasErrors([
            'teacher' => 'Galia Zabalo is not a teacher. Choose a teacher.',
        ]);
        $this->put("$path/particulars", [
            'teacher' => 'nobody',
            'title' => str_repeat('x', 130),
        ])->assertSessionHasErrors(['teacher', 'title']);
    },
);

test(
    'an extra session is added beside the pattern, also on a day on which the series meets, and taken out again',
    function () {
        $series = marine($this);
        $base = "/sections/MAR/series/{$series->id}/sessions";
        $this->as('A-1')
            ->post($base, ['move_day' => '2027-02-18', 'move_start' => '16:00', 'move_end' => '16:30'])
            ->assertSessionHas('said', 'Extra session added on Thu 18 Feb.');
        $this->post($base, [
            'move_day' => '2027-02-18',
            'move_start' => '16:15',
            'move_end' => '17:00',
        ])->assertSessionHasErrors('move_start');
        $this->post($base, [
            'move_day' => '2027-02-16',
            'move_start' => '16:15',
            'move_end' => '17:00',
        ])->assertSessionHasErrors('move_day');
        $this->post($base, [
            'move_day' => '2027-02-23',
            'move_start' => '16:00',
            'move_end' => '16:30',
            'makes_up' => $series->sessions()->where('day', '2027-02-25')->value('id'),
        ])->assertSessionHasErrors(['makes_up' => 'Only a lost or cancelled session can be made up.']);
        $extra = Session::query()->where('is_extra', true)->firstOrFail();
        // It outlives a change of the series.
        $this->put("/sections/MAR/series/{$series->id}", [
            'title' => $series->title,
            'kind' => 'weekly',
            'weekdays' => [1],
            'start_time' => '12',
            'end_time' => '12:47',
            'starts_on' => '2027-01-12',
            'end_kind' => 'term',
        ]);
        expect(Session::query()->where('is_extra', true)->count())->toBe(1);
        $this->put("$base/".Session::query()->where('is_extra', true)->value('id'), [
            'move_day' => '2027-02-19',
            'move_start' => '16:00',
            'move_end' => '16:30',
            'reach' => 'later',
        ])->assertSessionHasErrors(['reach' => 'An extra session has no later ones. Move only this session.']);
        $this->delete("$base/".Session::query()->where('is_extra', true)->value('id'))->assertSessionHas(
            'said',
            'Extra session removed.',
        );
        $this->delete(one($this, '2027-02-22'))->assertSessionHasErrors('session');
        expect(Session::query()->where('is_extra', true)->count())
            ->toBe(0)
            ->and($extra->day)
            ->toBe('2027-02-18');
    },
);

test('topics are laid over the sessions and move along when one is cancelled', function () {
    $series = marine($this);
    $path = "/sections/MAR/series/{$series->id}/topics";
    $this->as('A-1')
        ->put($path, ['topics' => "Tides\nRock pools\nKelp", 'topics_move' => '1'])
        ->assertSessionHas('said', 'Topics assigned to sessions.');
    $topics = fn (): array => $series->sessions()->whereNotNull('topic')->pluck('topic', 'day')->all();
    expect($topics())->toBe(['2027-02-09' => 'Tides', '2027-02-11' => 'Rock pools', '2027-02-18' => 'Kelp']);
    $this->post(one($this, '2027-02-11').'/cancellation', ['reason' => 'ill']);
    expect($topics())->toBe(['2027-02-09' => 'Tides', '2027-02-18' => 'Rock pools', '2027-02-23' => 'Kelp']);
    $this->get('/sections/MAR')->assertSee('Rock pools');
    $this->put($path, [
        'topics' => implode("\n", range(1, 40)),
        'topics_move' => '0',
        'from_first' => '1',
    ])->assertSessionHas('said', 'Topics assigned to sessions. 16 topics are left over.');
    expect($topics()['2027-01-12'])->toBe('1');
    $this->put($path, ['topics' => str_repeat('x', 250)])->assertSessionHasErrors('topics');
});

test('a session\'s people are free and busy in spans, for the row that it is dragged along', function () {
    $this->as('A-1')
        ->getJson(one($this, '2027-02-23').'/busy')
        ->assertOk()
        ->assertJsonPath('days.2027-02-25.closed', null)
        ->assertJsonPath('days.2027-02-27.closed', 'Weekend')
        // Thursday's own session is in the way, too.
        ->assertJsonPath('days.2027-02-25.spans.1', [600, 647, 'teacher', 0]);
});

test('a session is cancelled with its topic, or passes it on to the next', function () {
    $topics = fn (): array => marine($this)
        ->sessions()
        ->where('day', '>=', '2027-02-23')
        ->orderBy('day')
        ->limit(3)
        ->pluck('topic', 'day')
        ->all();
    $this->as('A-1')
        ->put('/sections/MAR/series/'.marine($this)->id.'/topics', [
            'topics' => implode("\n", array_map(fn (int $n): string => "Topic $n", range(1, 20))),
            'topics_move' => '1',
        ])
        ->assertSessionHasNoErrors();
    [$first, $second, $third] = array_values($topics());
    $this->get('/sections/MAR?session='.basename(one($this, '2027-02-23')))->assertSee(
        'Drop this session’s topic too (otherwise the next session takes it)',
    );

    $this->post(one($this, '2027-02-23').'/cancellation', ['reason' => 'ill'])->assertSessionHasNoErrors();
    expect($topics())->toBe(['2027-02-23' => null, '2027-02-25' => $first, '2027-03-02' => $second]);
    $this->delete(one($this, '2027-02-23').'/cancellation')->assertSessionHasNoErrors();
    $this->post(one($this, '2027-02-23').'/cancellation', [
        'reason' => 'ill',
        'keeps_topic' => '1',
    ])->assertSessionHasNoErrors();
    expect($topics())->toBe(['2027-02-23' => $first, '2027-02-25' => $second, '2027-03-02' => $third]);
});

test('topics that begin with the first session are taken back from past sessions, too', function () {
    $past = fn (): array => marine($this)
        ->sessions()
        ->where('day', '<', '2027-02-05')
        ->orderBy('day')
        ->pluck('topic', 'day')
        ->all();
    $paste = fn (string $name) => $this->as('A-1')
        ->put('/sections/MAR/series/'.marine($this)->id.'/topics', [
            'topics' => implode("\n", array_map(fn (int $n): string => "$name $n", range(1, 20))),
            'topics_move' => '1',
            'from_first' => '1',
        ])
        ->assertSessionHasNoErrors();
    $paste('Old');
    $before = $past();
    expect($before)->toContain('Old 1');
    $paste('New');
    expect($past())->toContain('New 1');
    $this->post(
        '/sections/MAR/changes/'.DB::table('series_changes')->max('id').'/undoing',
    )->assertSessionHasNoErrors();
    expect($past())->toBe($before);
});
