<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Registration\RegisterRoster;
use Nomada\App\Actions\Registration\RegistrationChecks;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Letter;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Registration\Verdict;
use Nomada\Standins\MimeMessage;

beforeEach(function () {
    $this->school();
    $this->standins = $this->standins();
    Artisan::call('nomada:links');
});

/** @param  array<string, mixed>  $with */
function takesRegistrations($test, array $with = [], string $section = 'MAR'): int
{
    $series = (int) $test->section($section)->series()->value('series.id');
    $test
        ->as('A-1')
        ->put("/sections/$section/series/$series/registering", $with + ['mode' => 'once'])
        ->assertSessionHasNoErrors();

    return $series;
}

function registerAs($test, string $who, int $series, ?string $name = null, ?string $email = null, array $days = [])
{
    $person = Person::query()->where('sourced_id', $who)->firstOrFail();

    return $test->as($who)->post("/register/$series", [
        'typed_name' => $name ?? $person->name(),
        'typed_email' => $email ?? $person->email,
        'days' => $days,
    ]);
}

function registrationOf(string $who): Registration
{
    return Registration::query()->whereRelation('person', 'sourced_id', $who)->orderByDesc('id')->firstOrFail();
}

test(
    'a student registers, is compared, accepted, written to with link and timetable; the link opens their door alone',
    function () {
        $series = takesRegistrations($this);
        $this->as('S-1')
            ->get("/register/$series")
            ->assertOk()
            ->assertSee('Register for this class')
            ->assertSee('Galia Zabalo')
            ->assertSee('What is checked');
        registerAs($this, 'S-1', $series)->assertRedirect("/register/$series");
        $this->get("/register/$series")->assertSee('Your registration is waiting');
        $this->get('/me')->assertSee('waiting for a decision');
        expect(JoinLink::query()->where('kind', 'personal')->count())->toBe(0);
        $this->as('T-2')
            ->get('/registration/desk')
            ->assertSee('Certain')
            ->assertSee('same address, name equal')
            ->assertSee('Accept all 1 that are certain');
        Artisan::call('nomada:match', ['--section' => 'MAR', '--json' => true]);
        expect(json_decode(Artisan::output(), true)[0])
            ->toMatchArray(['verdict' => 'certain', 'account' => 'S-1'])
            ->and(json_decode(Artisan::output() ?: '[]', true))
            ->toBeArray();
        $this->post('/registration/certain')->assertSessionHas(
            'said',
            '1 registration accepted; the confirmations go in a minute.',
        );
        expect(registrationOf('S-1')->state)->toBe('accepted');
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
        expect(json_encode(DB::table('letters')->get()))->not->toContain($link->secret);
        postGoes();
        expect(mailbox($this, 'S-1'))->toHaveCount(2);
        $this->as('S-2')
            ->get('/join/'.$link->secret)
            ->assertSee('somebody else');
    },
);

test('only what is certain, and comes from the very account, is accepted in bulk or by itself', function () {
    $series = takesRegistrations($this, ['accepts_certain' => 1]);
    // S-2 types S-1 in: same name, same address, but not S-1's account.
    $first = Person::query()->where('sourced_id', 'S-1')->firstOrFail();
    registerAs($this, 'S-2', $series, $first->name(), $first->email);
    expect(registrationOf('S-2')->state)->toBe('waiting');
    $this->as('A-1')
        ->get('/registration/desk')
        ->assertSee('typed from the account of')
        ->assertDontSee('that are certain');
    $this->post('/registration/certain')->assertSessionHas(
        'said',
        fn ($s) => str_contains($s, 'nothing in the queue is certain'),
    );
    expect(registrationOf('S-2')->state)->toBe('waiting');
    // Of two who are like one student, that student's own account is given the place.
    registerAs($this, 'S-1', $series);
    expect(registrationOf('S-1')->state)->toBe('accepted')->and(registrationOf('S-1')->decided_by)->toBeNull();
    $this->as('A-1')
        ->get('/registration/desk')
        ->assertSee('Already registered')
        ->assertSee('this student is registered already');
});

test('a decision is undone until its letter has gone, and the letter then never goes', function () {
    $series = takesRegistrations($this);
    registerAs($this, 'S-1', $series);
    $id = registrationOf('S-1')->id;
    $this->as('T-2')
        ->post("/registration/$id/acceptance")
        ->assertSessionHasNoErrors();
    $link = JoinLink::query()->inForce()->where('kind', 'personal')->firstOrFail();
    $this->get('/registration/desk?show=decided')->assertSee('goes in a minute')->assertSee('Undo');
    $this->delete("/registration/$id/decision")->assertSessionHasNoErrors();
    expect(registrationOf('S-1')->state)
        ->toBe('waiting')
        ->and($link->refresh()->retired_at)
        ->not->toBeNull()
        ->and(Letter::query()->where('kind', 'accepted')->count())
        ->toBe(0);
    $this->post("/registration/$id/decline", ['reason' => ''])->assertSessionHasErrors('reason');
    $this->post("/registration/$id/decline", ['reason' => 'Use your school address.'])->assertSessionHasNoErrors();
    postGoes();
    $this->delete("/registration/$id/decision")->assertSessionHasErrors('registration');
    $this->post("/registration/$id/acceptance")->assertSessionHasErrors('registration');
    expect(registrationOf('S-1')->state)
        ->toBe('declined')
        ->and(mailbox($this, 'S-1')[0]->text())
        ->toContain('Use your school address.');
    $this->as('S-1')
        ->get("/register/$series")
        ->assertSee('Because: Use your school address.')
        ->assertSee('Register');
});

test('seats are kept: who comes later is on the waiting list in order, and moves up', function () {
    $series = takesRegistrations($this, ['seats' => 1]);
    registerAs($this, 'S-1', $series);
    registerAs($this, 'S-2', $series);
    expect(registrationOf('S-1')->state)->toBe('waiting')->and(registrationOf('S-2')->state)->toBe('queued');
    $this->as('S-2')
        ->get("/register/$series")
        ->assertSee('number 1 on the waiting list');
    $this->as('T-2')->post('/registration/'.registrationOf('S-1')->id.'/acceptance');
    $this->post('/registration/'.registrationOf('S-2')->id.'/acceptance')->assertSessionHasErrors([
        'registration' => 'The one seat is taken.',
    ]);
    $this->as('S-1')
        ->delete("/register/$series/".registrationOf('S-1')->id)
        ->assertSessionHasNoErrors();
    expect(registrationOf('S-2')->state)
        ->toBe('waiting')
        ->and(JoinLink::query()->inForce()->where('kind', 'personal')->count())
        ->toBe(0);
    // Somebody else's registration is not there for a student.
    $this->delete("/register/$series/".registrationOf('S-2')->id)->assertNotFound();
    $this->as('T-2')->get('/registration/desk?show=list')->assertOk();
    takesRegistrations($this, ['seats' => 2]);
    registerAs($this, 'S-1', $series);
    expect(registrationOf('S-1')->state)->toBe('waiting');
});

test('for each session: the door opens on that day alone', function () {
    $series = takesRegistrations($this, ['mode' => 'each']);
    registerAs($this, 'S-1', $series)->assertSessionHasErrors('days');
    registerAs($this, 'S-1', $series, days: ['2027-02-10'])->assertSessionHasErrors('days');
    registerAs($this, 'S-1', $series, days: ['2027-02-11'])->assertSessionHasNoErrors();
    $this->as('T-2')
        ->post('/registration/'.registrationOf('S-1')->id.'/acceptance')
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
    $series = takesRegistrations($this, $mode);
    $this->as('S-1')
        ->post("/register/$series", $typed + ['typed_name' => 'Galia Zabalo', 'typed_email' => 'g@marisma.example'])
        ->assertSessionHasErrors($field);
    expect(Registration::query()->count())->toBe(0);
})->with([
    [['opens_on' => '2027-03-01'], [], 'name'],
    [['closes_on' => '2027-02-08'], [], 'name'],
    [[], ['typed_name' => ''], 'typed_name'],
    [[], ['typed_name' => "Galia\r\nBcc: all@marisma.example"], 'typed_name'],
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
    $id = takesRegistrations($this);
    $this->as('S-1')->post("/register/$id", [
        'typed_name' => 'Galia Zabalo',
        'typed_email' => 'g@x.example',
        'state' => 'accepted',
        'person_id' => 1,
        'came_by' => 'roster',
    ]);
    expect(registrationOf('S-1')->state)->toBe('waiting')->and(registrationOf('S-1')->came_by)->toBe('own');
});

test('the roster registers nobody where students do, and still shuts out who has left', function () {
    $series = takesRegistrations($this);
    registerAs($this, 'S-1', $series);
    $this->as('A-1')->post('/registration/'.registrationOf('S-1')->id.'/acceptance');
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    expect(Registration::query()->where('state', 'accepted')->count())->toBe(1);
    DB::table('enrolments')
        ->where('person_id', registrationOf('S-1')->person_id)
        ->update(['ends_on' => '2027-02-05']);
    $this->get('/registration/desk?show=changes')->assertSee('no registration left, link dead');
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    expect(Registration::query()->where('state', 'accepted')->count())->toBe(0);
    $this->get('/registration/desk?show=changes')->assertSee('no registration left, link dead');
    expect(DB::table('audit_log')->where('words', 'like', 'not on the roster any more%')->count())->toBe(1);
});

test('the words of letters are edited, checked and go back; what people type stays text', function () {
    $this->as('A-1')
        ->get('/registration/letters')
        ->assertOk()
        ->assertSee('As it would read')
        ->assertSee('You are registered for Y8 Marine Science');
    $this->put('/registration/letters/accepted/en', [
        'subject' => 'Hi',
        'text' => 'No way in',
    ])->assertSessionHasErrors('text');
    $this->put('/registration/letters/accepted/en', [
        'subject' => 'Hi {mother}',
        'text' => '{link}',
    ])->assertSessionHasErrors('text');
    $this->put('/registration/letters/accepted/en', [
        'subject' => "Hi\r\nBcc: x@y.example",
        'text' => '{link}',
    ])->assertSessionHasErrors('subject');
    $this->put('/registration/letters/nothing/en', ['subject' => 'Hi', 'text' => '{link}'])->assertNotFound();
    $this->put('/registration/letters/accepted/en', [
        'subject' => 'Welcome to {class}',
        'text' => "Hello {name}, <b>come in</b>:\n{link}",
    ])->assertSessionHasNoErrors();
    $series = takesRegistrations($this);
    registerAs($this, 'S-1', $series);
    $this->as('A-1')->post('/registration/'.registrationOf('S-1')->id.'/acceptance');
    postGoes();
    expect(mailbox($this, 'S-1')[0]->header('Subject'))
        ->toStartWith('Welcome to ')
        ->and(mailbox($this, 'S-1')[0]->html())
        ->toContain('&lt;b&gt;come in');
    $this->as('A-1')->delete('/registration/letters/accepted/en');
    $this->get('/registration/letters')->assertSee('You are registered for {class}');
});

test('a post office that is shut loses nothing: the letter says why, and goes later, once', function () {
    $series = takesRegistrations($this);
    registerAs($this, 'S-1', $series);
    $this->standins->behave('post', ['failures' => 1, 'words' => 'The sorting room is flooded.']);
    postGoes();
    expect(Letter::query()->sole()->trouble)
        ->toContain('The sorting room is flooded.')
        ->and(mailbox($this, 'S-1'))
        ->toBe([]);
    $this->as('A-1')
        ->get('/registration/letters')
        ->assertSee('one did not go')
        ->assertSee('The sorting room is flooded.');
    postGoes();
    // As after a worker that died between sending and writing it down.
    Letter::query()
        ->sole()
        ->update(['sent_at' => null]);
    postGoes();
    expect(mailbox($this, 'S-1'))
        ->toHaveCount(1)
        ->and(Letter::query()->sole()->trouble)
        ->toBeNull();
});

test('a replaced personal link and a guest pass are written about, to that person alone', function () {
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    $old = JoinLink::query()
        ->inForce()
        ->where('kind', 'personal')
        ->whereRelation('person', 'sourced_id', 'S-1')
        ->firstOrFail();
    $path = "/sections/MAR/series/$old->series_id";
    $this->as('T-2')
        ->post("$path/replacement", ['link' => $old->id])
        ->assertSessionHasNoErrors();
    $this->post("$path/guests", [
        'guest_name' => 'Prof. Ola Brandt',
        'guest_email' => 'ola@coast.example',
        'until' => '2027-02-26',
    ])->assertSessionHasNoErrors();
    postGoes();
    expect(mailbox($this, 'S-1')[0]->text())
        ->toContain('was replaced')
        ->not->toContain($old->secret)
        ->and(mailbox($this, 'S-2'))
        ->toBe([]);
    $guest = new MimeMessage($this->standins->get('/post/people/ola%40coast.example')['letters'][0]);
    expect($guest->text())->toContain('/join/')->toContain('Fri 26 Feb');
});

test('everybody of a series is told of a change, once, with the timetable as it is now', function () {
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    $series = $this->section('MAR')->series()->firstOrFail();
    $session = $series->sessions()->where('day', '2027-02-11')->value('id');
    $this->as('A-1')
        ->post("/sections/MAR/series/$series->id/sessions/$session/cancellation", ['reason' => 'the boat is late'])
        ->assertSessionHasNoErrors();
    $change = (int) Nomada\App\Models\Timetable\SeriesChange::query()->where('series_id', $series->id)->max('id');
    $this->get('/sections/MAR')->assertSee('Tell them');
    // Its teacher, three students, and one guardian.
    $this->post("/sections/MAR/changes/$change/letters")->assertSessionHas(
        'said',
        fn ($s) => str_starts_with($s, '5 letters'),
    );
    $this->post("/sections/MAR/changes/$change/letters")->assertSessionHas(
        'said',
        'Everybody has been written to about this already.',
    );
    postGoes();
    [$letter] = mailbox($this, 'G-1');
    expect($letter->text())
        ->toContain('the boat is late')
        ->and($letter->attachments()[0]['content'])
        ->toContain('METHOD:REQUEST')
        ->toContain('EXDATE')
        ->and(mailbox($this, 'T-2'))
        ->toHaveCount(1);
    // Nothing that opens a door stands in a guardian's letter: the series link asks for an account, and no personal
    // link is there.
    foreach (JoinLink::query()->where('kind', '!=', 'series')->get() as $link) {
        expect($letter->attachments()[0]['content'])->not->toContain($link->secret);
    }
});

test(
    'what was sent to another section is taken back until its letter has gone; a stuck guardian letter keeps no '.
        'decision open',
    function () {
        $series = takesRegistrations($this);
        takesRegistrations($this, [], 'SPA');
        registerAs($this, 'S-1', $series);
        $id = registrationOf('S-1')->id;
        $this->as('A-1')
            ->post("/registration/$id/section", ['section' => 'nowhere'])
            ->assertSessionHasErrors('section');
        $this->post("/registration/$id/section", ['section' => 'STA'])->assertSessionHasErrors('section');
        $this->post("/registration/$id/section", ['section' => 'SPA'])->assertSessionHasNoErrors();
        expect(registrationOf('S-1')->series_id)->not->toBe($series);
        // The teacher who sent it may take it back, though it is another's section now.
        $this->as('T-2')
            ->delete("/registration/$id/decision")
            ->assertSessionHasNoErrors();
        expect(registrationOf('S-1')->series_id)->toBe($series)->and(registrationOf('S-1')->state)->toBe('waiting');
        $this->post("/registration/$id/acceptance")->assertSessionHasNoErrors();
        Letter::query()
            ->where('kind', 'accepted')
            ->sole()
            ->update(['sent_at' => now()]);
        $this->delete("/registration/$id/decision")->assertSessionHasErrors('registration');
        expect(registrationOf('S-1')->state)
            ->toBe('accepted')
            ->and(Letter::query()->where('kind', 'guardian')->whereNull('sent_at')->count())
            ->toBe(1);
    },
);

test(
    'everybody of a series is written to once with their own link: students, guardians, teachers; one of them again',
    function () {
        Artisan::call('nomada:register', ['--section' => ['MAR']]);
        $path = '/sections/MAR/series/'.$this->section('MAR')->series()->value('series.id');
        $this->as('T-2')
            ->post("$path/letters")
            ->assertSessionHas('said', '5 letters go out with link and timetable.');
        $this->post("$path/letters")->assertSessionHas('said', 'Everybody has link and timetable already.');
        postGoes();
        $own = fn (string $who): JoinLink => JoinLink::query()
            ->inForce()
            ->whereRelation('person', 'sourced_id', $who)
            ->firstOrFail();
        expect(mailbox($this, 'S-1')[0]->text())
            ->toContain($own('S-1')->address())
            ->not->toContain($own('S-2')->secret)
            ->and(mailbox($this, 'G-1')[0]->text())
            ->not->toContain('/join/')
            ->and(mailbox($this, 'G-1')[0]->attachments()[0]['content'])
            ->toContain('METHOD:REQUEST')
            ->and(mailbox($this, 'T-2')[0]->text())
            ->toContain(
                JoinLink::query()
                    ->inForce()
                    ->where('kind', 'host')
                    ->whereRelation('series.section', 'sourced_id', 'MAR')
                    ->firstOrFail()
                    ->address(),
            );
        $this->as('T-2')
            ->post("$path/letters/{$own('S-2')->id}")
            ->assertSessionHas('said', 'Rui Mestre gets link and timetable again.');
        postGoes();
        expect(mailbox($this, 'S-2'))->toHaveCount(2)->and(mailbox($this, 'S-1'))->toHaveCount(1);
        // A replaced link is written about by itself; then nobody is left to write to.
        $this->post("$path/replacement", ['link' => $own('S-2')->id]);
        $this->post("$path/letters")->assertSessionHas('said', 'Everybody has link and timetable already.');
        $this->post("$path/letters/{$own('S-1')->id}");
        $this->as('T-1')
            ->post("$path/letters/{$own('S-1')->id}")
            ->assertForbidden();
        $this->as('T-2')
            ->post("$path/letters/0")
            ->assertNotFound();
    },
);

test(
    'rosters are registered and written to in one go, and a job that is done again writes to nobody twice',
    function () {
        $this->as('A-1')
            ->post('/registration/rosters', ['sections' => ['MAR', 'SPA'], 'write' => 1])
            ->assertSessionHas(
                'said',
                fn ($s) => str_contains($s, 'letters with link and timetable are being written'),
            );
        $this->work();
        $n = Letter::query()->count();
        // Four students, one guardian, two teachers.
        expect($n)->toBe(7);
        (new Nomada\App\Post\WriteInvitations([$this->section('MAR')->id]))->handle(
            app(Nomada\App\Post\Letters::class),
        );
        expect(Letter::query()->count())->toBe($n);
    },
);

test('a deleted series is taken out of everybody\'s calendar by post, and not where it was put back', function () {
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    $series = $this->section('MAR')->series()->firstOrFail();
    $this->as('A-1')->delete("/sections/MAR/series/$series->id");
    $change = (int) DB::table('series_changes')->orderByDesc('id')->value('id');
    $this->post("/sections/MAR/changes/$change/letters")->assertSessionHas(
        'said',
        fn ($s) => str_starts_with($s, '5 letters'),
    );
    postGoes();
    [$letter] = mailbox($this, 'S-1');
    $calendar = Sabre\VObject\Reader::read($letter->attachments()[0]['content']);
    expect($letter->text())
        ->toContain('is not held any more')
        ->and((string) $calendar->METHOD)
        ->toBe('CANCEL')
        ->and((string) $calendar->VEVENT->UID)
        ->toBe($series->uid)
        ->and((int) (string) $calendar->VEVENT->SEQUENCE)
        ->toBe($series->sequence + 1)
        ->and((string) $calendar->VEVENT->STATUS)
        ->toBe('CANCELLED');
    // Deleted and told, but put back before the letters go: nobody hears of it.
    $this->post("/sections/MAR/changes/$change/undoing")->assertSessionHasNoErrors();
    $this->delete("/sections/MAR/series/$series->id");
    $again = (int) DB::table('series_changes')->where('words', 'like', 'deleted%')->orderByDesc('id')->value('id');
    $this->post("/sections/MAR/changes/$again/letters");
    $this->post("/sections/MAR/changes/$again/undoing")->assertSessionHasNoErrors();
    postGoes();
    expect(mailbox($this, 'S-1'))->toHaveCount(1);
});

test(
    'a guardian stops the letters by the link in one, without signing in, and has them again; nobody else can',
    function () {
        Artisan::call('nomada:register', ['--section' => ['MAR']]);
        $path = '/sections/MAR/series/'.$this->section('MAR')->series()->value('series.id');
        $this->as('T-2')->post("$path/letters");
        postGoes();
        $letter = mailbox($this, 'G-1')[0];
        expect(preg_match('/^<(http.*)>$/', $letter->header('List-Unsubscribe'), $m))
            ->toBe(1)
            ->and($letter->header('List-Unsubscribe-Post'))
            ->toBe('List-Unsubscribe=One-Click')
            ->and($letter->text())
            ->toContain($m[1])
            ->and($letter->html())
            ->toContain(e($m[1]))
            ->and(mailbox($this, 'S-1')[0]->header('List-Unsubscribe'))
            ->toBe('')
            ->and(mailbox($this, 'T-2')[0]->text())
            ->not->toContain('No more such letters');
        auth()->logout();
        $this->get($m[1])->assertOk()->assertSee('No more such letters')->assertSee('Mar Zabalo');
        $this->get($m[1].'x')->assertForbidden();
        $student = Person::query()->where('sourced_id', 'S-1')->value('id');
        $this->get(
            Illuminate\Support\Facades\URL::signedRoute('letters.stop', ['person' => $student]),
        )->assertNotFound();
        // As a mail program presses it.
        $this->post($m[1], ['List-Unsubscribe' => 'One-Click'])
            ->assertOk()
            ->assertSee('gets no more letters');
        $reason = fn () => $this->as('A-1')
            ->post(
                "$path/sessions/".
                    DB::table('sessions')
                        ->where('day', '2027-02-18')
                        ->whereIn('series_id', $this->section('MAR')->series()->pluck('series.id'))
                        ->value('id').
                    '/cancellation',
                ['reason' => 'storm'],
            )
            ->assertSessionHasNoErrors();
        $reason();
        $change = (int) DB::table('series_changes')->orderByDesc('id')->value('id');
        $this->post("/sections/MAR/changes/$change/letters")->assertSessionHas(
            'said',
            fn ($s) => str_starts_with($s, '4 letters'),
        );
        postGoes();
        expect(mailbox($this, 'G-1'))->toHaveCount(1)->and(mailbox($this, 'S-1'))->toHaveCount(2);
        auth()->logout();
        $this->post($m[1], ['again' => 1])->assertSee('No more such letters');
        Person::query()
            ->where('sourced_id', 'G-1')
            ->update(['language' => 'es']);
        $this->get($m[1])->assertSee('No más cartas de estas')->assertSee('lang="es"', false);
        expect(Person::query()->where('sourced_id', 'G-1')->value('letters_stopped_at'))->toBeNull();
    },
);

test('a long queue is compared behind the page, once, and again when anything of it changes', function () {
    $series = takesRegistrations($this);
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
        ->assertSee('310 registrants are being compared')
        ->assertDontSee('Accept all');
    $this->get('/registration/desk?verdict=unknown')->assertSee('are being compared');
    expect(DB::table('jobs')->count())->toBe(1);
    $this->work();
    $this->get('/registration/desk')->assertSee('Accept all 100 that are certain')->assertSee('All 310');
    $this->get('/registration/desk?verdict=unknown')->assertSee($name(150))->assertDontSee('being compared');
    // A decision changes the queue: it is compared anew, here and now for whoever does not want to wait.
    $this->post(
        '/registration/'.DB::table('registrations')->where('state', 'waiting')->value('id').'/acceptance',
    );
    $this->get('/registration/desk')->assertSee('309 registrants are being compared');
    $this->get('/registration/desk?now=1')->assertSee('All 309');
    $this->get('/registration/desk')->assertSee('All 309');
});

test(
    'a decision whose letter has gone is not undone because another copy of it still waits; nor is an older letter of '.
        'the same registration in the way',
    function () {
        $series = takesRegistrations($this);
        registerAs($this, 'S-1', $series);
        $id = registrationOf('S-1')->id;
        $this->as('A-1')->post("/registration/$id/acceptance");
        postGoes();
        $link = JoinLink::query()->inForce()->where('kind', 'personal')->value('id');
        $this->post("/sections/MAR/series/$series/letters/$link")->assertSessionHas(
            'said',
            'Galia Zabalo gets link and timetable again.',
        );
        $this->get('/registration/desk?show=decided')->assertDontSee('goes in a minute');
        $this->delete("/registration/$id/decision")->assertSessionHasErrors();
        expect(registrationOf('S-1')->state)
            ->toBe('accepted')
            ->and(Letter::query()->whereNull('sent_at')->where('kind', 'accepted')->count())
            ->toBe(1);
    },
);

test('a freed seat goes to the next who still belongs, and certain ones into the class', function () {
    $series = takesRegistrations($this, ['accepts_certain' => 1, 'seats' => 1]);

    registerAs($this, 'S-1', $series);
    expect(registrationOf('S-1')->state)->toBe('accepted');
    registerAs($this, 'S-2', $series);
    registerAs($this, 'S-3', $series);
    expect([registrationOf('S-2')->state, registrationOf('S-3')->state])->toBe(['queued', 'queued']);
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
    expect([registrationOf('S-1')->state, registrationOf('S-2')->state, registrationOf('S-3')->state])->toBe([
        'withdrawn',
        'withdrawn',
        'accepted',
    ]);
    expect(JoinLink::query()->inForce()->where('kind', 'personal')->pluck('person_id')->all())->toBe([
        personCalled('S-3')->id,
    ]);
});

test('more seats let certain ones in, and others wait to be looked at', function () {
    $series = takesRegistrations($this, ['accepts_certain' => 1, 'seats' => 1]);
    registerAs($this, 'S-1', $series);
    registerAs($this, 'S-3', $series);
    registerAs($this, 'S-2', $series, 'Somebody Else', 'other@elsewhere.example');
    $this->as('T-2')
        ->put("/sections/MAR/series/$series/registering", ['mode' => 'once', 'accepts_certain' => 1, 'seats' => 3])
        ->assertSessionHasNoErrors();
    expect([registrationOf('S-3')->state, registrationOf('S-2')->state])->toBe(['accepted', 'waiting']);
});

test('who comes to a shared series by its other section is on its roster', function () {
    $series = takesRegistrations($this);
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
    registerAs($this, 'S-4', $series);
    $finding = app(RegistrationChecks::class)->findings(
        Registration::query()
            ->with(['series.section', 'person'])
            ->where('state', 'waiting')
            ->get(),
    )[registrationOf('S-4')->id];
    expect($finding->verdict)->toBe(Verdict::Certain);
    $this->get('/registration/desk')->assertDontSee('another section');
});

test('what was sent is the receiving teacher\'s, and not the sender\'s any more', function () {
    $series = takesRegistrations($this);
    takesRegistrations($this, [], 'SPA');
    registerAs($this, 'S-4', $series);
    $id = registrationOf('S-4')->id;
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
    expect(registrationOf('S-4')->state)->toBe('accepted');
});

test('the desk says whose account typed, wherever that is not plain', function () {
    $series = takesRegistrations($this);
    registerAs($this, 'S-2', $series, 'Nerea Couto', 'nerea@elsewhere.example');
    registerAs($this, 'S-3', $series);
    $this->as('T-2')
        ->get('/registration/desk')
        ->assertSee('typed from the account of Rui Mestre, who is registered if you accept')
        ->assertDontSee('the account of Teo Kallas');
});

test('of sessions registered for one by one, calendars and letters have exactly those, as one event', function () {
    $series = takesRegistrations($this, ['mode' => 'each', 'accepts_certain' => 1]);
    registerAs($this, 'S-1', $series, days: ['2027-02-11', '2027-03-02'])->assertSessionHasNoErrors();
    $days = function (string $ics): array {
        $calendar = Sabre\VObject\Reader::read($ics)->expand(
            new DateTime('2027-01-01'),
            new DateTime('2027-06-01'),
        );
        $found = [];
        foreach ($calendar->VEVENT ?? [] as $event) {
            $found[] = $event->DTSTART->getDateTime()->format('Ymd');
        }

        return $found;
    };
    $calendar = function (string $who): string {
        Artisan::call('nomada:calendar', ['--person' => $who]);

        return Artisan::output();
    };
    $mine = $calendar('S-1');
    expect($days($mine))
        ->toBe(['20270211', '20270302'])
        // Who is registered for none has none; the teacher has all.
        ->and($calendar('S-3'))
        ->not->toContain('Marine Science')
        ->and(count($days($calendar('T-2'))))
        ->toBeGreaterThan(20);
    postGoes();
    $uid = fn (string $ics): string => preg_match('/^UID:(.*)\r$/m', $ics, $m) === 1 ? $m[1] : '';
    $letters = array_filter(mailbox($this, 'S-1'), fn (MimeMessage $m): bool => $m->attachments() !== []);
    // One letter tells of both.
    expect($letters)->toHaveCount(1)->and(mailbox($this, 'S-1'))->toHaveCount(2);
    foreach ($letters as $letter) {
        expect($letter->text())->toMatch('/Thu 11 Feb [\d:]+–[\d:]+; Tue 2 Mar /');
        $ics = $letter->attachments()[0]['content'];
        expect($uid($ics))
            ->toBe($uid($mine))
            ->and($days($ics))
            ->toBe(['20270211', '20270302']);
    }
    $this->as('T-2')->delete(
        '/registration/'.Registration::query()->where('only_day', '2027-03-02')->value('id'),
    );
    expect($days($calendar('S-1')))->toBe(['20270211']);
});
