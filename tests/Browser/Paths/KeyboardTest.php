<?php

use Illuminate\Support\Facades\DB;
use Tests\Support\RunningCopy;

test('the whole path by keys alone, and the focus is seen at every step of it', function () {
    $copy = RunningCopy::shared();
    $copy->freshDemo();
    $b = browser()->fresh($copy->url())->open('/sign-in');
    $b->tabTo('Candela Marrero')->keys('ENTER')->see('All sections');

    // From anywhere to a section, by the search.
    $b->keys('/')->keys('Statistics')->see('Y10 Statistics', '#hits');
    $b->keys('ENTER')->see('No sessions yet');
    $b->tabTo('Add a series')->keys('ENTER')->see('Result');
    $b->tabTo('#wd-2')->keys('SPACE')->tabTo('#wd-4')->keys('SPACE');
    $b->tabTo('[name=start_time]')->over('14.30')->tabTo('[name=end_time]')->over('1515');
    $b->tabTo('[name=starts_on]')->over('9 Feb')->see('17 sessions', '.made');
    $b->tabTo('Plan this series')->keys('ENTER')->see('Statistics planned: Tue Thu 14:30–15:15.');
    // A form that is half typed is looked at too, and the console names the answer that it is none yet.
    foreach ($b->troubles() as $trouble) {
        expect($trouble)->toMatch('~/series/preview - .* status of 422 ~');
    }

    // Link, roster, plan, run.
    $b->tabTo('Create link')->keys('ENTER')->see('1 link created');
    $b->tabTo('Y10 Statistics')->keys('ENTER')->see('0 of 26 registered');
    $b->tabTo('Register roster')->keys('ENTER')->see('26 of 26 registered');
    $b->tabTo('Preview changes…')->keys('ENTER')->see('first publication');
    $b->tabTo('Y10 Statistics')->keys('ENTER')->see('Add 27 calendars');
    $b->tabTo('.tray > .btn-main')->keys('ENTER')->see('items up to date');

    // Out, and in as one of its students.
    $b->tabTo('C. Marrero')->keys('ENTER')->tabTo('Sign out')->keys('ENTER')->see('Or try the demo as');
    $address = (string) DB::table('people')->where('sourced_id', 'S-10-006')->value('email');
    $b->open('/sign-in')->tabTo('[name=email]')->keys($address);
    $b->tabTo('[name=password]')->keys('carnival-tide-27', 'ENTER')->see('Upcoming sessions');
    $b->tabTo('Join page of Y10 Statistics, Thu 11 Feb')->keys('ENTER')->see('You are early');
    // The page of the run asks how far it is until it is left: its last question may come after the signing out.
    expect(preg_grep('~/progress - .* status of 401 ~', $b->troubles(), PREG_GREP_INVERT))->toBe([]);
});
