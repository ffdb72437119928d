<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\PersonFeed;
use Nomada\App\Models\Registration\Letter;
use Nomada\App\Models\Timetable\Session;

beforeEach(function () {
    $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    Illuminate\Support\Carbon::setTestNow('2027-02-08 17:05:00');
});

afterEach(fn () => Illuminate\Support\Carbon::setTestNow());

/** @return list<string> who is to be reminded */
function remindedPeople(): array
{
    Artisan::call('nomada:remind');

    return Letter::query()->where('kind', 'reminder')->orderBy('to_name')->pluck('to_name')->all();
}

test('a section reminds its students the evening before, each on their own clock, once', function () {
    momentAt('2027-02-08', '17:59');
    expect(remindedPeople())->toBe([]);
    $this->as('T-2')
        ->put('/sections/MAR/reminder', ['remind' => 'evening'])
        ->assertSessionHasNoErrors();
    expect(remindedPeople())->toBe([]);
    // 18:00 in Madrid is 17:00 in the Canaries, where one of them lives.
    momentAt('2027-02-08', '18:01');
    $first = remindedPeople();
    expect(count($first))->toBeGreaterThan(0)->and($first)->not->toContain('Galia Zabalo');
    momentAt('2027-02-08', '19:01');
    $second = remindedPeople();
    expect(array_diff($second, $first))->toContain('Galia Zabalo');
    expect(remindedPeople())->toBe($second);
    postGoes();
    expect(mailbox($this, 'S-1')[0]->text())
        ->toContain('Y8 Marine Science, Tue 9 Feb 09:00–09:47')
        ->not->toContain('/join/');
});

test('a student chooses otherwise: not at all, hours before, or by the calendar', function () {
    DB::table('sections')->update(['remind' => 'evening']);
    $this->as('S-1')
        ->put('/me/reminder', ['remind' => 'calendar-10'])
        ->assertSessionHasNoErrors();
    expect($this->get(PersonFeed::address(personCalled('S-1')))->getContent())
        ->toContain('TRIGGER:-PT10M')
        ->and($this->as('A-1')->get('/people/S-1/calendar.ics')->getContent())
        ->not->toContain('VALARM');
    $this->as('S-2')->put('/me/reminder', ['remind' => 'none']);
    $this->as('S-3')->put('/me/reminder', ['remind' => 'hours-2']);
    $this->as('S-3')->get('/me')->assertSee('two hours before, by email');
    $this->put('/me/reminder', ['remind' => 'often'])->assertSessionHasErrors('remind');
    $this->as('T-2')
        ->put('/sections/MAR/reminder', ['remind' => 'calendar-10'])
        ->assertSessionHasErrors('remind');
    momentAt('2027-02-08', '20:00');
    $mar = fn (array $names): array => array_values(
        array_intersect($names, ['Galia Zabalo', personCalled('S-2')->name(), personCalled('S-3')->name()]),
    );
    expect($mar(remindedPeople()))->toBe([]);
    momentAt('2027-02-09', '07:59');
    expect($mar(remindedPeople()))->toBe([]);
    momentAt('2027-02-09', '08:00');
    expect($mar(remindedPeople()))->toBe([personCalled('S-3')->name()]);
    $this->as('S-3')->put('/me/reminder', ['remind' => '']);
    expect(personCalled('S-3')->remind)->toBeNull();
});

test('what is cancelled before the reminder goes is not reminded of; what is moved, again', function () {
    DB::table('sections')->update(['remind' => 'hours-1']);
    momentAt('2027-02-09', '09:05');
    expect(count(remindedPeople()))->toBeGreaterThanOrEqual(3);
    $session = Session::query()
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->where('day', '2027-02-09')
        ->firstOrFail();
    $session->update(['starts_at' => '2027-02-09 12:00+00', 'ends_at' => '2027-02-09 12:47+00']);
    momentAt('2027-02-09', '12:05');
    $n = Letter::query()->where('kind', 'reminder')->where('person_id', personCalled('S-1')->id)->count();
    remindedPeople();
    expect(Letter::query()->where('kind', 'reminder')->where('person_id', personCalled('S-1')->id)->count())->toBe(
        $n + 1,
    );
    DB::table('emails')->delete();
    DB::table('sent_reminders')->delete();
    remindedPeople();
    $session->update(['state' => 'cancelled']);
    postGoes();
    expect(array_filter(mailbox($this, 'S-1'), fn ($m) => str_contains($m->text(), 'soon, on your clock')))->toBe(
        [],
    );
});
