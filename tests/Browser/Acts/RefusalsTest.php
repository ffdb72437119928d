<?php

use Tests\Support\RunningCopy;

// Every form of the main pages is sent with nonsense, in the real interface with its scripts: what is refused is said
// where somebody sees it.

/** Fills a form's texts with nonsense and sends it, past what the browser itself would stop. */
const SEND_NONSENSE = <<<'JS'
const form = [...document.querySelectorAll('main form')].filter(f =>
    f.method === 'post' && f.querySelector('input[type=text], input:not([type]), input[type=number],' +
    'input[type=email], input[type=date], textarea'))[arguments[0]];
if (!form) return null;
document.body.dataset.sent = '1';
for (let fold = form.closest('details'); fold; fold = fold.parentElement.closest('details')) fold.open = true;
form.noValidate = true;
form.querySelectorAll('input, textarea').forEach(f => {
    if (!['hidden', 'checkbox', 'radio', 'file', 'submit'].includes(f.type)) {
        f.type = f.tagName === 'INPUT' ? 'text' : f.type;
        f.value = '?'.repeat(4001);
    }
});
const what = form.getAttribute('action');
form.requestSubmit();
return what;
JS;

/** What is told on the page so that it can be seen; empty where nothing is. */
const TOLD = <<<'JS'
return [...document.querySelectorAll('[role=alert], [role=status], .invalid, .said, .fault')]
    .filter(e => e.textContent.trim() !== '' && e.getClientRects().length > 0)
    .map(e => e.textContent.trim().slice(0, 120));
JS;

test('whatever is refused is said on the page', function (string $page) {
    $b = browser()->as(RunningCopy::shared()->url(), 'A-01', $page);
    $silent = [];
    for ($n = 0; $n < 25; $n++) {
        $b->open($page)->settle();
        $action = $b->script(SEND_NONSENSE, $n);
        if ($action === null) {
            break;
        }
        $b->wait(
            fn (): bool => $b->script('return document.body.dataset.sent ?? null') === null,
            "the answer of $action",
        );
        $b->settle();
        if ($b->script(TOLD) === []) {
            $silent[] = "$action from $page came to {$b->path()}";
        }
    }
    expect($silent)->toBe([]);
})->with([
    '/term',
    '/term/closing',
    '/term/make-ups',
    '/today',
    '/sections/8MAR',
    '/joining',
    '/joining/drop-in',
    '/joining/presets',
    '/registration/letters',
    '/publishing',
    '/publishing/places',
    '/publishing/showing',
    '/publishing/webhooks',
    '/records/missed',
    '/account',
    '/accounts',
    '/people/S-8-001',
    '/timetable/licences',
    '/timetable/calendars',
    '/timetable/clashes',
]);

test('what saving a series was refused for stays while its dates are looked at', function () {
    $b = browser()->as(RunningCopy::shared()->url(), 'A-01', '/sections/9CIV');
    $b->press('Add a series')->choose('#wd-2')->fill('start_time', '14.30')->fill('end_time', '1515');
    $b->fill('title', '')->press('Plan this series')->see('title', '[data-fault=title]');
    // The look has come by now, and the message is still there.
    $b->see('sessions', '.made')->see('title', '[data-fault=title]');
    expect($b->count('[data-fault=title]:not(:empty)'))->toBe(1);
});
