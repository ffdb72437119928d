<?php

use Illuminate\Support\Facades\Artisan;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Timetable\Series;
use Tests\Support\StandinServer;

/** @return string everything that is at the places for Marine Science, as one text */
function allThatStands(): string
{
    $at = StandinServer::shared();

    return json_encode(
        array_map(
            fn (string $path): mixed => $at->get($path),
            ['/course/pages/MAR', '/stream/sections/MAR', '/calendar/people/S-1'],
        ),
        JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
    );
}

test('a link that is hidden by hand leaves every place at the next publish, and comes back', function () {
    $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    Artisan::call('nomada:publish');
    momentAt('2027-02-09', '08:55');
    $series = Series::query()->whereRelation('section', 'sourced_id', 'MAR')->firstOrFail();
    $secrets = JoinLink::query()
        ->inForce()
        ->where('series_id', $series->id)
        ->where('kind', '!=', 'host')
        ->get()
        ->map(fn (JoinLink $l): string => $l->address())
        ->all();
    $standing = fn (): array => array_values(
        array_filter($secrets, fn (string $s): bool => str_contains(allThatStands(), $s)),
    );
    expect($standing())->not->toBe([]);
    $own = JoinLink::query()
        ->inForce()
        ->where('person_id', personCalled('S-1')->id)
        ->firstOrFail()
        ->address();
    $this->as('S-1')->get('/me')->assertSee($own, false);

    $this->as('A-1')->post("/sections/MAR/series/$series->id/hiding", ['hidden' => 1])->assertSessionHasNoErrors();
    $this->get('/today?day=2027-02-09')->assertSee('the link is hidden');
    // Until then the student check says where it still stands.
    Artisan::call('nomada:truth', ['--json' => true]);
    expect(json_decode(Artisan::output(), true)['differences'])->not->toBe([]);
    Artisan::call('nomada:publish', ['--plan' => true, '--json' => true]);
    expect(json_decode(Artisan::output(), true)['total']['change'])->toBeGreaterThan(2);
    $this->as('S-1')->get('/me')->assertDontSee($own, false)->assertSee('Your school has hidden this link.');
    Artisan::call('nomada:publish');
    expect($standing())->toBe([]);
    Artisan::call('nomada:truth', ['--json' => true]);
    expect(json_decode(Artisan::output(), true)['differences'])->toBe([]);
    Artisan::call('nomada:check');
    expect(Artisan::output())->toContain('All derived data is correct');
    $this->as('S-1');
    foreach (['/sections/MAR/cartridge', '/sections/MAR/calendar.ics', '/people/S-1/calendar.ics'] as $path) {
        $got = $this->as('A-1')->get($path);
        $text = $got->baseResponse->getContent() ?: $got->streamedContent();
        expect(array_filter($secrets, fn (string $s): bool => str_contains($text, $s)))->toBe([]);
    }

    $this->post("/sections/MAR/series/$series->id/hiding", ['hidden' => 0]);
    Artisan::call('nomada:publish');
    expect($standing())->not->toBe([]);
});
