<?php

use Nomada\Core\Belonging\Belonging;
use Nomada\Core\Belonging\Membership;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Interchange\Calendar\EventSeries;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\OpeningHours;
use Nomada\Core\Publishing\CalendarPlacements;
use Nomada\Core\Publishing\DropInFacts;
use Nomada\Core\Publishing\ItemName;
use Nomada\Core\Publishing\MaterialFacts;
use Nomada\Core\Publishing\Placement;
use Nomada\Core\Publishing\Reader;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Publishing\SeriesFacts;
use Nomada\Core\Publishing\WantedPlacements;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlanHistory;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;
use Tests\Core\Scenario;

const BOTH_MEET =
    'Tue Thu 10:00–10:47 Madrid (Marine Science); '.
    'Wed 10:00–10:47, from Wed 20 Jan: Thu 10:00–10:47 Madrid (Practical)';

/** A session of 47 minutes at ten in Madrid. */
function atTen(string $day, ?SessionOverrides $own = null, SessionState $state = SessionState::Planned): PlannedSession
{
    $start = Scenario::term()->zone->instant(LocalDate::parse($day)->day, 600);

    return new PlannedSession(
        LocalDate::parse($day)->day,
        $start,
        $start + 2820,
        $state,
        $state === SessionState::Planned ? null : 'storm',
        $own,
    );
}

/**
 * Two series of a section: Tuesdays and Thursdays, of which one has a topic and another teacher, one makes up another
 * and one is cancelled; and a practical whose link is hidden. A teacher, who is not there on the 14th; two students, of
 * whom one leaves after the 12th; an observer; office hours.
 *
 * @param  array<string, mixed>  $with  what the first series has instead
 */
function example(array $with = [], int $opensBefore = 10, string $joinPage = 'https://x.example/join'): SectionFacts
{
    $day = fn (string $iso): int => LocalDate::parse($iso)->day;
    $plan = Scenario::plan([2, 4], '2027-01-12', minutes: 47);
    $parts = [
        'T-2' => new Belonging(2, [new Membership(MembershipRole::Teacher, null, null)]),
        'T-9' => new Belonging(9, [new Membership(MembershipRole::Substitute, $day('2027-01-14'), $day('2027-01-14'))]),
        'S-1' => new Belonging(11, [new Membership(MembershipRole::Student, null, null)]),
        'S-2' => new Belonging(12, [new Membership(MembershipRole::Student, null, $day('2027-01-12'))]),
        'O-1' => new Belonging(20, [new Membership(MembershipRole::Observer, null, null)]),
    ];
    $first = [
        'id' => 7,
        'uid' => 'uid-7',
        'title' => 'Marine Science',
        'sequence' => 2,
        'changedAt' => 1_800_000_000,
        'plan' => $plan,
        'sessions' => [
            atTen('2027-01-12'),
            atTen('2027-01-14', new SessionOverrides(teacher: 9, topic: 'Tides', teacherName: 'V. Ocampo')),
            atTen(
                '2027-01-20',
                new SessionOverrides(
                    isExtra: true,
                    makesUp: $day('2027-01-19'),
                    title: 'Catching up',
                    note: 'Bring a chart',
                ),
            ),
        ],
        'link' => 'https://x.example/join/series',
        'joinCode' => 'BCDFHJKMNP',
        'dialIn' => '+34 555',
        'pin' => '123',
        'cancelled' => [atTen('2027-01-19', null, SessionState::Cancelled)],
        'belongings' => $parts,
        'recordings' => [atTen('2027-01-12')->start => 'https://x.example/recordings/1'],
        ...$with,
    ];
    $practical = new SeriesFacts(
        id: 8,
        uid: 'uid-8',
        title: 'Practical',
        sequence: 0,
        changedAt: 1_800_000_000,
        plan: Scenario::plan([3], '2027-01-13', minutes: 47),
        sessions: [atTen('2027-01-13')],
        link: 'https://x.example/join/practical',
        joinCode: 'QRSTVWXZBC',
        dialIn: '+34 556',
        pin: '456',
        elsewhere: ['S-1' => true],
        isHidden: true,
        belongings: $parts,
        stretches: new PlanHistory([
            Scenario::plan([3], '2027-01-13', minutes: 47),
            Scenario::plan([4], '2027-01-20', minutes: 47),
        ]),
    );

    return new SectionFacts(
        '8MAR',
        'Y8 Marine Science',
        'N. Haddad',
        Scenario::term(),
        new DoorRules(opensBefore: $opensBefore),
        [new SeriesFacts(...$first), $practical],
        [
            new Reader('T-2', 'Nadir Haddad', MembershipRole::Teacher, [7 => 'https://x.example/join/host']),
            new Reader('T-9', 'Vera Ocampo', MembershipRole::Substitute, [7 => 'https://x.example/join/host']),
            new Reader('S-1', 'Galia Zabalo', MembershipRole::Student, [7 => 'https://x.example/join/one']),
            new Reader('S-2', 'Rui Mestre', MembershipRole::Student, []),
            new Reader('O-1', 'Otto Lind', MembershipRole::Observer, []),
        ],
        $joinPage,
        [
            new DropInFacts(
                3,
                'Office hours',
                OpeningHours::read('Tue 15:00-16:00'),
                Zone::named('Europe/Madrid'),
                'https://x.example/join/room',
                'BCDFHJKMNP',
                '+34 557',
                '789',
            ),
        ],
        words: Scenario::words(),
    );
}

/** @return list<array<string, mixed>> what is where, as a reader has it */
function standsThere(SectionFacts $facts): array
{
    return array_map(
        fn (Placement $p): array => [
            'place' => $p->place->value,
            'key' => $p->key,
            'label' => $p->label,
            'person' => $p->person,
            'of' => $p->of,
        ] + $p->fields,
        WantedPlacements::of($facts),
    );
}

test('what stands somewhere is read by the same name, whatever its label is for', function () {
    foreach (WantedPlacements::of(example()) as $p) {
        expect(Tests\Support\English::said(ItemName::of($p->place, $p->key, $p->label)))->toBe($p->label);
    }
});

test('what stands where, of a section with all that a section can have', function () {
    expect(standsThere(example()))->toBe([
        [
            'place' => 'course-page',
            'key' => '8MAR/pinned',
            'label' => 'Pinned: next session',
            'person' => null,
            'of' => [7 => 'Marine Science', 8 => 'Practical'],
            'title' => 'Next session',
            'meets' => BOTH_MEET,
            'doors' => 'The session opens 10 minutes before the start.',
            'link 7' => 'https://x.example/join/series',
            'code 7' => 'BCDF-HJKM-NP at https://x.example/join',
            'phone 7' => '+34 555, PIN 123',
            'link 8' => 'on your own page, during opening hours',
            'sessions' => [
                '2027-01-12T09:47:00Z Tue 12 Jan, 10:00–10:47 Madrid · Marine Science',
                '2027-01-13T09:47:00Z Wed 13 Jan, 10:00–10:47 Madrid · Practical',
                '2027-01-14T09:47:00Z Thu 14 Jan, 10:00–10:47 Madrid: Tides, with V. Ocampo · Marine Science',
                '2027-01-20T09:47:00Z Wed 20 Jan, 10:00–10:47 Madrid: Catching up, makes up Tue 19 Jan. Bring a '.
                'chart · Marine Science',
            ],
        ],
        [
            'place' => 'course-page',
            'key' => '8MAR/drop-in-3',
            'label' => 'Drop-in room: Office hours',
            'person' => null,
            'of' => [],
            'title' => 'Office hours',
            'open' => 'Tue 15:00–16:00 Madrid',
            'link' => 'https://x.example/join/room',
            'code' => 'BCDF-HJKM-NP at https://x.example/join',
            'phone' => '+34 557, PIN 789',
        ],
        [
            'place' => 'course-page',
            'key' => '8MAR/week-1',
            'label' => 'Week 1',
            'person' => null,
            'of' => [7 => 'Marine Science', 8 => 'Practical'],
            'title' => 'Live sessions',
            'week' => '1',
            'begins' => '2027-01-11',
            'sessions' => [
                'Tue 12 Jan, 10:00–10:47 Madrid · Marine Science',
                'Wed 13 Jan, 10:00–10:47 Madrid · Practical',
                'Thu 14 Jan, 10:00–10:47 Madrid: Tides, with V. Ocampo · Marine Science',
            ],
            'recordings' => ['Tue 12 Jan, 10:00–10:47 Madrid https://x.example/recordings/1'],
            'link 7' => 'https://x.example/join/series',
            'link 8' => 'on your own page, during opening hours',
        ],
        [
            'place' => 'course-page',
            'key' => '8MAR/week-2',
            'label' => 'Week 2',
            'person' => null,
            'of' => [7 => 'Marine Science', 8 => 'Practical'],
            'title' => 'Live sessions',
            'week' => '2',
            'begins' => '2027-01-18',
            'sessions' => [
                'Tue 19 Jan, 10:00–10:47 Madrid · Marine Science: cancelled, storm',
                'Wed 20 Jan, 10:00–10:47 Madrid: Catching up, makes up Tue 19 Jan. Bring a chart · Marine Science',
            ],
            'link 7' => 'https://x.example/join/series',
            'link 8' => 'on your own page, during opening hours',
        ],
        [
            'place' => 'calendar',
            'key' => 'T-2/uid-7',
            'label' => 'Nadir Haddad',
            'person' => 'T-2',
            'of' => [],
            'event' => 'Y8 Marine Science: Marine Science',
            'time' => 'Tue Thu 10:00–10:47 Madrid',
            'sessions' => [
                'Tue 12 Jan, 10:00–10:47 Madrid',
                'Wed 20 Jan, 10:00–10:47 Madrid: Catching up, makes up Tue 19 Jan. Bring a chart',
            ],
            'link' => 'https://x.example/join/host',
        ],
        [
            'place' => 'calendar',
            'key' => 'T-9/uid-7',
            'label' => 'Vera Ocampo',
            'person' => 'T-9',
            'of' => [],
            'event' => 'Y8 Marine Science: Marine Science',
            'time' => 'Tue Thu 10:00–10:47 Madrid',
            'sessions' => ['Thu 14 Jan, 10:00–10:47 Madrid: Tides, with V. Ocampo'],
            'link' => 'https://x.example/join/host',
        ],
        [
            'place' => 'calendar',
            'key' => 'S-1/uid-7',
            'label' => 'Galia Zabalo',
            'person' => 'S-1',
            'of' => [],
            'event' => 'Y8 Marine Science: Marine Science',
            'time' => 'Tue Thu 10:00–10:47 Madrid',
            'sessions' => [
                'Tue 12 Jan, 10:00–10:47 Madrid',
                'Thu 14 Jan, 10:00–10:47 Madrid: Tides, with V. Ocampo',
                'Wed 20 Jan, 10:00–10:47 Madrid: Catching up, makes up Tue 19 Jan. Bring a chart',
            ],
            'link' => 'https://x.example/join/one',
        ],
        [
            'place' => 'calendar',
            'key' => 'S-2/uid-7',
            'label' => 'Rui Mestre',
            'person' => 'S-2',
            'of' => [],
            'event' => 'Y8 Marine Science: Marine Science',
            'time' => 'Tue Thu 10:00–10:47 Madrid',
            'sessions' => ['Tue 12 Jan, 10:00–10:47 Madrid'],
            'link' => 'https://x.example/join/series',
        ],
        [
            'place' => 'calendar',
            'key' => 'O-1/uid-7',
            'label' => 'Otto Lind',
            'person' => 'O-1',
            'of' => [],
            'event' => 'Y8 Marine Science: Marine Science',
            'time' => 'Tue Thu 10:00–10:47 Madrid',
            'sessions' => [
                'Tue 12 Jan, 10:00–10:47 Madrid',
                'Thu 14 Jan, 10:00–10:47 Madrid: Tides, with V. Ocampo',
                'Wed 20 Jan, 10:00–10:47 Madrid: Catching up, makes up Tue 19 Jan. Bring a chart',
            ],
            'link' => 'https://x.example/join/series',
        ],
        [
            'place' => 'calendar',
            'key' => 'T-2/uid-8',
            'label' => 'Nadir Haddad',
            'person' => 'T-2',
            'of' => [],
            'event' => 'Y8 Marine Science: Practical',
            'time' => 'Wed 10:00–10:47, from Wed 20 Jan: Thu 10:00–10:47 Madrid',
            'sessions' => ['Wed 13 Jan, 10:00–10:47 Madrid'],
            'link' => 'on your own page, during opening hours',
        ],
        [
            'place' => 'calendar',
            'key' => 'O-1/uid-8',
            'label' => 'Otto Lind',
            'person' => 'O-1',
            'of' => [],
            'event' => 'Y8 Marine Science: Practical',
            'time' => 'Wed 10:00–10:47, from Wed 20 Jan: Thu 10:00–10:47 Madrid',
            'sessions' => ['Wed 13 Jan, 10:00–10:47 Madrid'],
            'link' => 'on your own page, during opening hours',
        ],
        [
            'place' => 'class-stream',
            'key' => '8MAR/opening',
            'label' => 'Opening post',
            'person' => null,
            'of' => [7 => 'Marine Science', 8 => 'Practical'],
            'title' => 'Y8 Marine Science: how to join',
            'meets' => BOTH_MEET,
            'doors' => 'The session opens 10 minutes before the start.',
            'link 7' => 'https://x.example/join/series',
            'code 7' => 'BCDF-HJKM-NP at https://x.example/join',
            'phone 7' => '+34 555, PIN 123',
            'link 8' => 'on your own page, during opening hours',
            'text' => 'Your own link is in your calendar and on your page. It works only for you: do not share it.',
        ],
    ]);
});

test('the calendar object says what its reader needs, and nothing of anybody else', function () {
    $bodies = array_column(
        array_map(
            fn (Placement $p): array => [$p->key, strtr($p->body(), ["\r\n " => ''])],
            WantedPlacements::of(example()),
        ),
        1,
        0,
    );
    $doors = 'The session opens 10 minutes before the start.';
    expect($bodies['T-2/uid-7'])
        ->toContain(
            'DESCRIPTION:Join: https://x.example/join/host\nJoin code: BCDF-HJKM-NP at https://x.example/join\n'.
                "By phone: +34 555\\, PIN 123\\n$doors\\nYou are a teacher of this section.\\n".
                'Wed 20 Jan: Catching up\, makes up Tue 19 Jan. Bring a chart'.
                "\r\n",
        )
        ->toContain("SUMMARY:Y8 Marine Science: Marine Science\r\n")
        ->toContain("SEQUENCE:2\r\n")
        ->and($bodies['T-9/uid-7'])
        ->toContain(
            "$doors\\nYou teach this session instead of the section’s teacher.\\nThu 14 Jan: Tides\\, with V. "
                ."Ocampo\r\n",
        )
        ->and($bodies['S-2/uid-7'])
        ->toContain("$doors\r\n")
        ->not->toContain('Tides')
        ->and($bodies['O-1/uid-8'])
        ->toContain(
            "DESCRIPTION:Join: on your own page\\, during opening hours\\n$doors\\nYou are an observer of this ".
                "section.\r\n",
        )
        ->not->toContain('URL')
        ->and($bodies['8MAR/pinned'])
        ->toBe('');
});

test('a feed has the reader\'s own links and sessions; without links none stands in it', function () {
    $feed = fn (?string $who, bool $links = true): array => array_map(
        fn (EventSeries $e): array => [$e->uid, $e->url, count($e->sessions)],
        CalendarPlacements::feed(example(), $who, $links),
    );
    expect($feed(null))
        ->toBe([['uid-7', 'https://x.example/join/series', 3], ['uid-8', '', 1]])
        ->and($feed('S-1'))
        ->toBe([['uid-7', 'https://x.example/join/one', 3], ['uid-8', '', 1]])
        ->and($feed('S-1', false))
        ->toBe([['uid-7', 'https://x.example/join/series', 3], ['uid-8', '', 1]])
        ->and($feed('S-2'))
        ->toBe([['uid-7', 'https://x.example/join/series', 1], ['uid-8', '', 0]]);
});

test('whatever an event is made of changes what it is known by', function (SectionFacts $other) {
    $of = fn (SectionFacts $f): array => array_column(
        array_map(fn (Placement $p): array => [$p->key, $p->fingerprint()], WantedPlacements::of($f)),
        1,
        0,
    );
    [$before, $after] = [$of(example()), $of($other)];
    foreach (['T-2/uid-7', 'S-1/uid-7', 'S-2/uid-7'] as $key) {
        expect($after[$key])->not->toBe($before[$key], $key);
    }
})->with([
    'the doors' => [fn () => example(opensBefore: 5)],
    'where a code is typed' => [fn () => example(joinPage: 'https://y.example/join')],
    'the sequence' => [fn () => example(['sequence' => 3])],
    'when it was changed' => [fn () => example(['changedAt' => 1_800_000_001])],
    'the code' => [fn () => example(['joinCode' => 'BCDFHJKMNQ'])],
    'the number' => [fn () => example(['dialIn' => '+34 559'])],
    'the PIN' => [fn () => example(['pin' => '124'])],
    'the minutes' => [fn () => example(['plan' => Scenario::plan([2, 4], '2027-01-12', minutes: 48)])],
    'the start' => [fn () => example(['plan' => Scenario::plan([2, 4], '2027-01-12', minute: 605, minutes: 47)])],
    'the weekdays' => [fn () => example(['plan' => Scenario::plan([2, 5], '2027-01-12', minutes: 47)])],
    'whether it is hidden' => [fn () => example(['isHidden' => true])],
    'a topic' => [
        fn () => example([
            'sessions' => [
                atTen('2027-01-12', new SessionOverrides(topic: 'Kelp')),
                ...array_slice(example()->series[0]->sessions, 1),
            ],
        ]),
    ],
]);

test('without sessions nothing is wanted but the drop-in rooms', function () {
    $facts = example(['sessions' => []]);
    $bare = new SectionFacts(
        '8MAR',
        'x',
        'y',
        $facts->term,
        $facts->door,
        [$facts->series[0]],
        $facts->readers,
        'j',
        $facts->rooms,
        words: Scenario::words(),
    );
    expect(array_column(standsThere($bare), 'key'))
        ->toBe(['8MAR/drop-in-3'])
        // A series that has none is left out beside one that has some.
        ->and(array_column(standsThere($facts), 'key'))
        ->toBe(['8MAR/pinned', '8MAR/drop-in-3', '8MAR/week-1', 'T-2/uid-8', 'O-1/uid-8', '8MAR/opening']);
});

test('what is for the whole section stands in the pinned place, what is for a session in its week', function () {
    $plain = example();
    $day = $plain->series[0]->sessions[0]->day;
    $section = new SectionFacts(
        ...[
            ...get_object_vars($plain),
            'materials' => [new MaterialFacts('All', 'https://a'), new MaterialFacts('One', 'https://b', $day)],
        ],
    );
    $with = [];
    foreach (WantedPlacements::of($section) as $placement) {
        if (isset($placement->fields['materials'])) {
            $with[$placement->key] = $placement->fields['materials'];
        }
    }
    $week = $plain->term->weekOf($day);
    expect($with)->toBe([
        "$plain->id/pinned" => ['All: https://a'],
        "$plain->id/week-$week" => [(new LocalDate($day))->short().', One: https://b'],
    ]);
    $print = fn (Placement $p): string => $p->fingerprint();
    $prints = fn (SectionFacts $s): array => array_map($print, WantedPlacements::of($s));
    expect(count(array_diff($prints($section), $prints($plain))))->toBe(2);
});
