<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\RosterOut;
use Nomada\App\Actions\Term\ImportSchool;
use Nomada\App\Actions\Term\UndoImport;
use Nomada\App\Actions\Timetable\KeepSeriesToPlace;
use Nomada\App\Actions\Timetable\SaveSeries;
use Nomada\App\Actions\Timetable\SolveDraft;
use Nomada\App\Actions\Timetable\SolveTimetable;
use Nomada\App\Models\Term\SchoolImport;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\App\Models\Timetable\SolverRun;
use Nomada\App\Models\Timetable\TeacherWishRow;
use Nomada\App\Models\Timetable\TimetableDraft;
use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Interchange\SchoolReader;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SeriesPlan;
use Tests\Support\SmallSchool;

/*
 * T-1 teaches Spanish on every school day from 9:00 to 9:40, T-2 (in Casablanca) Marine Science on Tuesdays and
 * Thursdays from 10:00 to 10:47, with S-1 (in Canary), S-2 (in Casablanca) and S-3. S-3 and T-1 are in Statistics,
 * which has no time yet. It is Wednesday 10 February 2027 at noon.
 */

beforeEach(function () {
    $this->school();
    momentAt('2027-02-10', '12:00');
    $this->need = fn (string $title = 'Statistics', int $perWeek = 2, string $section = 'STA'): SeriesToPlace => app(
        KeepSeriesToPlace::class,
    )->add(
        $this->section($section)->load(['term.school', 'term.closures']),
        $title,
        $perWeek,
        45,
        LocalDate::parse('2027-02-22'),
        null,
    );
    // Asks, and lets the queue do its work.
    $this->solve = function (string $kind, array $with = []): SolverRun {
        $this->as('A-1')
            ->post(
                "/timetable/$kind",
                $with + [
                    'scope' => 'all',
                    'from' => '2027-02-11',
                    'open' => '09:00',
                    'close' => '12:00',
                    'grid' => '15',
                    'students' => 'must',
                ],
            )
            ->assertSessionHasNoErrors();
        $run = SolverRun::query()->latest('id')->firstOrFail();
        app()->call([new SolveTimetable($run->id), 'handle']);

        return $run->refresh();
    };
});

test('a section says what has no time yet, and it is an issue until it is removed', function () {
    $this->as('A-1')
        ->post('/sections/STA/to-place', ['title' => '', 'per_week' => '2', 'length' => '45'])
        ->assertSessionHas('said', 'Statistics has no time yet. Find one on “Place series”.');
    $this->as('A-1')
        ->get('/sections/STA')
        ->assertSee('2 sessions a week of 45 minutes')
        ->assertSee('1 series has no time yet')
        ->assertDontSee('No timetable yet');
    $this->as('A-1')->get('/')->assertSee('Place series');
    foreach (
        [
            [['per_week' => '6'], 'per_week', 'There are 5 school days a week: enter 1 to 5.'],
            [['length' => '721'], 'length', 'A session takes 1 to 720 minutes.'],
            [['from' => '2027-03-02', 'until' => '2027-03-01'], 'until', 'The end is before the beginning.'],
            [[], 'title', 'already'],
        ] as [$with, $field, $words]
    ) {
        $this->as('A-1')
            ->post('/sections/STA/to-place', $with + ['per_week' => '2', 'length' => '45'])
            ->assertSessionHasErrors($field);
        expect(session('errors')->first($field))->toContain($words);
    }
    $id = SeriesToPlace::query()->value('id');
    $this->as('A-1')
        ->delete("/sections/MAR/to-place/$id")
        ->assertNotFound();
    $this->as('A-1')
        ->delete("/sections/STA/to-place/$id")
        ->assertSessionHas('said', 'Statistics is not needed any more.');
    expect(SeriesToPlace::query()->exists())->toBeFalse();
});

test('a time is found beside everything that stands, taken as one act, and undone', function () {
    ($this->need)();
    ($this->need)('Practice', 1);
    $run = ($this->solve)('place');
    [$found] = $run->found();
    expect($found->after->must)->toBe(0)->and($found->moves)->toHaveCount(2);
    $this->as('A-1')
        ->get('/timetable/place')
        ->assertSee('2 series placed')
        ->assertSee('no time yet')
        ->assertSee('nothing else moves');
    $this->as('A-1')
        ->get("/timetable/fix/$run->id/answers/0")
        ->assertSee('Accept all 2 changes');
    expect(Series::query()->count())->toBe(2);
    $this->as('A-1')
        ->post("/timetable/fix/$run->id/answers/0")
        ->assertRedirect('/timetable');
    $series = $this->section('STA')->series()->where('title', 'Statistics')->firstOrFail();
    expect([$series->minutes, count($series->pattern['weekdays']), $series->starts_on >= '2027-02-22'])
        ->toBe([45, 2, true])
        ->and(SeriesToPlace::query()->exists())
        ->toBeFalse()
        ->and(
            DB::table('clashes')
                ->whereIn('kind', ['teacher', 'students'])
                ->exists(),
        )
        ->toBeFalse();
    $change = SeriesChange::query()->latest('id')->firstOrFail();
    $this->as('A-1')
        ->post("/sections/STA/changes/$change->id/undoing")
        ->assertSessionHasNoErrors();
    expect(SeriesToPlace::query()->orderBy('title')->pluck('per_week', 'title')->all())
        ->toBe(['Practice' => 1, 'Statistics' => 2])
        ->and(Series::query()->count())
        ->toBe(2);
});

test('an answer is not taken where the need has changed since, and what finds no time is named', function () {
    $one = ($this->need)();
    $run = ($this->solve)('place');
    $one->update(['minutes' => 50]);
    $this->as('A-1')
        ->post("/timetable/fix/$run->id/answers/0")
        ->assertSessionHasErrors('answer');
    // From nine to a quarter to ten T-1 teaches Spanish.
    ($this->solve)('place', ['open' => '09:00', 'close' => '09:50']);
    $this->as('A-1')->get('/timetable/place')->assertSee('Statistics: no time found');
    expect(Artisan::call('nomada:place', ['--hours' => '09:00-09:50']))->toBe(1);
    // Where others may move, Spanish makes room.
    expect(Artisan::call('nomada:place', ['--hours' => '09:00-11:00', '--take' => true, '--json' => true]))->toBe(
        0,
    );
    expect(json_decode(Artisan::output(), true)['moves'][0])->toMatchArray(['section' => 'STA', 'was' => null]);
});

test('rules are kept with the term, and what is supposed is told and answered with moves', function () {
    $run = ($this->solve)('fix', [
        'off_person' => (string) personCalled('T-2')->id,
        'off_weekday' => '2',
        'pause' => '10',
        'teachers_daily' => '2',
        'own_open' => '09:00',
        'own_close' => '19:00',
    ]);
    expect($run->found()[0]->moves[0]->becomes['days'])
        ->not->toContain('tue')
        ->and($run->found()[0]->before->must)
        ->toBe(1);
    $this->as('A-1')
        ->get('/timetable/fix')
        ->assertSee('Supposing that N. Haddad does not work on Tuesday.')
        ->assertSee('The teacher cannot teach then');
    $rules = Term::query()->firstOrFail()->solver_rules;
    expect([$rules['pause'], $rules['teachersDaily'], $rules['ownHours']])->toBe([10, 2, [540, 1140]]);
    // Nobody else asks for what was only supposed.
    $this->as('A-1')->get('/timetable/place')->assertDontSee('Supposing');

    $hours = ($this->solve)('fix', ['if_open' => '10:30', 'if_close' => '14:00', 'close' => '14:00']);
    expect($hours->found()[0]->before->must)
        ->toBe(2)
        ->and($hours->found()[0]->after->must)
        ->toBe(0)
        ->and($hours->found()[0]->moves)
        ->toHaveCount(2);
    foreach (
        [
            [['pause' => '61'], 'pause'],
            [['students_daily' => '0'], 'students_daily'],
            [['accounts' => '0'], 'accounts'],
            [['if_open' => '10:00', 'if_close' => ''], 'if_close'],
            [['own_open' => '20:00', 'own_close' => '08:00'], 'own_hours'],
        ] as [$with, $field]
    ) {
        $this->as('A-1')
            ->post(
                '/timetable/fix',
                $with + [
                    'scope' => 'all',
                    'from' => '2027-02-11',
                    'open' => '09:00',
                    'close' => '12:00',
                    'grid' => '15',
                    'students' => 'must',
                ],
            )
            ->assertSessionHasErrors($field);
    }
});

test('fewer host accounts are supposed without being taken', function () {
    $plan = ['start_minute' => 600] + $this->section('SPA')->series()->firstOrFail()->plan()->toArray();
    app(SaveSeries::class)($this->section('STA'), SeriesPlan::from($plan), 'Statistics');
    $kind = DB::table('hosting_plans')->insertGetId([
        'name' => 'Small',
        'seats' => 100,
        'minutes' => 600,
        'at_once' => 1,
        'created_at' => now(),
        'updated_at' => now(),
    ]);
    foreach (Series::query()->get() as $i => $series) {
        $account = DB::table('host_accounts')->insertGetId([
            'hosting_plan_id' => $kind,
            'name' => "Account $i",
            'created_at' => now(),
            'updated_at' => now(),
        ]);
        $series->update(['host_account_id' => $account]);
    }
    DB::table('enrolments')->where('section_id', $this->section('STA')->id)->delete();
    $run = ($this->solve)('fix', ['accounts' => '1', 'close' => '16:00']);
    [$found] = $run->found();
    expect([$found->before->must, $found->after->must, count($found->moves)])->toBe([1, 0, 1]);
    $this->as('A-1')
        ->get('/timetable/fix')
        ->assertSee('Supposing that there is 1 host account.')
        ->assertSee('No host account would be free')
        ->assertDontSee('Preview changes');
});

test('why not: what is in the way at a time, and what would have to move first', function () {
    $one = ($this->need)('Statistics', 1);
    $ask = fn (array $with) => $this->as('A-1')->get(
        '/timetable/why-not?'.http_build_query($with + ['series' => $one->number()]),
    );
    $ask(['weekdays' => [3], 'start' => '09:20'])
        ->assertSee('1 other series would have to move')
        ->assertSee('The teacher also teaches Y7 Spanish Language');
    $ask(['weekdays' => [3], 'start' => '11:00'])->assertSee(
        'Nothing prevents it: Y8 Statistics can be on Wed 11:00–11:45.',
    );
    $ask(['weekdays' => [1, 3], 'start' => '11:00'])->assertSee(
        'Choose as many days as it has sessions a week: 1.',
    );
    $ask(['weekdays' => [3], 'start' => 'noonish'])->assertSessionHasErrors('start');
    TeacherWishRow::query()->create([
        'person_id' => personCalled('T-1')->id,
        'weekday' => 3,
        'from_minute' => 0,
        'to_minute' => 1440,
        'is_rule' => true,
    ]);
    $ask(['weekdays' => [3], 'start' => '11:00'])
        ->assertSee('The teacher cannot teach then')
        ->assertSee('No moves of up to four other series make room');
});

test(
    'a time is given by hand, from where it was asked about, and the week shades when its people are free',
    function () {
        $one = ($this->need)();
        $this->as('A-1')
            ->get('/timetable?week=7')
            ->assertSee('No time yet')
            ->assertSee('2 sessions a week of 45 minutes');
        $this->as('T-1')->get('/timetable?week=7')->assertDontSee('No time yet');
        $spans = $this->as('A-1')
            ->getJson("/sections/STA/to-place/$one->id/busy?day=2027-02-22")
            ->json('days.2027-02-22');
        expect($spans['closed'])
            ->toBeNull()
            ->and($spans['spans'])
            ->toContain([540, 580, 'teacher', 0]);
        $this->as('A-1')
            ->get("/timetable/why-not?series={$one->number()}&weekdays[]=1&start=11:00")
            ->assertSee('Choose as many days as it has sessions a week: 2.');
        $this->as('A-1')
            ->get("/timetable/why-not?series={$one->number()}&weekdays[]=1&weekdays[]=3&start=11:00")
            ->assertSee('Put it there');
        $put = fn (array $with) => $this->as('A-1')->post("/sections/STA/to-place/$one->id/time", $with);
        $put(['weekdays' => ['1'], 'start' => '11:00'])->assertSessionHasErrors('weekdays');
        $put(['weekdays' => ['1', '3']])->assertSessionHasErrors('start');
        $put(['weekdays' => ['1', '3'], 'start' => '11:00'])->assertRedirect('/sections/STA');
        expect($this->section('STA')->series()->firstOrFail()->pattern['weekdays'])
            ->toBe([1, 3])
            ->and(SeriesToPlace::query()->exists())
            ->toBeFalse();
    },
);

test('a teacher types wishes, which count as cost until the coordinator makes them a rule', function () {
    $this->as('T-1')
        ->post('/timetable/wishes', ['wish_weekday' => '1', 'wish_open' => '09:00', 'wish_close' => '10:00'])
        ->assertSessionHas('said', 'Wish added.');
    // Nobody adds one for somebody else but the coordinator.
    $this->as('T-2')->post('/timetable/wishes', [
        'wish_weekday' => '2',
        'teacher' => (string) personCalled('T-1')->id,
    ]);
    expect(TeacherWishRow::query()->orderBy('id')->pluck('person_id')->all())->toBe([
        personCalled('T-1')->id,
        personCalled('T-2')->id,
    ]);
    $this->as('T-1')->get('/timetable/wishes')->assertSee('Monday, 09:00–10:00')->assertDontSee('Haddad');
    [$own, $other] = TeacherWishRow::query()->orderBy('id')->pluck('id')->all();
    $this->as('T-1')
        ->delete("/timetable/wishes/$other")
        ->assertNotFound();
    $this->as('T-1')
        ->post('/timetable/wishes', ['wish_weekday' => '1', 'wish_open' => '10:00', 'wish_close' => '09:00'])
        ->assertSessionHasErrors('wish_close');
    $must = fn (): int => ($this->solve)('fix')->found()[0]->before->must;
    expect($must())->toBe(0);
    $this->as('A-1')->put("/timetable/wishes/$own", ['is_rule' => '1']);
    expect($must())->toBe(1);
    $this->as('T-1')
        ->delete("/timetable/wishes/$own")
        ->assertSessionHasNoErrors();
    expect($must())->toBe(0);
});

test('who is outside their hours, at which time of their own clock', function () {
    $this->as('A-1')->get('/timetable/own-hours')->assertSee('Nobody is outside their hours');
    Term::query()->update([
        'solver_rules' => json_encode([
            'hours' => [480, 1020],
            'studentsMust' => true,
            'grid' => 15,
            'ownHours' => [570, 1200],
            'ownHoursMust' => true,
            'pause' => 5,
            'studentsDaily' => null,
            'teachersDaily' => null,
        ]),
    ]);
    $this->as('A-1')
        ->get('/timetable/own-hours')
        ->assertSee('3 students before 09:30 or after 20:00')
        ->assertSeeInOrder(['Marine Science', '09:00–09:47', 'Galia Zabalo'])
        ->assertSee('Lúa Piñeiral');
});

test(
    'a draft of the next term is seen by nobody else, compared, taken, or thrown away without a trace',
    function () {
        $from = Term::query()->firstOrFail();
        $to = Term::query()->create([
            'school_id' => $from->school_id,
            'sourced_id' => '27U',
            'title' => 'Summer term',
            'starts_on' => '2027-04-26',
            'ends_on' => '2027-06-25',
        ]);
        $make = function (array $with) use ($to): TimetableDraft {
            $this->as('A-1')
                ->post('/timetable/drafts', $with + ['to' => (string) $to->id])
                ->assertSessionHasNoErrors();
            $draft = TimetableDraft::query()->latest('id')->firstOrFail();
            app()->call([new SolveDraft($draft->id), 'handle']);

            return $draft->refresh();
        };
        $spanish = $this->section('SPA')->series()->firstOrFail();
        $kept = $make(['title' => 'As it is']);
        $anew = $make(['title' => 'From nothing', 'anew' => '1', 'pins' => [(string) $spanish->id]]);
        expect($kept->answer()->moves)
            ->toBe([])
            ->and($anew->answer()->moves)
            ->toHaveCount(1)
            ->and($anew->answer()->after->must)
            ->toBe(0)
            ->and(DB::table('sections')->where('term_id', $to->id)->exists())
            ->toBeFalse();
        $this->as('A-1')
            ->get("/timetable/drafts?draft=$kept->id&beside=$anew->id")
            ->assertSeeInOrder(['As it is', 'From nothing', 'clashes to fix', 'Y8 Marine Science']);
        $this->as('A-1')
            ->post("/timetable/drafts/$anew->id/taking")
            ->assertSessionHas('said', 'Summer term has 2 series now.');
        $times = Series::query()->whereRelation('section', 'term_id', $to->id)->orderBy('id')->get();
        expect($times->pluck('title')->all())
            ->toBe(['Marine Science', 'Spanish Language'])
            ->and($times->last()->start_minute)
            ->toBe(540)
            ->and(DB::table('join_links')->exists())
            ->toBeFalse();
        $this->as('A-1')
            ->post("/timetable/drafts/$kept->id/taking")
            ->assertSessionHasErrors('draft');
        $this->as('A-1')->delete("/timetable/drafts/$kept->id");
        expect(TimetableDraft::query()->count())->toBe(1);
        $this->as('A-1')
            ->post('/timetable/drafts', ['to' => (string) $from->id, 'title' => 'Same'])
            ->assertSessionHasErrors('to');
    },
);

test(
    'timetable.csv brings series without a time, our own export brings them back, and undoing takes them away',
    function () {
        $row = 'STA,Statistics,2027-02-22,45,,,,2,2027-03-31';
        $head = 'class_sourced_id,title,dtstart,minutes,tzid,rrule,series_uid,per_week,until';
        $import = fn (string ...$rows) => app(ImportSchool::class)(
            SchoolReader::read(SmallSchool::files(['timetable.csv' => SmallSchool::csv($head, ...$rows)])),
            personCalled('A-1'),
        );
        $own = [
            'MAR,Marine Science,2027-01-12T10:00,47,Europe/Madrid,"FREQ=WEEKLY;BYDAY=TU,TH;UNTIL=20270423T215959Z",,,',
            'SPA,Spanish Language,2027-01-11T09:00,40,Europe/Madrid,"FREQ=DAILY;BYDAY=MO,TU,WE,TH,FR",,,',
        ];
        $import(...$own, ...[$row]);
        $one = SeriesToPlace::query()->firstOrFail();
        expect([
            $one->title,
            $one->per_week,
            $one->minutes,
            $one->starts_on,
            $one->ends_on,
            $one->is_imported,
        ])->toBe(['Statistics', 2, 45, '2027-02-22', '2027-03-31', true]);
        // Our own export says the same, and brings it nothing new.
        $written = app(RosterOut::class)->rows(Term::query()->firstOrFail())['timetable.csv'] ?? [];
        expect(implode(',', end($written)))->toBe($row);
        $import(...$own, ...[str_replace(',45,', ',50,', $row)]);
        expect($one->refresh()->minutes)->toBe(50);
        $import(...$own);
        expect(SeriesToPlace::query()->exists())->toBeFalse();
        $import(...$own, ...[$row]);
        app(UndoImport::class)(SchoolImport::query()->latest('id')->firstOrFail(), personCalled('A-1'));
        expect(SeriesToPlace::query()->exists())->toBeFalse();
        // What cannot be read is told beside its column, all at once.
        $faults = SchoolReader::read(
            SmallSchool::files([
                'timetable.csv' => SmallSchool::csv($head, 'STA,Statistics,soon,0,,,,8,2027-13-01', ...$own),
            ]),
        )->faults;
        expect(array_map(fn (ImportFault $f): string => $f->column, $faults))->toBe([
            'dtstart',
            'until',
            'per_week',
            'minutes',
        ]);
    },
);
