<?php

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\School;
use Nomada\App\Models\Timetable\ChangeRequest;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Models\Timetable\Session;

/*
 * Teachers change the sessions of their own sections as far as the school lets them; the rest becomes a request. It is
 * Wednesday 10 February 2027 at noon. T-2 teaches MAR, which meets on Tuesdays and Thursdays at ten.
 */

beforeEach(function () {
    $this->school();
    momentAt('2027-02-10', '12:00');
    // One of its students is in SPA, too, which meets every day at nine.
    DB::table('enrolments')->insert([
        'section_id' => $this->section('SPA')->id,
        'person_id' => personCalled('S-1')->id,
        'sourced_id' => 'E-X',
        'role' => 'student',
    ]);
    $this->series = $this->section('MAR')->series()->firstOrFail();
    $this->on = fn (string $day): Session => Session::query()
        ->where(['series_id' => $this->series->id, 'day' => $day])
        ->firstOrFail();
    $this->at = fn (string $day): string => "/sections/MAR/series/{$this->series->id}/sessions/".
        ($this->on)($day)->id;
    $this->move = fn (string $day, string $to, string $start = '17:00', string $reach = 'this') => $this->put(
        ($this->at)($day),
        [
            'move_day' => $to,
            'move_start' => $start,
            'move_end' => '+47',
            'reach' => $reach,
            'why' => 'Harbour closed',
        ],
    );
});

function rights(array $of = [], int $notice = 24): array
{
    return ['notice' => $notice] +
        $of + [
            'describe' => 'yes',
            'topics' => 'yes',
            'add' => 'yes',
            'move' => 'yes',
            'series' => 'ask',
        ];
}

test('a teacher changes single sessions, and undoes what they changed themselves', function () {
    $this->as('T-2');
    $this->put(($this->at)('2027-02-18').'/particulars', [
        'title' => 'Field trip',
        'note' => 'Boots',
        'teacher' => '',
    ])->assertSessionHasNoErrors();
    ($this->move)('2027-02-18', '2027-02-19')->assertSessionHasNoErrors();
    $this->post(($this->at)('2027-02-25').'/cancellation', ['reason' => 'Storm'])->assertSessionHasNoErrors();
    $this->post("/sections/MAR/series/{$this->series->id}/sessions", [
        'move_day' => '2027-02-26',
        'move_start' => '17:00',
        'move_end' => '17:47',
    ])->assertSessionHasNoErrors();
    $this->put("/sections/MAR/series/{$this->series->id}/topics", [
        'topics' => "Tides\nReefs",
        'topics_move' => 1,
    ])->assertSessionHasNoErrors();
    expect(SeriesChange::query()->where('person_id', personCalled('T-2')->id)->count())
        ->toBe(5)
        ->and(ChangeRequest::query()->count())
        ->toBe(0);
    $last = SeriesChange::query()->latest('id')->firstOrFail();
    $this->get('/sections/MAR')->assertSee("/changes/$last->id/undoing", false);
    $this->post("/sections/MAR/changes/$last->id/undoing")->assertSessionHasNoErrors();
    expect($last->refresh()->undone_by)->toBe(personCalled('T-2')->id);
    // A coordinator's change is the coordinator's to undo; the teacher's, either's.
    $this->as('A-1')->post(($this->at)('2027-03-04').'/cancellation', ['reason' => 'Storm']);
    $coordinators = SeriesChange::query()->latest('id')->value('id');
    $this->as('T-2')
        ->get('/sections/MAR')
        ->assertDontSee("/changes/$coordinators/undoing", false);
    $this->post("/sections/MAR/changes/$coordinators/undoing")->assertForbidden();
});

test('what is late, clashes, is outside opening hours or reaches further becomes a request', function (
    string $day,
    string $to,
    string $start,
    string $reach,
) {
    $before = ($this->on)($day)->starts_at;
    $this->as('T-2');
    ($this->move)($day, $to, $start, $reach)
        ->assertSessionHasNoErrors()
        ->assertSessionHas('said', 'Sent to the coordinators as a request. They decide it on the Requests page.');
    $request = ChangeRequest::query()->sole();
    expect([($this->on)($day)->starts_at->timestamp, $request->why, $request->state->value, $request->session_id])
        ->toBe([$before->timestamp, 'Harbour closed', 'open', ($this->on)($day)->id])
        ->and(SeriesChange::query()->count())
        ->toBe(0);
    // Coordinators see it, and what it costs; the teacher sees that it waits.
    $this->get('/sections/MAR')->assertSee('waiting for a coordinator');
    $this->as('A-1')->get('/')->assertSee('1 request from a teacher');
    $this->get('/today')->assertSee('1 request from a teacher');
    $this->get('/requests')->assertSee('Harbour closed')->assertSee('Accept and save');
})->with([
    'less than a day before' => ['2027-02-11', '2027-02-12', '17:00', 'this'],
    'to a time less than a day ahead' => ['2027-02-18', '2027-02-11', '8:00', 'this'],
    'outside opening hours' => ['2027-02-18', '2027-02-19', '22:00', 'this'],
    'where its students have another session' => ['2027-02-18', '2027-02-19', '9:00', 'this'],
    'with the later ones' => ['2027-02-18', '2027-02-19', '17:00', 'later'],
]);

test('a request is accepted as a change like any other, once', function () {
    $this->as('T-2');
    ($this->move)('2027-02-11', '2027-02-12');
    $id = ChangeRequest::query()->sole()->id;
    $this->post("/requests/$id/acceptance")->assertForbidden();
    $this->as('A-1')
        ->post("/requests/$id/acceptance", ['answer' => 'Fine'])
        ->assertSessionHasNoErrors();
    $change = SeriesChange::query()->sole();
    expect([
        ($this->on)('2027-02-12')->moved_from,
        $change->person_id,
        ChangeRequest::query()->sole()->answer,
    ])->toBe(['2027-02-11', personCalled('A-1')->id, 'Fine']);
    $this->post("/requests/$id/acceptance")->assertSessionHasErrors([
        'request' => 'This request was decided already.',
    ]);
    $this->delete("/requests/$id")->assertForbidden();
    $this->get('/requests')->assertSee('accepted')->assertSee('Fine')->assertDontSee('Accept and save');
    $this->post("/sections/MAR/changes/$change->id/undoing")->assertSessionHasNoErrors();
    expect(($this->on)('2027-02-11')->moved_from)->toBeNull();
});

test('a request is declined by a coordinator, and withdrawn by whoever asked', function () {
    $this->as('T-2');
    ($this->move)('2027-02-11', '2027-02-12');
    ($this->move)('2027-02-11', '2027-02-12');
    [$first, $second] = ChangeRequest::query()->orderBy('id')->pluck('id')->all();
    $this->as('T-1')
        ->delete("/requests/$second")
        ->assertForbidden();
    $this->as('T-2')
        ->delete("/requests/$second")
        ->assertSessionHasNoErrors();
    $this->as('A-1')
        ->post("/requests/$first/refusal", ['answer' => str_repeat('x', 301)])
        ->assertSessionHasErrors([
            'answer' => 'Enter a reply of up to 300 characters.',
        ]);
    $this->post("/requests/$first/refusal", ['answer' => 'Exam that day']);
    expect(ChangeRequest::query()->orderBy('id')->get()->map->state->map->value->all())
        ->toBe(['declined', 'withdrawn'])
        ->and(SeriesChange::query()->count())
        ->toBe(0);
    $this->as('T-2')->get('/sections/MAR')->assertSee('Exam that day');
    $this->as('T-1')->get('/requests')->assertDontSee('Exam that day');
});

test('a request that cannot be done any more says why, and stays', function () {
    $this->as('T-2');
    ($this->move)('2027-02-11', '2027-02-12');
    $id = ChangeRequest::query()->sole()->id;
    $this->as('A-1')->post('/term/closures', ['first' => '2027-02-12', 'last' => '', 'reason' => 'Storm']);
    $this->get('/requests')->assertSee('Storm')->assertSee('disabled', false);
    $this->post("/requests/$id/acceptance")->assertSessionHasErrors('move_day');
    expect(ChangeRequest::query()->sole()->state->value)->toBe('open');
});

test('what a teacher may not ask for either is refused with a sentence', function () {
    $this->as('A-1')->put('/teachers/rights', rights(['move' => 'no']))->assertSessionHasNoErrors();
    $this->as('T-2');
    ($this->move)('2027-02-18', '2027-02-19')->assertSessionHasErrors([
        'session' => 'Teachers cannot make this change. Ask a coordinator.',
    ]);
    $this->get('/sections/MAR?session='.($this->on)('2027-02-18')->id)->assertSee(
        'Only coordinators move or cancel',
    );
    // Another teacher is a matter of moving, a note is not.
    $tell = fn (string $teacher) => $this->put(($this->at)('2027-02-18').'/particulars', [
        'title' => '',
        'note' => 'Boots',
        'teacher' => $teacher,
    ]);
    $tell('T-1')->assertSessionHasErrors('session');
    $tell('')->assertSessionHasNoErrors();
});

test('a teacher sees no way to move several sessions at once, which is a coordinator’s', function () {
    $look = fn (string $as) => $this->as($as)->post(($this->at)('2027-02-18').'/moving', [
        'move_day' => '2027-02-18',
        'move_start' => '11:00',
        'move_end' => '11:47',
    ]);
    $look('T-2')->assertOk()->assertDontSee('Move other sessions');
    $look('A-1')->assertOk()->assertSee('Move other sessions');
});

test('a section can have rights of its own, and go back to those of the school', function () {
    $this->as('A-1')->put('/sections/MAR/rights', rights(['move' => 'ask'], 0))->assertSessionHasNoErrors();
    $this->get('/teachers/rights')->assertSee('section=MAR', false);
    $this->as('T-2');
    ($this->move)('2027-02-18', '2027-02-19');
    expect(ChangeRequest::query()->count())->toBe(1);
    $this->as('A-1')->put('/sections/MAR/rights', ['as_school' => 1]);
    $this->put('/teachers/rights', rights([], 300));
    $this->as('T-2');
    ($this->move)('2027-02-18', '2027-02-19');
    expect(ChangeRequest::query()->count())->toBe(2);
    $this->as('A-1')->put('/teachers/rights', rights([], 0));
    $this->as('T-2');
    ($this->move)('2027-02-18', '2027-02-19');
    expect(($this->on)('2027-02-19')->moved_from)->toBe('2027-02-18');
});

test('rights are chosen from the list', function (array $wrong, string $field, string $words) {
    $this->as('A-1')
        ->put('/teachers/rights', $wrong + rights())
        ->assertSessionHasErrors([$field => $words]);
    expect(School::query()->value('teacher_rights'))->toBeNull();
})->with([
    [['move' => 'maybe'], 'move', 'Choose Yes, Request or No for each change.'],
    [['notice' => 'soon'], 'notice', 'Enter a number of hours from 0 to 720.'],
    [['notice' => '721'], 'notice', 'Enter a number of hours from 0 to 720.'],
]);

test('teachers of others, and those whose part is over, change nothing and ask for nothing', function () {
    $path = ($this->at)('2027-02-18').'/cancellation';
    $this->as('T-1')
        ->post($path, ['reason' => 'x'])
        ->assertForbidden();
    DB::table('enrolments')
        ->where('person_id', personCalled('T-2')->id)
        ->update(['ends_on' => '2027-02-08']);
    $this->as('T-2')
        ->post($path, ['reason' => 'x'])
        ->assertForbidden();
    expect(ChangeRequest::query()->count())->toBe(0);
});

test('a series that a section of somebody else shares is asked for', function () {
    $this->as('A-1')->post("/sections/MAR/series/{$this->series->id}/sections", ['share' => 'SPA']);
    $this->as('T-2');
    ($this->move)('2027-02-18', '2027-02-19');
    expect(ChangeRequest::query()->count())->toBe(1);
});
