<?php

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\JoinLink;
use Tests\Support\RunningCopy;

// From the registration page on a phone to the door and the live desk, in the order of the work.

function idOf(string $section): int
{
    return (int) DB::table('series')
        ->join('sections', 'sections.id', '=', 'section_id')
        ->where('sourced_id', $section)
        ->value('series.id');
}

test('a student registers on a phone, the desk accepts by keys, and the letter and the door say so', function () {
    $copy = RunningCopy::shared();
    $copy->freshDemo();
    $series = idOf('8MAR');
    $b = browser()->as($copy->url(), 'A-01', '/sections/8MAR')->press('Create link')->see('1 link created');
    $b->open("/sections/8MAR/series/$series/joining")
        ->press('Change…')
        ->choose('#mode-once')
        ->fill('seats', '2')
        ->script("document.querySelector('#mode-once').closest('form').requestSubmit()");
    $b->see('Students register once; a member of staff approves each registration; 2 seats.');
    $b->fresh($copy->url())
        ->size(390, 844)
        ->signInAsDemo('S-8-001', '/me')
        ->see('Registrations')
        ->press('Registration for Y8 Marine Science')
        ->see('2 seats are left')
        ->see('Your name and email address are compared with the class list.')
        ->fill('typed_name', 'Zabalo Galia');
    expect($b->scrollsSideways())->toBeFalse();
    $b->press('Register')->see('Your registration is being checked');

    // The desk, by keys: the first row has the focus of Tab; a accepts.
    $b->fresh($copy->url())
        ->size(1280, 800)
        ->signInAsDemo('A-01', '/registration/desk')
        ->see('1 registrant is waiting')
        ->see('same email address, same name')
        ->focus('tr.row-d');
    $b->keys('a')->see('Zabalo Galia is registered. The confirmation is sent in a minute.')->see('Nobody is waiting');
    $b->press('Decided')
        ->see('sent in a minute')
        ->press('Undo')
        ->see('is waiting again')
        ->press('To decide')
        ->focus('tr.row-d')
        ->keys('d')
        ->see('Reason (the student reads it)')
        ->press('Accept 1 exact match')
        ->see('1 registration accepted');
    DB::table('emails')
        ->whereNull('sent_at')
        ->update(['not_before' => now()->subSecond()]);
    Illuminate\Support\Facades\Artisan::call('nomada:post', ['--idle' => 0]);

    $b->fresh($copy->url())
        ->size(390, 844)
        ->signInAsDemo('S-8-001', "/register/$series")
        ->see('You are registered')
        ->open('/me')
        ->click("a[href*='/post/people/']")
        ->see('You are registered for Y8 Marine Science')
        ->see('Attached: timetable.ics');
    $b->open("/register/$series")
        ->press('Join page')
        ->see('The teacher is not here yet');
});

test(
    'on the joining page series are chosen, links made, and a preset set for all of them, which is shown first',
    function () {
        $copy = RunningCopy::shared();
        $b = browser()
            ->as($copy->url(), 'A-01', '/joining')
            ->click('tr.row-c:nth-child(1) input')
            ->click('tr.row-c:nth-child(2) input')
            ->see('2 series selected')
            ->press('Create links…')
            ->see('2 of 2 series will change. Nothing is saved yet.')
            ->press('Change 2 series')
            ->see('All 2 links created');
        $b->open('/joining')
            ->click('tr.row-c:nth-child(1) input')
            ->click('tr.row-c:nth-child(2) input')
            ->script("document.querySelector('.tray [name=preset]').value = 'office-hours'");
        $b->press('Set preset…')
            ->see('2 of 2 series will change. Nothing is saved yet.')
            ->press('Change 2 series')
            ->see('2 series changed')
            ->press('Back to join links')
            ->see('Office hours');
        $b->click('thead input[type=checkbox]')->see('23 series selected')->press('None');
        expect($b->count('tr.row-c input:checked'))->toBe(0);
    },
);

test('the live desk: the teacher lets in, sends out, and ends it for everybody', function () {
    $copy = RunningCopy::shared();
    $series = idOf('8MAR');
    $session = (int) DB::table('sessions')->where('series_id', $series)->where('day', '2027-02-09')->value('id');
    DB::table('series')
        ->where('id', $series)
        ->update(['door' => json_encode(['straight_in' => 'nobody', 'others_wait' => true])]);
    $b = browser()
        ->as($copy->url(), 'T-02', "/live/$session")
        ->press('Join as teacher')
        ->see('You have joined.')
        ->see('1 person inside');
    $b->fresh($copy->url())
        ->size(390, 844)
        ->signInAsDemo('S-8-001', "/register/$series")
        ->press('Join page')
        ->see('The teacher will let you in')
        ->click('.act.main')
        ->see('You are waiting to be let in');
    $b->fresh($copy->url())
        ->size(1280, 800)
        ->signInAsDemo('T-02', "/live/$session")
        ->see('1 waiting to be let in')
        ->press('Let in')
        ->see('Let in.')
        ->see('2 people inside')
        ->press('More Galia')
        ->press('Remove from session Galia')
        ->see('Removed.')
        ->press('End for everybody')
        ->press('End session now')
        ->see('The session has ended for everybody.');
    $b->open("/live/$session?rehearsal=1")
        ->press('Start rehearsal')
        ->see('Two invented students are inside, and four are waiting.')
        ->press('Let everybody in')
        ->see('7 people inside');
    expect(JoinLink::query()->inForce()->where('series_id', $series)->where('kind', 'personal')->count())->toBe(1);
});

test(
    'office hours: a room is made as hours are typed, the student waits outside it, the teacher lets them in',
    function () {
        $copy = RunningCopy::shared();
        $b = browser()->as($copy->url(), 'T-02', '/joining')->press('Drop-in rooms')->see('No drop-in room yet');
        $b->script("document.querySelector('#section').value = '8MAR'");
        $b->fill('hours', 'Tue 9-8')
            ->press('Create room')
            ->see('Tue 09:00–08:00 ends before it starts.')
            ->fill('hours', 'Tue 9:30-10:30')
            ->press('Create room')
            ->see('Room Office hours created.')
            ->see('open until 10:30');
        $b->press('Live desk')
            ->see('nobody is here yet')
            ->press('Join as teacher')
            ->see('You have joined.')
            ->see('1 person inside');
        $b->fresh($copy->url())
            ->size(390, 844)
            ->signInAsDemo('S-8-001', '/me')
            ->see('Office hours, Y8 Marine Science')
            ->press('Join page of Office hours, Y8 Marine Science')
            ->see('The teacher will let you in');
        expect($b->scrollsSideways())->toBeFalse();
        $b->click('.act.main')->see('You are waiting to be let in');
        $b->fresh($copy->url())
            ->size(1280, 800)
            ->signInAsDemo('T-02', '/joining/drop-in')
            ->press('Live desk')
            ->see('1 waiting to be let in')
            ->press('Let in')
            ->see('Let in.')
            ->see('2 people inside');
        // Hidden, its door is shut at once.
        $b->open('/joining/drop-in')->press('Hide')->see('Room hidden: students cannot join');
        $b->fresh($copy->url())->signInAsDemo('S-8-001', '/me')->see('Upcoming sessions');
        expect($b->text())->not->toContain('Office hours');
    },
);

test('one session gets a door of its own, from the page of its series, and its own doors are told', function () {
    $copy = RunningCopy::shared();
    $series = idOf('8MAR');
    $b = browser()->as($copy->url(), 'A-01', "/sections/8MAR/series/$series/joining");
    $b->script(
        "document.querySelector('[name=only]').value = [...document.querySelector('[name=only]').options].find(o => ".
            "o.text.includes('18 Feb')).value",
    );
    $b->press('Change this session')
        ->see('For Thu 18 Feb only')
        ->fill('opens_before', '30')
        ->fill('opens_before_hosts', '40')
        ->press('Save for this session')
        ->see('Saved for this session only')
        ->see('Less strict than its preset')
        ->see('on Thu 18 Feb opens 30 minutes before the start, not 10');
    $b->press('Same as the series')->see('follows the rules of its series again');
    expect($b->text())->not->toContain('on Thu 18 Feb opens 30');
});

test('axe finds nothing on the pages of joining and registration, in light and dark', function (
    string $page,
    string $as,
    array $size,
) {
    $copy = RunningCopy::shared();
    $series = idOf('8MAR');
    $page = strtr($page, [
        '{series}' => (string) $series,
        '{session}' => (string) DB::table('sessions')
            ->where('series_id', $series)
            ->where('day', '2027-02-11')
            ->value('id'),
    ]);
    if (! DB::table('registrations')->where('state', 'waiting')->exists()) {
        DB::table('registrations')->insert([
            'series_id' => $series,
            'person_id' => DB::table('people')->where('sourced_id', 'S-8-003')->value('id'),
            'state' => 'waiting',
            'came_by' => 'own',
            'typed_name' => 'Somebody',
            'typed_email' => 'some@body.example',
            'arrived_at' => now(),
            'created_at' => now(),
            'updated_at' => now(),
        ]);
    }
    $b = browser()->size(...$size)->as($copy->url(), $as, $page)->settle();
    expect([$b->faultsInBothSchemes(), $b->scrollsSideways(), $b->troubles()])->toBe([[], false, []]);
})->with([
    ['/registration/desk', 'A-01', [1280, 800]],
    ['/registration/desk?show=decided', 'A-01', [1280, 800]],
    ['/registration/letters', 'A-01', [1280, 800]],
    ['/registration/letters?kind=calendar-event&section=8MAR&language=es', 'A-01', [1280, 800]],
    ['/publishing/showing', 'A-01', [1280, 800]],
    ['/publishing/showing/8MAR', 'A-01', [1280, 800]],
    ['/publishing/showing/8MAR', 'A-01', [390, 844]],
    ['/joining/presets', 'A-01', [1280, 800]],
    ['/joining/drop-in', 'A-01', [1280, 800]],
    ['/joining/audit', 'A-01', [1280, 800]],
    ['/sections/8MAR/series/{series}/joining', 'A-01', [1280, 800]],
    ['/joining/drop-in', 'T-02', [390, 844]],
    ['/live/{session}', 'T-02', [1280, 800]],
    ['/live/{session}', 'T-02', [390, 844]],
    ['/register/{series}', 'S-8-001', [390, 844]],
]);
