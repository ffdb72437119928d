<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Nomada\App\Actions\Timetable\SaveSeries;
use Nomada\App\Actions\Timetable\SolveTimetable;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Models\Timetable\SolverRun;
use Nomada\App\Models\Timetable\SolverState;
use Nomada\Core\Timetable\SeriesPlan;

/*
 * T-1 teaches Spanish on every school day from 9:00 to 9:40, and Statistics on Tuesdays and Thursdays at 9:15, which is
 * impossible. S-3 is in Statistics and, until 20 February, in Marine Science on Tuesdays and Thursdays at 10:00. It is
 * Wednesday 10 February 2027 at noon.
 */

beforeEach(function () {
    $this->school();
    momentAt('2027-02-10', '12:00');
    $early = ['start_minute' => 555] + $this->section('MAR')->series()->firstOrFail()->plan()->toArray();
    app(SaveSeries::class)($this->section('STA'), SeriesPlan::from($early), 'Statistics');
    $this->series = fn (string $section): Series => $this->section($section)->series()->firstOrFail();
    $this->ask = fn (array $with = []) => $this->as('A-1')->post(
        '/timetable/fix',
        $with + [
            'scope' => 'all',
            'from' => '2027-02-11',
            'open' => '08:00',
            'close' => '17:00',
            'grid' => '15',
            'students' => 'must',
        ],
    );
    // Asks, and lets the queue do its work.
    $this->solve = function (array $with = []): SolverRun {
        ($this->ask)($with)->assertRedirect('/timetable/fix');
        $run = SolverRun::query()->latest('id')->firstOrFail();
        app()->call([new SolveTimetable($run->id), 'handle']);

        return $run->refresh();
    };
});

/** The clashes to come that must be fixed, as kept for every page. */
function mustFix(): array
{
    return DB::table('clashes')
        ->whereIn('kind', ['teacher', 'students', 'room'])
        ->whereRaw("(days->>-1)::int > date '2027-02-10' - date '1970-01-01'")
        ->pluck('kind')
        ->sort()
        ->values()
        ->all();
}

test('one move is found, looked at, made in one step, and undone as a whole', function () {
    expect(mustFix())->toBe(['students', 'teacher']);
    $this->as('A-1')->get('/timetable/fix')->assertSee('Nothing computed yet');
    $run = ($this->solve)();
    expect($run->state)
        ->toBe(SolverState::Done)
        ->and($run->found()[0]->series())
        ->toBe([($this->series)('STA')->id]);
    $this->as('A-1')
        ->get('/timetable/fix')
        ->assertSee('1 move fixes it')
        ->assertSee('The teacher also teaches Y7 Spanish Language')
        ->assertSee('1 student is also in Y8 Marine Science')
        ->assertSee('No fewer will do');

    $rows = ($this->series)('STA')
        ->sessions()
        ->get(['id', 'starts_at'])
        ->toArray();
    $this->as('A-1')
        ->get("/timetable/fix/$run->id/answers/0")
        ->assertSee('1 student and 1 teacher get a changed timetable')
        ->assertSee('Clashes now: 2')
        ->assertSee('None in these sections.');
    // Looked at, nothing has changed.
    expect(
        ($this->series)('STA')
            ->sessions()
            ->get(['id', 'starts_at'])
            ->toArray(),
    )->toBe($rows);

    $this->as('A-1')
        ->post("/timetable/fix/$run->id/answers/0")
        ->assertRedirect('/timetable/clashes')
        ->assertSessionHas('said', '1 series moved.');
    expect(mustFix())->toBe([])->and($run->refresh()->state)->toBe(SolverState::Taken);
    $this->as('A-1')
        ->post("/timetable/fix/$run->id/answers/0")
        ->assertSessionHasErrors(['answer' => 'This answer has been accepted already.']);

    $change = SeriesChange::query()->latest('id')->firstOrFail();
    $this->as('A-1')
        ->post("/sections/STA/changes/$change->id/undoing")
        ->assertSessionHasNoErrors();
    expect(
        ($this->series)('STA')
            ->sessions()
            ->get(['id', 'starts_at'])
            ->toArray(),
    )->toBe($rows);
});

test('a pinned series stays, another moves for it; and where all are pinned, what is left is named', function () {
    $statistics = ($this->series)('STA')->id;
    $found = ($this->solve)(['pin' => $statistics])->found()[0];
    expect($found->series())->not->toContain($statistics)->and($found->after->must)->toBe(0);
    $this->as('A-1')->get('/timetable/fix')->assertSee('Unpin');

    ($this->solve)(['pins' => Series::query()->pluck('id')->map(strval(...))->all()]);
    $this->as('A-1')
        ->get('/timetable/fix')
        ->assertSee('Clashes that stay')
        ->assertSee('Y7 Spanish Language and Y8 Statistics: the same teacher');
});

test('an answer that the timetable has left behind is not made', function () {
    $run = ($this->solve)();
    $series = ($this->series)('STA');
    $other = ['start_minute' => 800] + $series->plan()->toArray();
    app(SaveSeries::class)($this->section('STA'), SeriesPlan::from($other), 'Statistics', $series);
    $this->as('A-1')
        ->get("/timetable/fix/$run->id/answers/0")
        ->assertSee('The timetable has changed since');
    $this->as('A-1')
        ->post("/timetable/fix/$run->id/answers/0")
        ->assertSessionHasErrors(['answer' => 'The timetable has changed since this was computed. Compute again.']);
    $this->as('A-1')
        ->post("/timetable/fix/$run->id/answers/9")
        ->assertSessionHasErrors('answer');
});

test('a question is stopped, and the next one stops it; a job that comes late changes nothing', function () {
    Queue::fake();
    ($this->ask)();
    $run = SolverRun::query()->firstOrFail();
    $this->as('A-1')->get('/timetable/fix')->assertSee('Looking for the fewest moves');
    $this->as('A-1')
        ->post("/timetable/fix/$run->id/stopping")
        ->assertRedirect('/timetable/fix');
    expect($run->refresh()->state)->toBe(SolverState::Stopped);
    app()->call([new SolveTimetable($run->id), 'handle']);
    expect($run->refresh()->solutions)->toBe([]);

    ($this->ask)();
    ($this->ask)();
    expect(SolverRun::query()->orderBy('id')->pluck('state')->all())->toBe([
        SolverState::Stopped,
        SolverState::Stopped,
        SolverState::Waiting,
    ]);
});

test('what cannot be asked is told beside its field', function (array $wrong, string $field, string $words) {
    ($this->ask)($wrong)->assertSessionHasErrors([$field => $words]);
    expect(SolverRun::query()->count())->toBe(0);
})->with([
    'a day that has begun' => [['from' => '2027-02-10'], 'from', 'Choose a day after today, within the term.'],
    'a day after the term' => [['from' => '2027-06-01'], 'from', 'Choose a day after today, within the term.'],
    'hours backwards' => [
        ['open' => '17:00', 'close' => '08:00'],
        'hours',
        'Enter a time and a later one, such as 08:00 and 17:00.',
    ],
    'no such years' => [['scope' => 'year-99'], 'scope', 'Choose the sections from the list.'],
    'no such grid' => [['grid' => '7'], 'grid', 'Choose one of the values offered.'],
]);

test('the console says the same, makes the moves when asked, and ends with 1 where clashes are left', function () {
    expect(Artisan::call('nomada:fix-clashes', ['--json' => true, '--hours' => '08:00-17:00']))->toBe(0);
    $told = json_decode(Artisan::output(), true);
    expect($told['before'])
        ->toMatchArray(['must' => 2, 'moved' => 0])
        ->and($told['after'])
        ->toMatchArray(['must' => 0, 'moved' => 1])
        ->and([$told['bound'], $told['proved'], $told['moves'][0]['section']])
        ->toBe([1, true, 'STA'])
        ->and($told['moves'][0]['was'])
        ->toBe(['days' => ['tue', 'thu'], 'start' => '09:15'])
        ->and(mustFix())
        ->toHaveCount(2);
    $pins = Series::query()->pluck('id')->map(strval(...))->all();
    expect(Artisan::call('nomada:fix-clashes', ['--pin' => $pins]))
        ->toBe(1)
        ->and(Artisan::call('nomada:fix-clashes', ['--from' => '2027-02-10']))
        ->toBe(2)
        ->and(Artisan::call('nomada:fix-clashes', ['--take' => true]))
        ->toBe(0)
        ->and(mustFix())
        ->toBe([]);
});
