<?php

use Nomada\Standins\MimeMessage;
use Symfony\Component\Mime\Email;

// What a known library writes, our mailbox reads back.

test('a message is read back as it was written', function (
    string $subject,
    string $text,
    string $html,
    string $file,
) {
    $email = (new Email())
        ->from('School <timetable@school.example>')
        ->to('ana@school.example')
        ->subject($subject)
        ->text($text)
        ->html($html)
        ->attach($file, 'timetable.ics', 'text/calendar');
    $read = new MimeMessage($email->toString());

    expect($read->header('subject'))
        ->toBe($subject)
        ->and(str_replace("\r\n", "\n", $read->text()))
        ->toBe($text)
        ->and($read->html())
        ->toBe($html)
        ->and($read->attachments())
        ->toHaveCount(1)
        ->and($read->attachments()[0]['content'])
        ->toBe($file)
        ->and($read->attachments()[0]['name'])
        ->toBe('timetable.ics')
        ->and($read->attachments()[0]['type'])
        ->toBe('text/calendar');
})->with([
    ['Plain', 'Hello', '<p>Hello</p>', "BEGIN:VCALENDAR\r\nEND:VCALENDAR"],
    [
        'Íñigo’s “new” link: Ciências do Mar, every second Tuesday and Thursday of the whole term',
        "Olá,\n\n--\nA line of its own=3D, and a very long one: ".str_repeat('maré ', 60),
        '<p>ção &amp; =</p>',
        (string) hex2bin(str_repeat('00ff0d0a80c3', 50)),
    ],
]);

test('what is no message is read without an error', function (string $given) {
    $read = new MimeMessage($given);

    expect($read->header('subject'))->toBe('')->and($read->attachments())->toBe([]);
})->with([
    '',
    "\r\n\r\n",
    'no colon here',
    "Content-Type: multipart/mixed; boundary=x\r\n\r\n--x",
    "Content-Type: multipart/mixed; boundary=x\r\n\r\nnothing",
]);
