<?php

use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Interchange\WebVtt;
use Nomada\Core\Recording\Cue;
use Tests\Support\English;

test('a transcript is read: hours or none, identifiers, settings, voices, entities, notes', function () {
    $vtt = new WebVtt(
        'a.vtt',
        "\u{FEFF}WEBVTT - Harbours\r\nKind: captions\r\n\r\nNOTE nobody\r\nsays this\r\n\r\nSTYLE\r\n::cue {}\r\n\r\n".
            "2\r\n01:00:02.500 --> 01:00:04.000 align:start\r\n<v Nadir Haddad>Fish &amp; <i>chips</i>\r\nand salt\r\n".
            "\r\n".
            "00:01.000 --> 00:02.000\r\nGood morning\r\n",
    );
    expect($vtt->faults)
        ->toBe([])
        ->and($vtt->cues)
        ->toEqual([
            new Cue(1_000, 2_000, 'Good morning'),
            new Cue(3_602_500, 3_604_000, 'Fish & chips and salt', 'Nadir Haddad'),
        ]);
});

test('what is wrong is told with its line, and what follows is read all the same', function (
    string $text,
    int $line,
    string $expected,
) {
    $faults = (new WebVtt('a.vtt', $text))->faults;
    expect(array_map(fn (ImportFault $f): int => $f->line, $faults))
        ->toBe([$line])
        ->and(English::line($faults[0]))
        ->toContain($expected);
})->with([
    ["1\n00:01.000 --> 00:02.000\nHi", 1, 'A transcript starts with the line WEBVTT.'],
    ["WEBVTTX\n\n00:01.000 --> 00:02.000\nHi", 1, 'A transcript starts with the line WEBVTT.'],
    ["WEBVTT\n\n00:01,000 --> 00:02,000\nHi\n\n00:03.000 --> 00:04.000\nYes", 3, 'These are not times.'],
    ["WEBVTT\n\n00:61.000 --> 00:62.000\nHi", 3, 'These are not times.'],
    ["WEBVTT\n\n00:02.000 --> 00:02.000\nHi", 3, 'A cue must end after it starts.'],
    ["WEBVTT\n\nHi there\nand more\n\n00:03.000 --> 00:04.000\nYes", 3, 'This is not a cue: write its times, then '
        .'what is said.'],
    ["WEBVTT\n\n", 0, 'The file has no cue: a line such as 00:00:01.000 --> 00:00:04.000.'],
]);

test('a transcript in another encoding than UTF-8 is a fault of the whole file', function () {
    // The byte stays in here: a name of a data set with it would break the report of the tests.
    $faults = (new WebVtt('a.vtt', "WEBVTT\n\n00:01.000 --> 00:02.000\n\xE9"))->faults;
    expect($faults)
        ->toHaveCount(1)
        ->and($faults[0]->line)
        ->toBe(0)
        ->and(English::line($faults[0]))
        ->toContain('UTF-8');
});

test('what is written is read back the same, and a part of it begins at nought', function () {
    $cues = [
        new Cue(0, 1_500, 'One < two & three', 'R. O’Farrell'),
        new Cue(61_000, 3_723_456, 'Later'),
        new Cue(4_000_000, 4_000_001, '-->'),
    ];
    $read = new WebVtt('b.vtt', WebVtt::write(array_slice($cues, 0, 2)));
    expect($read->faults)
        ->toBe([])
        ->and($read->cues)
        ->toEqual(array_slice($cues, 0, 2))
        ->and((new WebVtt('c.vtt', WebVtt::write($cues)))->cues)
        ->toEqual($cues)
        ->and((new WebVtt('d.vtt', WebVtt::write($cues, 60_000, 100_000)))->cues)
        ->toEqual([new Cue(1_000, 40_000, 'Later')])
        ->and(WebVtt::write($cues, 1_500, 61_000))
        ->toBe("WEBVTT\n");
});
