<?php

use Nomada\Core\Joining\Door;
use Nomada\Core\Joining\DoorAnswer;
use Nomada\Core\Joining\DoorReply;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\Visitor;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;
use Tests\Core\Scenario;

// Tuesdays and Thursdays 10:00 to 10:47 in Madrid; 11 February is cancelled, 16 February lost.
function doorAt(string $at, array $link = [], ?Visitor $visitor = null): DoorAnswer
{
    $sessions = Scenario::plan([2, 4], '2027-01-12', minutes: 47)->sessions(Scenario::term());
    $sessions = array_map(fn (PlannedSession $s): PlannedSession => gmdate('Y-m-d', $s->start) === '2027-02-11' ? new PlannedSession($s->day, $s->start, $s->end, SessionState::Cancelled, 'the teacher is ill') : $s, $sessions);

    return (new Door)->answer($link['kind'] ?? LinkKind::Personal, $link['holder'] ?? 1, $link['retired'] ?? false, $link['hidden'] ?? false, $sessions,
        $visitor ?? new Visitor(1, false, true, 'accepted'), Zone::named('Europe/Madrid'), (new DateTimeImmutable("$at Europe/Madrid"))->getTimestamp());
}

test('the moment decides for who may come in', function (string $at, DoorReply $reply, ?string $opens, ?string $next) {
    $answer = doorAt($at);
    $show = fn (?int $t): ?string => $t === null ? null : (new DateTimeImmutable("@$t"))->setTimezone(new DateTimeZone('Europe/Madrid'))->format('m-d H:i');

    expect($answer->reply)->toBe($reply)->and($show($answer->opensAt))->toBe($opens)->and($show($answer->next?->start))->toBe($next);
})->with([
    'the day before' => ['2027-02-08 12:00', DoorReply::TooEarly, '02-09 09:50', null],
    'a minute too early' => ['2027-02-09 09:49', DoorReply::TooEarly, '02-09 09:50', '02-18 10:00'],
    'as the doors open' => ['2027-02-09 09:50', DoorReply::ComeIn, '02-09 09:50', '02-18 10:00'],
    'late' => ['2027-02-09 10:46', DoorReply::ComeIn, '02-09 09:50', '02-18 10:00'],
    'at the end, nobody comes in' => ['2027-02-09 10:47', DoorReply::Over, '02-18 09:50', '02-18 10:00'],
    'in the evening' => ['2027-02-09 22:00', DoorReply::Over, '02-18 09:50', '02-18 10:00'],
    'cancelled' => ['2027-02-11 09:00', DoorReply::Cancelled, '02-18 09:50', '02-18 10:00'],
    'closed' => ['2027-02-16 10:05', DoorReply::Cancelled, '02-18 09:50', '02-18 10:00'],
    'the last of the term is over' => ['2027-04-22 11:00', DoorReply::Over, null, null],
    'after the term' => ['2027-05-01 10:00', DoorReply::Over, null, null],
]);

test('who it is decides before the moment does', function (array $link, Visitor $visitor, DoorReply $reply) {
    expect(doorAt('2027-02-09 10:00', $link, $visitor)->reply)->toBe($reply);
})->with([
    'a retired link' => [['retired' => true], new Visitor(1, true, false, null), DoorReply::Replaced],
    'somebody else\'s personal link' => [['holder' => 2], new Visitor(1, false, true, 'accepted'), DoorReply::NotYours],
    'a personal link in a teacher\'s hand' => [['holder' => 2], new Visitor(1, true, false, null), DoorReply::NotYours],
    'the host link in a student\'s hand' => [['kind' => LinkKind::Host, 'holder' => null], new Visitor(1, false, true, 'accepted'), DoorReply::NotYours],
    'the host link' => [['kind' => LinkKind::Host, 'holder' => null], new Visitor(1, true, false, null), DoorReply::ComeIn],
    'the series link, registered' => [['kind' => LinkKind::Series, 'holder' => null], new Visitor(1, false, true, 'accepted'), DoorReply::ComeIn],
    'the series link, on the roster only' => [['kind' => LinkKind::Series, 'holder' => null], new Visitor(1, false, true, null), DoorReply::RegisterFirst],
    'the series link, withdrawn and off the roster' => [['kind' => LinkKind::Series, 'holder' => null], new Visitor(1, false, false, 'withdrawn'), DoorReply::NotOnRoster],
    'waiting' => [['kind' => LinkKind::Series, 'holder' => null], new Visitor(1, false, true, 'waiting'), DoorReply::Waiting],
    'declined' => [['kind' => LinkKind::Series, 'holder' => null], new Visitor(1, false, true, 'declined'), DoorReply::Declined],
    'a stranger' => [['kind' => LinkKind::Series, 'holder' => null], new Visitor(9, false, false, null), DoorReply::NotOnRoster],
    'hidden' => [['kind' => LinkKind::Series, 'holder' => null, 'hidden' => true], new Visitor(1, false, true, 'accepted'), DoorReply::Hidden],
    'hidden, for the teacher' => [['kind' => LinkKind::Series, 'holder' => null, 'hidden' => true], new Visitor(1, true, false, null), DoorReply::ComeIn],
]);

test('a stranger learns nothing of the hours, and hosts come in earlier', function () {
    $stranger = doorAt('2027-02-09 10:00', ['kind' => LinkKind::Series], new Visitor(9, false, false, null));
    $host = doorAt('2027-02-09 09:46', ['kind' => LinkKind::Host], new Visitor(5, true, false, null));

    expect([$stranger->session, $stranger->opensAt, $stranger->next])->toBe([null, null, null])->and($host->reply)->toBe(DoorReply::ComeIn)->and($host->asHost)->toBeTrue();
});
