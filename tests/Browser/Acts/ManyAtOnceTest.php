<?php

use Illuminate\Http\Client\Pool;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\Support\RunningCopy;
use Tests\Support\SignedIn;

// Many at one moment, over HTTP, against a whole running copy: what a lock forgets shows here only.

test(
    'many register at once: no seat is given twice, nobody is registered twice, and an acceptance pressed at once is '.
        'one',
    function () {
        $copy = RunningCopy::shared();
        $copy->freshDemo();
        $series = (int) DB::table('series')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('sourced_id', '8MAR')
            ->value('series.id');
        DB::table('series')
            ->where('id', $series)
            ->update(['registering' => json_encode(['each' => false, 'accepts_certain' => false, 'seats' => 3])]);
        $students = DB::table('people')
            ->whereIn(
                'id',
                DB::table('enrolments')
                    ->where('role', 'student')
                    ->whereIn('section_id', DB::table('sections')->where('sourced_id', '8MAR')->select('id'))
                    ->select('person_id'),
            )
            ->orderBy('id')
            ->limit(8)
            ->get();
        $people = $students
            ->map(fn ($s) => [...SignedIn::at($copy->url(), $s->email), "$s->given_name $s->family_name", $s->email])
            ->all();
        Http::pool(function (Pool $pool) use ($people, $copy, $series) {
            $out = [];
            foreach ([1, 2] as $twice) {
                foreach ($people as [$jar, $token, $name, $email]) {
                    $out[] = $pool
                        ->withOptions(['cookies' => $jar, 'allow_redirects' => false])
                        ->asForm()
                        ->post("{$copy->url()}/register/$series", [
                            '_token' => $token,
                            'typed_name' => $name,
                            'typed_email' => $email,
                        ]);
                }
            }

            return $out;
        });
        $states = DB::table('registrations')->where('series_id', $series)->pluck('state')->countBy()->all();
        expect($states)->toEqual(['waiting' => 3, 'queued' => 5]);

        [$jar, $token] = SignedIn::at(
            $copy->url(),
            (string) DB::table('people')->where('sourced_id', 'A-01')->value('email'),
        );
        $ids = DB::table('registrations')->where('series_id', $series)->pluck('id')->all();
        Http::pool(
            fn (Pool $pool) => array_map(
                fn (int $id) => $pool
                    ->withOptions(['cookies' => $jar, 'allow_redirects' => false])
                    ->asForm()
                    ->post("{$copy->url()}/registration/$id/acceptance", ['_token' => $token]),
                [...$ids, ...$ids],
            ),
        );
        expect(DB::table('registrations')->where('series_id', $series)->where('state', 'accepted')->count())
            ->toBe(3)
            ->and(DB::table('emails')->where('series_id', $series)->where('kind', 'accepted')->count())
            ->toBe(3)
            ->and(
                DB::table('join_links')
                    ->where('series_id', $series)
                    ->where('kind', 'personal')
                    ->whereNull('retired_at')
                    ->count(),
            )
            ->toBe(3);
    },
);

test('many at the door at once: nobody is inside twice, and no seat is given twice', function () {
    $copy = RunningCopy::shared();
    $copy->freshDemo();
    Illuminate\Support\Facades\Artisan::call('nomada:links', ['--section' => ['8MAR']]);
    Illuminate\Support\Facades\Artisan::call('nomada:register', ['--section' => ['8MAR']]);
    DB::table('hosting_plans')->update(['seats' => 6]); // the teacher's is one of them
    $room = (string) DB::table('join_links')->where('kind', 'series')->value('room');
    $meeting = '2027-02-09T09:00';
    $copy->standins()->post("/bridge/rooms/$room/people", [
        'person' => 'T-02',
        'name' => 'N. Haddad',
        'host' => true,
        'meeting' => $meeting,
    ]);
    $people = Nomada\App\Models\Joining\JoinLink::query()
        ->inForce()
        ->where('kind', 'personal')
        ->with('person')
        ->orderBy('id')
        ->limit(8)
        ->get()
        ->map(fn ($l) => [...SignedIn::at($copy->url(), (string) $l->person?->email), $l->secret])
        ->all();
    $answers = Http::pool(
        fn (Pool $pool) => array_merge(
            ...array_map(
                fn (array $p) => array_map(
                    fn () => $pool
                        ->withOptions(['cookies' => $p[0], 'allow_redirects' => false])
                        ->asForm()
                        ->post("{$copy->url()}/join/$p[2]", ['_token' => $p[1]]),
                    [1, 2],
                ),
                $people,
            ),
        ),
    );
    $state = $copy->standins()->get("/bridge/rooms/$room?meeting=$meeting");
    $inside = array_column(array_filter($state['inside'], fn (array $p): bool => ! $p['host']), 'person');
    expect($inside)->toHaveCount(5)->toBe(array_unique($inside));
    // Anybody who is not in was sent back to the door, which says why; nobody got an error.
    foreach ($answers as $answer) {
        expect($answer->status())->toBe(302);
    }
});
