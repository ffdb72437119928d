<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Nomada\App\Actions\Recording\FollowRecordings;
use Nomada\App\Destinations\ConcurrentRequests;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Destinations\Places;
use Nomada\App\Destinations\Service;
use Nomada\App\Models\Presence\Recording;
use Nomada\App\Models\Registration\Letter;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Post\Letters;
use Nomada\App\Post\PostOffice;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\PlaceKind;
use Nomada\Core\Publishing\PlaceSettings;
use Tests\Support\MailServer;
use Tests\Support\OddServer;
use Tests\Support\Xandikos;

function oddPlace(string $path = ''): PlaceSettings
{
    return new PlaceSettings(
        ExternalService::Bridge,
        PlaceKind::CalDav,
        OddServer::shared()->url().$path,
        'nomada',
        'tide-27',
    );
}

/** @param  array<string, string>  $with */
function placeIs(string $service, array $with): void
{
    config(["places.$service" => $with + ['user' => '', 'password' => '', 'pace' => '', 'timeout' => '']]);
    app(Places::class)->forget();
}

test('a password is known to the host that is set, and to no other that it sends us on to', function () {
    $odd = OddServer::shared();
    $alone = fn () => Service::at(oddPlace())->send('GET', '/on');
    expect($alone)->toThrow(DestinationFailure::class, 'another host');
    $out = ConcurrentRequests::run([
        'one' => $alone,
        'two' => fn () => Service::at(oddPlace())->send('GET', '/here')->body(),
    ]);
    expect($out['one'])->toBeInstanceOf(DestinationFailure::class)->and($out['two'])->toBe('here');
    $other = "http://localhost:$odd->port/taken";
    expect(fn () => Service::at(oddPlace())->send('GET', $other))
        ->toThrow(DestinationFailure::class, 'another host')
        ->and(implode(' ', OddServer::shared()->came()))
        ->not->toContain('taken');
    expect(fn () => Service::at(oddPlace())->whole('http://127.0.0.1:9/on'))->toThrow(DestinationFailure::class);
});

test(
    'a recording that stops in the middle goes on where it stopped, from the disk and never in memory',
    function () {
        $odd = OddServer::shared();
        $odd->gives($all = random_bytes(12_000_000));
        $file = tempnam(sys_get_temp_dir(), 'odd');
        $service = Service::at(oddPlace());
        foreach ([4_000_001, 8_000_001] as $soFar) {
            $before = memory_get_peak_usage();
            expect(fn () => $service->download('/cut', $file, 20_000_000))->toThrow(
                DestinationFailure::class,
                'No data came from the conference service for 30 seconds.',
            );
            clearstatcache();
            expect(filesize($file))
                ->toBeGreaterThanOrEqual($soFar - 1)
                ->and(memory_get_peak_usage() - $before)
                ->toBeLessThan(2_000_000);
        }
        expect($service->download('/cut', $file, 20_000_000))
            ->toBe('video/mp4')
            ->and(md5_file($file))
            ->toBe(md5($all))
            ->and(count($odd->came()))
            ->toBe(3);
        unlink($file);
        expect(fn () => $service->download('/cut', $file, 1000))->toThrow(DestinationFailure::class);
        expect(filesize($file))->toBeLessThanOrEqual(1000);
        unlink($file);
    },
);

test('a recording that does not come is asked for all week, says why, and is then given up', function () {
    $this->standins();
    $this->school();
    momentAt('2027-02-12', '12:00');
    $session = Session::query()
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->orderBy('day')
        ->firstOrFail();
    $recording = Recording::query()->create([
        'session_id' => $session->id,
        'bridge_id' => 'r-1',
        'state' => 'processing',
        'started_at' => '2027-02-09 09:00+00',
    ]);
    $asked = [];
    $this->app->bind(FollowRecordings::class, function () use (&$asked) {
        $asked[] = 1;

        return app()->build(FollowRecordings::class);
    });
    placeIs('bridge', ['kind' => 'own-service', 'url' => 'http://127.0.0.1:9', 'timeout' => '1']);
    Artisan::call('nomada:recording');
    expect(DB::table('recordings')->value('state'))
        ->toBe('processing')
        ->and($asked)
        ->not->toBe([]);
    momentAt('2027-02-17', '12:00');
    Artisan::call('nomada:recording');
    expect($recording->refresh()->state->value)
        ->toBe('failed')
        ->and($recording->trouble)
        ->not->toBeEmpty();
});

test(
    'a mail server that answers after its place gives up has one copy, and one that refuses is left alone',
    function () {
        $mail = MailServer::slow();
        $mail->empty();
        $this->standins();
        $this->school();
        Artisan::call('nomada:links');
        Artisan::call('nomada:register');
        placeIs('post', ['kind' => 'smtp', 'url' => $mail->url(), 'timeout' => '1']);
        DB::table('people')
            ->where('sourced_id', 'S-2')
            ->update(['email' => 'nobody@school.example']);
        DB::table('people')
            ->whereNotIn('sourced_id', ['S-1', 'S-2'])
            ->update(['email' => null]);
        app(Letters::class)->invite(Series::query()->whereRelation('section', 'sourced_id', 'MAR')->firstOrFail());
        postGoes();
        app(PostOffice::class)->sendLeft(0);
        expect(count($mail->letters()))
            ->toBe(Letter::query()->whereNotNull('sent_at')->count())
            ->toBeGreaterThan(0)
            ->and(implode('', $mail->letters()))
            ->not->toContain('nobody@school.example');
        $refused = Letter::query()->whereNull('sent_at')->sole();
        expect($refused->trouble)->toContain('550')->and($refused->tries)->toBe(1);
        foreach (range(1, 9) as $_) {
            $this->travel(1)->days();
            app(PostOffice::class)->sendLeft(0);
        }
        expect($refused->refresh()->tries)->toBe(4);
    },
);

test(
    'a second calendar server is written to, and what it says is missing within a good answer is missing',
    function () {
        $this->standins();
        $this->school();
        Artisan::call('nomada:links');
        Artisan::call('nomada:register');
        placeIs('calendar', ['kind' => 'caldav', 'url' => Xandikos::url().'/nomada/calendars/']);
        $publish = function (): array {
            Artisan::call('nomada:publish', ['--section' => ['MAR'], '--json' => true]);

            return (array) json_decode(Artisan::output(), true);
        };
        expect($publish()['failed'])->toBe([]);
        $uid = Series::query()->whereRelation('section', 'sourced_id', 'MAR')->value('uid');
        $ics = fn (): string => (string) Http::get(Xandikos::url()."/nomada/calendars/s-1/$uid.ics")->body();
        expect($ics())->toContain('Y8 Marine Science');
        Http::send('DELETE', Xandikos::url().'/nomada/calendars/s-1/');
        DB::table('published_items')
            ->where('key', 'like', 'S-1/%')
            ->update(['published_hash' => null, 'etag' => null]);
        expect($publish()['failed'])->toBe([])->and($ics())->toContain('Y8 Marine Science');
    },
);
