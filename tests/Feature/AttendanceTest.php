<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\Core\Interchange\Csv;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\Placement;
use Nomada\Core\Publishing\WantedPlacements;
use PhpOffice\PhpSpreadsheet\IOFactory;

beforeEach(function () {
    $this->standins = $this->standins();
});

/** S-1 was there, S-2 came late, S-3 stayed away; Tuesday 9 February. */
function heldLesson($test, string $day = '2027-02-09', string $who = 'S-1', string $late = 'S-2'): int
{
    if (DB::table('schools')->doesntExist()) {
        $test->school();
    }
    momentAt($day, '12:00');
    $file = sys_get_temp_dir().'/held-'.bin2hex(random_bytes(4)).'.csv';
    file_put_contents(
        $file,
        "person,at,what\n$who,{$day}T10:00:00+01:00,join\n".
            ($late === '' ? '' : "$late,{$day}T10:08:00+01:00,join\n"),
    );
    Artisan::call('nomada:presence', ['file' => $file, '--section' => ['MAR'], '--day' => $day]);

    return (int) Session::query()
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->where('day', $day)
        ->value('id');
}

test('a section\'s table, and one session of it', function () {
    $id = heldLesson($this);
    $this->as('T-2')
        ->get('/records/sections/MAR')
        ->assertOk()
        ->assertSeeInOrder(['Teo Kallas', 'absent', 'Rui Mestre', 'late by 8 min', 'Galia Zabalo', 'present'])
        ->assertSee('67% attendance')
        ->assertSee('8 without attendance');
    $this->get("/records/sections/MAR/sessions/$id")
        ->assertOk()
        ->assertSee('2 of 3 attended')
        ->assertSee('up to 2 at 10:08')
        ->assertSee('a list with 2 events');
    $this->as('T-1')->get('/records/sections/MAR')->assertForbidden();
});

test('a correction stands beside what was computed, with who and why, and can be taken back', function () {
    $id = heldLesson($this);
    $path = "/records/sections/MAR/sessions/$id";
    $this->as('T-2')
        ->post("$path/corrections", ['who' => 'S-3', 'status' => 'present', 'why' => ' '])
        ->assertSessionHasErrors('why');
    $this->post("$path/corrections", ['who' => 'S-4', 'status' => 'present', 'why' => 'x'])->assertNotFound();
    $this->post("$path/corrections", ['who' => 'S-3', 'status' => 'here', 'why' => 'x'])->assertSessionHasErrors(
        'status',
    );
    $this->post("$path/corrections", [
        'who' => 'S-3',
        'status' => 'present',
        'minutes' => 40,
        'why' => 'came by phone',
    ]);
    $this->get($path)
        ->assertSee('corrected: came by phone')
        ->assertSee('Nadir Haddad')
        ->assertSee('calculated: absent, 0 min');
    Artisan::call('nomada:attendance', ['--section' => ['MAR'], '--day' => '2027-02-09', '--json' => true]);
    $own = array_column((array) json_decode(Artisan::output(), true), null, 'person')['S-3'];
    expect([$own['status'], $own['minutes'], $own['corrected']])
        ->toBe(['present', 40, true])
        ->and(DB::table('session_sums')->value('absent'))
        ->toBe(0);
    $this->delete("$path/corrections/S-3")->assertSessionHasNoErrors();
    expect(DB::table('session_sums')->value('absent'))->toBe(1);
    // Nobody was late for what has not begun.
    $ahead = Session::query()
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->where('day', '2027-02-11')
        ->value('id');
    $this->post("/records/sections/MAR/sessions/$ahead/corrections", [
        'who' => 'S-3',
        'status' => 'absent',
        'why' => 'x',
    ])->assertSessionHasErrors('status');
});

test('an absence that was told is excused, by the office or by a guardian\'s own link', function () {
    heldLesson($this);
    $this->as('A-1')
        ->post('/records/people/S-3/absences', ['from_day' => '9 Feb', 'why' => 'dentist'])
        ->assertSessionHasNoErrors();
    expect((array) DB::table('session_sums')->first(['absent', 'excused']))->toBe(['absent' => 0, 'excused' => 1]);
    $this->delete('/records/people/S-3/absences/'.DB::table('reported_absences')->value('id'));
    expect((array) DB::table('session_sums')->first(['absent', 'excused']))->toBe(['absent' => 1, 'excused' => 0]);
    auth()->logout();
    $page = personCalled('G-1')->childrenPage();
    $this->get($page)->assertOk()->assertSee('Galia Zabalo')->assertDontSee('Teo Kallas');
    preg_match('/action="([^"]+)"/', $this->get($page)->getContent(), $m);
    $tell = html_entity_decode($m[1]);
    $this->post($tell, ['who' => 'S-3', 'from_day' => '11 Feb'])->assertNotFound();
    $this->post($tell, ['who' => 'S-1', 'from_day' => '8 Feb'])->assertSessionHasErrors('from_day');
    $this->post($tell, ['who' => 'S-1', 'from_day' => '12 Feb', 'last' => '11 Feb'])->assertSessionHasErrors(
        'to_day',
    );
    $this->post($tell, ['who' => 'S-1', 'from_day' => '11 Feb', 'last' => '12 Feb'])->assertSessionHas('said');
    $this->get(str_replace('signature=', 'signature=0', $page))->assertForbidden();
    expect(DB::table('reported_absences')->value('from_day'))->toBe('2027-02-11');
});

test('who was away on a day, and one letter to each guardian', function () {
    heldLesson($this, who: 'S-2', late: '');
    $this->as('A-1')
        ->get('/records/missed?date=2027-02-09')
        ->assertSeeInOrder(['Galia Zabalo', 'Teo Kallas'])
        ->assertSee('Email the guardians of 1 student');
    $this->post('/records/missed', ['date' => '9 Feb'])->assertSessionHas('said', '1 email is being sent.');
    $this->post('/records/missed', ['date' => '9 Feb'])->assertSessionHas(
        'said',
        'Everybody has been emailed already.',
    );
    postGoes();
    $letter = mailbox($this, 'G-1')[0]->text();
    expect($letter)
        ->toContain('Galia Zabalo missed:')
        ->toContain('Y8 Marine Science, Tue 9 Feb 10:00')
        ->toContain('/children/')
        ->and($letter)
        ->not->toContain('Kallas');
    // A teacher of another section sees none of them.
    $this->as('T-1')->get('/records/missed?date=2027-02-09')->assertSee('No absences');
});

test('three absences running are a issue', function () {
    foreach (['2027-02-02', '2027-02-04', '2027-02-09'] as $day) {
        heldLesson($this, $day, 'S-1', '');
    }
    $this->as('T-2')->get('/records/sections/MAR')->assertSee('3 absences in a row');
    $this->get('/records/missed?date=2027-02-09')->assertSeeInOrder(['Teo Kallas', '3 absences in a row']);
    // Two of three have missed all of them.
    $this->as('A-1')->get('/?show=issues')->assertSee('2 students absent three times in a row');
});

test('the school sets what counts, and every sum follows', function () {
    heldLesson($this);
    $rules = [
        'late_after' => 10,
        'present_from' => 75,
        'absent_under' => 10,
        'recordings_days' => 30,
        'substitute_days' => 7,
    ];
    $this->as('A-1')
        ->put('/records/rules', ['absent_under' => 80] + $rules)
        ->assertSessionHasErrors('absent_under');
    $this->put('/records/rules', $rules)->assertSessionHasNoErrors();
    $this->work();
    expect((array) DB::table('session_sums')->first(['present', 'late']))->toBe(['present' => 2, 'late' => 0]);
});

test('the table goes out as CSV, as a workbook with a sheet a session, and as a OneRoster gradebook', function () {
    $id = heldLesson($this);
    heldLesson($this, '2027-02-11');
    $this->as('T-2')->post("/records/sections/MAR/sessions/$id/corrections", [
        'who' => 'S-3',
        'status' => 'excused',
        'why' => '=1+1',
    ]);
    $text = (string) $this->get('/records/sections/MAR/as/csv')->assertOk()->getContent();
    // A spreadsheet is kept from running it; anybody who reads it back has what was typed.
    expect($text)->toContain("'=1+1");
    $csv = new Csv('a.csv', $text, ['Day', 'Id', 'Status']);
    expect($csv->faults)
        ->toBe([])
        ->and(count($csv->rows))
        ->toBe(6)
        ->and($csv->rows[0]->get('Corrected because'))
        ->toBe('=1+1');
    $file = sys_get_temp_dir().'/attendance.xlsx';
    file_put_contents($file, $this->get('/records/sections/MAR/as/xlsx')->getContent());
    $book = IOFactory::load($file);
    expect($book->getSheetNames())
        ->toBe(['Totals', '2027-02-09 0900', '2027-02-11 0900'])
        ->and($book->getSheet(1)->getCell('D2')->getValue())
        ->toBe('excused')
        ->and($book->getSheet(1)->getCell('I2')->getDataType())
        ->toBe('s');
    file_put_contents("$file.zip", $this->get('/records/sections/MAR/as/gradebook')->getContent());
    $zip = new ZipArchive();
    $zip->open("$file.zip");
    $read = fn (string $name): array => (new Csv($name, (string) $zip->getFromName($name), ['sourcedId']))->rows;
    expect($read('lineItems.csv')[0]->get('classSourcedId'))
        ->toBe('MAR')
        ->and($read('lineItems.csv')[0]->get('resultValueMax'))
        ->toBe('10')
        ->and(array_map(fn ($r): array => [$r->get('studentSourcedId'), $r->get('score')], $read('results.csv')))
        ->toBe([['S-3', '0'], ['S-2', '7.5'], ['S-1', '10']]);
    $this->get('/records/sections/MAR/as/pdf')->assertNotFound();
});

test('a score is made by the section\'s own formula, and changed only with a reason', function () {
    $id = heldLesson($this);
    DB::table('participation')->insert([
        'session_id' => $id,
        'who' => 'S-2',
        'person_id' => personCalled('S-2')->id,
        'answers' => 2,
        'hands' => 1,
    ]);
    $formula = [
        'maximum' => 20,
        'weight_present' => 1,
        'cap_present' => 100,
        'weight_answers' => 1,
        'cap_answers' => 4,
    ];
    $this->as('T-2')
        ->put('/records/sections/MAR/formula', ['maximum' => 0] + $formula)
        ->assertSessionHasErrors('maximum');
    $this->put('/records/sections/MAR/formula', $formula)->assertSessionHasNoErrors();
    // All of ten for having come, half of ten for two of four answers.
    $this->get('/records/sections/MAR')->assertSeeInOrder([
        'Teo Kallas',
        '0.0',
        'Rui Mestre',
        '15.0',
        'Galia Zabalo',
        '10.0',
    ]);
    $this->put('/records/sections/MAR/scores', [
        'who' => 'S-3',
        'points' => 21,
        'why' => 'x',
    ])->assertSessionHasErrors('points');
    $this->put('/records/sections/MAR/scores', [
        'who' => 'S-3',
        'points' => 5,
        'why' => '',
    ])->assertSessionHasErrors('why');
    $this->put('/records/sections/MAR/scores', ['who' => 'S-3', 'points' => 5, 'why' => 'wrote it down']);
    $this->get('/records/sections/MAR')->assertSee('changed: wrote it down');
    $this->put('/records/sections/MAR/scores', ['who' => 'S-3', 'points' => '']);
    $this->get('/records/sections/MAR')->assertDontSee('changed: wrote it down');
});

test('a list is brought on screen: its columns matched once, its people side by side', function () {
    $this->school();
    momentAt('2027-02-09', '12:00');
    $upload = fn (): string => (string) $this->as('T-2')
        ->post('/records/sections/MAR/lists', [
            'list' => Illuminate\Http\UploadedFile::fake()->createWithContent(
                'export.csv',
                "Who,In,Out\nGalia Zabalo,10:01,10:47\nRui,10:02,\nVera,10:03,\n",
            ),
            'date' => '9 Feb',
            'zone' => 'Europe/Madrid',
        ])
        ->headers->get('Location');
    $at = $upload();
    $this->get($at)->assertSee('Choose the column with the person: sourcedId, email address or name');
    $chosen = "$at?as_person=Who&as_came=In&as_left=Out";
    $this->get($chosen)
        ->assertSee('4 events')
        ->assertSee('1 exact match')
        ->assertSeeInOrder(['Rui', 'Rui Mestre', 'Vera']);
    $this->post($chosen, ['choice' => ['S-2', '']])->assertSessionHas('said', '4 new events imported.');
    $this->get('/records/sections/MAR')->assertSee('67% attendance');
    expect(DB::table('session_sums')->value('guests'))->toBe(1);
    // The same heads are known from now on, and the same list adds nothing.
    $again = $upload();
    $this->get($again)->assertSee('4 events');
    $this->post($again, ['choice' => ['S-2', '']])->assertSessionHas('said', 'Nothing in it is new.');
    $this->post('/records/sections/MAR/lists', ['date' => '9 Feb', 'zone' => 'Nowhere'])->assertSessionHasErrors([
        'list',
        'zone',
    ]);
});

test('presence is read from the room: who came and left, what they did, and when it was ended', function () {
    $this->school();
    Artisan::call('nomada:links', ['--section' => ['MAR']]);
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    momentAt('2027-02-09', '09:56');
    $session = Session::query()
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->where('day', '2027-02-09')
        ->firstOrFail();
    $live = "/live/$session->id";
    $this->as('T-2')
        ->post($live, ['act' => 'come-in'])
        ->assertSessionHas('said', 'You have joined. The others can join.');
    $link = Nomada\App\Models\Joining\JoinLink::query()
        ->inForce()
        ->where('kind', 'personal')
        ->whereRelation('person', 'sourced_id', 'S-1')
        ->firstOrFail();
    cache()->flush();
    $this->as('S-1')->post("/join/$link->secret");
    momentAt('2027-02-09', '10:30');
    $this->as('T-2')
        ->post($live, ['act' => 'end'])
        ->assertSessionHas('said', 'The session has ended for everybody.');
    $page = $this->get("/records/sections/MAR/sessions/$session->id");
    $page
        ->assertSee('4 events from the conference service', false)
        ->assertSee('Ended for everybody at 10:30')
        ->assertSee('1 of 3 attended');
    Artisan::call('nomada:attendance', ['--section' => ['MAR'], '--day' => '2027-02-09', '--json' => true]);
    $own = array_column((array) json_decode(Artisan::output(), true), null, 'person');
    // It was held for 30 minutes, and she was there for all of them.
    expect([$own['S-1']['status'], $own['S-1']['minutes']])->toBe(['present', 30]);
    $this->post("/records/sections/MAR/sessions/$session->id/reading")->assertSessionHas('said', 'No new events.');
    $this->get('/today')->assertSee('ended for everybody');
});

test('a student reads their own attendance only', function () {
    heldLesson($this);
    $this->as('S-2')->get('/me/attendance')->assertOk()->assertSee('Y8 Marine Science')->assertDontSee('Kallas');
    $this->get('/records/sections/MAR')->assertForbidden();
    $this->as('T-1')->get('/records/people/S-2')->assertNotFound();
    $this->as('T-2')->get('/records/people/S-2')->assertOk()->assertSee('Rui Mestre');
});

test('a lesson outside the timetable starts in two clicks, and ends like any other', function () {
    $this->school();
    momentAt('2027-02-10', '13:00');
    $this->as('T-2')
        ->post('/today/start', ['section' => 'MAR', 'minutes' => 30])
        ->assertSessionHasErrors('section');
    Artisan::call('nomada:links', ['--section' => ['MAR']]);
    $this->as('T-1')
        ->post('/today/start', ['section' => 'MAR', 'minutes' => 30])
        ->assertForbidden();
    $this->as('T-2')
        ->post('/today/start', ['section' => 'MAR', 'minutes' => 3])
        ->assertSessionHasErrors('minutes');
    $at = $this->post('/today/start', ['section' => 'MAR', 'minutes' => 30])->headers->get('Location');
    expect($at)->toContain('/live/');
    $session = Session::query()->findOrFail((int) basename((string) $at));
    expect([
        $session->day,
        $session->starts_at->timestamp,
        $session->ends_at->timestamp - $session->starts_at->timestamp,
    ])->toBe(['2027-02-10', strtotime('2027-02-10 13:01 Europe/Madrid'), 1800]);
    $this->get((string) $at)->assertOk()->assertSee('Join as teacher');
});

test('a lesson now for chosen students is theirs alone: door, page, calendar, desk, attendance', function () {
    $this->school();
    Artisan::call('nomada:links', ['--section' => ['MAR']]);
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    momentAt('2027-02-10', '13:00');
    $start = ['section' => 'MAR', 'minutes' => 30];
    $this->as('T-2')
        ->post('/today/start', $start + ['whom' => 'some'])
        ->assertRedirect(route('today.choose', ['MAR', 'minutes' => 30]));
    $this->get('/sections/MAR/start?minutes=30')
        ->assertOk()
        ->assertSee('Teo Kallas')
        ->assertSee('value="30"', false);
    foreach ([[], ['S-2', 'S-nobody'], ['T-2']] as $wrong) {
        $this->post('/today/start', $start + ['choosing' => '1', 'chosen' => $wrong])->assertSessionHasErrors(
            'chosen',
        );
    }
    $at = (string) $this->post('/today/start', $start + ['choosing' => '1', 'chosen' => ['S-2']])->headers->get(
        'Location',
    );
    $session = Session::query()->findOrFail((int) basename($at));
    expect($session->chosen)->toBe([personCalled('S-2')->id]);
    $this->get($at)
        ->assertOk()
        ->assertSee('1 has not joined')
        ->assertSee('Rui Mestre')
        ->assertDontSee('Galia Zabalo');
    $this->get('/sections/MAR')->assertSee('extra, for 1 student');

    // The link of the series: his is now, the others' is their next.
    momentAt('2027-02-10', '13:02');
    $link = JoinLink::query()->where('series_id', $session->series_id)->where('kind', 'series')->firstOrFail();
    $this->as('S-2')->get($link->address())->assertSee('12:01');
    $this->as('S-1')
        ->get($link->address())
        ->assertDontSee(['12:01', '13:01']);
    $this->as('S-2')->get('/me')->assertSee('12:01');
    $this->as('S-1')
        ->get('/me')
        ->assertDontSee(['12:01', '13:01']);

    // What is published: in his calendar, in nobody else's, and nowhere that all read.
    $facts = app(SectionFactsQuery::class)->for([$session->series->section_id])[$session->series->section_id];
    $series = $facts->series[0];
    $starts = fn (string $person): array => array_map(fn ($s): int => $s->start, $series->sessionsOf($person));
    $began = $session->starts_at->timestamp;
    expect($starts('S-2'))
        ->toContain($began)
        ->and($starts('S-1'))
        ->not->toContain($began)
        ->and($starts('T-2'))
        ->toContain($began)
        ->and(array_map(fn ($s): int => $s->start, $series->forAll()))
        ->not->toContain($began);
    $stands = fn (Place $place): string => (string) json_encode(
        array_map(
            fn (Placement $p): array => $p->fields,
            array_filter(WantedPlacements::of($facts), fn (Placement $p): bool => $p->place === $place),
        ),
    );
    expect($stands(Place::CoursePage).$stands(Place::ClassStream))
        ->not->toContain('13:01')
        ->and($stands(Place::Calendar))
        ->toContain('13:01\u201313:31 Madrid, for chosen students');

    // Undone with the rest of the series' history, and given back whole.
    expect(DB::table('series_changes')->latest('id')->value('words'))->toEndWith('for 1 student only');
});

test('at the desk the guardian is told, a pass is sent, a note is kept', function () {
    $this->school();
    Artisan::call('nomada:links', ['--section' => ['MAR']]);
    momentAt('2027-02-09', '10:10');
    $id = Session::query()
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->where('day', '2027-02-09')
        ->value('id');
    $this->as('T-2')
        ->get("/live/$id")
        ->assertSee('3 have not joined')
        ->assertSeeInOrder(['Teo Kallas', 'no guardian known', 'Galia Zabalo', 'Email the guardian']);
    $this->post("/live/$id", ['act' => 'tell-guardian', 'person' => 'S-1'])->assertSessionHas(
        'said',
        '1 guardian of Galia Zabalo emailed.',
    );
    $this->get("/live/$id")->assertSee('guardian emailed');
    // Nobody who is not of this session, and nobody before it begins.
    $this->post("/live/$id", ['act' => 'tell-guardian', 'person' => 'S-4'])->assertSessionHasErrors('form');
    momentAt('2027-02-09', '09:55');
    $this->post("/live/$id", ['act' => 'tell-guardian', 'person' => 'S-1'])->assertSessionHasErrors('form');
    momentAt('2027-02-09', '10:10');
    postGoes();
    expect(mailbox($this, 'G-1')[0]->text())
        ->toContain('Galia Zabalo has not joined Y8 Marine Science')
        ->toContain('Tue 9 Feb 10:00');
    $this->post("/live/$id", ['act' => 'pass', 'name' => ''])->assertSessionHasErrors('name');
    $this->post("/live/$id", [
        'act' => 'pass',
        'name' => 'Vera Ocampo',
        'email' => 'vera@home.example',
    ])->assertSessionHas('said', 'Guest pass for Vera Ocampo is being sent to vera@home.example.');
    $this->post("/live/$id", ['act' => 'note', 'text' => 'Went as far as page 12'])->assertSessionHas(
        'said',
        'Notes saved.',
    );
    $this->get("/live/$id")->assertSee('Went as far as page 12');
    $this->post("/live/$id", ['act' => 'dance'])->assertSessionHasErrors('act');
    $this->as('T-1')
        ->post("/live/$id", ['act' => 'note', 'text' => 'x'])
        ->assertForbidden();
});

test('who was inside and left is not said never to have come, and no guardian is told so', function () {
    $this->school();
    Artisan::call('nomada:links', ['--section' => ['MAR']]);
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    momentAt('2027-02-09', '10:10');
    $session = Session::query()
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->where('day', '2027-02-09')
        ->with('series')
        ->firstOrFail();
    $desk = "/live/$session->id";
    $this->as('T-2')
        ->post($desk, ['act' => 'come-in'])
        ->assertSessionHasNoErrors();
    $link = JoinLink::query()
        ->where(['series_id' => $session->series_id, 'person_id' => personCalled('S-1')->id])
        ->first();
    $seat = (string) $this->as('S-1')->post($link->address())->headers->get('Location');
    $this->standins->page($seat);
    $this->as('T-2')->get($desk)->assertSee('2 have not joined');
    Illuminate\Support\Facades\Http::withOptions(['cookies' => $this->standins->cookies])->post(
        str_replace('?', '/leave?', $seat),
    );
    $this->get($desk)->assertSee('2 have not joined')->assertSee('1 was here and left: Galia Zabalo.');
    $this->post($desk, ['act' => 'tell-guardian', 'person' => 'S-1'])->assertSessionHasErrors([
        'form' => 'Galia Zabalo has been in this session, so no email is sent.',
    ]);
    // Ended too early, and reopened within its time: she may come back in. Afterwards nobody may.
    $this->post($desk, ['act' => 'end'])->assertSessionHasNoErrors();
    $this->get($desk)->assertSee('Reopen session')->assertSee('1 was here and left');
    $this->as('S-1')->get($link->address())->assertSee('is over');
    $this->as('T-2')
        ->post($desk, ['act' => 'reopen'])
        ->assertSessionHas('said');
    expect(DB::table('presence_reads')->where('session_id', $session->id)->value('ended_at'))->toBeNull();
    $this->post($desk, ['act' => 'come-in']);
    $this->as('S-1')->post($link->address())->assertRedirectContains('/bridge/rooms/');
    $this->as('T-2')->post($desk, ['act' => 'end']);
    momentAt('2027-02-09', '12:47');
    foreach (['reopen', 'come-in'] as $act) {
        $this->as('T-2')
            ->post($desk, ['act' => $act])
            ->assertSessionHasErrors('form');
    }
    $host = JoinLink::query()
        ->where(['series_id' => $session->series_id, 'kind' => 'host'])
        ->firstOrFail();
    $this->get($desk)->assertOk()->assertDontSee($host->secret);
});

test(
    'a lesson now is told to its students at once as the school says, and takes no topic unless asked',
    function () {
        $this->school();
        Artisan::call('nomada:links', ['--section' => ['MAR']]);
        Artisan::call('nomada:register', ['--section' => ['MAR']]);
        Artisan::call('nomada:publish', ['--section' => ['MAR']]);
        $series = $this->section('MAR')->series()->firstOrFail();
        $this->as('A-1')->put("/sections/MAR/series/$series->id/topics", [
            'topics' => "Tides\nKelp\nWhales",
            'topics_move' => 1,
        ]);
        Artisan::call('nomada:publish', ['--section' => ['MAR']]);
        DB::table('emails')->update(['sent_at' => now()]);
        $topics = fn (): array => Session::query()
            ->where('series_id', $series->id)
            ->whereNotNull('topic')
            ->orderBy('starts_at')
            ->pluck('topic', 'day')
            ->all();
        $before = $topics();
        $since = (int) DB::table('emails')->max('id');
        momentAt('2027-02-10', '13:00');
        $start = ['section' => 'MAR', 'minutes' => 30];
        $this->as('T-2')->post('/today/start', $start)->assertSessionHasNoErrors();
        expect($topics())->toBe($before);
        $told = fn (): array => DB::table('emails')
            ->join('people', 'people.id', '=', 'person_id')
            ->whereNull('sent_at')
            ->where('kind', 'changed')
            ->orderBy('people.sourced_id')
            ->pluck('people.sourced_id')
            ->all();
        expect($told())->toBe(['G-1', 'S-1', 'S-2', 'S-3', 'T-2']);
        // The emails go in a minute, which nobody waits for here.
        DB::table('jobs')->update(['available_at' => 0]);
        $this->work();
        expect($this->standins->text('/stream/sections/MAR'))->toContain('13:01');
        // The next publishing does not tell it again.
        Artisan::call('nomada:publish', ['--section' => ['MAR']]);
        expect(DB::table('emails')->where('kind', 'changed')->where('id', '>', $since)->count())->toBe(5);
        // By email only, and with the topic where it is asked for.
        momentAt('2027-02-10', '14:00');
        DB::table('emails')->update(['sent_at' => now()]);
        DB::table('schools')->update(['started_told' => 'stream']);
        $this->post('/today/start', $start + ['takes_topic' => '1'])->assertSessionHasNoErrors();
        expect($told())
            ->toBe([])
            ->and($topics()['2027-02-10'] ?? null)
            ->toBe($before['2027-02-11']);
    },
);
