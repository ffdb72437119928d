<?php

use Nomada\Core\Interchange\Calendar\CalendarWriter;
use Nomada\Core\Interchange\Calendar\EventSeries;
use Nomada\Core\Interchange\Calendar\SharedEvent;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionOverrides;
use Tests\Core\Scenario;

/** The calendar that one person would have, written for them alone. */
function aloneFor(string $link, string $note, string $title = 'Marine Science'): string
{
    $plan = Scenario::plan([2, 4], '2027-01-12', minutes: 47);
    $sessions = array_slice($plan->sessions(Scenario::term()), 0, 4);
    $last = $sessions[3];
    $sessions[3] = new PlannedSession(
        $last->day + 1,
        $last->start + 86400,
        $last->end + 86400,
        own: new SessionOverrides($last->day),
    );

    return CalendarWriter::write([
        new EventSeries(
            'uid-7',
            2,
            1_800_000_000,
            $title,
            "Come in: $link\nThe doors open 10 minutes before; bring a chart, please.$note\nTue 12 Jan: Tides",
            $link,
            $plan->zone,
            $plan->startMinute,
            $plan->minutes,
            $plan->pattern->rule(),
            $sessions,
            '8MAR',
        ),
    ]);
}

test('a shared event is, byte for byte, what it would be for each person alone', function () {
    mt_srand(7);
    $made = 0;
    $shared = new SharedEvent(function (string $link, string $note) use (&$made): string {
        $made++;

        return aloneFor($link, $note);
    });
    $letters = ['a', 'é', '…', ',', ';', '\\', "\n", '"', ' ', '日', ':', 'Z'];
    for ($i = 0; $i < 300; $i++) {
        $note = '';
        foreach (range(0, mt_rand(0, 90)) as $_) {
            $note .= $letters[mt_rand(0, count($letters) - 1)];
        }
        $link = 'https://x.example/join/'.substr(str_repeat('aZ09-_', 20), 0, mt_rand(1, 90));
        $note = $i % 3 === 0 ? '' : "\n$note";
        expect($shared->for($link, $note))->toBe(aloneFor($link, $note));
    }
    expect($made)->toBe(1);
});

test('what is no plain address is written for its reader alone', function (string $link) {
    $shared = new SharedEvent(aloneFor(...));
    expect($shared->for('https://x.example/1', ''))
        ->toBe(aloneFor('https://x.example/1', ''))
        ->and($shared->for($link, 'x'))
        ->toBe(aloneFor($link, 'x'));
})->with(['', 'https://x.example/a,b', "https://x.example/\n", 'https://x.example/ä', 'ftp://x']);
