<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Registration\Letter;
use Nomada\App\Models\Timetable\Session;

beforeEach(function () {
    $this->standins = $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    momentAt('2027-02-08', '08:00');
    // In the morning nobody's letter waits for the night to end.
    Illuminate\Support\Carbon::setTestNow('2027-02-08 10:00:00');
    Artisan::call('nomada:publish');
});

afterEach(fn () => Illuminate\Support\Carbon::setTestNow());

function marineOn(string $day): Session
{
    return Session::query()
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->where('day', $day)
        ->firstOrFail();
}

/** @return list<array<string, mixed>> the posts of Marine Science, oldest first */
function postsOf($test): array
{
    return array_reverse($test->standins->get('/stream/sections/MAR')['posts']);
}

test(
    'the first publication tells of nothing; changes are told once they are published, together and once',
    function () {
        expect(postsOf($this))
            ->toHaveCount(1)
            ->and(Letter::query()->where('kind', 'changed')->count())
            ->toBe(0);
        $move = marineOn('2027-02-09');
        $this->as('A-1')->put("/sections/MAR/series/$move->series_id/sessions/$move->id", [
            'move_day' => '2027-02-10',
            'move_start' => '12',
            'move_end' => '12:30',
        ]);
        $cancel = marineOn('2027-02-11');
        $this->post("/sections/MAR/series/$cancel->series_id/sessions/$cancel->id/cancellation", [
            'reason' => 'boat trip',
        ]);
        expect(Letter::query()->where('kind', 'changed')->count())->toBe(0);
        Artisan::call('nomada:publish');
        [, $post] = postsOf($this);
        expect($post['post']['fields']['Changes'])
            ->toBe([
                'Tue 9 Feb, 10:00–10:47 is now Wed 10 Feb, 12:00–12:30',
                'Thu 11 Feb, 10:00–10:47 is cancelled: boat trip',
            ])
            ->and($post['post']['fields']['Time zone'])
            ->toBe('Madrid');
        // Three students, the guardian of one, the teacher; on each one's clock.
        postGoes();
        expect(Letter::query()->where('kind', 'changed')->whereNotNull('sent_at')->count())->toBe(5);
        $letter = array_values(
            array_filter(
                array_map(fn ($m): string => $m->text(), mailbox($this, 'S-1')),
                fn (string $t): bool => str_contains($t, 'has changed'),
            ),
        );
        expect($letter)
            ->toHaveCount(1)
            ->and($letter[0])
            ->toContain('Tue 9 Feb, 09:00–09:47 is now Wed 10 Feb, 11:00–11:30')
            ->toContain('Thu 11 Feb, 09:00–09:47 is cancelled: boat trip');
        Artisan::call('nomada:publish');
        expect(postsOf($this))
            ->toHaveCount(2)
            ->and(Letter::query()->where('kind', 'changed')->count())
            ->toBe(5);
    },
);

test('what was changed and changed back is told to nobody', function () {
    $cancel = marineOn('2027-02-11');
    $this->as('A-1')->post("/sections/MAR/series/$cancel->series_id/sessions/$cancel->id/cancellation", [
        'reason' => 'storm',
    ]);
    $this->delete("/sections/MAR/series/$cancel->series_id/sessions/$cancel->id/cancellation");
    Artisan::call('nomada:publish');
    expect(postsOf($this))
        ->toHaveCount(1)
        ->and(DB::table('announcements')->count())
        ->toBe(0);
});

test('a run that leaves the stream out tells of nothing yet; the next one does', function () {
    $cancel = marineOn('2027-02-11');
    $this->as('A-1')->post("/sections/MAR/series/$cancel->series_id/sessions/$cancel->id/cancellation", [
        'reason' => 'storm',
    ]);
    $this->post('/publishing/runs', ['sections' => ['MAR'], 'places' => ['calendar']]);
    $this->work();
    expect(DB::table('announcements')->count())->toBe(0);
    $this->post('/publishing/runs', ['sections' => ['MAR']]);
    $this->work();
    expect(postsOf($this))
        ->toHaveCount(2)
        ->and(DB::table('announcements')->count())
        ->toBe(1);
});

test('told by hand before it is published, it is not told again by letter', function () {
    $cancel = marineOn('2027-02-11');
    $this->as('A-1')->post("/sections/MAR/series/$cancel->series_id/sessions/$cancel->id/cancellation", [
        'reason' => 'storm',
    ]);
    $change = DB::table('series_changes')->orderByDesc('id')->value('id');
    $this->post("/sections/MAR/changes/$change/letters")->assertSessionHas(
        'said',
        fn ($s) => str_contains($s, '5 emails'),
    );
    $this->post("/sections/MAR/changes/$change/letters")->assertSessionHas(
        'said',
        'Everybody has been emailed about this already.',
    );
    Artisan::call('nomada:publish');
    expect(Letter::query()->where('kind', 'changed')->count())
        ->toBe(5)
        ->and(postsOf($this))
        ->toHaveCount(2);
});

test('at night letters of changes wait until the morning of whoever reads them', function () {
    Illuminate\Support\Carbon::setTestNow('2027-02-08 20:30:00');
    $cancel = marineOn('2027-02-11');
    $this->as('A-1')->post("/sections/MAR/series/$cancel->series_id/sessions/$cancel->id/cancellation", [
        'reason' => 'storm',
    ]);
    Artisan::call('nomada:publish');
    $at = Letter::query()->with('person')->where('kind', 'changed')->get()->keyBy('to_name');
    expect($at['Galia Zabalo']->not_before->toIso8601String())
        ->toBe('2027-02-08T20:30:00+00:00')
        ->and($at->first(fn ($l) => $l->person->time_zone === 'Europe/Madrid')->not_before->toIso8601String())
        ->toBe('2027-02-09T06:00:00+00:00');
});

test('where every place is a page of ours nothing differs, and publishing still tells, once', function () {
    foreach (['course', 'calendar', 'stream'] as $place) {
        config(["places.$place.kind" => 'our-page']);
    }
    app(Nomada\App\Destinations\Places::class)->forget();
    DB::table('section_announcements')->delete();
    $refresh = app(Nomada\App\Actions\Publishing\RefreshPlacements::class);
    $refresh(DB::table('sections')->pluck('id')->all());
    // What is on its own is seen, so what changes from now on is told.
    expect(DB::table('section_announcements')->pluck('section_id')->all())->toContain($this->section('MAR')->id);
    $cancel = marineOn('2027-02-11');
    $this->as('A-1')->post("/sections/MAR/series/$cancel->series_id/sessions/$cancel->id/cancellation", [
        'reason' => 'storm',
    ]);
    $this->get('/publishing')->assertSee('changes not announced yet')->assertSee('1 to announce');
    $this->get(route('board', ['show' => 'unpublished']))->assertSee('Marine Science');
    $this->get('/sections/MAR')->assertSee('Changes not announced');
    expect(Letter::query()->where('kind', 'changed')->count())->toBe(0);
    $runs = DB::table('runs')->count();
    $publish = fn () => $this->from('/publishing')->post('/publishing/runs', ['sections' => ['MAR']]);
    $publish()->assertSessionHas(
        'said',
        'Everything is up to date. 5 emails about the changes are being sent.',
    );
    $publish()->assertSessionHas('said', 'Everything is up to date; there was nothing to publish.');
    expect(Letter::query()->where('kind', 'changed')->count())
        ->toBe(5)
        ->and(DB::table('runs')->count())
        ->toBe($runs);
    $this->get('/publishing')->assertDontSee('changes not announced yet');
    // Once the session would be over there is nothing left to tell.
    $this->delete("/sections/MAR/series/$cancel->series_id/sessions/$cancel->id/cancellation");
    momentAt('2027-02-11', '23:00');
    $this->get('/publishing')->assertDontSee('changes not announced yet');
});
