<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Letter;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\Standins\MimeMessage;
use Tests\Support\Registering;

beforeEach(function () {
    $this->school();
    $this->standins = $this->standins();
    Artisan::call('nomada:links');
});

test('the words of letters are edited, checked and go back; what people type stays text', function () {
    $this->as('A-1')
        ->get('/registration/letters')
        ->assertOk()
        ->assertSee('Preview')
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
    ])->assertSessionHasNoErrors();
    // A subject is one line, whatever was pasted into it.
    $this->get('/registration/letters')->assertSee('Hi Bcc: x@y.example');
    $this->put('/registration/letters/nothing/en', ['subject' => 'Hi', 'text' => '{link}'])->assertNotFound();
    $this->put('/registration/letters/accepted/en', [
        'subject' => 'Welcome to {class}',
        'text' => "Hello {name}, <b>come in</b>:\n{link}",
    ])->assertSessionHasNoErrors();
    $series = Registering::open($this);
    Registering::as($this, 'S-1', $series);
    $this->as('A-1')->post('/registration/'.Registering::of('S-1')->id.'/acceptance');
    postGoes();
    expect(mailbox($this, 'S-1')[0]->header('Subject'))
        ->toStartWith('Welcome to ')
        ->and(mailbox($this, 'S-1')[0]->html())
        ->toContain('&lt;b&gt;come in');
    $this->as('A-1')->delete('/registration/letters/accepted/en');
    $this->get('/registration/letters')->assertSee('You are registered for {class}');
});

test('a post office that is shut loses nothing: the letter says why, and goes later, once', function () {
    $series = Registering::open($this);
    Registering::as($this, 'S-1', $series);
    $this->standins->behave('post', ['failures' => 1, 'words' => 'The sorting room is flooded.']);
    postGoes();
    expect(Letter::query()->sole()->trouble)
        ->toContain('The sorting room is flooded.')
        ->and(mailbox($this, 'S-1'))
        ->toBe([]);
    $this->as('A-1')
        ->get('/registration/letters')
        ->assertSee('1 failed')
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
    $this->get('/sections/MAR')->assertSee('Announce');
    // Its teacher, three students, and one guardian.
    $this->post("/sections/MAR/changes/$change/letters")->assertSessionHas(
        'said',
        fn ($s) => str_starts_with($s, '5 emails'),
    );
    $this->post("/sections/MAR/changes/$change/letters")->assertSessionHas(
        'said',
        'Everybody has been emailed about this already.',
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
    // Nothing that opens a door is in a guardian's letter: the series link asks for an account, and no personal
    // link is there.
    foreach (JoinLink::query()->where('kind', '!=', 'series')->get() as $link) {
        expect($letter->attachments()[0]['content'])->not->toContain($link->secret);
    }
});

test('guardians are written to where their children have a new link already', function () {
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    $path = '/sections/MAR/series/'.$this->section('MAR')->series()->value('series.id');
    $link = JoinLink::query()
        ->inForce()
        ->whereRelation('person', 'sourced_id', 'S-1')
        ->firstOrFail();
    $this->as('T-2')->post("$path/replacement", ['link' => $link->id]);
    $to = fn (string $who): int => Letter::query()->whereRelation('person', 'sourced_id', $who)->count();
    expect([$to('S-1'), $to('G-1')])->toBe([1, 0]);
    $this->post("$path/letters");
    expect([$to('S-1'), $to('G-1')])->toBe([1, 1]);
    $this->post("$path/letters")->assertSessionHas('said', 'Everybody already has the link and timetable.');
});

test(
    'everybody of a series is written to once with their own link: students, guardians, teachers; one of them again',
    function () {
        Artisan::call('nomada:register', ['--section' => ['MAR']]);
        $path = '/sections/MAR/series/'.$this->section('MAR')->series()->value('series.id');
        $this->as('T-2')
            ->post("$path/letters")
            ->assertSessionHas('said', '5 emails with link and timetable are being sent.');
        $this->post("$path/letters")->assertSessionHas('said', 'Everybody already has the link and timetable.');
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
            ->assertSessionHas('said', 'Link and timetable are being sent to Rui Mestre again.');
        postGoes();
        expect(mailbox($this, 'S-2'))->toHaveCount(2)->and(mailbox($this, 'S-1'))->toHaveCount(1);
        // A replaced link is written about on its own; then nobody is left to write to.
        $this->post("$path/replacement", ['link' => $own('S-2')->id]);
        $this->post("$path/letters")->assertSessionHas('said', 'Everybody already has the link and timetable.');
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
                fn ($s) => str_contains($s, 'Emails with link and timetable are being prepared'),
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
        fn ($s) => str_starts_with($s, '5 emails'),
    );
    postGoes();
    [$letter] = mailbox($this, 'S-1');
    $calendar = Sabre\VObject\Reader::read($letter->attachments()[0]['content']);
    expect($letter->text())
        ->toContain('Open the attachment to remove them from your calendar')
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
            ->not->toContain('Stop these emails');
        auth()->logout();
        $this->get($m[1])->assertOk()->assertSee('Stop these emails')->assertSee('Mar Zabalo');
        $this->get($m[1].'x')->assertForbidden();
        $student = Person::query()->where('sourced_id', 'S-1')->value('id');
        $this->get(
            Illuminate\Support\Facades\URL::signedRoute('letters.stop', ['person' => $student]),
        )->assertNotFound();
        // As a mail program presses it.
        $this->post($m[1], ['List-Unsubscribe' => 'One-Click'])
            ->assertOk()
            ->assertSee('no longer gets emails about registrations and changes');
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
            fn ($s) => str_starts_with($s, '4 emails'),
        );
        postGoes();
        expect(mailbox($this, 'G-1'))->toHaveCount(1)->and(mailbox($this, 'S-1'))->toHaveCount(2);
        auth()->logout();
        $this->post($m[1], ['again' => 1])->assertSee('Stop these emails');
        Person::query()
            ->where('sourced_id', 'G-1')
            ->update(['language' => 'es']);
        $this->get($m[1])->assertSee('No recibir más correos de estos')->assertSee('lang="es"', false);
        expect(Person::query()->where('sourced_id', 'G-1')->value('letters_stopped_at'))->toBeNull();
    },
);

test('of sessions registered for one by one, calendars and letters have exactly those, as one event', function () {
    $series = Registering::open($this, ['mode' => 'each', 'accepts_certain' => 1]);
    Registering::as($this, 'S-1', $series, days: ['2027-02-11', '2027-03-02'])->assertSessionHasNoErrors();
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
