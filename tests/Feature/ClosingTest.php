<?php

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\CheckDerived;
use Nomada\App\Models\Term\ClosedRange;
use Nomada\App\Models\Term\TermChange;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;

beforeEach(function () {
    $this->school();
    momentAt('2027-02-19');
    $this->as('A-1');
    $this->marine = Series::query()->whereRelation('section', 'sourced_id', 'MAR')->firstOrFail();
    $this->path = "/sections/MAR/series/{$this->marine->id}/sessions";
    $this->on = fn (string $day): Session => Session::query()
        ->where('series_id', $this->marine->id)
        ->where('day', $day)
        ->firstOrFail();
});

/** All that is of sessions, but for the ids of rows. */
function allSessions(): array
{
    return DB::table('sessions')
        ->orderBy('series_id')
        ->orderBy('starts_at')
        ->orderBy('moved_from')
        ->get()
        ->map(fn (stdClass $r): array => array_diff_key((array) $r, ['id' => 0]))
        ->all();
}

/** A morning's work: a move, an extra, a make-up, a title with a note, another teacher, a cancellation. */
function morning($test): void
{
    $test
        ->put("$test->path/".($test->on)('2027-02-25')->id, [
            'move_day' => '2027-02-26',
            'move_start' => '11:00',
            'move_end' => '11:47',
            'reach' => 'this',
        ])
        ->assertSessionHasNoErrors();
    $test
        ->post($test->path, ['move_day' => '2027-02-26', 'move_start' => '15:00', 'move_end' => '15:47'])
        ->assertSessionHasNoErrors();
    $test
        ->post($test->path, [
            'move_day' => '2027-02-26',
            'move_start' => '16:30',
            'move_end' => '17:17',
            'makes_up' => ($test->on)('2027-02-16')->id,
        ])
        ->assertSessionHasNoErrors();
    $test
        ->put("$test->path/".($test->on)('2027-03-02')->id.'/particulars', [
            'title' => 'Visit',
            'note' => 'Boots',
            'teacher' => 'T-1',
        ])
        ->assertSessionHasNoErrors();
    $test
        ->post("$test->path/".($test->on)('2027-03-04')->id.'/cancellation', ['reason' => 'ill'])
        ->assertSessionHasNoErrors();
}

test('closing days says what waits and whose; opening them gives all of it back', function () {
    morning($this);
    $before = allSessions();
    $days = ['first' => '2027-02-26', 'last' => '2027-03-04', 'reason' => 'Storm'];

    $this->get('/term/closing?'.http_build_query($days))
        ->assertOk()
        ->assertSee('5 changes to single sessions are on hold until the days reopen:')
        ->assertSee('Thu 25 Feb, moved to Fri 26 Feb')
        ->assertSee('Tue 2 Mar, with another teacher, &quot;Visit&quot;, with a note', false)
        ->assertSee('Thu 4 Mar, cancelled');
    expect(allSessions())->toBe($before);
    $this->post('/term/closures', $days)->assertSessionHas('said');
    expect(($this->on)('2027-03-02')->reason)
        ->toBe('Storm')
        ->and(DB::table('series_changes')->where('series_id', $this->marine->id)->latest('id')->value('words'))
        ->toContain('closed Fri 26 Feb to Thu 4 Mar: Storm')
        ->toContain('closed Fri 26 Feb to Thu 4 Mar: Storm: 4 lost, on hold: Thu 25 Feb, moved to Fri 26 Feb,');
    $this->get('/sections/MAR')->assertSee('closed Fri 26 Feb to Thu 4 Mar: Storm');
    $this->delete(
        '/term/closures/'.ClosedRange::query()->where('reason', 'Storm')->value('id'),
    )->assertSessionHas('said');
    expect(allSessions())->toBe($before)->and(app(CheckDerived::class)())->toBe([]);
});

test('a change of the calendar is undone as a whole, in any order with the changes of series', function () {
    $fresh = allSessions();
    $this->post('/term/closures', ['first' => '2027-03-02', 'last' => '2027-03-05', 'reason' => 'Fair']);
    $closed = allSessions();
    $change = TermChange::query()->whereNull('import_id')->firstOrFail();
    $this->get('/term')->assertSee('closed Tue 2 Mar to Fri 5 Mar: Fair')->assertSee('Undo: closed');
    $this->put("$this->path/".($this->on)('2027-03-09')->id, [
        'move_day' => '2027-03-10',
        'move_start' => '12:00',
        'move_end' => '12:47',
        'reach' => 'later',
    ])->assertSessionHasNoErrors();
    // The earlier change of the calendar first, then the later one of the series.
    $this->post("/term/changes/$change->id/undoing")->assertSessionHas('said');
    expect(($this->on)('2027-03-02')->state->value)->toBe('planned');
    $last = DB::table('series_changes')
        ->where('series_id', $this->marine->id)
        ->whereNull('term_change_id')
        ->max('id');
    $this->post("/sections/MAR/changes/$last/undoing")->assertSessionHasNoErrors();
    expect(allSessions())->toBe($fresh);
    // And the other way round: undone twice is refused.
    $this->post("/term/changes/$change->id/undoing")->assertSessionHasErrors('change');
    expect($closed)->not->toBe($fresh)->and(app(CheckDerived::class)())->toBe([]);
});

test(
    'short days, plans, rotation and opened days are undone too; what was changed again since is told',
    function () {
        $this->post('/term/day-plans', [
            'plan_name' => 'Usual',
            'periods' => "1 9:00-9:45\n2 10:00-10:45",
        ])->assertSessionHasNoErrors();
        $plan = TermChange::query()->latest('id')->firstOrFail();
        $this->post('/term/rotation', ['by' => 'days', 'rotation_n' => '2', 'lettered' => '1']);
        $this->post('/term/opened-days', ['open_day' => '2027-03-06'])->assertSessionHasNoErrors();
        $opened = TermChange::query()->latest('id')->firstOrFail();
        $this->post("/term/changes/$opened->id/undoing")->assertSessionHas('said');
        expect(DB::table('opened_days')->count())->toBe(0);
        $this->post('/term/day-plans', [
            'plan' => DB::table('day_plans')->value('id'),
            'plan_name' => 'Usual',
            'periods' => "1 9:00-9:50\n2 10:00-10:45",
        ])->assertSessionHasNoErrors();
        $later = TermChange::query()->latest('id')->firstOrFail();
        $this->post("/term/changes/$later->id/undoing")->assertSessionHas('said');
        $this->post("/term/changes/$plan->id/undoing")->assertSessionHas('said');
        expect(DB::table('day_plans')->count())->toBe(0);
    },
);

test('after any acts, undone in any order, everything derived is what follows from what is decided', function (
    int $seed,
) {
    mt_srand($seed);
    $days = array_map(fn (int $n): string => date('Y-m-d', strtotime("2027-02-22 +$n days")), range(0, 40));
    $pick = fn (array $of) => $of[mt_rand(0, count($of) - 1)];
    $any = fn (): ?Session => Session::query()
        ->where('starts_at', '>', app(Nomada\App\Support\Clock::class)->now())
        ->where('state', 'planned')
        ->inRandomOrder(mt_rand())
        ->with('series.section')
        ->first();
    $begun = fn (): array => array_values(
        array_filter(allSessions(), fn (array $s): bool => $s['starts_at'] <= '2027-02-19 08:56:00+00'),
    );
    $first = $begun();
    $fresh = allSessions();
    $path = fn (
        Session $s,
    ): string => "/sections/{$s->series->section->sourced_id}/series/$s->series_id/sessions/$s->id";
    for ($i = 0; $i < 14; $i++) {
        $s = $any();
        $day = $pick($days);
        $at = sprintf('%02d:%02d', mt_rand(8, 17), 5 * mt_rand(0, 11));
        $end = date('H:i', strtotime($at) + 2820);
        match ($s === null ? 5 : mt_rand(0, 8)) {
            0 => $this->put($path($s), [
                'move_day' => $day,
                'move_start' => $at,
                'move_end' => $end,
                'reach' => $pick(['this', 'later', 'whole']),
            ]),
            1 => $this->post($path($s).'/cancellation', ['reason' => 'ill']),
            2 => $this->put($path($s).'/particulars', [
                'title' => 'Visit',
                'teacher' => $pick(['T-1', 'T-2', '']),
            ]),
            3 => $this->post(dirname($path($s)), ['move_day' => $day, 'move_start' => $at, 'move_end' => $end]),
            4, 5, 6 => $this->post('/term/closures', ['first' => $day, 'last' => $day, 'reason' => "Storm $i"]),
            7 => $this->delete('/term/closures/'.ClosedRange::query()->orderByDesc('id')->value('id')),
            8 => $this->put("/sections/{$s->series->section->sourced_id}/series/$s->series_id/topics", [
                'topics' => "Tides\nPools\nKelp\nCrabs",
                'topics_move' => mt_rand(0, 1),
            ]),
        };
        expect(app(CheckDerived::class)())->toBe([])->and($begun())->toBe($first);
    }
    $sectionOf = fn (int $change): string => (string) DB::table('series_changes')
        ->join('sections', 'sections.id', '=', 'section_id')
        ->where('series_changes.id', $change)
        ->value('sourced_id');
    // Undone in a random order of the two kinds, the last of each series first.
    for ($guard = 0; $guard < 120; $guard++) {
        $term = TermChange::query()->whereNull('undone_at')->whereNull('import_id')->pluck('id')->all();
        $series = DB::table('series_changes')
            ->whereNull('undone_at')
            ->whereNull('term_change_id')
            ->whereNotNull('before')
            ->groupBy('series_id')
            ->pluck(DB::raw('max(id) as id'))
            ->all();
        if ($term === [] && $series === []) {
            break;
        }
        $isTerm = $series === [] || ($term !== [] && mt_rand(0, 1) === 1);
        $isTerm
            ? $this->post('/term/changes/'.$pick($term).'/undoing')
            : $this->post("/sections/{$sectionOf($id = $pick($series))}/changes/$id/undoing");
        expect(app(CheckDerived::class)())->toBe([]);
    }
    $noTopics = fn (array $rows): array => array_map(
        fn (array $r): array => array_diff_key($r, ['keeps_topic' => 0]),
        $rows,
    );
    expect($noTopics(allSessions()))->toBe($noTopics($fresh));
})->with([1, 2, 3, 4, 5, 6]);
