<?php

use Nomada\Core\Interchange\Calendar\CalendarWriter;
use Nomada\Core\Interchange\Calendar\EventSeries;
use Nomada\Core\Interchange\Calendar\Invited;
use Nomada\Core\Interchange\Calendar\Invitee;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;
use Sabre\VObject\Reader;

test('an iTIP message has its method, one attendee and an organizer on every event, and reads as valid', function (
    bool $cancels,
) {
    $zone = Zone::named('Europe/Madrid');
    $sessions = array_map(
        fn (string $d): PlannedSession => new PlannedSession(
            LocalDate::parse($d)->day,
            $zone->instant(LocalDate::parse($d)->day, 600),
            $zone->instant(LocalDate::parse($d)->day, 645),
            SessionState::Planned,
        ),
        ['2027-02-09', '2027-02-23', '2027-03-30'],
    );
    $series = new EventSeries(
        'u-1',
        2,
        1_800_000_000,
        'Marine, Science; tides',
        '',
        '',
        $zone,
        600,
        45,
        'FREQ=WEEKLY;BYDAY=TU',
        $sessions,
    );
    $ics = CalendarWriter::invite(
        [$series],
        new Invitee(
            'The "School"; of tides',
            'timetable@school.example',
            "Ana\r\nATTENDEE:mailto:all@school.example",
            'ana@school.example',
            $cancels,
        ),
    );
    $calendar = Reader::read($ics);

    expect((string) $calendar->METHOD)
        ->toBe($cancels ? 'CANCEL' : 'REQUEST')
        ->and(array_filter($calendar->validate(), fn (array $w): bool => $w['level'] > 1))
        ->toBe([]);
    foreach ($calendar->VEVENT as $event) {
        expect(count($event->ATTENDEE))
            ->toBe(1)
            ->and((string) $event->ATTENDEE)
            ->toBe('mailto:ana@school.example')
            ->and((string) $event->ORGANIZER)
            ->toBe('mailto:timetable@school.example')
            ->and((string) $event->STATUS)
            ->toBe($cancels ? 'CANCELLED' : 'CONFIRMED')
            ->and((string) $event->SEQUENCE)
            ->toBe('2');
    }
})->with([false, true]);

test('an object as an organizer keeps it names both in each of its events, folded and quoted', function () {
    $object =
        "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:a\r\nEND:VEVENT\r\nBEGIN:VEVENT\r\nUID:a\r\nEND:VEVENT\r\n".
        "END:VCALENDAR\r\n";
    $to = new Invitee('Colegio "Marisma"', 'timetable@school.example', "Galia ^ Zabalo\n", 'galia@school.example');
    $event =
        "BEGIN:VEVENT\r\nUID:a\r\nORGANIZER;CN=\"Colegio ^'Marisma^'\":mailto:timetable@school.example\r\n".
        "ATTENDEE;CN=\"Galia ^^ Zabalo^n\";PARTSTAT=NEEDS-ACTION;RSVP=TRUE:mailto:gali\r\n a@school.example\r\n".
        "END:VEVENT\r\n";
    expect(Invited::of($object, $to))
        ->toBe("BEGIN:VCALENDAR\r\n$event{$event}END:VCALENDAR\r\n")
        ->and(Invited::of($object, $to, 'ACCEPTED'))
        ->toContain(';PARTSTAT=ACCEPTED:mailto:gali')
        ->not->toContain('RSVP');
    // No letter is cut in two, and no line is longer than 75 octets.
    $long = Invited::of($object, new Invitee('x', 'a@b.example', str_repeat('ñ', 120), 'c@d.example'));
    $lines = explode("\r\n", $long);
    expect(max(array_map(strlen(...), $lines)))
        ->toBeLessThanOrEqual(75)
        ->and(array_filter($lines, fn (string $l): bool => ! mb_check_encoding($l, 'UTF-8')))
        ->toBe([])
        ->and(str_replace("\r\n ", '', $long))
        ->toContain(
            'ATTENDEE;CN="'.str_repeat('ñ', 120).'";PARTSTAT=NEEDS-ACTION;RSVP=TRUE:mailto:c@d.example',
        );
});
