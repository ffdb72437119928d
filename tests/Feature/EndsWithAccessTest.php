<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\SectionFeed;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Presence\Recording;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Session;

// What somebody may do about the past is asked of what they are today, and what they were sent ends with their access.

beforeEach(function () {
    $this->standins = $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
});

/** A session of marine science that was held, with a recording in one part that is released to everybody. */
function heldSession(string $day, ?string $substitute = null): Session
{
    $session = Session::query()
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->where('day', $day)
        ->firstOrFail();
    if ($substitute !== null) {
        $session->update(['teacher_id' => personCalled($substitute)->id]);
    }
    $recording = Recording::query()->create([
        'session_id' => $session->id,
        'state' => 'released',
        'started_at' => $session->starts_at,
        'milliseconds' => 60_000,
    ]);
    DB::table('recording_segments')->insert([
        'recording_id' => $recording->id,
        'n' => 1,
        'from_ms' => 0,
        'to_ms' => 60_000,
        'released_at' => now(),
        'to_all' => true,
    ]);
    DB::table('recording_cues')->insert([
        'recording_id' => $recording->id,
        'n' => 1,
        'from_ms' => 0,
        'to_ms' => 5000,
        'said' => 'The harbour at noon',
        'speaker' => '',
    ]);

    return $session;
}

test('hosts of a past session are the teachers of today, and a substitute for some days', function () {
    $session = heldSession('2027-02-04', 'T-1');
    $desk = fn (string $who): int => $this->as($who)
        ->get("/live/$session->id")
        ->status();
    momentAt('2027-02-09');
    // The section's own teacher, though somebody else took it; the substitute within a week; nobody else.
    expect([$desk('T-2'), $desk('T-1'), $desk('A-1'), $desk('S-1')])->toBe([200, 200, 200, 403]);
    momentAt('2027-02-12');
    expect([$desk('T-2'), $desk('T-1')])->toBe([200, 403]);
    // The school says for how long.
    $rules = ['late_after' => 5, 'present_from' => 75, 'absent_under' => 10, 'recordings_days' => 30];
    $this->as('A-1')
        ->put('/records/rules', $rules + ['substitute_days' => 400])
        ->assertSessionHasErrors();
    $this->put('/records/rules', $rules + ['substitute_days' => 30])->assertSessionHasNoErrors();
    expect($desk('T-1'))->toBe(200);
    // Anybody who left is no host of what is over, whatever they were then.
    DB::table('enrolments')
        ->where('person_id', personCalled('T-2')->id)
        ->update(['ends_on' => '2027-02-05']);
    $recording = Recording::query()->firstOrFail();
    expect($desk('T-2'))->toBe(403);
    $this->as('T-2')
        ->put("/recordings/$recording->id/release", ['parts' => [1]])
        ->assertForbidden();
});

test('a recording is for those who were there when it was held, and for those who are named', function () {
    $before = heldSession('2027-02-04');
    $after = heldSession('2027-02-09');
    $ids = Recording::query()->orderBy('id')->pluck('id')->all();
    momentAt('2027-03-02');
    // Teo left on 5 February; Lúa has joined since.
    DB::table('enrolments')
        ->where(['person_id' => personCalled('S-3')->id, 'section_id' => $this->section('MAR')->id])
        ->update(['ends_on' => '2027-02-05']);
    DB::table('enrolments')->insert([
        'sourced_id' => 'E-new',
        'section_id' => $this->section('MAR')->id,
        'person_id' => personCalled('S-4')->id,
        'role' => 'student',
        'begins_on' => '2027-02-08',
    ]);
    $sees = fn (string $who): array => array_map(
        fn (int $id): int => $this->as($who)
            ->get("/recordings/$id")
            ->status(),
        $ids,
    );
    expect([$sees('S-1'), $sees('S-3'), $sees('S-4')])->toBe([[200, 200], [200, 404], [404, 200]]);
    $hits = fn (string $who): int => substr_count(
        (string) $this->as($who)->get('/sections/MAR/recordings?q=harbour')->getContent(),
        'The harbour at noon',
    );
    expect([$hits('S-1'), $hits('S-3'), $hits('S-4')])->toBe([2, 1, 1]);
    // What the teacher released to her by name she may see too.
    DB::table('recording_readers')->insert([
        'recording_id' => $ids[0],
        'n' => 1,
        'person_id' => personCalled('S-4')->id,
    ]);
    expect($sees('S-4'))->toBe([200, 200]);
});

test('a guardian’s links end when they are disabled or renewed, and are not revived', function () {
    $guardian = fn () => personCalled('G-1');
    $page = $guardian()->childrenPage();
    $stop = $guardian()->signed('letters.stop');
    $this->get($page)->assertOk()->assertSee('Galia');
    $this->as('A-1')->post('/people/G-1/links')->assertSessionHas('said');
    auth()->logout();
    $this->get($page)->assertForbidden();
    $this->post($guardian()->signed('children.tell'), ['who' => 'S-1'])->assertStatus(302);
    $this->get($stop)->assertForbidden();
    $page = $guardian()->childrenPage();
    $this->get($page)->assertOk();
    $this->as('A-1')->post('/people/G-1/disabled');
    auth()->logout();
    $this->get($page)->assertForbidden();
    $this->as('A-1')->delete('/people/G-1/disabled');
    auth()->logout();
    $this->get($page)->assertForbidden();
    $this->get($guardian()->childrenPage())->assertOk();
});

test('a section’s secret address gives out no link, code or number, and can be renewed', function () {
    $section = fn (): Section => $this->section('MAR');
    $link = JoinLink::query()
        ->where('series_id', $section()->series()->value('series.id'))
        ->where('kind', 'series')
        ->first();
    $addresses = [SectionFeed::address($section()), SectionFeed::page($section()), SectionFeed::stream($section())];
    $all = '';
    foreach ($addresses as $address) {
        $all .= $this->get($address)->assertOk()->getContent();
    }
    $shown = Nomada\Core\Joining\JoinCode::show($link->join_code);
    foreach ([$link->secret, $link->join_code, $shown, $link->dial_in] as $secret) {
        expect($all)->not->toContain($secret);
    }
    expect($all)->toContain(route('enter', $link->series_id));
    // It asks who comes, and leads each to their own; anybody who is not of the section finds nothing.
    $this->get("/enter/$link->series_id")->assertRedirect('/sign-in');
    $own = JoinLink::query()
        ->where(['series_id' => $link->series_id, 'person_id' => personCalled('S-1')->id])
        ->first();
    $this->as('S-1')
        ->get("/enter/$link->series_id")
        ->assertRedirect($own->address());
    $this->as('S-4')
        ->get("/enter/$link->series_id")
        ->assertNotFound();
    $host = JoinLink::query()
        ->where(['series_id' => $link->series_id, 'kind' => 'host'])
        ->first();
    $this->as('T-2')
        ->get("/enter/$link->series_id")
        ->assertRedirect($host->address());
    $this->as('T-1')->post('/sections/MAR/addresses')->assertForbidden();
    $this->as('T-2')->post('/sections/MAR/addresses')->assertRedirect('/sections/MAR');
    foreach ($addresses as $address) {
        $this->get($address)->assertNotFound();
    }
    $this->get(SectionFeed::page($section()))->assertOk();
});
