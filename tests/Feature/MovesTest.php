<?php

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\CheckDerived;
use Nomada\App\Actions\Timetable\SaveSeries;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\MakeUpProposals;
use Nomada\Core\Timetable\SeriesPlan;

// Marine Science meets on Tuesday and Thursday at 10:00; Statistics, which shares a student, at 11:00.

beforeEach(function () {
    $this->school();
    $late = ['start_minute' => 660] + $this->section('MAR')->series()->firstOrFail()->plan()->toArray();
    app(SaveSeries::class)($this->section('STA'), SeriesPlan::from($late), 'Statistics');
});

/** The coming sessions of a section, each as `Tue 16:30-17:17`. */
function timesOf(string $section, int $most = 2): string
{
    return Session::query()
        ->whereRelation('series.section', 'sourced_id', $section)
        ->where('day', '>=', '2027-02-22')
        ->orderBy('starts_at')
        ->limit($most)
        ->get()
        ->map(
            fn (Session $s): string => $s->starts_at->setTimezone('Europe/Madrid')->format('D H:i').
                $s->ends_at->setTimezone('Europe/Madrid')->format('-H:i'),
        )
        ->implode(', ');
}

function sessionOf(string $section, string $day): int
{
    return (int) Session::query()
        ->where('day', $day)
        ->whereRelation('series.section', 'sourced_id', $section)
        ->valueOrFail('id');
}

/** Rows of series and sessions, but for what counts changes. */
function timetableRows(): string
{
    $but = array_flip(['sequence', 'changed_at', 'updated_at', 'created_at']);

    return (string) json_encode(
        array_map(
            fn (string $table): array => DB::table($table)
                ->orderBy('id')
                ->get()
                ->map(fn (stdClass $r): array => array_diff_key((array) $r, $but))
                ->all(),
            ['series', 'sessions'],
        ),
    );
}

test('two series change places in one step, without a clash before, between or after, and one undo', function () {
    $before = timetableRows();
    [$mar, $sta] = [sessionOf('MAR', '2027-02-23'), sessionOf('STA', '2027-02-23')];
    $this->as('A-1')
        ->get("/timetable/moves?sessions[]=$mar&sessions[]=$sta&swap=1")
        ->assertOk()
        ->assertSee('Clashes afterwards')
        ->assertSee('None in these sections.')
        ->assertSee('value="11:00"', false);
    expect(timetableRows())->toBe($before);
    $this->post('/timetable/moves', [
        'moves' => [
            $mar => ['day' => '23 Feb', 'start' => '11:00', 'end' => '47 min', 'reach' => 'later'],
            $sta => ['day' => '23 Feb', 'start' => '10:00', 'end' => '47 min', 'reach' => 'later'],
        ],
    ])->assertSessionHas('said', '2 sessions moved in one step.');

    expect([timesOf('MAR'), timesOf('STA'), DB::table('clashes')->count(), app(CheckDerived::class)()])->toBe([
        'Tue 11:00-11:47, Thu 11:00-11:47',
        'Tue 10:00-10:47, Thu 10:00-10:47',
        0,
        [],
    ]);
    $this->get('/sections/MAR')
        ->assertSee('with 2 series in one step')
        ->assertSee('Undo '.'all 2');
    $change = DB::table('series_changes')->where('section_id', $this->section('MAR')->id)->max('id');
    $this->post("/sections/MAR/changes/$change/undoing")->assertSessionHasNoErrors();
    expect([timetableRows(), app(CheckDerived::class)()])->toBe([$before, []]);
});

test('where one of the moves cannot be made, none is, and the message is beside its line', function () {
    $before = timetableRows();
    [$mar, $sta] = [sessionOf('MAR', '2027-02-23'), sessionOf('STA', '2027-02-23')];
    $moves = [
        $mar => ['day' => '24 Feb', 'start' => '11:00', 'end' => '11:47', 'reach' => 'this'],
        $sta => ['day' => '16 Feb', 'start' => '10:00', 'end' => '10:47', 'reach' => 'this'],
    ];
    $this->as('A-1')
        ->post('/timetable/moves', ['moves' => $moves])
        ->assertUnprocessable()
        ->assertSee('School is closed on Tue 16 Feb: Carnival. Choose an open day.')
        ->assertSee('value="11:47"', false);
    $this->post('/timetable/moves/preview', ['moves' => $moves])
        ->assertOk()
        ->assertSee('School is closed on Tue');
    $this->post('/timetable/moves/preview', ['moves' => $moves, 'add' => 'XYZ'])
        ->assertSee('No section of this term has the code "XYZ"')
        ->assertSee('value="XYZ"', false);
    $this->post('/timetable/moves', ['moves' => []])
        ->assertUnprocessable()
        ->assertSee('Add a session first.');
    expect(timetableRows())->toBe($before);
});

test('two sessions of one series change places; to overlap they may not', function () {
    [$a, $b] = [sessionOf('MAR', '2027-02-23'), sessionOf('MAR', '2027-02-25')];
    $move = fn (string $start, int $reach = 0): array => [
        'moves' => [
            $a => ['day' => '25 Feb', 'start' => '10:00', 'end' => '10:47', 'reach' => 'this'],
            $b => ['day' => $start, 'start' => '10:00', 'end' => '10:47', 'reach' => ['this', 'later'][$reach]],
        ],
    ];
    $this->as('A-1')
        ->post('/timetable/moves', $move('25 Feb'))
        ->assertUnprocessable()
        ->assertSee('Two sessions of one series would overlap. Choose another time for one of them.');
    $this->post('/timetable/moves', $move('23 Feb', 1))->assertSee('is listed a second time. Remove');
    $this->post('/timetable/moves', $move('23 Feb'))->assertSessionHasNoErrors();
    expect([
        Session::query()->whereKey($a)->value('day'),
        Session::query()->whereKey($b)->value('day'),
        app(CheckDerived::class)(),
    ])->toBe(['2027-02-25', '2027-02-23', []]);
});

test('after one of them was changed again, the step cannot be undone, and that is said', function () {
    [$mar, $sta] = [sessionOf('MAR', '2027-02-23'), sessionOf('STA', '2027-02-23')];
    $this->as('A-1')->post('/timetable/moves', [
        'moves' => [
            $mar => ['day' => '24 Feb', 'start' => '11:00', 'end' => '11:47', 'reach' => 'this'],
            $sta => ['day' => '24 Feb', 'start' => '12:00', 'end' => '12:47', 'reach' => 'this'],
        ],
    ]);
    $change = DB::table('series_changes')->where('section_id', $this->section('MAR')->id)->max('id');
    $path = "/sections/STA/series/{$this->section('STA')->series()->value('series.id')}/sessions/$sta/cancellation";
    $this->post($path, ['reason' => 'Ill'])->assertSessionHasNoErrors();
    $this->post("/sections/MAR/changes/$change/undoing")->assertSessionHasErrors([
        'change' => 'One of these series has been changed since. Undo that change first.',
    ]);
    expect(Session::query()->whereKey($mar)->value('day'))->toBe('2027-02-24');
});

test('the lost sessions of a closure are made up in one step with one undo', function () {
    $this->as('A-1')->post('/term/closures', [
        'first' => '2027-03-02',
        'last' => '2027-03-05',
        'reason' => 'Storm',
    ]);
    $before = timetableRows();
    $this->get('/term/make-ups?reason=Storm')->assertOk()->assertSee('Looking for free times for 8 sessions');
    $this->work();
    $page = $this->get('/term/make-ups?reason=Storm')->assertOk()->getContent();
    preg_match_all('/name="take\[(\d+)\]" value="([^"]+)" checked/', $page, $found);
    $take = array_combine($found[1], $found[2]);
    // What is proposed for one is taken for the next: no two at once for those who share people.
    expect(count($take))->toBe(8);
    $this->post('/term/make-ups', ['take' => $take, 'reason' => 'Storm'])->assertSessionHas(
        'said',
        '8 sessions made '.'up.',
    );
    expect([DB::table('clashes')->count(), app(CheckDerived::class)()])->toBe([0, []]);
    $this->get('/sections/MAR')->assertSee('with 3 series in one step');
    $change = DB::table('series_changes')->where('section_id', $this->section('MAR')->id)->max('id');
    $this->post("/sections/MAR/changes/$change/undoing")->assertSessionHasNoErrors();
    expect([timetableRows(), app(CheckDerived::class)()])->toBe([$before, []]);
});

test('the page finds what a worker worked out, whatever each has asked of the calendar before', function () {
    $key = fn (Term $term): string => app(MakeUpProposals::class)->key($term, [1, 2]);
    $asked = Term::query()->sole();
    $before = $key($asked);
    $zone = $asked->calendar()->zone;
    $zone->offsets(9000, 9100);
    $zone->instant(8999, 540);
    $asked->calendar()->rotationOn($asked->calendar()->first->day);
    expect($key($asked))->toBe($before);
    DB::table('terms')->update(['opens_minute' => 500]);
    expect($key(Term::query()->sole()))->not->toBe($before);
});
