<?php

use Nomada\Core\Fault;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\EntryWithoutWaiting;
use Nomada\Core\Joining\Floor;
use Nomada\Core\Joining\FloorRight;
use Nomada\Core\Joining\Invitation;
use Nomada\Core\Joining\ShortAddress;
use Nomada\Core\Joining\Who;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;
use Tests\Core\Scenario;
use Tests\Support\English;

/** A session of 45 minutes at nine o'clock, UTC, so many days from now. */
function atNine(int $day, ?SessionOverrides $own = null, SessionState $state = SessionState::Planned): PlannedSession
{
    return new PlannedSession($day, 86400 * $day + 32_400, 86400 * $day + 35_100, $state, null, $own);
}

/** @param  list<PlannedSession>  $sessions */
function invitation(array $sessions, int $now, DoorRules $door = new DoorRules(), string $phone = '+34 555'): string
{
    return Invitation::text(
        'Y8 Marine Science',
        'N. Haddad',
        $sessions,
        Zone::named('Europe/Madrid'),
        $now,
        $door,
        'https://x.example/join/s',
        'BCDFHJKMNP',
        'https://x.example/join',
        $phone,
        '123',
        'https://x.example/go/marine',
        Scenario::phrases('en'),
    );
}

test('an invitation has the next five sessions on the reader\'s clock, every way in, and what helps', function () {
    $day = 20_000;
    $sessions = [
        atNine($day),
        atNine($day + 1, new SessionOverrides(topic: 'Tides')),
        atNine($day + 2, new SessionOverrides(topic: 'Kelp', title: 'In the harbour')),
        atNine($day + 3, null, SessionState::Cancelled),
        atNine($day + 4),
        atNine($day + 5),
        atNine($day + 6),
        atNine($day + 7),
    ];
    // One second before the first is over, it is still to come.
    expect(invitation($sessions, 86400 * $day + 35_099))->toBe(
        <<<'TEXT'
        Y8 Marine Science, with N. Haddad

        When (Madrid time):
          Fri 4 Oct, 11:00–11:45
          Sat 5 Oct, 11:00–11:45: Tides
          Sun 6 Oct, 11:00–11:45: In the harbour
          Tue 8 Oct, 11:00–11:45
          Wed 9 Oct, 11:00–11:45
          and 2 more

        Join: https://x.example/join/s
        Or: https://x.example/go/marine
        Join code: BCDF-HJKM-NP at https://x.example/join
        By phone: +34 555, PIN 123

        The session opens 10 minutes before the start, once a teacher is inside.
        Not working? Join by phone, or enter the join code on another device.
        TEXT
        ,
    );
    expect(invitation($sessions, 86400 * $day + 35_100))
        ->not->toContain('4 Oct')
        ->toContain('and 1 more')
        ->and(invitation(array_slice($sessions, 0, 6), 86400 * $day))
        ->not->toContain('more')
        ->and(invitation([], 0, new DoorRules(needsHost: false), ''))
        ->toContain("Y8 Marine Science, with N. Haddad\n\nNo upcoming sessions.\n\nJoin:")
        ->toContain("before the start.\n")
        ->not->toContain('By phone: ');
});

test('without a teacher, a code or a short address nothing stands in their place', function () {
    $phrases = Scenario::phrases('en');
    $none = ['link', '', 'page', '', '', ''];
    $text = Invitation::text('X', '', [], Zone::named('UTC'), 0, new DoorRules(), ...[...$none, $phrases]);
    expect($text)->toStartWith("X\n\nNo upcoming sessions.\n\nJoin: link\n\nThe session opens");
});

test('the bounds of a door', function (int $before, int $hosts, bool $isRight) {
    $make = fn (): DoorRules => new DoorRules($before, $hosts);
    $isRight ? expect($make()->opensBefore)->toBe($before) : expect($make)->toThrow(Fault::class);
})->with([
    [0, 0, true],
    [-1, 0, false],
    [120, 120, true],
    [121, 121, false],
    [10, 9, false],
    [10, 240, true],
    [10, 241, false],
]);

test('a door and a floor are read back as they were kept, and a part of them over the rest', function () {
    $door = new DoorRules(20, 30, false, EntryWithoutWaiting::Anyone, true, false, true);
    expect($door->toArray())
        ->toBe([
            'opens_before' => 20,
            'opens_before_hosts' => 30,
            'needs_host' => false,
            'straight_in' => 'anyone',
            'others_wait' => true,
            'one_device' => false,
            'hidden_outside' => true,
        ])
        ->and(DoorRules::from($door->toArray()))
        ->toEqual($door)
        ->and(DoorRules::from([]))
        ->toEqual(new DoorRules(10, 15, true, EntryWithoutWaiting::Accepted, false, true, false))
        ->and($door->with(['opens_before' => 5]))
        ->toEqual(new DoorRules(5, 30, false, EntryWithoutWaiting::Anyone, true, false, true))
        ->and($door->with(null))
        ->toBe($door);
    $floor = new Floor(Who::Host, Who::Nobody, Who::Host, Who::Everyone, Who::Everyone, Who::Nobody, false, 3, 4);
    expect(Floor::from($floor->toArray()))
        ->toEqual($floor)
        ->and(Floor::from(['speakers' => '']))
        ->toEqual(new Floor())
        ->and($floor->with(['chat' => 'nobody'])->who(FloorRight::Chat))
        ->toBe(Who::Nobody)
        ->and($floor->with(['chat' => 'nobody'])->speakers)
        ->toBe(3);
    foreach (
        [
            ['speakers' => 0],
            ['speakers' => 1001],
            ['cameras' => 0],
            ['cameras' => 1001],
            ['record' => Who::Everyone],
        ] as $wrong
    ) {
        expect(fn () => new Floor(...$wrong))->toThrow(Fault::class);
    }
    expect((new Floor(speakers: 1, cameras: 1000))->cameras)->toBe(1000);
});

test('what is more open than its preset is said, each thing by itself', function () {
    $safe = new DoorRules(10, 15, true, EntryWithoutWaiting::Accepted, false, true, true);
    $open = new DoorRules(20, 30, false, EntryWithoutWaiting::Anyone, true, false, false);
    expect(array_map(English::said(...), $open->moreOpenThan($safe)))
        ->toBe([
            'opens_before:20' => 'opens 20 minutes before the start, not 10',
            'needs_host' => 'students can join before a teacher',
            'straight_in:anyone' => 'no waiting for anyone with the link',
            'others_wait' => 'others wait instead of being turned away',
            'one_device' => 'one person can join on several devices',
            'hidden_outside' => 'the link is shown at any time',
        ])
        ->and(array_map(English::said(...), $safe->moreOpenThan($open)))
        ->toBe([])
        ->and(array_map(English::said(...), $safe->moreOpenThan($safe)))
        ->toBe([]);
    $loud = new Floor(Who::Everyone, Who::Everyone, Who::Everyone, Who::Everyone, Who::Host, Who::Host, false);
    $quiet = new Floor(Who::Nobody, Who::Host, Who::Everyone, Who::Host, Who::Nobody, Who::Nobody, true);
    expect(array_map(English::said(...), $loud->moreOpenThan($quiet)))
        ->toBe([
            'speak:everyone' => 'everybody may speak',
            'camera:everyone' => 'everybody may use the camera',
            'screen:everyone' => 'everybody may share a screen',
            'draw:host' => 'hosts may draw',
            'record:host' => 'hosts may record',
            'muted_on_entry' => 'microphones are on when students join',
        ])
        ->and(array_map(English::said(...), $quiet->moreOpenThan($loud)))
        ->toBe([]);
});

test('a floor in a sentence', function (Floor $floor, string $words) {
    expect(English::said($floor->sentence()))->toBe($words);
})->with([
    [
        new Floor(),
        'Students may speak, use the camera and write in the chat; microphones start off; only when given the floor '
            .'they share a screen and draw.',
    ],
    [new Floor(Who::Nobody, Who::Nobody, Who::Nobody, Who::Nobody, Who::Nobody), 'Students only listen.'],
    [
        new Floor(Who::Host, Who::Nobody, Who::Everyone, Who::Nobody, Who::Nobody),
        'Students may write in the chat; only when given the floor they speak.',
    ],
    [
        new Floor(Who::Everyone, Who::Everyone, Who::Nobody, Who::Nobody, Who::Nobody, mutedOnEntry: false),
        'Students may speak and use the camera.',
    ],
]);

test('who may do what at a moment', function (string $power, Who $who, bool $host, bool $floor, bool $may) {
    expect((new Floor(...[$power => $who]))->allows(FloorRight::from($power), $host, $floor))->toBe($may);
})->with([
    ['chat', Who::Everyone, false, false, true],
    ['draw', Who::Host, false, false, false],
    ['draw', Who::Host, true, false, true],
    ['draw', Who::Host, false, true, true],
    ['screen', Who::Nobody, true, false, true],
    ['screen', Who::Nobody, false, true, false],
    ['record', Who::Host, true, false, true],
    ['record', Who::Host, false, true, false],
    ['record', Who::Nobody, true, false, false],
]);

test('short addresses: their bounds, their letters, and whom they would reveal', function () {
    expect(ShortAddress::slug('Straße Øst Łódź Ærø — 8º'))
        ->toBe('strasse-ost-lodz-aero-8')
        ->and(ShortAddress::read('abcd', []))
        ->toBe('abcd')
        ->and(ShortAddress::read(str_repeat('a', 60), []))
        ->toBe(str_repeat('a', 60))
        ->and(fn () => ShortAddress::read('abc', []))
        ->toFault('4 to 60')
        ->and(fn () => ShortAddress::read(str_repeat('a', 61), []))
        ->toFault('4 to 60')
        ->and(fn () => ShortAddress::read('maths-with-lúa', ['Lúa Piñeiral']))
        ->toFault('reveal a student')
        // Two letters are nobody's name, and a part of a word is none.
        ->and(ShortAddress::read('maths-de-marina', ['Mar de Zabalo']))
        ->toBe('maths-de-marina')
        ->and(ShortAddress::suggest('Y8 Marine Science', '', fn (): bool => false))
        ->toBe('y8-marine-science')
        ->and(
            ShortAddress::suggest(
                'Y8 Art',
                'Studio',
                fn (string $s): bool => in_array($s, ['y8-art-studio', 'y8-art-studio-2'], true),
            ),
        )
        ->toBe('y8-art-studio-3')
        ->and(ShortAddress::suggest('———', '', fn (): bool => false))
        ->toBe('class')
        ->and(strlen(ShortAddress::suggest(str_repeat('long ', 30), '', fn (): bool => false)))
        ->toBe(60);
});
