<?php

use Nomada\Core\Fault;
use Nomada\Core\Joining\DoorReply;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\EntryWithoutWaiting;
use Nomada\Core\Joining\Floor;
use Nomada\Core\Joining\FloorRight;
use Nomada\Core\Joining\Invitation;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Joining\RoomState;
use Nomada\Core\Joining\ShortAddress;
use Nomada\Core\Joining\Visitor;
use Nomada\Core\Joining\Who;
use Nomada\Core\Registration\RegistrationState;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;
use Tests\Core\Doors;
use Tests\Core\Scenario;
use Tests\Support\English;

test('the moment decides for who may come in', function (
    string $at,
    DoorReply $reply,
    ?string $opens,
    ?string $next,
) {
    $answer = Doors::at($at);
    $show = fn (?int $t): ?string => $t === null
        ? null
        : (new DateTimeImmutable("@$t"))->setTimezone(new DateTimeZone('Europe/Madrid'))->format('m-d H:i');

    expect($answer->reply)
        ->toBe($reply)
        ->and($show($answer->opensAt))
        ->toBe($opens)
        ->and($show($answer->next?->start))
        ->toBe($next);
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
    expect(Doors::at('2027-02-09 10:00', $link, $visitor)->reply)->toBe($reply);
})->with([
    'a retired link' => [['retired' => true], new Visitor(1, true, false, null), DoorReply::Replaced],
    'somebody else\'s personal link' => [
        ['holder' => 2],
        new Visitor(1, false, true, RegistrationState::Accepted),
        DoorReply::NotYours,
    ],
    'a personal link in a teacher\'s hand' => [
        ['holder' => 2],
        new Visitor(1, true, false, null),
        DoorReply::NotYours,
    ],
    'the host link in a student\'s hand' => [
        ['kind' => LinkKind::Host, 'holder' => null],
        new Visitor(1, false, true, RegistrationState::Accepted),
        DoorReply::NotYours,
    ],
    'the host link' => [
        ['kind' => LinkKind::Host, 'holder' => null],
        new Visitor(1, true, false, null),
        DoorReply::ComeIn,
    ],
    'the series link, registered' => [
        ['kind' => LinkKind::Series, 'holder' => null],
        new Visitor(1, false, true, RegistrationState::Accepted),
        DoorReply::ComeIn,
    ],
    'the series link, on the roster only' => [
        ['kind' => LinkKind::Series, 'holder' => null],
        new Visitor(1, false, true, null),
        DoorReply::RegisterFirst,
    ],
    'the series link, withdrawn and off the roster' => [
        ['kind' => LinkKind::Series, 'holder' => null],
        new Visitor(1, false, false, RegistrationState::Withdrawn),
        DoorReply::NotOnRoster,
    ],
    'waiting' => [
        ['kind' => LinkKind::Series, 'holder' => null],
        new Visitor(1, false, true, RegistrationState::Waiting),
        DoorReply::Waiting,
    ],
    'declined' => [
        ['kind' => LinkKind::Series, 'holder' => null],
        new Visitor(1, false, true, RegistrationState::Declined),
        DoorReply::Declined,
    ],
    'a stranger' => [
        ['kind' => LinkKind::Series, 'holder' => null],
        new Visitor(9, false, false, null),
        DoorReply::NotOnRoster,
    ],
    'hidden' => [
        ['kind' => LinkKind::Series, 'holder' => null, 'hidden' => true],
        new Visitor(1, false, true, RegistrationState::Accepted),
        DoorReply::Shut,
    ],
    'hidden, for the teacher' => [
        ['kind' => LinkKind::Series, 'holder' => null, 'hidden' => true],
        new Visitor(1, true, false, null),
        DoorReply::ComeIn,
    ],
]);

test('a stranger learns nothing of the hours, and hosts come in earlier', function () {
    $stranger = Doors::at('2027-02-09 10:00', ['kind' => LinkKind::Series], new Visitor(9, false, false, null));
    $host = Doors::at('2027-02-09 09:46', ['kind' => LinkKind::Host], new Visitor(5, true, false, null));

    expect([$stranger->session, $stranger->opensAt, $stranger->next])
        ->toBe([null, null, null])
        ->and($host->reply)
        ->toBe(DoorReply::ComeIn)
        ->and($host->asHost)
        ->toBeTrue();
});

const ROSTER = ['kind' => LinkKind::Series, 'holder' => null];

test('who goes straight in, and what happens to the others', function (
    EntryWithoutWaiting $straight,
    bool $wait,
    Visitor $visitor,
    DoorReply $reply,
) {
    expect(
        Doors::at(
            '2027-02-09 10:00',
            ['rules' => new DoorRules(straightIn: $straight, othersWait: $wait)] + ROSTER,
            $visitor,
        )->reply,
    )->toBe($reply);
})->with(function () {
    $accepted = new Visitor(1, false, true, RegistrationState::Accepted);
    $roster = new Visitor(1, false, true, null);
    $school = new Visitor(9, false, false, null);
    $anyone = new Visitor(9, false, false, null, false);
    foreach (
        [
            [
                EntryWithoutWaiting::Nobody,
                [
                    'turn' => [
                        DoorReply::NotOnRoster,
                        DoorReply::NotOnRoster,
                        DoorReply::NotOnRoster,
                        DoorReply::NotOnRoster,
                    ],
                    'wait' => array_fill(0, 4, DoorReply::WaitOutside),
                ],
            ],
            [
                EntryWithoutWaiting::Accepted,
                [
                    'turn' => [
                        DoorReply::ComeIn,
                        DoorReply::RegisterFirst,
                        DoorReply::NotOnRoster,
                        DoorReply::NotOnRoster,
                    ],
                    'wait' => [
                        DoorReply::ComeIn,
                        DoorReply::WaitOutside,
                        DoorReply::WaitOutside,
                        DoorReply::WaitOutside,
                    ],
                ],
            ],
            [
                EntryWithoutWaiting::Roster,
                [
                    'turn' => [
                        DoorReply::ComeIn,
                        DoorReply::ComeIn,
                        DoorReply::NotOnRoster,
                        DoorReply::NotOnRoster,
                    ],
                    'wait' => [
                        DoorReply::ComeIn,
                        DoorReply::ComeIn,
                        DoorReply::WaitOutside,
                        DoorReply::WaitOutside,
                    ],
                ],
            ],
            [
                EntryWithoutWaiting::School,
                [
                    'turn' => [DoorReply::ComeIn, DoorReply::ComeIn, DoorReply::ComeIn, DoorReply::NotOnRoster],
                    'wait' => [DoorReply::ComeIn, DoorReply::ComeIn, DoorReply::ComeIn, DoorReply::WaitOutside],
                ],
            ],
            [
                EntryWithoutWaiting::Anyone,
                ['turn' => array_fill(0, 4, DoorReply::ComeIn), 'wait' => array_fill(0, 4, DoorReply::ComeIn)],
            ],
        ] as [$straight, $replies]
    ) {
        foreach ($replies as $others => $list) {
            foreach ([$accepted, $roster, $school, $anyone] as $i => $visitor) {
                yield "$straight->value, $others, visitor $i" => [
                    $straight,
                    $others === 'wait',
                    $visitor,
                    $list[$i],
                ];
            }
        }
    }
});

// Where two rules could contradict each other, the one that is named first here has the word.
test('of two rules that both apply, one has the word', function (
    array $link,
    ?Visitor $visitor,
    string $at,
    DoorReply $reply,
) {
    expect(Doors::at($at, $link, $visitor)->reply)->toBe($reply);
})->with([
    'retired before somebody else\'s' => [
        ['retired' => true, 'holder' => 2],
        null,
        '2027-02-09 10:00',
        DoorReply::Replaced,
    ],
    'retired before hidden' => [
        ['retired' => true, 'hidden' => true],
        null,
        '2027-02-09 10:00',
        DoorReply::Replaced,
    ],
    'retired before over' => [['retired' => true], null, '2027-02-09 12:00', DoorReply::Replaced],
    'somebody else\'s before hidden' => [
        ['holder' => 2, 'hidden' => true],
        null,
        '2027-02-09 10:00',
        DoorReply::NotYours,
    ],
    'hidden before declined' => [
        ['hidden' => true] + ROSTER,
        new Visitor(1, false, true, RegistrationState::Declined),
        '2027-02-09 10:00',
        DoorReply::Shut,
    ],
    'declined before waiting outside' => [
        ['rules' => new DoorRules(othersWait: true)] + ROSTER,
        new Visitor(1, false, true, RegistrationState::Declined),
        '2027-02-09 10:00',
        DoorReply::Declined,
    ],
    'declined, though anyone may come' => [
        ['rules' => new DoorRules(straightIn: EntryWithoutWaiting::Anyone)] + ROSTER,
        new Visitor(1, false, true, RegistrationState::Declined),
        '2027-02-09 10:00',
        DoorReply::Declined,
    ],
    'a waiting registration, where the roster goes straight in' => [
        ['rules' => new DoorRules(straightIn: EntryWithoutWaiting::Roster)] + ROSTER,
        new Visitor(1, false, true, RegistrationState::Waiting),
        '2027-02-09 10:00',
        DoorReply::ComeIn,
    ],
    'a waiting registration before too early' => [
        ROSTER,
        new Visitor(1, false, true, RegistrationState::Waiting),
        '2027-02-09 08:00',
        DoorReply::Waiting,
    ],
    'not on the roster before over' => [
        ROSTER,
        new Visitor(9, false, false, null),
        '2027-02-09 12:00',
        DoorReply::NotOnRoster,
    ],
    'cancelled before the room' => [
        ['room' => new RoomState(isOver: true)],
        null,
        '2027-02-11 10:00',
        DoorReply::Cancelled,
    ],
    'too early before full' => [
        ['room' => new RoomState(true, false, 30, 30)],
        null,
        '2027-02-09 09:00',
        DoorReply::TooEarly,
    ],
    'over by the clock, though the room runs' => [
        ['room' => new RoomState(hostInside: true)],
        null,
        '2027-02-09 10:50',
        DoorReply::Over,
    ],
    'ended for all before sent out' => [
        ['room' => new RoomState(hostInside: true, isOver: true, isSentOut: true)],
        null,
        '2027-02-09 10:00',
        DoorReply::Over,
    ],
    'ended for all, for the host too' => [
        ['kind' => LinkKind::Host, 'holder' => null, 'room' => new RoomState(isOver: true)],
        new Visitor(1, true, false, null),
        '2027-02-09 10:00',
        DoorReply::Over,
    ],
    'before full removed from the session' => [
        ['room' => new RoomState(true, false, 30, 30, false, true)],
        null,
        '2027-02-09 10:00',
        DoorReply::SentOut,
    ],
    'sent out, on another device' => [
        ['room' => new RoomState(true, false, 3, 30, true, true)],
        null,
        '2027-02-09 10:00',
        DoorReply::SentOut,
    ],
    'inside elsewhere before full' => [
        ['room' => new RoomState(true, false, 30, 30, true)],
        null,
        '2027-02-09 10:00',
        DoorReply::Elsewhere,
    ],
    'inside elsewhere, where several devices are allowed' => [
        ['rules' => new DoorRules(oneDevice: false), 'room' => new RoomState(true, false, 30, 30, true)],
        null,
        '2027-02-09 10:00',
        DoorReply::ComeIn,
    ],
    'full before no host' => [
        ['room' => new RoomState(false, false, 30, 30)],
        null,
        '2027-02-09 10:00',
        DoorReply::Full,
    ],
    'no host before waiting outside' => [
        ['rules' => new DoorRules(othersWait: true), 'room' => new RoomState()] + ROSTER,
        new Visitor(1, false, true, null),
        '2027-02-09 10:00',
        DoorReply::NoHost,
    ],
    'no host needed' => [
        ['rules' => new DoorRules(needsHost: false), 'room' => new RoomState()],
        null,
        '2027-02-09 10:00',
        DoorReply::ComeIn,
    ],
    'a host is never full, and needs no host' => [
        ['kind' => LinkKind::Host, 'holder' => null, 'room' => new RoomState(false, false, 30, 30)],
        new Visitor(1, true, false, null),
        '2027-02-09 10:00',
        DoorReply::ComeIn,
    ],
    'a guest goes straight in' => [
        ['kind' => LinkKind::Guest, 'holder' => null],
        new Visitor(null, false, false, null, false),
        '2027-02-09 10:00',
        DoorReply::ComeIn,
    ],
    'a guest whose pass has run out' => [
        ['kind' => LinkKind::Guest, 'holder' => null, 'expires' => 1],
        new Visitor(null, false, false, null, false),
        '2027-02-09 10:00',
        DoorReply::Expired,
    ],
    'a guest of another day' => [
        ['kind' => LinkKind::Guest, 'holder' => null, 'only' => LocalDate::parse('2027-02-18')->day],
        new Visitor(null, false, false, null, false),
        '2027-02-09 10:00',
        DoorReply::TooEarly,
    ],
    'a guest, hidden' => [
        ['kind' => LinkKind::Guest, 'holder' => null, 'hidden' => true],
        new Visitor(null, false, false, null, false),
        '2027-02-09 10:00',
        DoorReply::Shut,
    ],
    'a drop-in room whose hours have ended' => [
        ['kind' => LinkKind::DropIn, 'holder' => null, 'hours' => [0, 1]],
        null,
        '2027-02-09 10:00',
        DoorReply::Shut,
    ],
    'a drop-in room in its hours' => [
        ['kind' => LinkKind::DropIn, 'holder' => null, 'hours' => [0, 4_000_000_000]],
        null,
        '2027-02-13 10:00',
        DoorReply::ComeIn,
    ],
    'a drop-in room outside them' => [
        ['kind' => LinkKind::DropIn, 'holder' => null, 'hours' => [4_000_000_000, 4_000_003_600]],
        null,
        '2027-02-09 10:00',
        DoorReply::Shut,
    ],
    'a drop-in room without a host' => [
        ['kind' => LinkKind::DropIn, 'holder' => null, 'hours' => [0, 4_000_000_000], 'room' => new RoomState()],
        null,
        '2027-02-13 10:00',
        DoorReply::NoHost,
    ],
]);

test('a session may have a door of its own: when it opens, and who gets in', function () {
    $sessions = array_map(
        fn (PlannedSession $s): PlannedSession => gmdate('Y-m-d', $s->start) === '2027-02-09'
            ? $s->with(
                new SessionOverrides(
                    door: ['opens_before' => 30, 'opens_before_hosts' => 40, 'straight_in' => 'school'],
                ),
            )
            : $s,
        Scenario::plan([2, 4], '2027-01-12', minutes: 47)->sessions(Scenario::term()),
    );
    $stranger = new Visitor(9, false, false, null);
    $at = fn (string $when, Visitor $who): DoorReply => Doors::at($when, ['sessions' => $sessions] + ROSTER, $who)
        ->reply;

    expect($at('2027-02-09 09:30', $stranger))
        ->toBe(DoorReply::ComeIn)
        ->and($at('2027-02-09 09:29', $stranger))
        ->toBe(DoorReply::TooEarly)
        ->and($at('2027-02-09 09:20', new Visitor(5, true, false, null)))
        ->toBe(DoorReply::ComeIn)
        // The next session's door is the series' own again: a stranger is one, and it opens ten minutes before.
        ->and($at('2027-02-11 09:55', $stranger))
        ->toBe(DoorReply::NotOnRoster)
        ->and($at('2027-02-11 09:45', new Visitor(1, false, true, RegistrationState::Accepted)))
        ->toBe(DoorReply::TooEarly)
        // Until midnight the answer is still about the one that was held.
        ->and($at('2027-02-09 12:00', $stranger))
        ->toBe(DoorReply::Over);
});

test(
    'a link that hides by the door\'s hours is shut for students between them, and for nobody within them',
    function (string $at, DoorReply $student, DoorReply $host) {
        $link = ['rules' => new DoorRules(hiddenOutside: true)];
        $answer = Doors::at($at, $link);

        expect($answer->reply)
            ->toBe($student)
            ->and(
                Doors::at(
                    $at,
                    $link + ['kind' => LinkKind::Host, 'holder' => null],
                    new Visitor(5, true, false, null),
                )->reply,
            )
            ->toBe($host);
        if ($student === DoorReply::Shut) {
            expect($answer->opensAt)->not->toBeNull();
        }
    },
)->with([
    'before' => ['2027-02-09 09:44', DoorReply::Shut, DoorReply::TooEarly],
    'as the doors open' => ['2027-02-09 09:50', DoorReply::ComeIn, DoorReply::ComeIn],
    'afterwards' => ['2027-02-09 10:47', DoorReply::Shut, DoorReply::Over],
    'a cancelled one is still told of' => ['2027-02-11 09:55', DoorReply::Cancelled, DoorReply::Cancelled],
]);

test('who comes on the day that a session was moved away from is told where it went', function () {
    $zone = Zone::named('Europe/Madrid');
    $day = fn (string $iso): int => LocalDate::parse($iso)->day;
    $sessions = [
        new PlannedSession(
            $day('2027-02-19'),
            $zone->instant($day('2027-02-19'), 720),
            $zone->instant($day('2027-02-19'), 767),
            SessionState::Planned,
            null,
            new SessionOverrides($day('2027-02-18')),
        ),
    ];

    expect(Doors::at('2027-02-18 10:00', ['sessions' => $sessions])->reply)
        ->toBe(DoorReply::Moved)
        ->and(Doors::at('2027-02-17 10:00', ['sessions' => $sessions])->reply)
        ->toBe(DoorReply::TooEarly)
        ->and(Doors::at('2027-02-19 12:00', ['sessions' => $sessions])->reply)
        ->toBe(DoorReply::ComeIn);
});

test('presets are safe, say what a student can do, and tell what is more open than they are', function () {
    $lesson = Preset::usual()['lesson'];

    expect(English::said($lesson->sentence()))
        ->toBe(
            'Registered students can join from 10 minutes before the start, once a teacher is inside; others are '.
                'turned away. Students may speak, use the camera and write in the chat; microphones start off; only '.
                'when given the floor they share a screen and draw.',
        )
        ->and(English::said(Preset::usual()['recording']->sentence()))
        ->toBe(
            'Only teachers can join. Students only listen; only when given the floor they speak, use the camera, '.
                'write in the chat, share a screen and draw.',
        )
        ->and(
            array_map(
                English::said(...),
                (new DoorRules(20, 20, false, EntryWithoutWaiting::Anyone, true, false))->moreOpenThan(
                    $lesson->door,
                ),
            ),
        )
        ->toBe([
            'opens_before:20' => 'opens 20 minutes before the start, not 10',
            'needs_host' => 'students can join before a teacher',
            'straight_in:'.EntryWithoutWaiting::Anyone->value => 'no waiting for anyone with the link',
            'others_wait' => 'others wait instead of being turned away',
            'one_device' => 'one person can join on several devices',
        ])
        ->and(
            array_map(
                English::said(...),
                (new Floor(screen: Who::Everyone, mutedOnEntry: false))->moreOpenThan($lesson->floor),
            ),
        )
        ->toBe([
            'screen:'.Who::Everyone->value => 'everybody may share a screen',
            'muted_on_entry' => 'microphones are on when students join',
        ])
        ->and(array_map(English::said(...), (new Floor(Who::Host))->moreOpenThan($lesson->floor)))
        ->toBe([])
        ->and(DoorRules::from($lesson->door->toArray()))
        ->toEqual($lesson->door)
        ->and(Floor::from((new Floor(speakers: 4))->toArray()))
        ->toEqual(new Floor(speakers: 4))
        ->and(fn () => new DoorRules(20, 10))
        ->toThrow(Fault::class)
        ->and(fn () => new Floor(record: Who::Everyone))
        ->toThrow(Fault::class)
        ->and(fn () => new Floor(cameras: 0))
        ->toThrow(Fault::class);
    foreach (Preset::usual() as $preset) {
        expect($preset->floor->record)
            ->not->toBe(Who::Everyone)
            ->and($preset->door->needsHost)
            ->toBeTrue()
            ->and($preset->floor->mutedOnEntry)
            ->toBeTrue();
    }
    $floor = new Floor(chat: Who::Nobody);
    expect($floor->allows(FloorRight::Speak, false, false))
        ->toBeTrue()
        ->and($floor->allows(FloorRight::Screen, false, false))
        ->toBeFalse()
        ->and($floor->allows(FloorRight::Screen, false, true))
        ->toBeTrue()
        ->and($floor->allows(FloorRight::Chat, false, true))
        ->toBeFalse()
        ->and($floor->allows(FloorRight::Chat, true, false))
        ->toBeTrue();
});

test('a short address is made of the section\'s words, is no student\'s name, and is unique', function () {
    $taken = ['y8-marine-science' => true, 'y8-marine-science-2' => true];

    expect(ShortAddress::suggest('Y8 Marine Science', 'Marine Science', fn (string $s): bool => isset($taken[$s])))
        ->toBe('y8-marine-science-3')
        ->and(ShortAddress::suggest('Y8 Marine Science', 'Practical', fn (): bool => false))
        ->toBe('y8-marine-science-practical')
        ->and(ShortAddress::read(' Los Ñandúes — 8º ', []))
        ->toBe('los-nandues-8')
        ->and(fn () => ShortAddress::read('class-of-zabalo', ['Galia Zabalo']))
        ->toFault('reveal a student')
        ->and(fn () => ShortAddress::read('x', []))
        ->toThrow(Fault::class);
});

test('an invitation is on the reader\'s own clock and says what to do when it does not work', function () {
    $sessions = Scenario::plan([2, 4], '2027-01-12', minutes: 47)->sessions(Scenario::term());
    $text = Invitation::text(
        'Y8 Marine Science',
        'N. Haddad',
        $sessions,
        Zone::named('Atlantic/Canary'),
        (new DateTimeImmutable('2027-02-09 09:52 Europe/Madrid'))->getTimestamp(),
        new DoorRules(),
        'https://x.example/join/abc',
        'BCDFHJKMN9',
        'https://x.example/join',
        '+34 555',
        '123',
        '',
        Scenario::phrases('en'),
    );

    expect($text)
        ->toContain("When (Canary time):\n  Tue 9 Feb, 09:00–09:47")
        ->toContain('and 12 more')
        ->toContain('Join: https://x.example/join/abc')
        ->toContain('Join code: BCDF-HJKM-N9')
        ->toContain('once a teacher is inside')
        ->toContain('Not working? Join by phone');
});

test('by a pass comes one guest; whoever has a part in the class comes as that', function () {
    $pass = ['kind' => LinkKind::Guest, 'holder' => null];
    $stranger = new Visitor(null, false, false, null, false);
    $at = '2027-02-09 09:56';
    $come = Doors::at($at, $pass, $stranger);
    expect([$come->reply, $come->asGuest])->toBe([DoorReply::ComeIn, true]);
    expect(Doors::at($at, ['held' => true] + $pass, $stranger)->reply)->toBe(DoorReply::PassElsewhere);
    // It has ended, or is hidden: the first word is the graver.
    expect(Doors::at($at, ['held' => true, 'expires' => 1] + $pass, $stranger)->reply)->toBe(DoorReply::Expired);
    expect(Doors::at($at, ['held' => true, 'hidden' => true] + $pass, $stranger)->reply)->toBe(
        DoorReply::PassElsewhere,
    );
    // Another account of the school is a guest by it as well.
    expect(Doors::at($at, $pass, new Visitor(9, false, false, null))->asGuest)->toBeTrue();
    foreach (
        [
            new Visitor(1, false, true, RegistrationState::Accepted),
            new Visitor(1, false, true, null),
            new Visitor(1, false, false, RegistrationState::Accepted),
            new Visitor(1, true, false, null),
            new Visitor(1, false, false, null, looks: true),
        ] as $own
    ) {
        expect(Doors::at($at, ['held' => true] + $pass, $own)->reply)->not->toBe(DoorReply::PassElsewhere);
        expect(Doors::at($at, $pass, $own)->asGuest)->toBeFalse();
    }
    // Who is on the roster and not registered does not come in by a pass either.
    expect(Doors::at($at, $pass, new Visitor(1, false, true, null))->reply)->toBe(DoorReply::RegisterFirst);
    // Sent out as oneself, one stays out by a pass too.
    $out = ['room' => new RoomState(hostInside: true, isSentOut: true)] + $pass;
    expect(Doors::at($at, $out, new Visitor(1, false, true, RegistrationState::Accepted))->reply)->toBe(
        DoorReply::SentOut,
    );
    // The answer keeps it through the room: full, or shut in between.
    $full = ['room' => new RoomState(hostInside: true, inside: 3, seats: 3)] + $pass;
    expect([Doors::at($at, $full, $stranger)->reply, Doors::at($at, $full, $stranger)->asGuest])->toBe([
        DoorReply::Full,
        true,
    ]);
    $hidden = ['rules' => new DoorRules(hiddenOutside: true)] + $pass;
    expect([
        Doors::at('2027-02-09 08:00', $hidden, $stranger)->reply,
        Doors::at('2027-02-09 08:00', $hidden, $stranger)->asGuest,
    ])->toBe([DoorReply::Shut, true]);
});
