<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Registration\DecideRegistration;
use Nomada\App\Actions\Registration\RegisterRoster;
use Nomada\App\Actions\Registration\RegistrationChecks;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Letter;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Registration\Verdict;
use Tests\Support\Registering;

beforeEach(function () {
    $this->school();
    $this->standins = $this->standins();
    Artisan::call('nomada:links');
});

test(
    'a student registers, is compared, accepted, written to with link and timetable; the link opens their door alone',
    function () {
        $series = Registering::open($this);
        $this->as('S-1')
            ->get("/register/$series")
            ->assertOk()
            ->assertSee('Register for this class')
            ->assertSee('Galia Zabalo')
            ->assertSee('Your name and email address are compared with the class list.');
        Registering::as($this, 'S-1', $series)->assertRedirect("/register/$series");
        $this->get("/register/$series")->assertSee('Your registration is being checked');
        $this->get('/me')->assertSee('being checked');
        expect(JoinLink::query()->where('kind', 'personal')->count())->toBe(0);
        $this->as('T-2')
            ->get('/registration/desk')
            ->assertSee('Exact match')
            ->assertSee('same email address, same name')
            ->assertSee('Accept 1 exact match');
        Artisan::call('nomada:match', ['--section' => 'MAR', '--json' => true]);
        expect(json_decode(Artisan::output(), true)[0])
            ->toMatchArray(['verdict' => 'certain', 'account' => 'S-1'])
            ->and(json_decode(Artisan::output() ?: '[]', true))
            ->toBeArray();
        $this->post('/registration/certain')->assertSessionHas(
            'said',
            '1 registration accepted. The confirmation is sent in a minute.',
        );
        expect(Registering::of('S-1')->state->value)->toBe('accepted');
        postGoes();
        [$letter] = mailbox($this, 'S-1');
        $link = JoinLink::query()->inForce()->where('kind', 'personal')->firstOrFail();
        expect($letter->header('Subject'))
            ->toContain('You are registered for')
            ->and($letter->text())
            ->toContain($link->address())
            ->and($letter->html())
            ->toContain('href="'.$link->address())
            ->and($letter->header('To'))
            ->not->toContain('S-2')
            ->and($letter->attachments()[0]['type'])
            ->toBe('text/calendar');
        $ics = $letter->attachments()[0]['content'];
        expect($ics)->toContain('METHOD:REQUEST')->toContain('ATTENDEE')->toContain('UID:');
        // Not one secret of a link in the outbox.
        expect(json_encode(DB::table('emails')->get()))->not->toContain($link->secret);
        postGoes();
        expect(mailbox($this, 'S-1'))->toHaveCount(2);
        $this->as('S-2')
            ->get('/join/'.$link->secret)
            ->assertSee('somebody else');
    },
);

test('only what is certain, and comes from the very account, is accepted in bulk or by itself', function () {
    $series = Registering::open($this, ['accepts_certain' => 1]);
    // S-2 types S-1 in: same name, same address, but not S-1's account.
    $first = Person::query()->where('sourced_id', 'S-1')->firstOrFail();
    Registering::as($this, 'S-2', $series, $first->name(), $first->email);
    expect(Registering::of('S-2')->state->value)->toBe('waiting');
    $this->as('A-1')
        ->get('/registration/desk')
        ->assertSee('who will be registered if you accept')
        ->assertDontSee('Accept 1 exact match');
    $this->post('/registration/certain')->assertSessionHas(
        'said',
        fn ($s) => str_contains($s, 'there are no exact matches'),
    );
    expect(Registering::of('S-2')->state->value)->toBe('waiting');
    // Of two who are like one student, that student's own account is given the place.
    Registering::as($this, 'S-1', $series);
    expect(Registering::of('S-1')->state->value)
        ->toBe('accepted')
        ->and(Registering::of('S-1')->decided_by)
        ->toBeNull();
    $this->as('A-1')
        ->get('/registration/desk')
        ->assertSee('Already registered')
        ->assertSee('this student is registered already');
});

test('a decision is undone until its letter has gone, and the letter then never goes', function () {
    $series = Registering::open($this);
    Registering::as($this, 'S-1', $series);
    $id = Registering::of('S-1')->id;
    $this->as('T-2')
        ->post("/registration/$id/acceptance")
        ->assertSessionHasNoErrors();
    $link = JoinLink::query()->inForce()->where('kind', 'personal')->firstOrFail();
    $this->get('/registration/desk?show=decided')->assertSee('sent in a minute')->assertSee('Undo');
    $this->delete("/registration/$id/decision")->assertSessionHasNoErrors();
    expect(Registering::of('S-1')->state->value)
        ->toBe('waiting')
        ->and($link->refresh()->retired_at)
        ->not->toBeNull()
        ->and(Letter::query()->where('kind', 'accepted')->count())
        ->toBe(0);
    $this->post("/registration/$id/decline", ['reason' => ''])->assertSessionHasErrors('reason');
    $this->post("/registration/$id/decline", [
        'reason' => 'Use your school email address.',
    ])->assertSessionHasNoErrors();
    postGoes();
    $this->delete("/registration/$id/decision")->assertSessionHasErrors('registration');
    $this->post("/registration/$id/acceptance")->assertSessionHasErrors('registration');
    expect(Registering::of('S-1')->state->value)
        ->toBe('declined')
        ->and(mailbox($this, 'S-1')[0]->text())
        ->toContain('Use your school email address.');
    $this->as('S-1')
        ->get("/register/$series")
        ->assertSee('Reason: Use your school email address.')
        ->assertSee('Register');
});

test('a student who leaves the roster gives the seat to the next one who waits', function () {
    $series = Registering::open($this, ['seats' => 1]);
    Registering::as($this, 'S-1', $series);
    Registering::as($this, 'S-2', $series);
    expect([Registering::of('S-1')->state->value, Registering::of('S-2')->state->value])->toBe([
        'waiting',
        'queued',
    ]);
    DB::table('enrolments')
        ->where('person_id', personCalled('S-1')->id)
        ->update([
            'ends_on' => app(Nomada\App\Support\Clock::class)
                ->schoolDay()
                ->plus(-1)
                ->iso(),
        ]);
    // Nothing has followed yet; the seat is free anyway.
    expect(DecideRegistration::held($series, null))->toBe(0);
    Artisan::call('nomada:register', ['--left' => true]);
    expect([Registering::of('S-1')->state->value, Registering::of('S-2')->state->value])
        ->toBe(['withdrawn', 'waiting'])
        ->and(DB::table('registrations')->where('came_by', 'roster')->count())
        ->toBe(0);
});

test('seats are kept: who comes later is on the waiting list in order, and moves up', function () {
    $series = Registering::open($this, ['seats' => 1]);
    Registering::as($this, 'S-1', $series);
    Registering::as($this, 'S-2', $series);
    expect(Registering::of('S-1')->state->value)
        ->toBe('waiting')
        ->and(Registering::of('S-2')->state->value)
        ->toBe('queued');
    $this->as('S-2')
        ->get("/register/$series")
        ->assertSee('number 1 on the waiting list');
    $this->as('T-2')->post('/registration/'.Registering::of('S-1')->id.'/acceptance');
    $this->post('/registration/'.Registering::of('S-2')->id.'/acceptance')->assertSessionHasErrors([
        'registration' => 'The one seat is taken.',
    ]);
    $this->as('S-1')
        ->delete("/register/$series/".Registering::of('S-1')->id)
        ->assertSessionHasNoErrors();
    expect(Registering::of('S-2')->state->value)
        ->toBe('waiting')
        ->and(JoinLink::query()->inForce()->where('kind', 'personal')->count())
        ->toBe(0);
    // Somebody else's registration is not there for a student.
    $this->delete("/register/$series/".Registering::of('S-2')->id)->assertNotFound();
    $this->as('T-2')->get('/registration/desk?show=list')->assertOk();
    Registering::open($this, ['seats' => 2]);
    Registering::as($this, 'S-1', $series);
    expect(Registering::of('S-1')->state->value)->toBe('waiting');
});

test('for each session: the door opens on that day alone', function () {
    $series = Registering::open($this, ['mode' => 'each']);
    Registering::as($this, 'S-1', $series)->assertSessionHasErrors('days');
    Registering::as($this, 'S-1', $series, days: ['2027-02-10'])->assertSessionHasErrors('days');
    Registering::as($this, 'S-1', $series, days: ['2027-02-11'])->assertSessionHasNoErrors();
    $this->as('T-2')
        ->post('/registration/'.Registering::of('S-1')->id.'/acceptance')
        ->assertSessionHasNoErrors();
    $link = JoinLink::query()->inForce()->where('kind', 'personal')->firstOrFail()->secret;
    $reply = function (string $at) use ($link): string {
        Artisan::call('nomada:door', ['--link' => $link, '--at' => $at, '--person' => 'S-1', '--json' => true]);

        return json_decode(Artisan::output(), true)['reply'];
    };
    expect($reply('2027-02-09T10:00'))
        ->toBe('register-first')
        ->and($reply('2027-02-11T10:00'))
        ->not->toBe('register-first');
    postGoes();
    expect(substr_count(mailbox($this, 'S-1')[0]->attachments()[0]['content'], 'BEGIN:VEVENT'))->toBe(1);
});

test('what is shut, past or mistyped is told', function (array $mode, array $typed, string $field) {
    $series = Registering::open($this, $mode);
    $this->as('S-1')
        ->post("/register/$series", $typed + ['typed_name' => 'Galia Zabalo', 'typed_email' => 'g@marisma.example'])
        ->assertSessionHasErrors($field);
    expect(Registration::query()->count())->toBe(0);
})->with([
    [['opens_on' => '2027-03-01'], [], 'name'],
    [['closes_on' => '2027-02-08'], [], 'name'],
    [[], ['typed_name' => ''], 'typed_name'],
    [[], ['typed_email' => 'nobody'], 'typed_email'],
    [[], ['typed_email' => "a@b.example\nBcc: c@d.example"], 'typed_email'],
    [[], ['typed_email' => 'a@b.example,c@d.example'], 'typed_email'],
]);

test('a mode that contradicts itself is refused', function () {
    $series = (int) $this->section('MAR')->series()->value('series.id');
    foreach (
        [
            ['mode' => 'some'],
            ['mode' => 'once', 'opens_on' => '2027-03-02', 'closes_on' => '2027-03-01'],
            ['mode' => 'once', 'seats' => 0],
        ] as $bad
    ) {
        $this->as('T-2')
            ->put("/sections/MAR/series/$series/registering", $bad)
            ->assertSessionHasErrors();
    }
    expect($this->section('MAR')->series()->value('registering'))->toBeNull();
    // No registration by other fields of the form.
    $id = Registering::open($this);
    $this->as('S-1')->post("/register/$id", [
        'typed_name' => 'Galia Zabalo',
        'typed_email' => 'g@x.example',
        'state' => 'accepted',
        'person_id' => 1,
        'came_by' => 'roster',
    ]);
    expect(Registering::of('S-1')->state->value)
        ->toBe('waiting')
        ->and(Registering::of('S-1')->came_by)
        ->toBe('own');
});

test('the roster registers nobody where students do, and still shuts out who has left', function () {
    $series = Registering::open($this);
    Registering::as($this, 'S-1', $series);
    $this->as('A-1')->post('/registration/'.Registering::of('S-1')->id.'/acceptance');
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    expect(Registration::query()->where('state', 'accepted')->count())->toBe(1);
    DB::table('enrolments')
        ->where('person_id', Registering::of('S-1')->person_id)
        ->update(['ends_on' => '2027-02-05']);
    $this->get('/registration/desk?show=changes')->assertSee('registration withdrawn, link stopped');
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    expect(Registration::query()->where('state', 'accepted')->count())->toBe(0);
    $this->get('/registration/desk?show=changes')->assertSee('registration withdrawn, link stopped');
    expect(DB::table('audit_log')->where('words', 'like', 'no longer on the roster%')->count())->toBe(1);
});

test(
    'what was sent to another section is taken back until its letter has gone; a stuck guardian letter keeps no '.
        'decision open',
    function () {
        $series = Registering::open($this);
        Registering::open($this, [], 'SPA');
        Registering::as($this, 'S-1', $series);
        $id = Registering::of('S-1')->id;
        $this->as('A-1')
            ->post("/registration/$id/section", ['section' => 'nowhere'])
            ->assertSessionHasErrors('section');
        $this->post("/registration/$id/section", ['section' => 'STA'])->assertSessionHasErrors('section');
        $this->post("/registration/$id/section", ['section' => 'SPA'])->assertSessionHasNoErrors();
        expect(Registering::of('S-1')->series_id)->not->toBe($series);
        // The teacher who sent it may take it back, though it is another's section now.
        $this->as('T-2')
            ->delete("/registration/$id/decision")
            ->assertSessionHasNoErrors();
        expect(Registering::of('S-1')->series_id)
            ->toBe($series)
            ->and(Registering::of('S-1')->state->value)
            ->toBe('waiting');
        $this->post("/registration/$id/acceptance")->assertSessionHasNoErrors();
        Letter::query()
            ->where('kind', 'accepted')
            ->sole()
            ->update(['sent_at' => now()]);
        $this->delete("/registration/$id/decision")->assertSessionHasErrors('registration');
        expect(Registering::of('S-1')->state->value)
            ->toBe('accepted')
            ->and(Letter::query()->where('kind', 'guardian')->whereNull('sent_at')->count())
            ->toBe(1);
    },
);

test('a long queue is compared behind the page, once, and again when anything of it changes', function () {
    $series = Registering::open($this);
    // Nobody's name is like another's: what takes long is not what is tested here.
    $name = fn (int $n): string => ucfirst(strtr(substr(md5("$n"), 0, 10), '0123456789', 'ghijklmnop'));
    $people = array_map(
        fn (int $n): array => [
            'sourced_id' => "X-$n",
            'role' => 'student',
            'given_name' => $name($n),
            'family_name' => $name(-$n),
            'email' => "x$n@school.example",
            'year' => '08',
            'time_zone' => 'Europe/Madrid',
            'password' => '',
            'created_at' => now(),
            'updated_at' => now(),
        ],
        range(1, 310),
    );
    DB::table('people')->insert($people);
    DB::table('enrolments')->insert(
        DB::table('people')
            ->where('sourced_id', 'like', 'X-%')
            ->orderBy('id')
            ->limit(100)
            ->pluck('id')
            ->map(
                fn ($id) => [
                    'sourced_id' => "E-X-$id",
                    'section_id' => $this->section('MAR')->id,
                    'person_id' => $id,
                    'role' => 'student',
                ],
            )
            ->all(),
    );
    DB::table('registrations')->insert(
        DB::table('people')
            ->where('sourced_id', 'like', 'X-%')
            ->orderBy('id')
            ->get()
            ->map(
                fn ($p) => [
                    'series_id' => $series,
                    'person_id' => $p->id,
                    'state' => 'waiting',
                    'came_by' => 'own',
                    'typed_name' => "$p->given_name $p->family_name",
                    'typed_email' => $p->email,
                    'arrived_at' => now(),
                    'updated_at' => now(),
                ],
            )
            ->all(),
    );
    cache()->flush();
    DB::table('jobs')->delete();
    $this->as('A-1')
        ->get('/registration/desk')
        ->assertOk()
        ->assertSee('Comparing 310 registrants')
        ->assertDontSee('Accept all');
    $this->get('/registration/desk?verdict=unknown')->assertSee('registrants with the rosters');
    expect(DB::table('jobs')->count())->toBe(1);
    $this->work();
    $this->get('/registration/desk')->assertSee('Accept all 100 exact matches')->assertSee('All 310');
    $this->get('/registration/desk?verdict=unknown')->assertSee($name(150))->assertDontSee('being compared');
    // A decision changes the queue: it is compared again, here and now for anybody who does not want to wait.
    $this->post(
        '/registration/'.DB::table('registrations')->where('state', 'waiting')->value('id').'/acceptance',
    );
    $this->get('/registration/desk')->assertSee('Comparing 309 registrants');
    $this->get('/registration/desk?now=1')->assertSee('All 309');
    $this->get('/registration/desk')->assertSee('All 309');
});

test(
    'a decision whose letter has gone is not undone because another copy of it still waits; nor is an older letter of '.
        'the same registration in the way',
    function () {
        $series = Registering::open($this);
        Registering::as($this, 'S-1', $series);
        $id = Registering::of('S-1')->id;
        $this->as('A-1')->post("/registration/$id/acceptance");
        postGoes();
        $link = JoinLink::query()->inForce()->where('kind', 'personal')->value('id');
        $this->post("/sections/MAR/series/$series/letters/$link")->assertSessionHas(
            'said',
            'Link and timetable are being sent to Galia Zabalo again.',
        );
        $this->get('/registration/desk?show=decided')->assertDontSee('sent in a minute');
        $this->delete("/registration/$id/decision")->assertSessionHasErrors();
        expect(Registering::of('S-1')->state->value)
            ->toBe('accepted')
            ->and(Letter::query()->whereNull('sent_at')->where('kind', 'accepted')->count())
            ->toBe(1);
    },
);

test('a freed seat goes to the next who still belongs, and certain ones into the class', function () {
    $series = Registering::open($this, ['accepts_certain' => 1, 'seats' => 1]);

    Registering::as($this, 'S-1', $series);
    expect(Registering::of('S-1')->state->value)->toBe('accepted');
    Registering::as($this, 'S-2', $series);
    Registering::as($this, 'S-3', $series);
    expect([Registering::of('S-2')->state->value, Registering::of('S-3')->state->value])->toBe([
        'queued',
        'queued',
    ]);
    // S-1 leaves; so has S-2, who waits. The seat is S-3's, who is certain.
    $leaves = fn (string $who, string $last) => DB::table('enrolments')
        ->where('person_id', personCalled($who)->id)
        ->update(['ends_on' => $last]);
    $leaves('S-1', '2027-02-01');
    $leaves('S-2', '2027-02-02');
    app(RegisterRoster::class)(
        Section::query()
            ->with(['term.school', 'term.closures', 'series'])
            ->where('sourced_id', 'MAR')
            ->firstOrFail(),
    );
    expect([
        Registering::of('S-1')->state->value,
        Registering::of('S-2')->state->value,
        Registering::of('S-3')->state->value,
    ])->toBe(['withdrawn', 'withdrawn', 'accepted']);
    expect(JoinLink::query()->inForce()->where('kind', 'personal')->pluck('person_id')->all())->toBe([
        personCalled('S-3')->id,
    ]);
});

test('more seats let certain ones in, and others wait to be looked at', function () {
    $series = Registering::open($this, ['accepts_certain' => 1, 'seats' => 1]);
    Registering::as($this, 'S-1', $series);
    Registering::as($this, 'S-3', $series);
    Registering::as($this, 'S-2', $series, 'Somebody Else', 'other@elsewhere.example');
    $this->as('T-2')
        ->put("/sections/MAR/series/$series/registering", ['mode' => 'once', 'accepts_certain' => 1, 'seats' => 3])
        ->assertSessionHasNoErrors();
    expect([Registering::of('S-3')->state->value, Registering::of('S-2')->state->value])->toBe([
        'accepted',
        'waiting',
    ]);
});

test('who comes to a shared series by its other section is on its roster', function () {
    $series = Registering::open($this);
    $other = Section::query()->where('sourced_id', 'STA')->firstOrFail();
    $this->as('A-1')
        ->post('/sections/MAR/series/'.$series.'/sections', ['share' => 'STA'])
        ->assertSessionHasNoErrors();
    DB::table('enrolments')->insert([
        'sourced_id' => 'E-99',
        'section_id' => $other->id,
        'person_id' => personCalled('S-4')->id,
        'role' => 'student',
    ]);
    Registering::as($this, 'S-4', $series);
    $finding = app(RegistrationChecks::class)->findings(
        Registration::query()
            ->with(['series.section', 'person'])
            ->where('state', 'waiting')
            ->get(),
    )[Registering::of('S-4')->id];
    expect($finding->verdict)->toBe(Verdict::Certain);
    $this->get('/registration/desk')->assertDontSee('another section');
});

test('what was sent is the receiving teacher\'s, and not the sender\'s any more', function () {
    $series = Registering::open($this);
    Registering::open($this, [], 'SPA');
    Registering::as($this, 'S-4', $series);
    $id = Registering::of('S-4')->id;
    $this->as('T-1')
        ->post("/registration/$id/acceptance")
        ->assertForbidden();
    $this->as('T-2')
        ->post("/registration/$id/section", ['section' => 'SPA'])
        ->assertSessionHasNoErrors();
    foreach (['acceptance', 'decline', 'section'] as $act) {
        $this->as('T-2')
            ->post("/registration/$id/$act")
            ->assertForbidden();
    }
    $this->delete("/registration/$id")->assertForbidden();
    $this->as('T-1')
        ->delete("/registration/$id/decision")
        ->assertForbidden();
    $this->post("/registration/$id/acceptance")->assertSessionHasNoErrors();
    expect(Registering::of('S-4')->state->value)->toBe('accepted');
});

test('the desk says whose account typed, wherever that is not plain', function () {
    $series = Registering::open($this);
    Registering::as($this, 'S-2', $series, 'Nerea Couto', 'nerea@elsewhere.example');
    Registering::as($this, 'S-3', $series);
    $this->as('T-2')
        ->get('/registration/desk')
        ->assertSee('entered from the account of Rui Mestre, who will be registered if you accept')
        ->assertDontSee('the account of Teo Kallas');
});
