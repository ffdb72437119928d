<?php

use Nomada\Core\Belonging\Belonging;
use Nomada\Core\Belonging\Membership;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Belonging\SessionRole;
use Nomada\Core\Joining\DoorReply;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\EntryWithoutWaiting;
use Nomada\Core\Joining\JoinAttempt;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\RoomState;
use Nomada\Core\Joining\Visitor;
use Nomada\Core\Registration\RegistrationState;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionOverrides;
use Tests\Core\Doors;

/** One part, from and until a day as it is written. */
function part(MembershipRole $role, ?string $from = null, ?string $until = null): Membership
{
    $day = fn (?string $iso): ?int => $iso === null ? null : LocalDate::parse($iso)->day;

    return new Membership($role, $day($from), $day($until));
}

// The series of Doors::at(): Tuesdays and Thursdays, 10:00 to 10:47.
test('who had, has and will have a part', function (string $at, array $parts, DoorReply $reply, array $link = []) {
    $link += ['kind' => LinkKind::Series, 'belonging' => new Belonging(1, $parts)];
    expect(Doors::at($at, $link, new Visitor(1, false, false, RegistrationState::Accepted))->reply)->toBe($reply);
})->with([
    'a student of the whole term' => ['2027-02-09 10:05', [part(MembershipRole::Student)], DoorReply::ComeIn],
    'a leaver on the last day' => [
        '2027-02-09 10:05',
        [part(MembershipRole::Student, until: '2027-02-09')],
        DoorReply::ComeIn,
    ],
    'a leaver in the evening of the last day' => [
        '2027-02-09 22:00',
        [part(MembershipRole::Student, until: '2027-02-09')],
        DoorReply::Over,
    ],
    'a leaver on the day after' => [
        '2027-02-18 10:05',
        [part(MembershipRole::Student, until: '2027-02-17')],
        DoorReply::Left,
    ],
    'a leaver where everybody of the school comes in' => [
        '2027-02-18 10:05',
        [part(MembershipRole::Student, until: '2027-02-17')],
        DoorReply::ComeIn,
        ['rules' => new DoorRules(straightIn: EntryWithoutWaiting::School)],
    ],
    'a leaver where everybody of the school does, long before' => [
        '2027-02-18 08:00',
        [part(MembershipRole::Student, until: '2027-02-17')],
        DoorReply::TooEarly,
        ['rules' => new DoorRules(straightIn: EntryWithoutWaiting::School)],
    ],
    'a joiner of whom no session is left, where anybody comes in' => [
        '2027-04-22 10:05',
        [part(MembershipRole::Student, '2027-04-23')],
        DoorReply::ComeIn,
        ['rules' => new DoorRules(straightIn: EntryWithoutWaiting::Anyone)],
    ],
    'a leaver where anybody comes in' => [
        '2027-02-18 10:05',
        [part(MembershipRole::Student, until: '2027-02-17')],
        DoorReply::ComeIn,
        ['rules' => new DoorRules(straightIn: EntryWithoutWaiting::Anyone)],
    ],
    'a leaver where only the roster does' => [
        '2027-02-18 10:05',
        [part(MembershipRole::Student, until: '2027-02-17')],
        DoorReply::Left,
        ['rules' => new DoorRules(straightIn: EntryWithoutWaiting::Roster)],
    ],
    'a leaver by a personal link, where anybody comes in' => [
        '2027-02-18 10:05',
        [part(MembershipRole::Student, until: '2027-02-17')],
        DoorReply::Left,
        ['kind' => LinkKind::Personal, 'rules' => new DoorRules(straightIn: EntryWithoutWaiting::Anyone)],
    ],
    'a joiner before the first day: what is theirs is still to come' => [
        '2027-02-09 10:05',
        [part(MembershipRole::Student, '2027-02-18')],
        DoorReply::TooEarly,
    ],
    'a joiner of whom no session is left' => [
        '2027-04-22 10:05',
        [part(MembershipRole::Student, '2027-04-23')],
        DoorReply::Ahead,
    ],
    'a joiner on the first day' => [
        '2027-02-18 10:05',
        [part(MembershipRole::Student, '2027-02-18')],
        DoorReply::ComeIn,
    ],
    'one part over, another held' => [
        '2027-02-18 10:05',
        [part(MembershipRole::Student, until: '2027-02-17'), part(MembershipRole::Observer)],
        DoorReply::ComeIn,
    ],
]);

test('a drop-in room is open while its hours hold, for hosts from before', function (
    int $minute,
    bool $isHost,
    ?array $hours,
    DoorReply $reply,
) {
    $at = (int) strtotime('2027-02-09T15:00:00+01:00');
    $answer = Doors::at(
        gmdate('Y-m-d H:i', $at + 3600 + 60 * $minute),
        [
            'kind' => LinkKind::DropIn,
            'rules' => new DoorRules(10, 15, straightIn: EntryWithoutWaiting::School),
            'hours' => $hours === null ? null : [$at, $at + 3600],
        ],
        new Visitor(1, $isHost, false, null),
    );
    expect($answer->reply)->toBe($reply);
    if ($hours !== null) {
        expect($answer->opensAt)->toBe($isHost ? $at - 900 : $at);
    }
})->with([
    'as they begin' => [0, false, [1], DoorReply::ComeIn],
    'before' => [-1, false, [1], DoorReply::Shut],
    'before, a host' => [-15, true, [1], DoorReply::ComeIn],
    'long before, a host' => [-16, true, [1], DoorReply::Shut],
    'in the last minute' => [59, false, [1], DoorReply::ComeIn],
    'as they end' => [60, true, [1], DoorReply::Shut],
    'where none is left' => [5, true, null, DoorReply::Shut],
]);

test('what a visitor is before each session', function () {
    $session = fn (int $day, ?SessionOverrides $own = null): PlannedSession => new PlannedSession(
        $day,
        86400 * $day,
        86400 * $day + 60,
        own: $own,
    );
    $all = [
        $session(10),
        $session(11, new SessionOverrides(chosen: [2])),
        $session(12, new SessionOverrides(teacher: 7)),
    ];
    $days = fn (JoinAttempt $knock): array => array_map(
        fn (PlannedSession $s): int => $s->day,
        $knock->ofTheirs()->sessions,
    );
    $knock = fn (?Belonging $b, LinkKind $kind = LinkKind::Series): JoinAttempt => new JoinAttempt(
        $kind,
        $all,
        new Visitor(1, false, true, RegistrationState::Accepted),
        room: new RoomState(hostInside: true),
        belonging: $b,
    );
    $of = fn (MembershipRole $role, int $person = 1): Belonging => new Belonging($person, [new Membership($role)]);
    expect($days($knock(null)))
        ->toBe([10, 11, 12])
        ->and($days($knock($of(MembershipRole::Student))))
        ->toBe([10, 12])
        ->and($days($knock($of(MembershipRole::Student, 2))))
        ->toBe([10, 11, 12])
        ->and($days($knock($of(MembershipRole::Teacher))))
        ->toBe([10, 11, 12])
        ->and($days($knock(new Belonging(7))))
        ->toBe([12])
        // A stranger stands before all but those for chosen students; a guest before any.
        ->and($days($knock(new Belonging(5))))
        ->toBe([10, 12])
        ->and($days($knock(new Belonging(5), LinkKind::Guest)))
        ->toBe([10, 11, 12]);
    expect($knock(null)->standing($all[0]))
        ->toBe(SessionRole::Student)
        ->and((new JoinAttempt(LinkKind::Series, $all, new Visitor(1, true, true, null)))->standing($all[0]))
        ->toBe(SessionRole::Host)
        ->and((new JoinAttempt(LinkKind::Series, $all, new Visitor(1, false, false, null)))->standing($all[0]))
        ->toBe(SessionRole::None);
    $visits = function (JoinAttempt $knock, ?PlannedSession $session, int $day): array {
        $visitor = $knock->visitorFor($session, $day);

        return [$visitor->isHost, $visitor->isOnRoster, $visitor->registration, $visitor->looks];
    };
    expect($visits($knock($of(MembershipRole::Student)), $all[0], 10))
        ->toBe([false, true, RegistrationState::Accepted, false])
        ->and($visits($knock($of(MembershipRole::Student)), $all[1], 11))
        ->toBe([false, false, null, false])
        ->and($visits($knock($of(MembershipRole::Teacher)), null, 10))
        ->toBe([true, false, RegistrationState::Accepted, false])
        ->and($visits($knock($of(MembershipRole::Teacher)), $all[2], 12))
        ->toBe([false, false, RegistrationState::Accepted, true])
        ->and($visits($knock(new Belonging(1, [new Membership(MembershipRole::Student, 11)])), $all[0], 10)[2])
        ->toBeNull()
        ->and($visits($knock(new Belonging(1, [new Membership(MembershipRole::Student, null, 9)])), null, 10)[2])
        ->toBeNull()
        ->and($knock(null)->visitorFor($all[0], 10)->isOnRoster)
        ->toBeTrue();
});
