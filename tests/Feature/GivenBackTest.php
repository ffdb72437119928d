<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Timetable\SeriesChange;

// What an act took along, its undo gives back; and what was said once is not said again.

beforeEach(function () {
    $this->school();
    $this->standins();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register', ['--section' => ['MAR', 'STA']]);
    $this->series = (int) $this->section('MAR')->series()->value('series.id');
});

/** Undoes the last change of a section whose words begin so. */
function takeBack($test, string $section, string $words): void
{
    $change = SeriesChange::query()
        ->where('words', 'like', "$words%")
        ->whereNull('undone_at')
        ->orderByDesc('id')
        ->firstOrFail();
    $test
        ->as('A-1')
        ->post("/sections/$section/changes/$change->id/undoing")
        ->assertSessionHasNoErrors();
}

/** @return list<string> sourcedIds of those who are registered for a series */
function registeredIn(int $series): array
{
    return DB::table('registrations')
        ->join('people', 'people.id', '=', 'person_id')
        ->where('series_id', $series)
        ->where('state', 'accepted')
        ->orderBy('people.sourced_id')
        ->pluck('people.sourced_id')
        ->all();
}

test('a sharing that is undone takes its own registrations along, and gives back those that it took', function () {
    DB::table('enrolments')
        ->where('sourced_id', 'E-8')
        ->update(['person_id' => personCalled('S-4')->id]);
    $this->as('A-1')
        ->post("/sections/MAR/series/$this->series/sections", ['share' => 'STA'])
        ->assertSessionHasNoErrors();
    expect(registeredIn($this->series))->toBe(['S-1', 'S-2', 'S-3', 'S-4']);
    $linked = fn (): array => JoinLink::query()
        ->inForce()
        ->where(['series_id' => $this->series, 'kind' => 'personal'])
        ->with('person')
        ->get()
        ->map(fn (JoinLink $l): string => (string) $l->person?->sourced_id)
        ->sort()
        ->values()
        ->all();
    // Taken out, and that undone: S-4 is back, with a link that opens.
    $other = $this->section('STA')->id;
    $this->delete("/sections/MAR/series/$this->series/sections/STA")->assertSessionHasNoErrors();
    expect(registeredIn($this->series))
        ->toBe(['S-1', 'S-2', 'S-3'])
        ->and($linked())
        ->toBe(['S-1', 'S-2', 'S-3']);
    takeBack($this, 'MAR', '');
    expect(
        DB::table('series_sections')
            ->where(['series_id' => $this->series, 'section_id' => $other])
            ->exists(),
    )->toBeTrue();
    expect(registeredIn($this->series))
        ->toBe(['S-1', 'S-2', 'S-3', 'S-4'])
        ->and($linked())
        ->toBe(['S-1', 'S-2', 'S-3', 'S-4']);
    // The sharing itself undone: S-4 is out, and does not come in by the class's code either.
    takeBack($this, 'MAR', '');
    expect(registeredIn($this->series))
        ->toBe(['S-1', 'S-2', 'S-3'])
        ->and($linked())
        ->toBe(['S-1', 'S-2', 'S-3']);
    $link = JoinLink::query()
        ->inForce()
        ->where(['series_id' => $this->series, 'kind' => 'series'])
        ->firstOrFail();
    momentAt('2027-02-09');
    $this->as('S-4')
        ->get("/join/$link->secret")
        ->assertSee('You are not in this class');
});

test('a series that was deleted and came back knows who was written to', function () {
    $letters = fn (): array => DB::table('emails')->orderBy('id')->pluck('kind')->countBy()->all();
    $this->as('A-1')
        ->post("/sections/MAR/series/$this->series/letters")
        ->assertSessionHasNoErrors();
    DB::table('emails')->update(['sent_at' => now()]);
    $before = $letters();
    expect(array_sum($before))->toBeGreaterThan(2);
    $this->delete("/sections/MAR/series/$this->series")->assertSessionHasNoErrors();
    takeBack($this, 'MAR', 'deleted');
    $this->post("/sections/MAR/series/$this->series/letters");
    expect($letters())->toBe($before);
});

test('what was accepted holds for what was seen, and for no more; what is past is no clash', function () {
    $plan = DB::table('hosting_plans')->insertGetId([
        'name' => 'Tiny',
        'seats' => 3,
        'minutes' => 90,
        'at_once' => 1,
    ]);
    $account = DB::table('host_accounts')->insertGetId(['name' => 'Host', 'hosting_plan_id' => $plan]);
    $this->as('A-1')
        ->put("/timetable/licences/series/$this->series", ['account' => $account])
        ->assertSessionHasNoErrors();
    $clash = DB::table('clashes')->where('kind', 'full')->firstOrFail();
    $this->post('/timetable/clashes', [
        'key' => "full $this->series",
        'reason' => 'Two of them share a screen',
    ])->assertSessionHasNoErrors();
    $this->get('/timetable/clashes')->assertSee('No clashes');
    $this->post('/timetable/clashes', ['key' => 'full 99999', 'reason' => 'x'])->assertSessionHasErrors('key');
    // One more comes: that was not seen.
    DB::table('enrolments')->insert([
        'sourced_id' => 'E-77',
        'section_id' => $this->section('MAR')->id,
        'person_id' => personCalled('S-4')->id,
        'role' => 'student',
    ]);
    app(
        Nomada\App\Actions\Timetable\RefreshClashes::class,
    )($this->section('MAR')->term->fresh(['school', 'closures']));
    $this->get('/timetable/clashes')->assertDontSee('No clashes');
    // After the term's last session of it there is nothing to be moved any more.
    momentAt('2027-04-23', '23:00');
    $this->get('/timetable/clashes')->assertSee('No clashes');
    expect($clash->days)->not->toBe('[]');
});
