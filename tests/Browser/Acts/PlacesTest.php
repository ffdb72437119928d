<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Tests\Support\Radicale;
use Tests\Support\RunningCopy;

// Where things stand, who else changed them there, and what a student sees; in the real interface, one after the other.

test('what somebody else changed at the course site is seen side by side, and put back or kept', function () {
    $copy = RunningCopy::shared();
    $copy->freshDemo();
    foreach (['nomada:links', 'nomada:register', 'nomada:publish'] as $command) {
        Artisan::call($command, ['--section' => ['8MAR', '8MAT-A']]);
    }
    $standins = $copy->standins();
    $standins->put('/course/pages/8MAR/items/week-6', '{"title":"Tides club","block":"6","fields":{}}');
    Http::withToken($standins->token)->delete($standins->url.'/course/pages/8MAR/items/week-7');

    $b = browser()->as($copy->url(), 'A-01', '/publishing/drift');
    $b->press('Check now')->see('2 were changed outside Nomada')->see('Tides club')->see('Deleted there.');
    $b->open('/sections/8MAR')->see('2 outside changes');
    // As the student sees it, what is gone is marked.
    $b->open('/people/S-8-001/look?date=2027-02-18')->see('not shown')->see('shown wrongly somewhere');

    $b->open('/publishing/drift')
        ->click('tbody tr:nth-child(2) input')
        ->press('Publish ours again')
        ->see('1 item up to date')
        // A job of its own, behind the letters that are on their way.
        ->see('something wrong', patience: 600);
    $b->open('/publishing/drift')->click('tbody tr:nth-child(1) input')->press('Keep theirs')->see('Kept '
        .'outside changes');
    $b->open('/people/S-8-001/look?date=2027-02-23')->see('all destinations show the right sessions');
    expect($b->accessibilityFaults())->toBe([]);
});

test('a real calendar server is tried, kept and published to', function () {
    $copy = RunningCopy::shared();
    $radicale = Radicale::shared();
    $radicale->empty();
    $b = browser()->as($copy->url(), 'A-01', '/publishing/places');
    $b->click('#calendar summary')->script("document.querySelector('#kind-calendar').value = 'caldav'");
    $b->script("document.querySelector('#url-calendar').value = arguments[0]", $radicale->url());
    $b->script("document.querySelector('#user-calendar').value = arguments[0]", Radicale::USER);
    $b->script("document.querySelector('#password-calendar').value = 'wrong'");
    $b->click('#calendar .outside-form .btn-side')->see('The calendar server does not accept this user name and '
        .'password', '#calendar');
    expect($b->accessibilityFaults())->toBe([]);
    $b->script("document.querySelector('#password-calendar').value = arguments[0]", Radicale::PASSWORD);
    $b->click('#calendar .outside-form .btn-side')->see('The connection works.', '#calendar');
    $b->script("document.querySelector('#password-calendar').value = arguments[0]", Radicale::PASSWORD);
    $b->click('#calendar .outside-form .btn-main')->see('Saved.');
    expect($b->text('#calendar'))->toContain('a calendar server (CalDAV)');

    $b->open('/publishing?show=all')->see('Y8 Marine Science');
    foreach (DB::table('sections')->where('sourced_id', '!=', '8MAR')->pluck('sourced_id') as $other) {
        $b->script(
            "const x = document.querySelector('input[value=\"' + arguments[0] + '\"]'); if (x) x.checked = false",
            $other,
        );
    }
    $b->script(
        "document.querySelector('form[x-data=plan] input').dispatchEvent(new Event('change', {bubbles: true}))",
    );
    $b->click('.tray > .btn-main')->see('items up to date', patience: 600);
    expect($radicale->calendar('s-8-001'))->toHaveCount(1);
});

test('a student chooses how to be reminded, and axe finds nothing there', function () {
    $copy = RunningCopy::shared();
    $b = browser()->size(390, 844)->as($copy->url(), 'S-8-001', '/me');
    $b->script("document.querySelector('#remind').value = 'hours-2'");
    $b->press('Save')->see('Saved.');
    expect(DB::table('people')->where('sourced_id', 'S-8-001')->value('remind'))
        ->toBe('hours-2')
        ->and($b->accessibilityFaults())
        ->toBe([]);
});
