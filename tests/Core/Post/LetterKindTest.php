<?php

use Nomada\Core\Post\LetterKind;
use Tests\Core\Scenario;

/*
 * What each letter is: may a reader stop it, does it wait for the morning, is it of an account or of an absence, do the
 * sessions come with it, what may be in it, and without what is it of no use. One line a kind, so that a change of
 * one is a change of its line.
 */
test('what each kind of letter is', function (
    LetterKind $kind,
    string $title,
    string $is,
    array $may,
    array $needs,
) {
    $flags = array_keys(
        array_filter([
            'stopped' => $kind->mayBeStopped(),
            'quiet' => $kind->keepsQuiet(),
            'account' => $kind->isOfAccount(),
            'absence' => $kind->isOfAbsence(),
            'sessions' => $kind->bringsSessions(),
        ]),
    );
    expect(Scenario::file('en', 'letters')[$kind->value]['title'])
        ->toBe($title)
        ->and(implode(' ', $flags))
        ->toBe($is)
        ->and($kind->placeholders())
        ->toBe($may)
        ->and($kind->needs())
        ->toBe($needs)
        // An example of each is in the page on which words are edited.
        ->and(array_diff($may, array_keys(array_filter(Scenario::examples($kind)))))
        ->toBe([]);
    // The usual words use what they need, and nothing that is not there.
    preg_match_all('/\{(\w+)\}/', Scenario::letter($kind)->subject.Scenario::letter($kind)->text, $m);
    expect(array_diff($needs, $m[1]))->toBe([])->and(array_diff($m[1], $may))->toBe([]);
})->with([
    [LetterKind::Received, 'Registration received', '', ['name', 'class', 'school', 'when', 'page'], []],
    [
        LetterKind::Accepted,
        'Confirmation',
        'sessions',
        ['name', 'class', 'school', 'when', 'link', 'phone'],
        ['link'],
    ],
    [
        LetterKind::Declined,
        'Registration declined',
        '',
        ['name', 'class', 'school', 'when', 'reason', 'page'],
        ['reason'],
    ],
    [
        LetterKind::Elsewhere,
        'Registration moved to another section',
        '',
        ['name', 'class', 'school', 'when', 'page'],
        [],
    ],
    [
        LetterKind::Replaced,
        'Replaced link',
        'sessions',
        ['name', 'class', 'school', 'when', 'link', 'phone'],
        ['link'],
    ],
    [
        LetterKind::Guest,
        'Invitation for guests',
        '',
        ['name', 'class', 'school', 'when', 'link', 'until'],
        ['link'],
    ],
    [
        LetterKind::Guardian,
        'Confirmation for guardians',
        'stopped sessions',
        ['name', 'class', 'school', 'when', 'child'],
        ['child'],
    ],
    [
        LetterKind::Changed,
        'Changed sessions',
        'stopped quiet sessions',
        ['name', 'class', 'school', 'when', 'change'],
        ['change'],
    ],
    [LetterKind::Cancelled, 'Cancelled series', 'stopped', ['name', 'class', 'school', 'title'], []],
    [
        LetterKind::Teacher,
        'Host link for teachers',
        'sessions',
        ['name', 'class', 'school', 'when', 'link', 'phone'],
        ['link'],
    ],
    [
        LetterKind::Invitation,
        'Invitation to set a password',
        'account',
        ['name', 'school', 'link', 'until', 'sign_in'],
        ['link'],
    ],
    [LetterKind::Reset, 'Password reset', 'account', ['name', 'school', 'link', 'until', 'sign_in'], ['link']],
    [
        LetterKind::NotHere,
        'Not joined yet',
        'stopped absence',
        ['name', 'child', 'school', 'page', 'class', 'when'],
        ['child'],
    ],
    [
        LetterKind::Missed,
        'Missed sessions',
        'stopped absence',
        ['name', 'child', 'school', 'page', 'missed'],
        ['child', 'missed'],
    ],
    [
        LetterKind::Recording,
        'Recording available',
        'stopped absence',
        ['name', 'child', 'school', 'page', 'class', 'when'],
        ['page'],
    ],
    [LetterKind::Reminder, 'Reminder', 'quiet', ['name', 'school', 'sessions', 'page'], ['sessions']],
]);

test('every kind has its line above', function () {
    $source = (string) file_get_contents(__FILE__);
    foreach (LetterKind::cases() as $kind) {
        expect($source)->toMatch("~\\bLetterKind::$kind->name,~");
    }
});

/*
 * Every usual letter as its reader gets it. A word that is changed on purpose is changed in letters.txt as well: what
 * is written to a whole school is read once more before it goes.
 */
test('the usual letters, word by word', function () {
    $all = '';
    foreach (LetterKind::cases() as $kind) {
        [$subject, $text] = Scenario::letter($kind)->write(Scenario::examples($kind));
        $all .= "== $kind->value\n$subject\n\n$text\n\n";
    }
    expect($all)->toBe((string) file_get_contents(__DIR__.'/letters.txt'));
});
