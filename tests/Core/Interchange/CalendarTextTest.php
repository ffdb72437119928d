<?php

use Nomada\Core\Interchange\Calendar\CalendarWriter;
use Nomada\Core\Interchange\Calendar\EventSeries;
use Nomada\Core\Interchange\Calendar\Invitee;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;
use Tests\Core\Scenario;

/** @param  list<PlannedSession>  $sessions */
function eventSeries(SeriesPlan $plan, array $sessions, string $uid = 'uid-7', array $with = []): EventSeries
{
    return new EventSeries(
        ...[
            'uid' => $uid,
            'sequence' => 2,
            'changedAt' => 1_800_000_000,
            'summary' => 'Marine Science',
            'description' => 'Join: https://x.example/join/one',
            'url' => 'https://x.example/join/one',
            'zone' => $plan->zone,
            'startMinute' => $plan->startMinute,
            'minutes' => $plan->minutes,
            'rule' => $plan->pattern->rule(),
            'sessions' => $sessions,
            'category' => '8MAR',
            ...$with,
        ],
    );
}

/*
 * Calendars whole, as other programs read them: a rule with its exceptions over a change of the clocks, listed dates
 * where a rule does not hold, a series without link, text or category; and a message to one person.
 */
test('calendars, line by line', function () {
    $planned = fn (SeriesPlan $plan): array => array_values(
        array_filter(
            $plan->sessions(Scenario::term()),
            fn (PlannedSession $s): bool => $s->state === SessionState::Planned,
        ),
    );
    $weekly = Scenario::plan([2], '2027-03-09', minutes: 47);
    $sessions = $planned($weekly);
    $second = $sessions[1];
    $sessions[1] = new PlannedSession(
        $second->day + 1,
        $second->start + 86400,
        $second->end + 86400 + 600,
        own: new SessionOverrides($second->day),
    );
    unset($sessions[3]);
    $extra = new PlannedSession(
        $sessions[0]->day + 1,
        $sessions[0]->start + 90_000,
        $sessions[0]->end + 90_000,
        own: new SessionOverrides(isExtra: true),
    );
    $bare = ['description' => '', 'url' => '', 'category' => ''];
    $three = Scenario::plan([5], '2027-02-12', zone: 'America/Santiago');
    $all = [
        eventSeries($weekly, array_values($sessions)),
        eventSeries($weekly, [...array_slice($sessions, 0, 1), $extra], 'uid-8'),
        eventSeries($three, array_slice($planned($three), 0, 2), 'uid-9', $bare),
        eventSeries($weekly, [], 'uid-none'),
    ];
    $text =
        CalendarWriter::write($all, 'My calendar', 'PT1H', 10).
        "----\r\n".
        CalendarWriter::write([$all[2]]).
        "----\r\n".
        CalendarWriter::invite(
            [$all[2]],
            new Invitee('Colegio Marisma', 'post@marisma.example', 'Ana Quiroga', 'ana@marisma.example'),
        ).
        "----\r\n".
        CalendarWriter::invite(
            [$all[2]],
            new Invitee('Colegio Marisma', 'post@marisma.example', 'Ana Quiroga', 'ana@marisma.example', true),
        );
    expect(str_replace("\r\n", "\n", $text))->toBe((string) file_get_contents(__DIR__.'/calendars.txt'));
});

test('the way in is called in the language of whose calendar it is', function () {
    $plan = Scenario::plan([2], '2027-03-09', minutes: 47);
    $session = $plan->sessions(Scenario::term())[0];
    expect(CalendarWriter::write([eventSeries($plan, [$session], with: ['comeIn' => 'Entrar'])], 'x'))
        ->toContain('LABEL=Entrar:https://x.example/jo')
        ->not->toContain('Come in:https://x.example/jo');
});
