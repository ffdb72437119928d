<?php

use Nomada\Core\Interchange\Calendar\MailedCalendar;
use Nomada\Core\Interchange\Calendar\Reply;

/** An iTIP reply; `event` are further lines of its one event. */
function reply(
    string $partstat,
    string $event = '',
    string $method = 'REPLY',
    string $who = 'Galia@School.example',
): string {
    return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//y//EN\r\nMETHOD:$method\r\nBEGIN:VEVENT\r\n".
        "UID:s-1@nomada\r\n".
        "DTSTAMP:20270209T080000Z\r\n{$event}ATTENDEE;CN=Galia;PARTSTAT=$partstat:MAILTO:$who\r\n".
        "END:VEVENT\r\nEND:VCALENDAR\r\n";
}

/** @return list<array{string, string, string, int|null, int}>|null */
function plainly(?array $replies): ?array
{
    return $replies === null
        ? null
        : array_map(
            fn (Reply $r): array => [$r->uid, $r->address, $r->answer->value, $r->session, $r->at],
            $replies,
        );
}

test('an answer is read as it was given', function (string $text, ?array $replies) {
    expect(plainly(Reply::read($text)))->toBe($replies);
})->with([
    'yes' => [reply('ACCEPTED'), [['s-1@nomada', 'galia@school.example', 'accepted', null, 1802160000]]],
    'no' => [reply('declined'), [['s-1@nomada', 'galia@school.example', 'declined', null, 1802160000]]],
    'perhaps, to one session' => [
        reply('TENTATIVE', "RECURRENCE-ID;TZID=Europe/Madrid:20270211T100000\r\n"),
        [['s-1@nomada', 'galia@school.example', 'tentative', 1802336400, 1802160000]],
    ],
    'in small letters' => [
        reply('ACCEPTED', method: 'reply'),
        [['s-1@nomada', 'galia@school.example', 'accepted', null, 1802160000]],
    ],
    'with blanks' => [
        str_replace('MAILTO:', ' mailto:', reply('ACCEPTED', who: 'galia@school.example ')),
        [['s-1@nomada', 'galia@school.example', 'accepted', null, 1802160000]],
    ],
    'of no moment' => [
        str_replace("DTSTAMP:20270209T080000Z\r\n", '', reply('ACCEPTED')),
        [['s-1@nomada', 'galia@school.example', 'accepted', null, 0]],
    ],
    'of several, one of whom says nothing' => [
        reply(
            'ACCEPTED',
            "ATTENDEE:mailto:rui@school.example\r\n"."ATTENDEE;PARTSTAT=DECLINED:mailto:teo@school.example\r\n",
        ),
        [
            ['s-1@nomada', 'teo@school.example', 'declined', null, 1802160000],
            ['s-1@nomada', 'galia@school.example', 'accepted', null, 1802160000],
        ],
    ],
    'to nothing' => [str_replace("UID:s-1@nomada\r\n", '', reply('ACCEPTED')), []],
    'to something without a name' => [str_replace('UID:s-1@nomada', 'UID:', reply('ACCEPTED')), []],
    'not registered' => [reply('NEEDS-ACTION'), []],
    'handed on to somebody' => [reply('DELEGATED'), []],
    'without an address' => [reply('ACCEPTED', who: ''), []],
    'a request is no answer' => [reply('ACCEPTED', method: 'REQUEST'), null],
    'no calendar' => ['Dear office, we come.', null],
    'a card' => ["BEGIN:VCARD\r\nVERSION:4.0\r\nFN:G\r\nEND:VCARD\r\n", null],
    'nothing' => ['', null],
]);

test('in a calendar the owner\'s own answer counts, and nobody else\'s', function () {
    $other = "ATTENDEE;PARTSTAT=ACCEPTED:mailto:teo@school.example\r\n";
    $object = str_replace('METHOD:REPLY', 'CALSCALE:GREGORIAN', reply('DECLINED', $other));
    expect(plainly(Reply::standing($object, 'GALIA@school.example')))
        ->toBe([['s-1@nomada', 'galia@school.example', 'declined', null, 1802160000]])
        ->and(Reply::standing($object, 'rui@school.example'))
        ->toBe([])
        ->and(Reply::standing('no calendar', 'rui@school.example'))
        ->toBe([]);
});

test('the calendar of a message is found wherever it lies', function (string $message, ?string $calendar) {
    expect(MailedCalendar::in($message))->toBe($calendar);
})->with([
    'alone' => ["Subject: Re\r\nContent-Type: text/calendar; method=REPLY\r\n\r\nBEGIN", 'BEGIN'],
    'as base64' => [
        "content-type: TEXT/Calendar\ncontent-transfer-encoding: BASE64\n\n".base64_encode('BEGIN:ñ'),
        'BEGIN:ñ',
    ],
    'quoted, its type folded' => [
        "Content-Type: text/calendar;\n method=REPLY\nContent-Transfer-Encoding: quoted-printable\n\nBEGIN=3AX=\n!",
        'BEGIN:X!',
    ],
    'within parts within parts' => [
        "Content-Type: multipart/mixed; boundary=\"a+b\"\r\n\r\nno parts here\r\n--a+b\r\n".
        "Content-Type: multipart/alternative;\r\n boundary=c\r\n\r\n--c\r\nContent-Type: text/plain\r\n\r\nYes\r\n".
        "--c\r\nContent-Type: text/calendar\r\n\r\nBEGIN\r\nEND\r\n--c--\r\n--a+b--\r\n",
        "BEGIN\r\nEND",
    ],
    'no calendar' => [
        "Content-Type: multipart/mixed; boundary=a\n\n--a\nContent-Type: text/html\n\n<p>\n--a--\n",
        null,
    ],
    'a boundary that is not there' => [
        "Content-Type: multipart/mixed; boundary=a\n\nContent-Type: text/calendar\n",
        null,
    ],
    'parts without end' => [
        implode(
            '',
            array_map(fn (int $n): string => "Content-Type: multipart/mixed; boundary=b$n\n\n--b$n\n", range(1, 9)),
        )."Content-Type: text/calendar\n\nX",
        null,
    ],
    'the name of a file' => ["Content-Type: application/x; name=text/calendar\n\nX", null],
    'nothing' => ['', null],
]);
