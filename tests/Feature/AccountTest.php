<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Nomada\App\Models\Account\AccountPass;
use Nomada\App\Models\Account\SignIn;
use Nomada\App\Post\PostOffice;
use Nomada\App\Support\Setting;
use Nomada\Core\Account\Totp;
use Nomada\Standins\MimeMessage;

const NEW_PASSWORD = 'tide pools at noon';

beforeEach(function () {
    $this->standins = $this->standins();
    $this->school();
    Cache::flush();
    config(['nomada.demo' => false]);
});

/** The link in the last letter to somebody. */
function linkFor($test, string $who): string
{
    app(PostOffice::class)->sendLeft(0);
    $letters = $test->standins->get('/post/people/'.rawurlencode((string) personCalled($who)->email))['letters'];
    preg_match('#(/account/passes/\S+)#', (new MimeMessage($letters[0]))->text(), $m);

    return $m[1] ?? '';
}

function setsPassword($test, string $link, string $password = NEW_PASSWORD, ?string $again = null)
{
    return $test->post($link, ['password' => $password, 'again' => $again ?? $password]);
}

function signsIn($test, string $who, string $password = NEW_PASSWORD)
{
    return $test->post('/sign-in', ['email' => $who, 'password' => $password]);
}

test('an invitation sets a password once, by a letter that goes to that person', function () {
    $this->as('A-1')
        ->get('/accounts?role=teacher')
        ->assertSee('not invited yet')
        ->assertSee('Invite the 2 people left');
    $this->post('/people/T-2/invitation')->assertSessionHas('said');
    $this->get('/accounts?role=teacher')->assertSee('invited, until')->assertSee('Invite the 1 person left');
    $link = linkFor($this, 'T-2');
    auth()->logout();
    $this->get($link)
        ->assertOk()
        ->assertSee('you will sign in as '.personCalled('T-2')->email);
    // Not without its signature, nor for somebody else.
    $this->get(preg_replace('/signature=./', 'signature=x', $link))->assertForbidden();
    $this->get(
        preg_replace('#passes/\d+#', 'passes/1'.AccountPass::query()->value('id'), $link),
    )->assertForbidden();
    setsPassword($this, $link, 'short')->assertSessionHasErrors([
        'password' => 'Use at least 10 characters. A few words are easy to remember.',
    ]);
    setsPassword($this, $link, 'basketball1')->assertSessionHasErrors('password');
    setsPassword($this, $link, NEW_PASSWORD, 'something else')->assertSessionHasErrors('again');
    setsPassword($this, $link)->assertRedirect('/sign-in');
    setsPassword($this, $link, 'another one of mine')->assertSessionHasErrors('password');
    $this->get($link)->assertSee('This link has expired or has been used');
    signsIn($this, (string) personCalled('T-2')->email)->assertRedirect('/today');
    expect(auth()->id())->toBe(personCalled('T-2')->id);
    $this->as('A-1')->get('/accounts?role=teacher')->assertSee('password since')->assertSee('Last signed in');
});

test('a link ends after 72 hours, and with a newer password', function () {
    $this->as('A-1')->post('/people/T-2/invitation');
    $this->post('/people/T-2/invitation');
    [$first, $second] = AccountPass::query()->orderBy('id')->get()->map->address()->all();
    auth()->logout();
    setsPassword($this, $second)->assertRedirect('/sign-in');
    setsPassword($this, $first, 'another one of mine')->assertSessionHasErrors('password');
    $pass = AccountPass::query()->create([
        'person_id' => personCalled('T-1')->id,
        'kind' => 'reset',
        'sent_to' => personCalled('T-1')->email,
        'expires_at' => now()->addHours(72),
    ]);
    $link = $pass->address();
    $this->travel(71)->hours();
    $this->get($link)->assertSee('Set your password');
    $this->travel(2)->hours();
    $this->get($link)->assertForbidden();
});

test('whoever is left of a role is invited at once, and nobody twice', function () {
    $this->as('A-1')
        ->post('/accounts/invitations', ['role' => 'student'])
        ->assertSessionHas('said', '4 people invited by email.');
    $this->post('/accounts/invitations', ['role' => 'student'])->assertSessionHas(
        'said',
        'Everybody has a password or an invitation.',
    );
    $this->post('/accounts/invitations', ['role' => 'nobody'])->assertSessionHasErrors('role');
    expect(DB::table('emails')->where('kind', 'invitation')->count())->toBe(4);
    $this->post('/people/S-1/disabled');
    $this->post('/people/S-1/invitation')->assertSessionHasErrors('person');
    // Without an address it is handed over.
    personCalled('S-2')->update(['email' => null]);
    $this->post('/people/S-2/invitation')->assertSessionHas('link');
    $this->get('/accounts?role=guardian')->assertOk();
});

test('people who share an address are each written to, and told what they sign in by', function () {
    $shared = (string) personCalled('S-1')->email;
    DB::table('people')->where('sourced_id', 'S-2')->update(['email' => mb_strtoupper($shared)]);
    $this->post('/sign-in/forgotten', ['email' => $shared])->assertSessionHasNoErrors();
    $this->work();
    $letters = DB::table('emails')->where('kind', 'reset')->pluck('person_id');
    expect($letters->sort()->values()->all())->toBe([personCalled('S-1')->id, personCalled('S-2')->id]);
    postGoes();
    $words = implode("\n", array_map(fn ($m): string => $m->text(), mailbox($this, 'S-1')));
    expect($words)->toContain('sign in as S-1')->toContain('sign in as S-2');
});

test('a forgotten password: the same answer for whomever, and a letter to whom the school knows', function () {
    $answers = [];
    foreach ([(string) personCalled('T-2')->email, 'nobody@elsewhere.example', "x'; --"] as $typed) {
        $answers[] = $this->post('/sign-in/forgotten', ['email' => $typed])
            ->assertRedirect('/sign-in')
            ->getSession()
            ->get('said');
    }
    expect(array_unique($answers))->toHaveCount(1);
    $this->work();
    expect(DB::table('emails')->where('kind', 'reset')->pluck('person_id')->all())->toBe([
        personCalled('T-2')->id,
    ]);
    $link = linkFor($this, 'T-2');
    signsIn($this, 'T-2', 'whatever it was');
    setsPassword($this, $link)->assertRedirect('/sign-in');
    signsIn($this, 'T-2')->assertRedirect('/today');
    $this->post('/sign-out');
    $this->post('/sign-in/forgotten', ['email' => ''])->assertSessionHasErrors('email');
});

test('known and unknown get one answer, and only what fails is bounded', function () {
    foreach (['T-1', 'T-2'] as $who) {
        personCalled($who)
            ->forceFill(['password' => NEW_PASSWORD, 'password_set_at' => now()])
            ->save();
    }
    $email = (string) personCalled('T-2')->email;
    $words = fn (): string => session()->get('errors')->first('email');
    signsIn($this, $email, 'not this one')->assertSessionHasErrors('email');
    $known = $words();
    signsIn($this, 'nobody@elsewhere.example', 'not this one')->assertSessionHasErrors('email');
    expect($words())->toBe($known);
    for ($n = 0; $n < 9; $n++) {
        signsIn($this, $email, 'not this one')->assertSessionHasErrors('email');
    }
    // From there, in whatever spelling, not even with the right one; from elsewhere its owner gets in.
    signsIn($this, mb_strtoupper($email))->assertStatus(429);
    $this->withServerVariables(['REMOTE_ADDR' => '10.9.8.7']);
    signsIn($this, $email)->assertRedirect('/today');
    $this->post('/sign-out');
    // Guessed from many places it is barred anywhere, but not in the browser in which its owner has signed in before.
    $check = app(Nomada\App\Actions\Account\CheckPassword::class);
    for ($n = 0; $n < 50; $n++) {
        $check($email, 'x', "10.2.2.$n");
    }
    signsIn($this, $email)->assertStatus(429);
    $this->withCookie('known_here', (string) personCalled('T-2')->id);
    signsIn($this, $email)->assertRedirect('/today');
    $this->post('/sign-out');
    // There its own wrong ones count.
    for ($n = 0; $n < 10; $n++) {
        signsIn($this, $email, 'not this one')->assertSessionHasErrors('email');
    }
    signsIn($this, $email)->assertStatus(429);
});

test('a whole school arrives from one address, and 200 wrong passwords there shut out nobody', function () {
    personCalled('T-1')
        ->forceFill(['password' => NEW_PASSWORD, 'password_set_at' => now()])
        ->save();
    $check = app(Nomada\App\Actions\Account\CheckPassword::class);
    for ($n = 0; $n < 250; $n++) {
        $check("guess-$n", 'x', '127.0.0.1');
    }
    for ($n = 0; $n < 150; $n++) {
        signsIn($this, "pupil-$n", 'not this one')->assertSessionHasErrors('email');
    }
    signsIn($this, 'T-1')->assertRedirect('/today');
    $this->post('/sign-out');
    // Guessing at one account is stopped sooner.
    foreach ([1, 2, 3] as $n) {
        signsIn($this, 'T-2', 'not this one')->assertSessionHasErrors('email');
    }
    signsIn($this, 'T-2')->assertStatus(429);
    // Ninety at one door within seconds, none of them signed in yet.
    Artisan::call('nomada:links');
    $link = Nomada\App\Models\Joining\JoinLink::query()->where('kind', 'series')->firstOrFail();
    for ($n = 0; $n < 90; $n++) {
        $this->get($link->address())->assertRedirect('/sign-in');
    }
});

test(
    'a link to set a password ends with the email address it went to, and when its owner is disabled',
    function () {
        $this->as('A-1')->post('/people/T-2/invitation');
        $link = linkFor($this, 'T-2');
        $email = personCalled('T-2')->email;
        personCalled('T-2')->update(['email' => 'elsewhere@school.example']);
        auth()->logout();
        setsPassword($this, $link)->assertSessionHasErrors('password');
        personCalled('T-2')->update(['email' => $email]);
        $signIn = SignIn::query()->create([
            'person_id' => personCalled('T-2')->id,
            'began_at' => now(),
            'seen_at' => now(),
        ]);
        $this->as('A-1')->post('/people/T-2/disabled');
        $this->delete('/people/T-2/disabled');
        auth()->logout();
        // Enabled again: neither the link nor the sign-in of before is revived.
        setsPassword($this, $link)->assertSessionHasErrors('password');
        expect($signIn->fresh()->ended_at)->not->toBeNull();
    },
);

test('asking for a new password again and again sends one email, and the newest link is the only one', function () {
    $email = (string) personCalled('T-2')->email;
    $invite = app(Nomada\App\Actions\Account\InvitePeople::class);
    foreach (range(1, 30) as $n) {
        $invite->reset($email);
    }
    expect(DB::table('emails')->where('kind', 'reset')->count())->toBe(1);
    $this->travel(6)->minutes();
    $invite->reset($email);
    $passes = AccountPass::query()->with('person')->orderBy('id')->get();
    expect($passes->map->isOpen()->all())->toBe([false, true]);
});

test('a sign-in that was begun with the old password does not finish after the change', function () {
    $me = personCalled('T-2');
    $me->forceFill([
        'password' => NEW_PASSWORD,
        'totp_secret' => 'GEZDGNBVGY3TQOJQ',
        'totp_set_at' => now(),
    ])->save();
    signsIn($this, 'T-2')->assertRedirect('/sign-in/code');
    $me->forceFill(['password' => 'another one of mine'])->save();
    $code = Totp::of('GEZDGNBVGY3TQOJQ')->code(time());
    $this->post('/sign-in/code', ['code' => $code])->assertRedirect('/sign-in');
    expect(auth()->check())->toBeFalse();
});

test('an address in X-Forwarded-For is believed from a named proxy only', function () {
    $seen = function (): string {
        personCalled('T-2')
            ->forceFill(['password' => NEW_PASSWORD, 'password_set_at' => now()])
            ->save();
        $this->withHeaders(['X-Forwarded-For' => '203.0.113.9']);
        signsIn($this, 'T-2');

        return (string) SignIn::query()->latest('id')->value('address');
    };
    expect($seen())->toBe('127.0.0.1');
    Illuminate\Http\Middleware\TrustProxies::at('127.0.0.1');
    $this->post('/sign-out');
    expect($seen())->toBe('203.0.113.9');
    Illuminate\Http\Middleware\TrustProxies::at('');
});

test('the time of signing in does not tell who is known', function () {
    config(['hashing.bcrypt.rounds' => 6]);
    $check = app(Nomada\App\Actions\Account\CheckPassword::class);
    DB::table('people')
        ->where('sourced_id', 'T-2')
        ->update(['password' => Hash::make(NEW_PASSWORD, ['rounds' => 6])]);
    $check('warm-up', 'x', '1');
    $times = [];
    for ($n = 0; $n < 100; $n++) {
        foreach (['T-2', "nobody-$n"] as $is => $who) {
            $began = hrtime(true);
            $check($who, 'not this one', "from $n");
            $times[] = [hrtime(true) - $began, $is];
        }
    }
    // Mann-Whitney: how the ranks of the one kind lie among all.
    sort($times);
    $sum = array_sum(array_map(fn (int $rank): int => $times[$rank][1] === 0 ? $rank + 1 : 0, array_keys($times)));
    $z = abs($sum - (100 * 101) / 2 - (100 * 100) / 2) / sqrt((100 * 100 * 201) / 12);
    expect($z)->toBeLessThan(5.0);
});

test(
    'a second factor: set up, asked for, each code once, codes on paper, and taken away by its owner',
    function () {
        config(['nomada.second_factor' => true]);
        personCalled('A-1')
            ->forceFill(['password' => NEW_PASSWORD, 'password_set_at' => now()])
            ->save();
        signsIn($this, 'A-1')->assertRedirect('/');
        // Nothing before it is set up.
        $this->get('/term')->assertRedirect('/account');
        $this->getJson('/find?q=mar')->assertForbidden();
        $this->get('/account')->assertSee('Coordinators need two-step sign-in.');
        // Setting it up asks for the password once more.
        $this->post('/account/second-factor', ['own_password' => 'wrong'])->assertSessionHasErrors('own_password');
        expect(personCalled('A-1')->totp_secret)->toBeNull();
        $this->post('/account/second-factor', ['own_password' => NEW_PASSWORD])->assertRedirect('/account');
        $this->put('/account/second-factor', ['code' => '000000'])->assertSessionHasErrors('code');
        $this->get('/account/codes')->assertRedirect('/account');
        $totp = fn (): Totp => Totp::of((string) personCalled('A-1')->totp_secret);
        // One moment for all: half a minute may end while this runs, and a code with it.
        $at = time();
        $this->put('/account/second-factor', ['code' => $totp()->code($at)])->assertRedirect('/account/codes');
        $codes = session('codes');
        $this->get('/account/codes')->assertSee($codes[0])->assertSee($codes[9]);
        $this->get('/term')->assertOk();
        // Once it is on it cannot be set up again, with whatever code.
        $this->put('/account/second-factor', ['code' => $totp()->code($at + 30)])->assertSessionHasErrors('code');
        $this->post('/sign-out');
        // The password alone is half.
        signsIn($this, 'A-1')->assertRedirect('/sign-in/code');
        expect(auth()->check())->toBeFalse();
        $this->get('/term')->assertRedirect('/sign-in');
        $this->get('/sign-in/code')->assertSee('Two-step sign-in');
        $this->post('/sign-in/code', ['code' => '123456'])->assertSessionHasErrors('code');
        // The code that set it up is used; the next counts.
        $this->post('/sign-in/code', ['code' => $totp()->code($at)])->assertSessionHasErrors('code');
        $this->post('/sign-in/code', ['code' => $totp()->code($at + 30)])->assertRedirect('/term');
        expect(auth()->id())->toBe(personCalled('A-1')->id);
        $this->post('/sign-out');
        signsIn($this, 'A-1');
        $this->post('/sign-in/code', ['code' => strtoupper($codes[3])])->assertRedirect('/');
        $this->get('/account')->assertSee('9 recovery codes are left');
        $this->post('/sign-out');
        signsIn($this, 'A-1');
        $this->post('/sign-in/code', ['code' => $codes[3]])->assertSessionHasErrors('code');
        foreach (range(1, 5) as $n) {
            $this->post('/sign-in/code', ['code' => "00000$n"]);
        }
        $this->post('/sign-in/code', ['code' => $codes[4]])->assertSessionHasErrors([
            'code' => 'Too many wrong codes. Wait 15 minutes, then sign in again.',
        ]);
        Cache::flush();
        $this->post('/sign-in/code', ['code' => $codes[4]])->assertRedirect('/');
        $this->post('/account/codes', [
            'own_password' => NEW_PASSWORD,
            'own_code' => 'wrong',
        ])->assertSessionHasErrors('own_code');
        $this->post('/account/codes', ['own_code' => $codes[5]])->assertSessionHasErrors('own_password');
        $this->post('/account/codes', ['own_password' => NEW_PASSWORD, 'own_code' => $codes[5]])->assertRedirect(
            '/account/codes',
        );
        expect(session('codes'))->not->toContain($codes[6]);
        $own = fn (string $code): array => ['own_password' => NEW_PASSWORD, 'own_code' => $code];
        $this->delete('/account/second-factor', $own($codes[6]))->assertSessionHasErrors('own_code');
        $this->delete('/account/second-factor', $own(session('codes')[0] ?? ''))->assertRedirect('/account');
    },
);

test('a password is the same in whatever spelling its letters come', function () {
    $me = personCalled('T-2');
    $me->forceFill(['password' => 'ñandúes y olas', 'password_set_at' => now()])->save();
    $apart = (string) Normalizer::normalize('ñandúes y olas', Normalizer::FORM_D);
    signsIn($this, 'T-2', $apart)->assertRedirect('/today');
    $this->put('/account/password', [
        'old_password' => $apart,
        'password' => 'gaviotas al alba',
        'again' => 'gaviotas al alba',
    ])->assertSessionHasNoErrors();
    signsIn($this, 'T-2', 'gaviotas al alba');
    expect(Hash::check('gaviotas al alba', (string) $me->fresh()->password))->toBeTrue();
});

test('half a sign-in ends after ten minutes', function () {
    personCalled('T-2')
        ->forceFill(['password' => NEW_PASSWORD, 'totp_secret' => 'GEZDGNBVGY3TQOJQ', 'totp_set_at' => now()])
        ->save();
    signsIn($this, 'T-2')->assertRedirect('/sign-in/code');
    $half = session('half signed in');
    $this->withSession(['half signed in' => [$half[0], $half[1] - 601, $half[2]]])
        ->get('/sign-in/code')
        ->assertRedirect('/sign-in');
    $this->withSession(['half signed in' => [$half[0], $half[1] - 601, $half[2]]])
        ->post('/sign-in/code', ['code' => Totp::of('GEZDGNBVGY3TQOJQ')->code(time())])
        ->assertRedirect('/sign-in');
    expect(auth()->check())->toBeFalse();
});

test('one sees where one is signed in, and ends it; a changed password ends all others', function () {
    $me = personCalled('T-2');
    $me->forceFill(['password' => NEW_PASSWORD, 'password_set_at' => now(), 'remember_token' => 'before'])->save();
    signsIn($this, 'T-2');
    $here = SignIn::query()->where('person_id', $me->id)->firstOrFail();
    $there = SignIn::query()->create([
        'person_id' => $me->id,
        'browser' => 'Mozilla/5.0 (iPhone; CPU iPhone OS 17_0 like Mac OS X) Safari/604.1',
        'address' => '10.0.0.9',
        'began_at' => now(),
        'seen_at' => now(),
    ]);
    $others = SignIn::query()->create([
        'person_id' => personCalled('T-1')->id,
        'began_at' => now(),
        'seen_at' => now(),
    ]);
    $this->get('/account')->assertSee('Safari, iPhone')->assertSee('10.0.0.9')->assertSee('this device');
    $this->delete("/account/sign-ins/$others->id");
    expect($others->fresh()->ended_at)->toBeNull();
    $this->delete("/account/sign-ins/$there->id")->assertSessionHas('said', '1 device signed out.');
    expect($there->fresh()->ended_at)->not->toBeNull()->and($me->fresh()->remember_token)->not->toBe('before');
    // What is ended elsewhere is out at its next request.
    $this->get('/account')->assertOk();
    $here->update(['ended_at' => now()]);
    $this->get('/account')->assertRedirect('/sign-in');
    $this->get('/account')->assertRedirect('/sign-in');
    signsIn($this, 'T-2');
    $again = SignIn::query()->create(['person_id' => $me->id, 'began_at' => now(), 'seen_at' => now()]);
    $new = ['password' => 'another one of mine', 'again' => 'another one of mine'];
    $this->put('/account/password', ['old_password' => 'wrong', ...$new])->assertSessionHasErrors('old_password');
    $this->put('/account/password', ['old_password' => NEW_PASSWORD, ...$new])->assertRedirect('/account');
    expect($again->fresh()->ended_at)->not->toBeNull();
    $this->get('/account')->assertOk();
    $this->delete('/account/sign-ins')->assertRedirect('/account');
    $this->post('/sign-out');
    expect(SignIn::query()->where('person_id', $me->id)->whereNull('ended_at')->count())->toBe(0);
    signsIn($this, 'T-2')->assertSessionHasErrors('email');
    signsIn($this, 'T-2', 'another one of mine')->assertRedirect('/today');
});

test('a new machine gets its first coordinator, and one who has lost everything comes back', function () {
    $this->artisan('nomada:coordinator', ['address' => 'nonsense'])->assertFailed();
    Artisan::call('nomada:coordinator', [
        'address' => 'nora@new.example',
        '--given' => 'Nora',
        '--family' => 'Pardo',
    ]);
    preg_match('#(/account/passes/\S+)#', Artisan::output(), $m);
    setsPassword($this, $m[1])->assertRedirect('/sign-in');
    signsIn($this, 'nora@new.example')->assertRedirect('/');
    expect(auth()->user()->isCoordinator())->toBeTrue();
    auth()->logout();
    personCalled('T-2')
        ->forceFill(['disabled_on' => '2027-01-01', 'totp_secret' => 'GEZDGNBV', 'totp_set_at' => now()])
        ->save();
    Artisan::call('nomada:coordinator', ['address' => (string) personCalled('T-2')->email, '--lost' => true]);
    expect(personCalled('T-2')->isCoordinator())
        ->toBeTrue()
        ->and(personCalled('T-2')->disabled_on)
        ->toBeNull()
        ->and(personCalled('T-2')->hasSecondFactor())
        ->toBeFalse();
});

test('without the demo its password opens nothing, whatever was loaded before', function () {
    $demo = (string) config('nomada.demo_password');
    $me = personCalled('A-1');
    $me->forceFill(['password' => $demo, 'has_demo_password' => true])->save();
    signsIn($this, 'A-1', $demo)->assertSessionHasErrors('email');
    $this->post('/sign-in/demo', ['person' => 'A-1'])->assertNotFound();
    // Neither does a session that began in the demo.
    config(['nomada.demo' => true]);
    signsIn($this, 'A-1', $demo)->assertRedirect('/');
    $this->get('/term')->assertOk();
    config(['nomada.demo' => false]);
    auth()->forgetGuards();
    $this->get('/term')->assertRedirect('/sign-in');
    // And it goes into an empty database only.
    config(['nomada.demo' => true]);
    $before = personCalled('T-2')->password;
    $this->artisan('nomada:demo', ['--fresh' => true])->assertFailed();
    expect(personCalled('T-2')->password)->toBe($before);
});

test('a setting is yes or no, and nothing else', function () {
    foreach (['yes', 'on', 'TRUE', '1', true] as $yes) {
        expect(Setting::yes('X', $yes, false))->toBeTrue();
    }
    foreach (['no', 'Off', 'false', '0', false] as $no) {
        expect(Setting::yes('X', $no, true))->toBeFalse();
    }
    expect(Setting::yes('X', null, true))->toBeTrue()->and(Setting::yes('X', '', false))->toBeFalse();
    expect(fn () => Setting::yes('X', 'maybe', false))->toThrow(
        RuntimeException::class,
        'X is "maybe". Write yes or no.',
    );
});
