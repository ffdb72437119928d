<?php

use Illuminate\Support\Facades\DB;
use Tests\Support\RunningCopy;

// The steps follow each other, as the work does.

test(
    'a coordinator plans a series, links it, registers its roster, publishes it; the student finds it everywhere and '.
        'comes in',
    function () {
        $copy = RunningCopy::shared();
        $copy->freshDemo();
        $b = browser()->as($copy->url(), 'A-01', '/');

        // Statistics has no timetable yet: a pattern, typed as people type.
        $b->see('All sections')
            ->see('No timetable yet')
            ->press('Y10 Statistics')
            ->see('No sessions yet')
            ->press('Add a series');
        $b->choose('#wd-2')
            ->choose('#wd-4')
            ->fill('start_time', '14.30')
            ->fill('end_time', '1515')
            ->fill('starts_on', '2027-02-09');
        $b->see('17 sessions', '.made')->see('1 lost, Carnival', '.made')->see('12 h 45 min', '.made');
        $b->fill('start_time', '3')
            ->see('15:00 or 03:00?', '[data-fault=start_time]')
            ->fill('start_time', '14.30')
            // While the old answer stands, the fault still holds its line, and the button moves when it goes.
            ->see('14:30–15:15', '.made:not([data-stale])');
        $b->press('Plan this series')->see('Statistics planned: Tue Thu 14:30–15:15.');

        // The link, then the roster, for this section.
        $b->press('Create link')->see('1 link created')->press('Y10 Statistics')->see('0 of 26 registered');
        $b->press('Register roster')
            ->see('26 registrations made, each with a personal link')
            ->see('26 of 26 registered');

        // The plan first, then the run, which survives a reload.
        $copy->standins()->behave('calendar', ['slow_ms' => 60]);
        $b->press('Preview changes…')
            ->waitForPath('#/publishing\?show=chosen#')
            ->see('Y10 Statistics')
            ->see('first publication')
            ->press('Y10 Statistics')
            ->see('Add 27 calendars')
            ->see('each person’s own');
        $b->click('.tray > .btn-main')->waitForPath('#/publishing/runs/#')->script('location.reload()');
        $b->see('items up to date')->press('Y10 Statistics')->see('27 published');
        $copy->standins()->behave('calendar', ['slow_ms' => 0]);

        // The same again: nothing to do.
        $b->press('Preview changes…')->waitForPath('#show=chosen#')->see('up to date');

        // A student of it: own page, then each destination.
        $b->press('C. Marrero')
            ->press('Sign out')
            ->see('Or try the demo as')
            ->signIn(
                (string) DB::table('people')->where('sourced_id', 'S-10-006')->value('email'),
                'carnival-tide-27',
            )
            ->size(390, 844);
        $b->see('Upcoming sessions')->see('Y10 Statistics');
        expect($b->scrollsSideways())->toBeFalse();
        $b->press('Course page of Y10 Statistics')->see('Tue 9 Feb, 14:30–15:15 Madrid')->open('/me');
        $b->press('Class stream of Y10 Statistics')->see('Y10 Statistics: how to join')->open('/me');
        $b->click("a[href*='/calendar/']")->see('Y10 Statistics')->open('/me');

        // The door: too early, then (the clock moved) come in, then over.
        $b->press('Join page of Y10 Statistics, Thu 11 Feb')->see('You are early')->see('13:20 (14:20 in Madrid)');
        $b->click('.clock summary')->fill('time', '13:25')->press('Set')->see('The teacher is not here yet');
        // The teacher comes in; the student looks again, and is let in.
        $room = (string) Nomada\App\Models\Joining\JoinLink::query()
            ->inForce()
            ->where('kind', 'series')
            ->whereRelation('series.section', 'sourced_id', '10STA')
            ->value('room');
        $copy->standins()->post("/bridge/rooms/$room/people", [
            'person' => 'T-99',
            'name' => 'A Teacher',
            'host' => true,
            'meeting' => '2027-02-09T13:30',
        ]);
        // A look at a room is shared for a second: the student looks until it is a new one.
        $b->wait(
            fn (): bool => ! str_contains($b->text(), 'is not here yet') ||
                str_contains($b->press('Refresh')->text(), 'nothing'),
            'the door to see the teacher',
        );
        $b->see('It starts')
            ->click('.act.main')
            ->see('2 people are inside')
            ->see('Leave')
            ->press('What you may do')
            ->see('Share a screen: no');
        $b->open('/me')
            ->click('.clock summary')
            ->fill('time', '14:20')
            ->press('Set')
            ->see('Upcoming sessions')
            ->press('Join page of Y10 Statistics, Thu 11 Feb')
            ->see('This session is over')
            ->see('Thu 11 Feb');
    },
);

test('for all sections at once: links, rosters, publishing', function () {
    $copy = RunningCopy::shared();
    $copy->freshDemo();
    $b = browser()->as($copy->url(), 'A-01', '/');
    $b->click('thead input[type=checkbox]')
        ->see('24 sections selected')
        ->press('Create links')
        ->see('All 23 links created');
    $b->open('/')
        ->click('thead input[type=checkbox]')
        ->press('Register roster')
        ->see('registrations made, each with a personal link')
        ->see('Y10 Statistics');
    $b->click('thead input[type=checkbox]')
        ->press('Preview changes…')
        ->see('Selected 24')
        ->click('.tray > .btn-main')
        ->see('items up to date', patience: 600)
        ->open('/');
    expect($b->text('.route'))->toContain('all linked')->toContain('all registered')->toContain('all published');
});

test(
    'one session is cancelled on the section page, and the student reads why at the door; then it is held after all',
    function () {
        $copy = RunningCopy::shared();
        $b = browser()->as($copy->url(), 'A-01', '/sections/8MAR');
        $b->press('Change the session of Thu 11 Feb')
            ->see('Reason for cancelling')
            ->fill('reason', 'the boat is late')
            ->press('Cancel this session')
            ->see('cancelled: the boat is late');
        $b->fresh($copy->url())
            ->size(390, 844)
            ->signInAsDemo('S-8-001', '/me')
            ->see('cancelled')
            ->click('.clock summary')
            ->script("document.querySelector('.drop [name=date]').value = '2027-02-11'");
        $b->fill('time', '8:55')->press('Set')->see('Cancelled: the boat is late');
        $link = (string) Nomada\App\Models\Joining\JoinLink::query()
            ->inForce()
            ->whereRelation('person', 'sourced_id', 'S-8-001')
            ->whereRelation('series.section', 'sourced_id', '8MAR')
            ->firstOrFail()
            ->address();
        $b->open($link)
            ->see('No class today')
            ->see('Reason: the boat is late.')
            ->see('Thu 18 Feb')
            ->click('.clock summary')
            ->script("document.querySelector('.drop [name=date]').value = '2027-02-09'");
        $b->fill('time', '8:52')
            ->press('Set')
            ->fresh($copy->url())
            ->size(1280, 800)
            ->signInAsDemo('A-01', '/sections/8MAR?day=2027-02-11')
            ->press('Reinstate this session')
            ->see('Session reinstated.');
        expect($b->text('#day-2027-02-11'))->not->toContain('cancelled');
    },
);

test('a clash is followed to its way out: a free time is taken, and the clash is gone', function () {
    $copy = RunningCopy::shared();
    $b = browser()->as($copy->url(), 'A-01', '/timetable/clashes');
    // What is loaded later moves the lines below it.
    $b->see('19 students would be in two places')
        ->settle()
        ->click("a[href*='8HIS?change=']")
        ->see('Free times for all 24 students')
        ->press('Use Thu 10:50–11:35');
    $b->see('Every Thursday, 10:50 to 11:35', '.made')
        ->see('9 sessions move', '.made')
        ->press('Save')
        ->see('History saved: Thu 10:50–11:35.');
    expect($b->count('svg.line.large .cross'))->toBe(0);
    // What is left of it has been held, and is nobody's task any more.
    $b->open('/timetable/clashes')->see('Options');
    expect($b->text('main'))->not->toContain('19 students would be in two places');
});

test('a clash is resolved in two presses from home: a suggested time, and its preview', function () {
    $copy = RunningCopy::shared();
    $b = browser()->as($copy->url(), 'A-01', '/');
    $b->see('16 students would be in two places')
        ->press('Move Y9')
        ->see('None in these sections.')
        ->press('Move 1 session')
        ->see('1 session moved');
    expect($b->open('/')->see('Needs attention')->text('.needs'))->not->toContain(
        '16 students would be in two places',
    );
});

test('the board by keys: arrows, choosing, opening a section and a session', function () {
    $copy = RunningCopy::shared();
    $b = browser()->as($copy->url(), 'A-01', '/');
    $b->focus('tr.row-s')
        ->keys('ARROW_DOWN', ' ')
        ->see('1 section selected')
        ->keys('ARROW_DOWN', ' ')
        ->see('2 sections selected');
    expect($b->text('.tray'))->toContain('Y7 English · Y7 Mathematics A');
    $b->keys('ARROW_RIGHT', 'ARROW_RIGHT');
    expect($b->script('return document.querySelector("[x-ref=told]").textContent'))->toBe('Fri 12 Feb');
    $b->keys('ENTER')->waitForPath('#/sections/7MAT-A\?day=2027-02-12#');
    expect($b->text('[aria-current=date]'))->toContain('Fri 12 Feb');
});

test('what pages are drawn with is fetched once: the next page asks for none of it', function () {
    $copy = RunningCopy::shared();
    $b = browser()->as($copy->url(), 'A-01', '/')->settle()->open('/publishing')->settle();
    $used = 'return performance.getEntriesByType("resource")';
    expect($b->script("$used.filter(r => r.transferSize > 0).map(r => r.name)"))
        ->toBe([])
        ->and($b->script("$used.map(r => r.name.replace(/.*[.]/, '')).filter((e, i, all) => all.indexOf(e) === i)"))
        ->toContain('js', 'css', 'woff2');
});

test('finding and going by keys', function () {
    $copy = RunningCopy::shared();
    $b = browser()->as($copy->url(), 'A-01', '/');
    $b->keys('/')->wait(
        fn (): bool => $b->script('return document.activeElement.getAttribute("role")') === 'combobox',
        'the field to be ready',
    );
    $b->keys('marine')
        ->see('Y10 Marine Science', '#hits')
        ->keys('ARROW_DOWN', 'ENTER')
        ->waitForPath('#/sections/(8|10)MAR#');
    $b->keys('/')->wait(
        fn (): bool => $b->script('return document.activeElement.getAttribute("role")') === 'combobox',
        'the field to be ready',
    );
    $b->keys('18 feb')
        ->see('Thu 18 Feb', '#hits')
        ->keys('ENTER')
        ->waitForPath('#/today\?date=2027-02-18#')
        ->see('Y8 History');
    $b->open('/')
        ->keys('g', 't')
        ->waitForPath('#^/term$#')
        ->keys('g', 't')
        ->waitForPath('#^/timetable$#')
        ->keys('g', 'p')
        ->waitForPath('#^/publishing$#')
        ->keys('g', 'h')
        ->waitForPath('#^/$#');
    $b->keys('?')->see('Keyboard shortcuts', '#keys');
    expect($b->text('#keys'))->toContain('find a section, person or date')->toContain('changed');
});

test('axe finds nothing, in light and dark, nothing is wider than its window, and the console is quiet', function (
    string $page,
    string $as,
    array $size,
) {
    $copy = RunningCopy::shared();
    $b = browser()->size(...$size)->as($copy->url(), $as, $page)->settle();
    expect($b->faultsInBothSchemes())
        ->toBe([])
        ->and($b->scrollsSideways())
        ->toBeFalse()
        ->and(array_filter($b->troubles(), fn (string $t): bool => ! str_contains($t, '/nowhere')))
        ->toBe([]);
})->with([
    // One after the other for each: nobody signs in twice.
    ['/', 'A-01', [1280, 800]],
    ['/sections/8MAR', 'A-01', [1280, 800]],
    ['/sections/10STA?change=new', 'A-01', [1280, 800]],
    ['/publishing?show=all', 'A-01', [1280, 800]],
    ['/publishing/runs', 'A-01', [1280, 800]],
    ['/publishing/places', 'A-01', [1280, 800]],
    ['/publishing/places', 'A-01', [390, 844]],
    ['/publishing/drift', 'A-01', [1280, 800]],
    ['/people/S-8-001/look', 'A-01', [1280, 800]],
    ['/timetable/clashes', 'A-01', [1280, 800]],
    ['/term', 'A-01', [1280, 800]],
    ['/term/import', 'A-01', [1280, 800]],
    ['/timetable?week=7', 'A-01', [1280, 800]],
    ['/timetable?day=2027-02-25&clock=S-8-001', 'A-01', [1280, 800]],
    ['/timetable/fix', 'A-01', [1280, 800]],
    ['/timetable/place', 'A-01', [390, 844]],
    ['/timetable/why-not?series=1&weekdays[]=1&start=10:00', 'A-01', [1280, 800]],
    ['/timetable/wishes', 'A-01', [1280, 800]],
    ['/timetable/wishes', 'T-02', [390, 844]],
    ['/timetable/own-hours', 'A-01', [390, 844]],
    ['/timetable/drafts', 'A-01', [1280, 800]],
    ['/sections/7ART?change=to-place', 'A-01', [1280, 800]],
    ['/timetable/licences', 'A-01', [1280, 800]],
    ['/timetable/contact-time', 'A-01', [1280, 800]],
    ['/timetable/calendars', 'A-01', [1280, 800]],
    ['/term/make-ups', 'A-01', [1280, 800]],
    ['/sections/8MAR?day=2027-02-18', 'A-01', [1280, 800]],
    ['/sections/8MAR?day=2027-02-16', 'A-01', [1280, 800]],
    ['/sections/8MAR?change=', 'A-01', [1280, 800]],
    ['/joining', 'A-01', [1280, 800]],
    ['/registration', 'A-01', [1280, 800]],
    ['/today', 'A-01', [1280, 800]],
    ['/records', 'A-01', [1280, 800]],
    ['/records/missed', 'A-01', [1280, 800]],
    ['/records/sections/8MAR', 'A-01', [1280, 800]],
    ['/records/sections/8MAR/lists', 'A-01', [1280, 800]],
    ['/records/people/S-8-001', 'A-01', [1280, 800]],
    ['/people/S-8-001', 'A-01', [1280, 800]],
    ['/people', 'A-01', [1280, 800]],
    ['/people/new', 'A-01', [1280, 800]],
    ['/set-up', 'A-01', [1280, 800]],
    ['/requests', 'A-01', [1280, 800]],
    ['/requests', 'A-01', [390, 844]],
    ['/teachers/rights', 'A-01', [1280, 800]],
    ['/teachers/rights', 'A-01', [390, 844]],
    ['/', 'A-01', [390, 844]],
    ['/people', 'A-01', [390, 844]],
    ['/set-up', 'A-01', [390, 844]],
    ['/nowhere', 'A-01', [390, 844]],
    ['/people/S-8-001/look', 'T-02', [390, 844]],
    ['/records/sections/8MAR', 'T-02', [390, 844]],
    ['/', 'T-02', [390, 844]],
    ['/today', 'T-02', [390, 844]],
    ['/sections/8MAR', 'T-02', [390, 844]],
    ['/timetable', 'T-02', [390, 844]],
    ['/timetable?day=2027-02-25', 'T-02', [390, 844]],
    ['/timetable/contact-time', 'T-02', [390, 844]],
    ['/people/T-02', 'T-02', [390, 844]],
    ['/publishing?show=all', 'T-02', [390, 844]],
    ['/me/attendance', 'S-8-001', [390, 844]],
    ['/me', 'S-8-001', [390, 844]],
    ['/join', 'S-8-001', [390, 844]],
    ['/sign-in', '', [1280, 800]],
]);
