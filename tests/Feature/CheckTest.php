<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\RenewDerived;
use Nomada\App\Models\Timetable\Session;

/** @return list<string> kinds that the check finds */
function foundByCheck(): array
{
    Artisan::call('nomada:check', ['--json' => true]);

    return array_values(array_unique(array_column(json_decode(Artisan::output(), true)['differences'], 'kind')));
}

beforeEach(function () {
    $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
});

test('the check sees what hangs on a session that is not its own, and what was promised and is not held', function (
    string $kind,
    Closure $break,
) {
    expect(foundByCheck())->toBe([]);
    $break();
    expect(foundByCheck())->toContain($kind);
})->with([
    'a registration of another series' => [
        'strays',
        function () {
            $series = DB::table('registrations')->value('series_id');
            $other = Session::query()->where('series_id', '!=', $series)->firstOrFail();
            DB::table('registrations')
                ->where('series_id', $series)
                ->limit(1)
                ->update(['session_id' => $other->id, 'only_day' => $other->day]);
        },
    ],
    'a material of another section' => [
        'strays',
        function () {
            $session = Session::query()->firstOrFail();
            DB::table('materials')->insert([
                'section_id' => DB::table('sections')
                    ->whereNotIn(
                        'id',
                        DB::table('series_sections')->where('series_id', $session->series_id)->select('section_id'),
                    )
                    ->value('id'),
                'session_id' => $session->id,
                'title' => 'A map',
                'address' => 'https://maps.example/',
                'created_at' => now(),
            ]);
        },
    ],
    'an accepted student without a link' => [
        'promises',
        fn () => DB::table('join_links')->where('kind', 'personal')->limit(1)->update(['retired_at' => now()]),
    ],
    'a link of somebody who is not registered' => [
        'promises',
        fn () => DB::table('registrations')->limit(1)->update(['state' => 'withdrawn']),
    ],
    'more accepted than seats' => [
        'promises',
        function () {
            DB::table('series')->update(['registering' => json_encode(['seats' => 1])]);
            DB::table('registrations')->update(['came_by' => 'own']);
        },
    ],
]);

test('after an upgrade what is derived is computed again, and goes on where it stopped', function () {
    $renew = app(RenewDerived::class);
    expect(RenewDerived::isDue())->toBeTrue();
    expect($renew())->toBeGreaterThan(0)->and($renew())->toBe(0)->and(RenewDerived::isDue())->toBeFalse();
    // As rules of before have written it.
    DB::table('published_items')->update(['desired_hash' => str_repeat('0', 64)]);
    expect(foundByCheck())->toContain('placements');
    $last = (int) DB::table('sections')->max('id');
    DB::table('settings')
        ->where('name', 'derived_by')
        ->update(['value' => json_encode(['done' => 'the rules of before'])]);
    Artisan::call('nomada:renew');
    expect(foundByCheck())->toBe([]);
    DB::table('settings')
        ->where('name', 'derived_by')
        ->update(['value' => json_encode(['to' => RenewDerived::version(), 'after' => $last - 1])]);
    expect($renew())->toBe(1);
});
