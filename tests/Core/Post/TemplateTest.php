<?php

use Nomada\Core\Fault;
use Nomada\Core\Post\LetterKind;
use Nomada\Core\Post\Template;
use Nomada\Core\Publishing\ShownText;
use Tests\Core\Scenario;
use Tests\Support\English;

test('the usual words of every kind are whole, and leave nothing in braces', function (
    LetterKind $kind,
    string $language,
) {
    $examples = Scenario::examples($kind, $language);
    [$subject, $text] = Scenario::letter($kind, $language)->write($examples);

    expect("$subject $text")
        ->not->toContain('{')
        ->not->toContain('}');
    foreach ($kind->needs() as $needed) {
        expect($text)->toContain($examples[$needed]);
    }
})
    ->with(LetterKind::cases())
    ->with(['en', 'es']);

test('a template that could not be sent is refused, with how to mend it', function (
    string $subject,
    string $text,
    string $field,
    string $says,
) {
    try {
        new Template(LetterKind::Accepted, $subject, $text);
        $this->fail('It was taken');
    } catch (Fault $e) {
        expect($e->field)->toBe($field)->and(English::of($e))->toContain($says);
    }
})->with([
    ['', '{link}', 'subject', 'one line'],
    ["a\nb", '{link}', 'subject', 'one line'],
    ["a\0b", '{link}', 'subject', 'one line'],
    ['a', ' ', 'text', 'Enter a text.'],
    ['a', '{link} {mother}', 'text', 'Unknown placeholder: {mother}.'],
    ['{reason}', '{link}', 'text', '{reason}'],
    ['{link}', 'come in', 'text', 'The placeholder {link} is required.'],
    ['a', '{ link }', 'text', '{ link }'],
]);

test('what is put in is never read again, and breaks no subject', function () {
    $template = new Template(LetterKind::Accepted, 'For {name}', '{name}: {link}');
    [$subject, $text] = $template->write([
        'name' => "{link}\r\nBcc: all@marisma.example",
        'link' => 'https://x.example',
    ]);

    expect($subject)
        ->toBe('For {link} Bcc: all@marisma.example')
        ->and($text)
        ->toBe("{link}\r\nBcc: all@marisma.example: https://x.example");
});

test('a line with nothing to put for any of its placeholders is left out, and no other', function () {
    $template = new Template(
        ShownText::CalendarEvent,
        '{series}',
        "Join: {link}\n\nCode {code}, phone {phone}\nBy phone: {phone}\nDoors: {doors}\nBye",
    );
    expect($template->write(['link' => 'https://x', 'code' => 'BCD'])[1])->toBe(
        "Join: https://x\n\nCode BCD, phone \nBye",
    );
});

test('a text that may be empty is, and one that may not is asked for', function () {
    expect((new Template(ShownText::CourseWeek, 'Week {week}', ''))->write(['week' => '5']))->toBe(['Week 5', '']);
    expect(fn () => new Template(ShownText::CalendarEvent, 'x', ''))->toFault('Enter a text.');
    expect(fn () => new Template(ShownText::CourseWeek, '{link}', ''))->toFault('{link}');
});
