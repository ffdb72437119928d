<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Destinations\RateLimiter;

beforeEach(function () {
    $this->school();
    $this->standins = $this->standins();
    cache()->flush();
});

test('a service says how fast it lets itself be asked, and is asked no faster from then on', function () {
    $this->standins->behave('bridge', ['per_second' => 50]);
    $bridge = app(ConferenceBridge::class);
    $bridge->makeRoom('key-1', 'A class');
    expect(cache()->get('pace bridge'))->toBe(1.02 / 50);
    $at = microtime(true);
    for ($n = 0; $n < 21; $n++) {
        (new RateLimiter('bridge'))->wait();
    }
    // The first goes at once.
    expect(microtime(true) - $at)->toBeGreaterThan(20 * 0.02);
    // It takes any number again, and is asked without waiting.
    $this->standins->behave('bridge', ['per_second' => 0]);
    $bridge->makeRoom('key-2', 'A class');
    expect(cache()->get('pace bridge'))->toBeNull();
});

test('a limit is read as the header fields for rate limits write it, and nothing else is', function (
    string $policy,
    int|float|null $gap,
) {
    (new RateLimiter('/x'))->learn($policy);
    expect(cache()->get('pace /x'))->toBe($gap === null ? null : 1.02 * $gap);
})->with([
    ['20;w=1', 0.05],
    ['"default";q=30;w=60', 2],
    ['100 ; w=50', 0.5],
    ['0;w=1', null],
    ['', null],
    ['many', null],
]);

test(
    'links of a section that are made one after the other are written down once, and what failed does not keep the '.
        'others from it',
    function () {
        DB::table('series')->insert(
            [
                'section_id' => $this->section('MAR')->id,
                'title' => 'Practical',
                'uid' => '6f1f2a0e-51f3-4a7e-9d54-5b0b8f4f6c99',
            ] +
                (array) DB::table('series')
                    ->where('section_id', $this->section('MAR')->id)
                    ->first(['pattern', 'ends', 'starts_on', 'start_minute', 'minutes', 'time_zone', 'changed_at']),
        );
        $second = (int) DB::table('series')->where('title', 'Practical')->value('id');
        DB::table('series_sections')->insert(['series_id' => $second, 'section_id' => $this->section('MAR')->id]);
        config(['nomada.pauses' => []]);
        // The bridge fails on the second of the two only.
        app()->bind(
            ConferenceBridge::class,
            fn () => new class implements ConferenceBridge {
                public function makeRoom(string $key, string $title): Nomada\App\Destinations\Room
                {
                    return str_starts_with($key, '6f1f2a0e')
                        ? throw new DestinationFailure('No more rooms.', true)
                        : new Nomada\App\Destinations\Room('room', '+34', '1');
                }

                public function admit(
                    string $room,
                    string $person,
                    string $name,
                    bool $asHost,
                    array $with = [],
                ): string {
                    return '';
                }

                public function state(string $room, string $meeting): array
                {
                    return [
                        'state' => 'shut',
                        'host_inside' => false,
                        'inside' => [],
                        'outside' => [],
                        'sent_out' => [],
                    ];
                }

                public function act(string $room, string $meeting, string $act, int $at, array $with = []): array
                {
                    return $this->state($room, $meeting);
                }

                public function events(string $room, string $meeting, int $after): array
                {
                    return ['events' => [], 'counts' => [], 'over_at' => null];
                }

                public function recordings(string $room, string $meeting): array
                {
                    return [];
                }

                public function fetch(string $room, string $recording, string $into, int $most): string
                {
                    return '';
                }

                public function transcript(string $room, string $recording): string
                {
                    return '';
                }
            },
        );
        Artisan::call('nomada:links', ['--section' => ['MAR'], '--json' => true]);

        expect(DB::table('run_steps')->orderBy('id')->pluck('state')->all())
            ->toBe(['done', 'failed'])
            ->and(DB::table('published_items')->where('key', 'MAR/pinned')->whereNotNull('desired_hash')->count())
            ->toBe(1);
    },
);
