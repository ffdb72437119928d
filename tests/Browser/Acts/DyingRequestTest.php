<?php

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\Support\RunningCopy;
use Tests\Support\SignedIn;

// A request that dies in the middle of an act leaves nothing behind: no half of the act, no claim on its form, no lock.

test('the same form succeeds at once after the request before died of memory or of time', function (): void {
    $copy = RunningCopy::shared();
    $copy->freshDemo();
    [$jar, $token] = SignedIn::at($copy->url(), personCalled('A-01')->email);
    $of = fn (string $table, array $where): int => DB::table($table)->where($where)->count();
    $session = DB::table('sessions')
        ->join('series', 'series.id', '=', 'series_id')
        ->join('sections', 'sections.id', '=', 'section_id')
        ->where('sourced_id', '8MAR')
        ->where('day', '2027-03-11')
        ->first(['sessions.id', 'series_id']);
    $series = "/sections/8MAR/series/$session->series_id";
    $acts = [
        'a closure' => [
            '/term/closures',
            ['first' => '2027-03-04', 'last' => '2027-03-04', 'reason' => 'Storm'],
            fn (): int => $of('closures', ['reason' => 'Storm']),
            'Nomada\App\Models\Term\TermChange',
        ],
        'a cancellation' => [
            "$series/sessions/$session->id/cancellation",
            ['reason' => 'Storm'],
            fn (): int => $of('sessions', ['id' => $session->id, 'state' => 'cancelled']),
            'Nomada\App\Models\Timetable\SeriesChange',
        ],
        'a roster' => [
            '/registration/rosters',
            ['sections' => ['8MAR']],
            fn (): int => min(1, $of('registrations', ['series_id' => $session->series_id])),
            'Nomada\Core\Publishing\WantedPlacements',
        ],
    ];
    foreach ($acts as $name => [$path, $fields, $done, $dies]) {
        $press = fn (array $headers): int => Http::withOptions(['cookies' => $jar, 'allow_redirects' => false])
            ->withHeaders($headers)
            ->asForm()
            ->post($copy->url().$path, $fields + ['_token' => $token, '_act' => "dies-$name"])
            ->status();
        foreach (['memory', 'time'] as $cause) {
            $dying = ['X-Dies-At' => $dies, 'X-Dies-Of' => $cause];
            expect($press($dying))
                ->toBe(500, "$name, $cause")
                ->and($done())
                ->toBe(0, "half of $name, $cause");
        }
        expect($press([]))->toBe(302, $name)->and($done())->toBe(1, $name);
        // Again: the same answer, and nothing twice.
        expect($press([]))->toBe(302, $name)->and($done())->toBe(1, $name);
    }
    $locks = DB::table('pg_locks')->where('locktype', 'advisory')->count();
    expect($locks)
        ->toBe(0)
        ->and(DB::table('processed_forms')->whereNull('answer')->count())
        ->toBe(0);
});

test('requests that wait for the same form are few, and the next one is told to come back', function (): void {
    $copy = RunningCopy::shared();
    [$jar, $token] = SignedIn::at($copy->url(), personCalled('A-01')->email);
    $form = [
        'first' => '2027-03-10',
        'last' => '',
        'reason' => 'Waited for',
        '_token' => $token,
        '_act' => 'waits',
    ];
    $press = fn () => Http::withOptions(['cookies' => $jar, 'allow_redirects' => false])
        ->asForm()
        ->post("{$copy->url()}/term/closures", $form);
    $press();
    // As if another host were still at it, with two waiting.
    $last = DB::table('processed_forms')->orderByDesc('at')->value('hash');
    DB::table('processed_forms')
        ->where('hash', $last)
        ->update([
            'answer' => null,
            'held_by' => 'elsewhere 1 1 x',
            'held_until' => now()->addMinutes(5),
            'waiting' => 2,
        ]);
    $began = microtime(true);
    expect($press()->status())
        ->toBe(302)
        ->and(microtime(true) - $began)
        ->toBeLessThan(6.0);
    $page = Http::withOptions(['cookies' => $jar])
        ->get("{$copy->url()}/term")
        ->body();
    expect($page)->toContain('Your first request is still being processed.');
    // The host is gone for good: its lease ends, and the form is carried out.
    DB::table('processed_forms')->update(['held_until' => now()->subMinute()]);
    $press();
    expect(DB::table('processed_forms')->whereNull('answer')->count())->toBe(0);
});
