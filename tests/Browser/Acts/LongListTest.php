<?php

use Tests\Support\ManySections;
use Tests\Support\RunningCopy;

test('the rest of a long list comes as somebody goes there, and what was chosen stays chosen', function (
    string $page,
    string $filled,
) {
    $copy = RunningCopy::shared();
    $copy->freshDemo();
    ManySections::add('8MAR');
    $browser = browser()->as($copy->url(), 'A-01', $page);
    $last = "tr:has(input[data-name='Y11 Extra 100'])";
    expect($browser->count('tr[data-stub]'))->toBeGreaterThan(20)->and($browser->count("{$last}[data-stub]"))->toBe(1);
    // All are chosen before they are there, and one of them is not.
    $browser->click('thead input[type=checkbox]')->see('selected');
    $browser->script("document.querySelector(\"$last input\").click()");
    $before = $browser->count('tr input:checked');
    $browser->script("document.querySelector(\"$last a\").focus()");
    $browser->wait(fn (): bool => $browser->count("{$last}[data-row] $filled") > 0, 'the last row');
    expect($browser->count("$last input:checked"))
        ->toBe(0)
        ->and($browser->count('tr input:checked'))
        ->toBe($before)
        ->and($browser->script('return document.activeElement.textContent'))
        ->toContain('Extra 100')
        // What nobody has seen is still to come, until the page is printed.
        ->and($browser->count('tr[data-stub]'))
        ->toBeGreaterThan(0);
    // A server that is away for a moment is told of, and asked again.
    $browser->script('window.real = window.fetch; window.fetch = () => Promise.reject(new Error("away"))');
    // Nobody waits here for as long as the page does before it asks again.
    $browser->script('const wait = window.setTimeout; window.setTimeout = (then, ms) => wait(then, ms / 10)');
    $browser->script("document.querySelector('tr[data-stub]').scrollIntoView({block: 'center'})");
    $browser->see('This could not be loaded; trying again', 'tbody');
    $left = $browser->count('tr[data-stub]');
    $browser->script('window.fetch = window.real');
    $browser->wait(fn (): bool => $browser->count('tr[data-stub]') < $left, 'the rows that were not there');
    $browser->script("window.dispatchEvent(new Event('beforeprint'))");
    $browser->wait(fn (): bool => $browser->count('tr[data-stub]') === 0, 'all rows before printing');
    expect($browser->troubles())->toBe([]);
})->with([
    'board' => ['/', 'svg.line'],
    'joining' => ['/joining', '.todo'],
]);
