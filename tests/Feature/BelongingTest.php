<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\DecideAdmission;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Letter;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Post\LetterWriter;
use Nomada\App\Queries\Belongings;
use Nomada\App\View\Person\PersonQuery;
use Nomada\App\View\Registration\Me\ComingSession;
use Nomada\App\View\Registration\Me\MeQuery;
use Nomada\Core\Belonging\SessionRole;
use Nomada\Core\Joining\DoorReply;
use Nomada\Core\Post\LetterKind;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/*
 * Marine Science meets on Tuesdays and Thursdays from 10:00 to 10:47 in Madrid. T-2 teaches it, T-1 helps until
 * 18 February, T-3 takes 11 February instead of T-2; S-1 is there all term, S-3 until 20 February, S-2 from
 * 23 February; S-4 observes.
 */
beforeEach(function () {
    $this->standins();
    $files = Tests\Support\SmallSchool::files();
    $this->school([
        'users.csv' => $files['users.csv']."T-3,,teacher,Petra,Ruel,petra@school.example,,,\n",
        'enrollments.csv' => str_replace(
            'E-3,,MAR,S-2,student,false,,',
            'E-3,,MAR,S-2,student,false,2027-02-23,',
            $files['enrollments.csv'],
        )."E-9,,MAR,S-4,proctor,false,,\nE-10,,MAR,T-1,aide,false,,2027-02-18\n",
    ]);
    momentAt('2027-02-08');
    Artisan::call('nomada:links', ['--section' => ['MAR']]);
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    $this->as('A-1')
        ->put(pathOf('2027-02-11').'/particulars', ['teacher' => 'T-3'])
        ->assertSessionHasNoErrors();
});

function sessionOn(string $day): Session
{
    return Session::query()
        ->where('day', $day)
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->firstOrFail();
}

function pathOf(string $day): string
{
    $session = sessionOn($day);

    return "/sections/MAR/series/$session->series_id/sessions/$session->id";
}

/** The door's answer by the class's own link, as if a host were inside. */
function knock(string $who): DoorReply
{
    $link = JoinLink::query()->inForce()->where('kind', 'series')->firstOrFail();

    return app(DecideAdmission::class)(
        $link,
        (string) $link->secret,
        personCalled($who),
        askBridge: false,
    )->decision->reply;
}

/** The days that a person's calendar has, as the calendar server gets it. */
function calendarDays(string $who): array
{
    Artisan::call('nomada:calendar', ['--person' => $who]);
    $days = [];
    foreach (
        Sabre\VObject\Reader::read(Artisan::output())
            ->expand(new DateTimeImmutable('2027-01-01'), new DateTimeImmutable('2027-06-01'))
            ->select('VEVENT') as $event
    ) {
        str_contains((string) $event->SUMMARY, 'Marine') &&
            ($days[] = $event->DTSTART->getDateTime()->format('Y-m-d'));
    }

    return $days;
}

/** Whether a session of Marine Science stands among the coming ones of a person's page. */
function pageHas(string $who, string $day): bool
{
    $person = personCalled($who);
    $term = $person->isStaff() ? Nomada\App\Models\Term\Term::query()->firstOrFail() : null;
    $coming =
        $term === null
            ? app(MeQuery::class)->page($person, Nomada\App\Models\Term\Term::query()->first())->coming
            : app(PersonQuery::class)->page($person, $person, $term)->coming;

    return array_filter(
        $coming,
        fn (ComingSession $c): bool => str_contains($c->name, 'Marine') &&
            Zone::named('Europe/Madrid')->dateAt($c->starts)->iso() === $day,
    ) !== [];
}

test('door, page, calendar, policy and core agree on everybody, before, during and after their part', function (
    string $who,
    string $day,
    SessionRole $is,
) {
    momentAt($day);
    $session = sessionOn($day);
    $person = personCalled($who);
    $core = Belongings::of($person->id, $session->series->sectionIds())->on(
        LocalDate::parse($day)->day,
        $session->teacher_id,
    );
    $reply = knock($who);

    expect($core)
        ->toBe($is)
        ->and($reply)
        ->toBe(
            match ($is) {
                SessionRole::Host,
                SessionRole::Student,
                SessionRole::Observer,
                SessionRole::Absent => DoorReply::ComeIn,
                SessionRole::Left => DoorReply::Left,
                // A joiner is told of the first one that is theirs.
                SessionRole::Ahead => DoorReply::TooEarly,
                // The substitute is told when the one session opens.
                SessionRole::None => $day < '2027-02-11' ? DoorReply::TooEarly : DoorReply::NotOnRoster,
            },
        )
        ->and(in_array($day, calendarDays($who), true))
        ->toBe($is->isTheirs())
        ->and(Gate::forUser($person)->allows('host', $session))
        ->toBe($is === SessionRole::Host)
        ->and(Gate::forUser($person)->allows('look', $session))
        ->toBe($person->isStaff() && in_array($is, [SessionRole::Host, SessionRole::Absent], true));
    if (! $is->isTheirs() || $is === SessionRole::Student || $person->isStaff()) {
        expect(pageHas($who, $day))->toBe($is->isTheirs());
    }
})->with([
    'the teacher' => ['T-2', '2027-02-09', SessionRole::Host],
    'the teacher while another takes it' => ['T-2', '2027-02-11', SessionRole::Absent],
    'the teacher afterwards' => ['T-2', '2027-02-18', SessionRole::Host],
    'the substitute before' => ['T-3', '2027-02-09', SessionRole::None],
    'the substitute' => ['T-3', '2027-02-11', SessionRole::Host],
    'the substitute afterwards' => ['T-3', '2027-02-18', SessionRole::None],
    'a co-teacher' => ['T-1', '2027-02-09', SessionRole::Host],
    'a co-teacher beside the substitute' => ['T-1', '2027-02-11', SessionRole::Host],
    'a co-teacher on the last day' => ['T-1', '2027-02-18', SessionRole::Host],
    'a co-teacher who has left' => ['T-1', '2027-02-23', SessionRole::Left],
    'a student' => ['S-1', '2027-02-11', SessionRole::Student],
    'a leaver before' => ['S-3', '2027-02-18', SessionRole::Student],
    'a leaver after' => ['S-3', '2027-02-23', SessionRole::Left],
    'a joiner before' => ['S-2', '2027-02-18', SessionRole::Ahead],
    'a joiner on the first day' => ['S-2', '2027-02-23', SessionRole::Student],
    'an observer' => ['S-4', '2027-02-11', SessionRole::Observer],
    'a teacher of another class' => ['T-3', '2027-02-23', SessionRole::None],
]);

test(
    'a leaver\'s calendar keeps the past and loses the future, a joiner\'s begins with the first day',
    function () {
        $all = calendarDays('S-1');

        expect(calendarDays('S-3'))
            ->toBe(array_values(array_filter($all, fn (string $d): bool => $d <= '2027-02-20')))
            ->and(calendarDays('S-2'))
            ->toBe(array_values(array_filter($all, fn (string $d): bool => $d >= '2027-02-23')))
            ->and(calendarDays('T-3'))
            ->toBe(['2027-02-11'])
            ->and(calendarDays('T-2'))
            ->toBe(array_values(array_diff($all, ['2027-02-11'])));
    },
);

test('whoever has left reads it in one friendly sentence, by their own link and by the class\'s', function () {
    momentAt('2027-03-02');
    $own = JoinLink::query()->where('person_id', personCalled('S-3')->id)->firstOrFail();

    $this->as('S-3')
        ->get("/join/$own->secret")
        ->assertSee('You are no longer in this class')
        ->assertDontSee('10:00');
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    expect($own->fresh()->retired_at)->not->toBeNull();
    $this->get("/join/$own->secret")->assertSee('You are no longer in this class');
});

test('an ended part opens nothing: section, live desk, host link, guest pass, search, counts', function () {
    momentAt('2027-03-02');
    $host = JoinLink::query()->inForce()->where('kind', 'host')->firstOrFail();
    $series = $host->series_id;
    $id = sessionOn('2027-03-02')->id;

    $this->as('T-1');
    $this->get('/sections/MAR')->assertForbidden();
    $this->get("/live/$id")->assertForbidden();
    $this->post("/live/$id", ['act' => 'end'])->assertForbidden();
    $this->get("/join/$host->secret")->assertSee('You are no longer in this class');
    $this->post("/sections/MAR/series/$series/guests", [
        'guest_name' => 'X',
        'expires' => '2027-03-03',
    ])->assertForbidden();
    $this->get('/find?q=Zabalo')->assertDontSee('Galia');
    $this->get('/today?date=2027-03-02')->assertDontSee('Marine');
    // One of the three students has left: two are on the roster, two are registered.
    $this->as('T-2')->get('/sections/MAR')->assertSee('2 of 2 registered')->assertDontSee('Teo Kallas');
    $this->get('/joining')->assertSee('2 of 2');
    $this->get("/live/$id")
        ->assertOk()
        ->assertSee('2 have not joined');
});

test('a substitute is the host of exactly that session, everywhere; the absent teacher may look', function () {
    momentAt('2027-02-11');
    $host = JoinLink::query()->inForce()->where('kind', 'host')->firstOrFail();
    $id = sessionOn('2027-02-11')->id;

    $this->as('T-3')
        ->get("/live/$id")
        ->assertOk();
    $this->get('/today')->assertSee('Marine Science')->assertSee('P. Ruel');
    $this->get('/sections/MAR')->assertOk();
    $this->get("/join/$host->secret")->assertSee('<h1>You can join</h1>', false);
    $this->post('/joining/links', ['sections' => ['MAR']])->assertForbidden();
    $this->get('/live/'.sessionOn('2027-02-18')->id)->assertForbidden();
    $this->as('T-2')
        ->get("/live/$id")
        ->assertOk();
    $this->post("/live/$id", ['act' => 'end'])->assertForbidden();
    $this->get("/join/$host->secret")->assertSee('The teacher is not here yet');
    momentAt('2027-02-18');
    $this->as('T-3')
        ->get("/join/$host->secret")
        ->assertSee('somebody else');
    $this->get('/sections/MAR')->assertForbidden();
});

test('an observer reads no passes, codes or registrations, and comes in to look', function () {
    momentAt('2027-02-09');
    DB::table('enrolments')->insert([
        'section_id' => $this->section('MAR')->id,
        'person_id' => personCalled('T-3')->id,
        'role' => 'observer',
        'sourced_id' => 'local-1',
        'is_local' => true,
    ]);
    $series = Series::query()->whereRelation('section', 'sourced_id', 'MAR')->firstOrFail();

    $this->as('T-3')->get('/sections/MAR')->assertOk()->assertDontSee('guests');
    $this->get("/sections/MAR/series/$series->id/joining")->assertForbidden();
    $this->get('/joining')->assertDontSee('Marine Science');
    $this->get('/live/'.sessionOn('2027-02-09')->id)->assertForbidden();
    expect(knock('T-3'))->toBe(DoorReply::ComeIn);
});

test('letters go to whoever still belongs, with their own sessions', function () {
    $series = Series::query()->whereRelation('section', 'sourced_id', 'MAR')->firstOrFail();
    momentAt('2027-03-01');
    $this->as('A-1')
        ->post(pathOf('2027-03-02').'/cancellation', ['reason' => 'Storm'])
        ->assertSessionHasNoErrors();
    $change = DB::table('series_changes')->max('id');
    $this->post("/sections/MAR/changes/$change/letters");
    $told = Letter::query()->where('kind', LetterKind::Changed)->with('person')->get();

    expect($told->pluck('person.sourced_id')->sort()->values()->all())->toBe(['G-1', 'S-1', 'S-2', 'T-2']);
    momentAt('2027-02-08');
    $letter = Letter::query()->create([
        'key' => 'x',
        'kind' => LetterKind::Accepted,
        'person_id' => personCalled('S-2')->id,
        'series_id' => $series->id,
        'registration_id' => DB::table('registrations')->where('person_id', personCalled('S-2')->id)->value('id'),
        'to_name' => 'Rui',
        'to_address' => 'rui@school.example',
        'values' => [],
        'not_before' => now(),
    ]);
    expect(app(LetterWriter::class)->write($letter)?->render())
        ->toContain('Tue 23 Feb')
        ->not->toContain('Tue 9 Feb');
});

test(
    'somebody who is disabled has no part from that day on, and cannot sign in; nobody disables themselves',
    function () {
        $this->as('T-2')->post('/people/S-1/disabled')->assertForbidden();
        $this->as('A-1')->post('/people/A-1/disabled')->assertSessionHasErrors('person');
        $this->post('/people/S-1/disabled')->assertSessionHas('said');
        expect(array_filter(calendarDays('S-1'), fn (string $d): bool => $d >= '2027-02-08'))
            ->toBe([])
            ->and(count(calendarDays('S-1')))
            ->toBeGreaterThan(0)
            ->and(DB::table('registrations')->where('person_id', personCalled('S-1')->id)->value('state'))
            ->toBe('withdrawn');
        $this->get('/people/S-1')->assertSee('disabled since Mon 8 Feb');
        $this->post('/sign-out');
        $this->post('/sign-in/demo', ['person' => 'S-1'])->assertNotFound();
        $this->as('A-1')->delete('/people/S-1/disabled');
        expect(calendarDays('S-1'))->toContain('2027-02-09');
    },
);

test('nobody but the import and whoever gives parts asks enrolments', function () {
    $mayWrite = [
        'ImportSchool',
        'ManageMemberships',
        'KeepTerms',
        'DisablePerson',
        'Enrolment',
        'InventedSchool',
        'MembershipRow',
        'MembershipController',
        'RosterOut',
        'CheckedAtEnd',
    ];
    $found = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(app_path())) as $file) {
        $name = pathinfo((string) $file, PATHINFO_FILENAME);
        if (preg_match('/enrolments|Enrolment\b/', (string) @file_get_contents((string) $file)) === 1) {
            $found[] = $name;
        }
    }
    expect(array_diff($found, $mayWrite, ['CheckDerived', 'UndoImport']))->toBe([]);
});
