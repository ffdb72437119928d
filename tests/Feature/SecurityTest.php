<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Nomada\App\Models\Joining\JoinLink;

beforeEach(function () {
    $this->school();
    $this->standins = $this->standins();
});

test('nobody is sent on to another place: not after signing in, not after an error, not from a form', function () {
    DB::table('people')->update(['password' => Hash::make('a-long-one')]);
    foreach (
        [
            '/sign-in?redirect=https://evil.example',
            '/sign-in?next=//evil.example',
            '/sign-in?url=https:%2f%2fevil.example',
        ] as $path
    ) {
        $this->get($path)->assertOk()->assertDontSee('evil.example');
    }
    $this->get('/joining?x=https://evil.example')->assertRedirect('/sign-in');
    $this->post('/sign-in', [
        'email' => 'candela@school.example',
        'password' => 'a-long-one',
        'redirect' => 'https://evil.example',
        'url' => ['intended' => 'https://evil.example'],
    ])->assertRedirect(url('/joining').'?x='.urlencode('https://evil.example'));
    $foreign = ['referer' => 'https://evil.example/joining', 'origin' => 'https://evil.example'];
    foreach (
        [
            ['/joining/acts', []],
            ['/join', ['code' => 'x']],
            ['/joining/drop-in', ['name' => '']],
            ['/clock', ['date' => 'never']],
            ['/terms', []],
        ] as [$path, $body]
    ) {
        $to = (string) $this->withHeaders($foreign)->post($path, $body)->assertRedirect()->headers->get('Location');
        expect(parse_url($to, PHP_URL_HOST))->toBe(parse_url(url('/'), PHP_URL_HOST), "$path leads to $to");
    }
    $series = $this->section('MAR')->series()->value('series.id');
    $session = DB::table('sessions')->where('series_id', $series)->where('day', '2027-02-18')->value('id');
    $to = (string) $this->put("/sections/MAR/series/$series/sessions/$session", [
        'move_day' => '2027-02-19',
        'move_start' => '10',
        'move_end' => '10:47',
        'reach' => 'this',
        'back' => 'https://evil.example',
    ])->headers->get('Location');
    expect($to)->not->toContain('evil');
});

test('a form of another site changes nothing', function () {
    $this->app->instance('env', 'production');
    $this->withMiddleware();
    expect(app()->runningUnitTests())->toBeFalse();
    $this->as('A-1')
        ->post('/joining/presets', ['preset_name' => 'Mine'])
        ->assertStatus(419);
    expect(DB::table('presets')->count())->toBe(0);
});

test('a stolen copy of the database opens no door, and no answer tells a secret of another', function () {
    Artisan::call('nomada:links');
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    $links = JoinLink::query()->with('person')->get();
    $dump = json_encode([
        DB::table('join_links')->get(),
        DB::table('published_items')->get(),
        DB::table('audit_log')->get(),
        DB::table('emails')->get(),
        DB::table('run_steps')->get(),
        DB::table('jobs')->get(),
        DB::table('people')->get(),
    ]);
    foreach ($links as $link) {
        expect($dump)->not->toContain($link->secret)->and(json_encode($link))->not->toContain($link->secret);
    }
    // What is in the table in the place of a secret opens nothing.
    $stored = substr($links[0]->getRawOriginal('secret'), 0, 27);
    foreach ([$links[0]->secret_hash, $stored, '00000000000000000000000000'] as $guess) {
        expect(
            $this->as('S-1')
                ->get("/join/$guess")
                ->status(),
        )->toBe(404);
    }
    $pages = '';
    foreach (
        ['/me', '/join/'.$links->firstWhere('kind.value', 'series')->secret, '/register/'.$links[0]->series_id] as $path
    ) {
        $pages .= $this->as('S-1')->get($path)->getContent();
    }
    $isAnothers = fn (JoinLink $l): bool => $l->kind->value === 'personal' && $l->person?->sourced_id !== 'S-1';
    foreach ($links->filter($isAnothers) as $link) {
        expect($pages)->not->toContain($link->secret);
    }
});

test('what is not asked for is not taken: no column is set by a form that does not have it', function () {
    Artisan::call('nomada:links');
    $path = '/sections/MAR/series/'.$this->section('MAR')->series()->value('series.id');
    $link = JoinLink::query()
        ->where('kind', 'series')
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->firstOrFail();
    $this->as('T-2')->post('/joining/drop-in', [
        'section' => 'MAR',
        'name' => 'Mine',
        'hours' => 'Tue 15-16',
        'preset' => 'office-hours',
        'secret_hash' => 'known',
        'room' => $link->room,
        'section_id' => $this->section('SPA')->id,
        'is_hidden' => 1,
        'retired_hashes' => ['known'],
    ]);
    $room = DB::table('drop_in_rooms')->sole();
    expect($room->section_id)
        ->toBe($this->section('MAR')->id)
        ->and($room->secret_hash)
        ->not->toBe('known')
        ->and($room->room)
        ->not->toBe($link->room)
        ->and($room->is_hidden)
        ->toBeFalse()
        ->and($room->retired_hashes)
        ->toBe('[]');
    $this->put("/joining/drop-in/$room->id", [
        'name' => 'Mine',
        'hours' => 'Tue 15-16',
        'preset' => 'lesson',
        'section_id' => $this->section('SPA')->id,
        'section' => 'SPA',
    ]);
    $this->post("$path/guests", [
        'guest_name' => 'Ola',
        'until' => '2027-02-26',
        'kind' => 'host',
        'person_id' => 1,
        'secret_hash' => 'known',
        'series_id' => 0,
    ]);
    expect(DB::table('drop_in_rooms')->value('section_id'))
        ->toBe($this->section('MAR')->id)
        ->and(DB::table('join_links')->where('secret_hash', 'known')->count())
        ->toBe(0)
        ->and(DB::table('join_links')->where('guest_name', 'Ola')->value('kind'))
        ->toBe('guest');
});

test('one address: another host is no page of ours, and no link follows it', function () {
    $this->school();
    $this->get('http://evil.example/sign-in')->assertStatus(400)->assertDontSee('Nomada');
    $this->post('http://evil.example/sign-in/forgotten', ['email' => 'x'])->assertStatus(400);
    $this->get('http://localhost:8080/sign-in?a=1')->assertRedirect(config('app.url').'/sign-in?a=1');
    $answer = $this->withHeader('X-Forwarded-Host', 'evil.example')->get('/sign-in');
    expect(
        $answer->getStatusCode() === 400 || ! str_contains((string) $answer->getContent(), 'evil.example'),
    )->toBeTrue();
});

test('pages of somebody are kept nowhere; over TLS the browser remembers that', function () {
    $this->school();
    $this->as('A-1')->get('/term')->assertHeader('Cache-Control', 'no-store, private');
    $this->get('/account')
        ->assertHeader('Cache-Control', 'no-store, private')
        ->assertHeaderMissing('Strict-Transport-Security');
    $this->get(str_replace('http://', 'https://', (string) config('app.url')).'/term')->assertHeader(
        'Strict-Transport-Security',
        'max-age=31536000',
    );
});

test('a key that does not fit the database is said on one page and by every command of ours', function () {
    $this->school();
    DB::table('key_fingerprints')->update(['hash' => str_repeat('0', 64)]);
    cache()->flush();
    $this->as('A-1')->get('/term')->assertStatus(503)->assertSee('The key does not match the database');
    expect(Nomada\App\Support\KeyFingerprint::fits())->toBeFalse();
    DB::table('key_fingerprints')->update(['hash' => Nomada\App\Support\KeyFingerprint::sum()]);
    $this->get('/term')->assertOk();
    // An empty database has nothing to fit.
    DB::table('key_fingerprints')->delete();
    cache()->flush();
    $this->get('/term')->assertOk();
});

test('what turns text around or is not seen goes into no page, and what is no text into none at all', function () {
    $this->school();
    $this->as('A-1')
        ->post('/term/closures', ['first' => '2 Mar', 'reason' => "Sto\u{202e}rm\x07\u{0}!"])
        ->assertSessionHasNoErrors();
    expect(DB::table('closures')->where('reason', 'Storm!')->count())->toBe(1);
    $this->post('/term/closures', ['first' => '3 Mar', 'reason' => "\xff"])->assertStatus(400);
    $this->call('GET', '/find', ['q' => "\xc3("])->assertStatus(400);
    $this->get('/term?first[]=x')->assertOk();
});

test('what nobody came back for is taken away at night', function () {
    $this->school();
    $folder = storage_path('app/texts');
    Illuminate\Support\Facades\File::ensureDirectoryExists($folder);
    file_put_contents("$folder/old.txt", 'x');
    touch("$folder/old.txt", time() - 3 * 86400);
    file_put_contents("$folder/new.txt", 'x');
    $id = DB::table('people')->value('id');
    foreach ([61, 59] as $days) {
        DB::table('sign_ins')->insert([
            'person_id' => $id,
            'began_at' => now(),
            'seen_at' => now()->subDays($days),
        ]);
    }
    Illuminate\Support\Facades\Artisan::call('nomada:tidy');
    expect([is_file("$folder/old.txt"), is_file("$folder/new.txt")])->toBe([false, true]);
    expect(DB::table('sign_ins')->count())->toBe(1);
    unlink("$folder/new.txt");
});

test('two copies on one machine keep nothing for each other', function () {
    $own = (string) getenv('DB_DATABASE');
    $folders = array_map(function (string $database): string {
        putenv("DB_DATABASE=$database");
        $_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = $database;
        $config = require config_path('cache.php');

        return $config['stores']['file']['path'];
    }, ['nomada_other', $own]);
    expect($folders)->toBe([
        storage_path('framework/cache/data/nomada_other'),
        storage_path("framework/cache/data/$own"),
    ]);
    $kept = fn (string $folder): Illuminate\Cache\Repository => new Illuminate\Cache\Repository(
        new Illuminate\Cache\FileStore(app('files'), $folder),
    );
    $kept($folders[0])->put('school domains', ['other.example'], 60);
    expect($kept($folders[1])->get('school domains'))->toBeNull();
    $kept($folders[0])->flush();
});
