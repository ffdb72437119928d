<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Term\ImportSchool;
use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Models\Timetable\Series;
use Nomada\Core\Interchange\SchoolReader;
use Nomada\Core\Timetable\Clash;
use Tests\Support\SmallSchool;

beforeEach(fn () => $this->school());

test('two sections share a series: one session, both rosters, counts and clashes right', function () {
    $this->standins();
    $series = $this->section('MAR')->series()->with('section.term')->firstOrFail();
    $this->as('A-1')
        ->post("/sections/MAR/series/{$series->id}/sections", ['share' => 'STA'])
        ->assertSessionHas('said', 'Y8 Statistics now meets in Marine Science too.');
    Artisan::call('nomada:links');
    Artisan::call('nomada:register', ['--section' => ['MAR']]);

    // Teo is on both rosters, and is registered once.
    expect(DB::table('registrations')->where('series_id', $series->id)->where('state', 'accepted')->count())->toBe(
        3,
    );
    $this->get('/sections/STA')
        ->assertSee('Marine Science')
        ->assertSee('1 of 1 registered')
        ->assertSee('Shared by 2 sections');
    $this->get('/timetable?week=7&by=section')->assertSee('Y8 Statistics, Tue 23 Feb, 10:00–10:47', false);
    $this->get('/today')->assertSee('Y8 Marine Science and 1 more');
    $row = collect(
        app(Nomada\App\View\Joining\SeriesList::class)->rows(
            $series->section->term->load(['school', 'closures']),
            Nomada\App\Models\Term\Person::query()->where('sourced_id', 'A-1')->firstOrFail(),
        ),
    )->firstWhere('name', 'Y8 Marine Science');
    expect([$row->roster, $row->registered])->toBe([3, 3]);
    Artisan::call('nomada:publish', ['--section' => ['MAR', 'STA']]);
    // Everybody has it in their calendar once: three students and both teachers.
    expect(
        DB::table('published_items')
            ->where('place', 'calendar')
            ->where('key', 'like', "%/$series->uid")
            ->pluck('person')
            ->sort()
            ->values()
            ->all(),
    )->toBe(['S-1', 'S-2', 'S-3', 'T-1', 'T-2']);
    $this->as('S-3')->get('/me')->assertOk();
    // Inés teaches Spanish, and is now in Marine Science, too: moved to 09:30 she would be in two places.
    $this->as('A-1')->put(
        "/sections/STA/series/{$series->id}/sessions/{$series->sessions()->where('day', '2027-02-23')->value(
            'id',
        )}",
        ['move_day' => '2027-02-23', 'move_start' => '9:30', 'move_end' => '10:17'],
    );
    expect(DB::table('clashes')->where('kind', 'teacher')->count())
        ->toBe(1)
        ->and(DB::table('clashes')->where('kind', 'students')->count())
        ->toBe(0);
    $this->get('/timetable/clashes')->assertSee('1 teacher would be in two places');

    $this->post("/sections/MAR/series/{$series->id}/sections", ['share' => 'STA'])->assertSessionHasErrors([
        'share' => 'Y8 Statistics already meets in this series.',
    ]);
    $this->post("/sections/MAR/series/{$series->id}/sections", ['share' => 'nobody'])->assertSessionHasErrors(
        'share',
    );
    $this->delete("/sections/MAR/series/{$series->id}/sections/MAR")->assertSessionHasErrors('share');
    $this->delete("/sections/MAR/series/{$series->id}/sections/STA")->assertSessionHas(
        'said',
        'Y8 Statistics no longer meets in Marine Science.',
    );
    expect(DB::table('clashes')->where('kind', 'teacher')->count())
        ->toBe(0)
        ->and(
            DB::table('published_items')
                ->where('section_id', $this->section('STA')->id)
                ->whereNotNull('desired_hash')
                ->count(),
        )
        ->toBe(0);
});

test('co-teachers and observers take part beside the import, which leaves them alone', function () {
    $this->as('A-1')
        ->post('/sections/MAR/people', ['person' => 'T-1', 'role' => 'co-teacher'])
        ->assertSessionHas('said', 'Inés Belmar is a co-teacher of this section.');
    $this->post('/sections/MAR/people', ['person' => 'T-1', 'role' => 'observer'])->assertSessionHasErrors([
        'person' => 'Inés Belmar is already a co-teacher of this section.',
    ]);
    $this->post('/sections/SPA/people', ['person' => 'S-1', 'role' => 'co-teacher'])->assertSessionHasErrors(
        'person',
    );
    $this->post('/sections/SPA/people', ['person' => 'T-2', 'role' => 'pilot'])->assertSessionHasErrors('role');
    app(ImportSchool::class)(SchoolReader::read(SmallSchool::files()));
    $enrolment = DB::table('enrolments')->where('role', 'co-teacher');
    expect($enrolment->count())->toBe(1);
    $this->as('T-1')->get('/sections/MAR')->assertOk();
    $this->as('A-1')
        ->delete('/sections/MAR/people/'.DB::table('enrolments')->where('sourced_id', 'E-1')->value('id'))
        ->assertSessionHasErrors('person');
    $this->delete('/sections/MAR/people/'.$enrolment->value('id'))->assertSessionHas('said');
    expect($enrolment->count())->toBe(0);
});

test('observers by rule come and go with the rule and with the import; they clash with nothing', function () {
    $this->as('A-1')
        ->post('/sections/SPA/observer-rules', ['rule' => 'year:8'])
        ->assertSessionHas('said', 'Everybody of Year 8 can observe this section. Attendance is optional for them.');
    $observers = fn (): array => DB::table('enrolments')
        ->join('people', 'people.id', '=', 'person_id')
        ->where('enrolments.role', 'observer')
        ->orderBy('people.sourced_id')
        ->pluck('people.sourced_id')
        ->all();
    expect($observers())->toBe(['S-1', 'S-2', 'S-3']);
    $this->get('/sections/SPA')->assertSee('everybody of Year 8')->assertSee('3 observers, optional');
    $this->post('/sections/SPA/observer-rules', ['rule' => 'year:8'])->assertSessionHasErrors('rule');
    $this->post('/sections/SPA/observer-rules', ['rule' => 'moon:full'])->assertSessionHasErrors('rule');
    // Their own class at the same time is no clash for them.
    $series = $this->section('MAR')->series()->firstOrFail();
    $this->put("/sections/MAR/series/{$series->id}", [
        'title' => $series->title,
        'kind' => 'weekly',
        'weekdays' => [2, 4],
        'start_time' => '9:00',
        'end_time' => '9:40',
        'starts_on' => '2027-01-12',
        'end_kind' => 'term',
    ]);
    expect(DB::table('clashes')->where('kind', 'students')->count())->toBe(0);
    // One moves to Year 7: the rule follows the import.
    $users = str_replace('rui@school.example,08', 'rui@school.example,07', SmallSchool::files()['users.csv']);
    app(ImportSchool::class)(SchoolReader::read(SmallSchool::files(['users.csv' => $users])));
    expect($observers())->toBe(['S-1', 'S-3']);
    $this->post('/sections/SPA/observer-rules', ['rule' => 'course:8STA'])->assertSessionHasNoErrors();
    $this->delete(
        '/sections/SPA/observer-rules/'.DB::table('observer_rules')->whereNotNull('year')->value('id'),
    )->assertSessionHasNoErrors();
    expect($observers())->toBe([]);
});

test('after random edits the clashes kept are those that a search of everything finds', function () {
    mt_srand(616);
    $this->as('A-1')->post('/sections/STA/series', [
        'title' => '',
        'kind' => 'weekly',
        'weekdays' => [2, 4],
        'start_time' => '10:15',
        'end_time' => '11:00',
        'starts_on' => '2027-01-12',
        'end_kind' => 'term',
    ]);
    $this->post('/timetable/licences/plans', [
        'plan_name' => 'Small',
        'seats' => 2,
        'minutes' => 40,
        'at_once' => 1,
    ]);
    $this->post('/timetable/licences/accounts', [
        'of' => DB::table('hosting_plans')->value('id'),
        'account_name' => 'Host',
        'many' => 2,
    ]);
    $this->post('/timetable/licences/assignment');
    for ($i = 0; $i < 24; $i++) {
        $series = Series::query()
            ->with('section')
            ->inRandomOrder()
            ->get()
            ->sortBy(fn (Series $s): int => crc32("$i $s->id"))
            ->firstOrFail();
        $base = "/sections/{$series->section->sourced_id}/series/{$series->id}";
        $session = $series
            ->sessions()
            ->where('state', 'planned')
            ->where('starts_at', '>', '2027-02-09 09:00+00')
            ->skip(mt_rand(0, 9))
            ->value('id');
        $start = 8 * 60 + 5 * mt_rand(0, 60);
        $times = [
            'move_start' => sprintf('%02d:%02d', intdiv($start, 60), $start % 60),
            'move_end' => sprintf('%02d:%02d', intdiv($start + 45, 60), ($start + 45) % 60),
        ];
        $day = (new Nomada\Core\Term\LocalDate(
            Nomada\Core\Term\LocalDate::parse('2027-02-22')->day + mt_rand(0, 18),
        ))->iso();
        match (mt_rand(0, 5)) {
            0 => $this->put("$base/sessions/$session", $times + ['move_day' => $day, 'reach' => 'this']),
            1 => $this->put(
                "$base/sessions/$session",
                $times + [
                    'move_day' => DB::table('sessions')->where('id', $session)->value('day'),
                    'reach' => ['later', 'whole'][mt_rand(0, 1)],
                ],
            ),
            2 => $this->put("$base/sessions/$session/particulars", [
                'teacher' => ['T-1', 'T-2', ''][mt_rand(0, 2)],
            ]),
            3 => $this->post("$base/sections", ['share' => ['MAR', 'SPA', 'STA'][mt_rand(0, 2)]]),
            4 => $this->post("$base/sessions", $times + ['move_day' => $day]),
            default => $this->put("/timetable/licences/series/{$series->id}", [
                'account' => DB::table('host_accounts')->skip(mt_rand(0, 1))->value('id'),
            ]),
        };
        $kept = DB::table('clashes')
            ->get()
            ->map(
                fn ($c): string => "$c->kind $c->series_id $c->other_series_id ".
                    json_encode(json_decode($c->people)).
                    json_encode(json_decode($c->days)),
            )
            ->sort()
            ->values()
            ->all();
        $found = collect(
            app(RefreshClashes::class)->find($series->section->load(['term.school', 'term.closures'])->term),
        )
            ->map(
                fn (Clash $c): string => "$c->kind {$c->series[0]} ".
                    ($c->series[1] ?? '').
                    ' '.
                    json_encode($c->people).
                    json_encode($c->days),
            )
            ->sort()
            ->values()
            ->all();
        expect($kept)->toBe($found);
    }
});

test(
    'a series that sections share keeps the clashes of all their people when it is put on an account',
    function () {
        // Lúa is in Spanish and, from now, in Statistics; nobody of Marine Science is in Spanish.
        $this->as('A-1')->post('/sections/STA/people', ['person' => 'S-4', 'role' => 'student']);
        DB::table('enrolments')->insert([
            'section_id' => $this->section('STA')->id,
            'person_id' => personCalled('S-4')->id,
            'role' => 'student',
            'sourced_id' => 'E-9',
        ]);
        $marine = $this->section('MAR')->series()->firstOrFail();
        $this->post("/sections/MAR/series/$marine->id/sections", ['share' => 'STA'])->assertSessionHasNoErrors();
        $spanish = $this->section('SPA')->series()->value('series.id');
        $this->put("/sections/SPA/series/$spanish", [
            'title' => 'Spanish Language',
            'kind' => 'weekly',
            'weekdays' => [2],
            'start_time' => '10:00',
            'end_time' => '10:40',
            'starts_on' => '2027-01-11',
            'end_kind' => 'term',
        ])->assertSessionHasNoErrors();
        $clashes = fn (): array => DB::table('clashes')->orderBy('kind')->pluck('kind')->all();
        $before = $clashes();
        expect($before)->toContain('students')->toContain('teacher');
        $plan = DB::table('hosting_plans')->insertGetId([
            'name' => 'Small',
            'seats' => 30,
            'minutes' => 60,
            'at_once' => 1,
        ]);
        $account = DB::table('host_accounts')->insertGetId(['hosting_plan_id' => $plan, 'name' => 'Host']);
        $this->put("/timetable/licences/series/$marine->id", ['account' => $account])->assertSessionHasNoErrors();
        expect($clashes())->toBe($before);
        $this->put("/timetable/licences/series/$spanish", ['account' => $account])->assertSessionHasNoErrors();
        expect($clashes())->toBe(['account', ...$before]);
    },
);

test(
    'the second of a section\'s series reaches the section that shares it with its link, as the first does',
    function () {
        $this->standins();
        $this->as('A-1')
            ->post('/sections/MAR/series', [
                'title' => 'Practical',
                'kind' => 'weekly',
                'weekdays' => [5],
                'start_time' => '11:00',
                'end_time' => '11:45',
                'starts_on' => '2027-01-15',
                'end_kind' => 'term',
            ])
            ->assertSessionHasNoErrors();
        $second = Series::query()->where('title', 'Practical')->value('id');
        $this->post("/sections/MAR/series/$second/sections", ['share' => 'STA'])->assertSessionHasNoErrors();
        Artisan::call('nomada:links');
        expect(app(Nomada\App\Actions\CheckDerived::class)())
            ->toBe([])
            ->and(DB::table('published_items')->where('key', 'STA/pinned')->whereNotNull('desired_hash')->count())
            ->toBe(1);
    },
);
