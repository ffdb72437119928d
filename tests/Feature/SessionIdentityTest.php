<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Models\Timetable\Session;

/*
 * What is about a session hangs on the session and not on a day: docs/subsystems/what-belongs-to-a-session.md says so
 * of every table. Each act is done and undone here, and everything that was put on one session is found on it, wherever
 * it is held.
 */

/** Columns that name a session. */
const NAME_A_SESSION = [
    'attendance_corrections.session_id',
    'change_requests.session_id',
    'invitation_responses.session_id',
    'join_links.only_session_id',
    'materials.session_id',
    'participation.session_id',
    'presence_events.session_id',
    'presence_reads.session_id',
    'recordings.session_id',
    'registrations.session_id',
    'sent_reminders.session_id',
    'session_absences.session_id',
    'session_notes.session_id',
    'session_sums.session_id',
];

beforeEach(function () {
    $this->standins = $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    $this->series = $this->section('MAR')->series()->firstOrFail();
    $this->series->update(['registering' => ['each' => true, 'accepts_certain' => true, 'seats' => 12]]);
    $this->session = Session::query()
        ->where('series_id', $this->series->id)
        ->where('day', '2027-02-18')
        ->firstOrFail();
    $this->as('S-1')
        ->post("/register/{$this->series->id}", [
            'typed_name' => 'Galia Zabalo',
            'typed_email' => 'galia@school.example',
            'days' => ['2027-02-18'],
        ])
        ->assertSessionHasNoErrors();
    $this->as('T-2')
        ->post("/sections/MAR/series/{$this->series->id}/guests", [
            'guest_name' => 'Vera Ocampo',
            'until' => '2027-04-01',
            'only_day' => '2027-02-18',
        ])
        ->assertSessionHasNoErrors();
    $this->post('/sections/MAR/materials', [
        'material_title' => 'Chart 7',
        'material_address' => 'https://charts.example/7',
        'material_session' => $this->session->id,
    ])->assertSessionHasNoErrors();
    DB::table('session_notes')->insert(['session_id' => $this->session->id, 'text' => 'Bring rope', 'at' => now()]);
});

/**
 * The session on which everything is found that was put on one, as "02-18 09:00", planned or not; a complaint where it
 * is not one session, or where a day that people read is another one.
 */
function holdsAll($test): string
{
    $of = [
        'registration' => DB::table('registrations')
            ->where('series_id', $test->series->id)
            ->first(['session_id', 'only_day']),
        'pass' => DB::table('join_links')
            ->where('kind', 'guest')
            ->first([DB::raw('only_session_id as session_id'), 'only_day']),
        'material' => DB::table('materials')
            ->where('title', 'Chart 7')
            ->first([DB::raw('session_id, null as only_day')]),
    ];
    $found = array_unique(array_column($of, 'session_id'));
    $session = Session::query()->find($found[0] ?? 0);
    if (count($found) !== 1 || $session === null) {
        return 'on '.implode(', ', array_map(fn (mixed $id): string => var_export($id, true), $found));
    }
    foreach (array_filter(array_column($of, 'only_day')) as $day) {
        if ($day !== $session->day) {
            return "held on $session->day, read as $day";
        }
    }

    return $session->starts_at->format('m-d H:i').
        ($session->state->value === 'planned' ? '' : ' '."{$session->state->value}");
}

function undoesLast($test): void
{
    $change = SeriesChange::query()
        ->where('series_id', $test->series->id)
        ->whereNull('undone_at')
        ->whereNull('term_change_id')
        ->latest('id')
        ->firstOrFail();
    $test
        ->as('A-1')
        ->post("/sections/MAR/changes/$change->id/undoing")
        ->assertSessionHasNoErrors();
}

test('every table that names a session is known', function () {
    $columns = array_column(
        DB::select(
            "select table_name || '.' || column_name as name from information_schema.columns
                where table_schema = 'public' and column_name in ('session_id', 'only_session_id')
                    and table_name not in (select table_name from information_schema.views)
                order by 1",
        ),
        'name',
    );
    expect($columns)->toBe(NAME_A_SESSION);
    $written = (string) file_get_contents(base_path('docs/subsystems/what-belongs-to-a-session.md'));
    foreach ($columns as $column) {
        expect($written)->toContain('`'.explode('.', $column)[0].'`');
    }
});

test('it follows the session through each act, and back when the act is undone', function (
    string $act,
    string $then,
) {
    expect(holdsAll($this))->toBe('02-18 09:00');
    $session = "/sections/MAR/series/{$this->series->id}/sessions/{$this->session->id}";
    $move = fn (string $reach, string $day, string $from, string $to) => $this->put($session, [
        'move_day' => $day,
        'move_start' => $from,
        'move_end' => $to,
        'reach' => $reach,
    ]);
    $this->as('A-1');
    match ($act) {
        'move one' => $move('this', '2027-02-19', '17:00', '17:47'),
        'this and later' => $move('later', '2027-02-19', '11:00', '11:47'),
        'the whole series' => $move('whole', '2027-02-19', '11:00', '11:47'),
        'lengthen' => $move('this', '2027-02-18', '10:00', '11:30'),
        'cancel' => $this->post("$session/cancellation", ['reason' => 'Storm']),
        'another pattern' => $this->put("/sections/MAR/series/{$this->series->id}", [
            'title' => 'Marine Science',
            'kind' => 'weekly',
            'weekdays' => [1, 5],
            'every' => 1,
            'starts_on' => '2027-01-11',
            'start_time' => '10:00',
            'end_time' => '10:47',
            'end_kind' => 'term',
            'reach' => 'whole',
        ]),
    };
    expect(session('errors')?->all() ?? [])
        ->toBe([])
        ->and(holdsAll($this))
        ->toBe($then);
    undoesLast($this);
    expect(holdsAll($this))->toBe('02-18 09:00');
})->with([
    ['move one', '02-19 16:00'],
    ['this and later', '02-19 10:00'],
    ['the whole series', '02-19 10:00'],
    ['lengthen', '02-18 09:00'],
    ['cancel', '02-18 09:00 cancelled'],
    ['another pattern', '02-19 09:00'],
]);

test(
    'whoever is registered for a session that moves is let in where it is held, and nobody is asked anew',
    function () {
        $this->as('A-1')->put("/sections/MAR/series/{$this->series->id}/sessions/{$this->session->id}", [
            'move_day' => '2027-02-25',
            'move_start' => '17:00',
            'move_end' => '17:47',
            'reach' => 'this',
        ]);
        expect(holdsAll($this))->toBe('02-25 16:00');
        momentAt('2027-02-25', '16:55');
        $link = JoinLink::query()
            ->where(['person_id' => personCalled('S-1')->id, 'kind' => 'personal'])
            ->firstOrFail();
        // The regular session of that Thursday, for which she is not registered, is over by then.
        $this->as('S-1')->get($link->address())->assertDontSee('Register first')->assertSee('16:00');
        // The seat is taken: the page to register does not offer the session again.
        $this->get("/register/{$this->series->id}")->assertDontSee('value="2027-02-25"', false);
        $facts = app(Nomada\App\Queries\SectionFactsQuery::class)->for([$this->series->section_id])[
            $this->series->section_id
        ];
        $starts = array_map(fn ($s): string => gmdate('m-d H:i', $s->start), $facts->series[0]->sessionsOf('S-1'));
        expect($starts)->toBe(['02-25 16:00']);
    },
);

test('a make-up is the session that it makes up, and a deleted series comes back with all of it', function () {
    $sessions = "/sections/MAR/series/{$this->series->id}/sessions";
    $this->as('A-1')->post("$sessions/{$this->session->id}/cancellation", ['reason' => 'Storm']);
    $this->post($sessions, [
        'makes_up' => $this->session->id,
        'move_day' => '2027-02-22',
        'move_start' => '15:00',
        'move_end' => '15:47',
    ])->assertSessionHasNoErrors();
    expect(holdsAll($this))->toBe('02-22 14:00');
    // The make-up itself is moved, and taken back.
    $id = Session::query()->where('is_extra', true)->value('id');
    $this->put("$sessions/$id", [
        'move_day' => '2027-02-23',
        'move_start' => '16:00',
        'move_end' => '16:47',
        'reach' => 'this',
    ])->assertSessionHasNoErrors();
    expect(holdsAll($this))->toBe('02-23 15:00');
    undoesLast($this);
    expect(holdsAll($this))->toBe('02-22 14:00');
    $this->delete("/sections/MAR/series/{$this->series->id}")->assertSessionHasNoErrors();
    undoesLast($this);
    expect(holdsAll($this))->toBe('02-22 14:00');
    undoesLast($this);
    expect(holdsAll($this))->toBe('02-18 09:00 cancelled');
    undoesLast($this);
    expect(holdsAll($this))->toBe('02-18 09:00');
});

test('it follows through a closed day, an import with other weekdays, and the undo of both', function () {
    $this->as('A-1')->post('/term/closures', ['first' => '2027-02-18', 'last' => '', 'reason' => 'Storm']);
    expect(holdsAll($this))->toBe('02-18 09:00 lost');
    $this->post('/term/changes/'.DB::table('term_changes')->max('id').'/undoing')->assertSessionHasNoErrors();
    expect(holdsAll($this))->toBe('02-18 09:00');
    $folder = Tests\Support\SmallSchool::folder([
        'timetable.csv' => Tests\Support\SmallSchool::csv(
            'class_sourced_id,title,dtstart,minutes,tzid,rrule',
            'MAR,Marine Science,2027-01-13T10:00,47,Europe/Madrid,'.
                '"FREQ=WEEKLY;BYDAY=WE,FR;UNTIL=20270423T215959Z"',
            'SPA,Spanish Language,2027-01-11T09:00,40,Europe/Madrid,"FREQ=DAILY;BYDAY=MO,TU,WE,TH,FR"',
        ),
    ]);
    expect(Artisan::call('nomada:import', ['path' => $folder]))->toBe(0);
    // Thursday was the second session of its week, and Friday is.
    expect(holdsAll($this))->toBe('02-19 09:00');
    $this->post('/term/imports/'.DB::table('imports')->max('id').'/undoing')->assertSessionHasNoErrors();
    expect(holdsAll($this))->toBe('02-18 09:00');
});
