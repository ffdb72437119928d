<?php

use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\OpeningHours;
use Nomada\Core\Publishing\DropInFacts;
use Nomada\Core\Publishing\FieldChange;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\Placement;
use Nomada\Core\Publishing\Reader;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Publishing\SectionStatus;
use Nomada\Core\Publishing\SeriesFacts;
use Nomada\Core\Publishing\Verb;
use Nomada\Core\Publishing\WantedPlacements;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionState;
use Tests\Core\Scenario;
use Tests\Support\English;

function facts(
    SeriesPlan $plan,
    string $link = 'https://x.example/join/series',
    array $own = ['S-1' => 'one', 'S-2' => 'two'],
    int $sequence = 0,
    array $recordings = [],
): SectionFacts {
    $planned = array_values(
        array_filter(
            $plan->sessions(Scenario::term()),
            fn (PlannedSession $s): bool => $s->state === SessionState::Planned,
        ),
    );
    $series = new SeriesFacts(
        7,
        'uid-7',
        'Marine Science',
        $sequence,
        1_800_000_000,
        $plan,
        $planned,
        $link,
        'BCDFHJKMNP',
        '+34 555',
        '123',
        recordings: $recordings,
    );
    $readers = array_map(
        fn (string $id, string $secret): Reader => new Reader($id, "Name $id", MembershipRole::Student, [
            7 => "https://x.example/join/$secret",
        ]),
        array_keys($own),
        $own,
    );

    return new SectionFacts(
        '8MAR',
        'Y8 Marine Science',
        'N. Haddad',
        Scenario::term(),
        new DoorRules(),
        [$series],
        [new Reader('T-2', 'Nadir Haddad', MembershipRole::Teacher, [7 => "$link-host"]), ...$readers],
        'https://x.example/join',
        words: Scenario::words(),
    );
}

/** The same with its link hidden outside the door's hours, and a drop-in room. */
function hiddenFacts(SeriesPlan $plan): SectionFacts
{
    $of = facts($plan, own: []);
    $s = $of->series[0];
    $hidden = new SeriesFacts(
        $s->id,
        $s->uid,
        $s->title,
        $s->sequence,
        $s->changedAt,
        $s->plan,
        $s->sessions,
        $s->link,
        $s->joinCode,
        $s->dialIn,
        $s->pin,
        isHidden: true,
    );

    return new SectionFacts(
        $of->id,
        $of->title,
        $of->teacher,
        $of->term,
        $of->door,
        [$hidden],
        [...$of->readers, new Reader('S-1', 'Name S-1', MembershipRole::Student, [])],
        'https://x.example',
        [
            new DropInFacts(
                3,
                'Office hours',
                OpeningHours::read('Tue 15:00-16:00'),
                Zone::named('Europe/Madrid'),
                'https://x.example/join/room',
                'BCDFHJKMNP',
                '+34 556',
                '124',
            ),
        ],
        words: Scenario::words(),
    );
}

/** @return array<string, Placement> by key */
function wanted(SectionFacts $facts): array
{
    return array_column(array_map(fn (Placement $p): array => [$p->key, $p], WantedPlacements::of($facts)), 1, 0);
}

test(
    'a section has a pinned place, an item for every week with sessions, an event a person, and an opening post',
    function () {
        $wanted = wanted(facts(Scenario::plan([2, 4], '2027-01-12', minutes: 47)));
        $weeks = array_values(array_filter(array_keys($wanted), fn (string $k): bool => str_contains($k, 'week-')));

        // Weeks 11 and 12 are the Easter break.
        expect($weeks)
            ->toHaveCount(13)
            ->and($weeks)
            ->not->toContain('8MAR/week-11')
            ->and($wanted['8MAR/week-6']->fields['sessions'])
            ->toBe(['Thu 18 Feb, 10:00–10:47 Madrid'])
            ->and(array_keys($wanted))
            ->toContain('8MAR/pinned', 'T-2/uid-7', 'S-1/uid-7', 'S-2/uid-7', '8MAR/opening')
            ->and($wanted)
            ->toHaveCount(18);
    },
);

test('a released recording takes the place of the join link in its week', function () {
    $plan = Scenario::plan([2, 4], '2027-01-12', minutes: 47);
    [$tue, $thu] = $plan->sessions(Scenario::term());
    $of = fn (array $recordings): array => wanted(facts($plan, recordings: $recordings))['8MAR/week-1']->fields;
    expect($of([]))
        ->toHaveKey('link')
        ->not->toHaveKey('recordings')
        ->and($of([$tue->start => 'https://x.example/r/1']))
        ->toMatchArray(['recordings' => ['Tue 12 Jan, 10:00–10:47 Madrid https://x.example/r/1']])
        // Thursday is still to come, and wants its link.
        ->toHaveKey('link')
        ->and($of([$tue->start => 'https://x.example/r/1', $thu->start => 'https://x.example/r/2']))
        ->not->toHaveKey('link')
        ->and(wanted(facts($plan, recordings: [$tue->start => 'x']))['8MAR/week-2']->fields)
        ->toHaveKey('link')
        ->not->toHaveKey('recordings');
});

test('whoever gets something gets only their own link', function () {
    foreach (wanted(facts(Scenario::plan([2], '2027-01-12'))) as $key => $placement) {
        $text = json_encode([$placement->fields, $placement->body()], JSON_UNESCAPED_SLASHES);
        expect(str_contains($text, 'join/one'))
            ->toBe($key === 'S-1/uid-7')
            ->and(str_contains($text, 'join/two'))
            ->toBe($key === 'S-2/uid-7')
            ->and(str_contains($text, 'series-host'))
            ->toBe($key === 'T-2/uid-7')
            ->and($text)
            ->not->toContain('Name S-');
    }
});

test('a change touches exactly what says something else', function (SectionFacts $after, array $changed) {
    $before = wanted(facts(Scenario::plan([2, 4], '2027-01-12', minutes: 47)));
    $differ = [];
    foreach (wanted($after) as $key => $placement) {
        if (Verb::between($placement->fingerprint(), ($before[$key] ?? null)?->fingerprint()) !== Verb::Leave) {
            $differ[] = preg_replace('/week-\d+/', 'week', $key);
        }
    }

    expect(array_values(array_unique($differ)))->toEqualCanonicalizing($changed);
})->with([
    'nothing' => [facts(Scenario::plan([2, 4], '2027-01-12', minutes: 47)), []],
    'a personal link' => [
        facts(Scenario::plan([2, 4], '2027-01-12', minutes: 47), own: ['S-1' => 'new', 'S-2' => 'two']),
        ['S-1/uid-7'],
    ],
    'a student more' => [
        facts(
            Scenario::plan([2, 4], '2027-01-12', minutes: 47),
            own: ['S-1' => 'one', 'S-2' => 'two', 'S-3' => 'three'],
        ),
        ['S-3/uid-7'],
    ],
    'the time' => [
        facts(Scenario::plan([2, 4], '2027-01-12', minute: 735, minutes: 47), sequence: 1),
        ['8MAR/pinned', '8MAR/week', 'T-2/uid-7', 'S-1/uid-7', 'S-2/uid-7', '8MAR/opening'],
    ],
    'the series link' => [
        facts(Scenario::plan([2, 4], '2027-01-12', minutes: 47), 'https://x.example/join/new'),
        ['8MAR/pinned', '8MAR/week', 'T-2/uid-7', '8MAR/opening'],
    ],
]);

test('the fingerprint is made without the body, and differs exactly where label, fields or body do', function () {
    $plan = fn (array $days = [2, 4], int $minute = 600): SeriesPlan => Scenario::plan(
        $days,
        '2027-01-12',
        minute: $minute,
        minutes: 47,
    );
    $all = [];
    foreach (
        [
            facts($plan()),
            facts($plan()),
            facts($plan(), sequence: 1),
            facts($plan([2])),
            facts($plan(minute: 605)),
            facts($plan(), own: ['S-1' => 'new', 'S-2' => 'two']),
            facts($plan(), 'https://x.example/join/new'),
            hiddenFacts($plan()),
        ] as $facts
    ) {
        foreach (wanted($facts) as $placement) {
            $all[] = [
                json_encode([$placement->place, $placement->label, $placement->fields, $placement->body()]),
                $placement->fingerprint().$placement->place->value,
            ];
        }
    }
    // Each content has one print, and each print one content.
    expect(count(array_unique(array_column($all, 0))))
        ->toBe(count(array_unique(array_column($all, 1))))
        ->and(count(array_unique(array_map(json_encode(...), $all))))
        ->toBe(count(array_unique(array_column($all, 1))));
});

test(
    'a link hidden outside the door\'s hours stands nowhere but in the teacher\'s calendar; a drop-in room stands on '.
        'the course page',
    function () {
        foreach (wanted(hiddenFacts(Scenario::plan([2], '2027-01-12'))) as $key => $placement) {
            $text = json_encode([$placement->fields, $placement->body()], JSON_UNESCAPED_SLASHES);
            expect(str_contains($text, '/join/'))->toBe(in_array($key, ['T-2/uid-7', '8MAR/drop-in-3'], true));
        }
        expect(wanted(hiddenFacts(Scenario::plan([2], '2027-01-12')))['8MAR/drop-in-3']->fields)->toBe([
            'title' => 'Office hours',
            'open' => 'Tue 15:00–16:00 Madrid',
            'link' => 'https://x.example/join/room',
            'code' => 'BCDF-HJKM-NP at https://x.example',
            'phone' => '+34 556, PIN 124',
        ]);
    },
);

test('of a change, before and after are told, of lists only what differs', function () {
    $changes = FieldChange::between(
        ['Time' => 'Thu 10:30', 'Sessions' => ['a', 'b', 'c'], 'Old' => 'x', 'Same' => 's'],
        ['Time' => 'Thu 12:15', 'Sessions' => ['b', 'c', 'd'], 'Same' => 's'],
    );

    expect(array_map(fn (FieldChange $c): array => [$c->field, $c->before, $c->after], $changes))->toBe([
        ['Time', 'Thu 10:30', 'Thu 12:15'],
        ['Sessions', 'a', 'd'],
        ['Old', 'x', ''],
    ]);
});

test('of long lists three lines, and how many more; what comes new has nothing before', function () {
    $changes = FieldChange::between(
        ['Four' => ['a', 'b', 'c', 'd'], 'Three' => ['a', 'b', 'c'], 'Was text' => 'x'],
        ['Four' => [], 'Three' => [], 'Five' => ['1', '2', '3', '4', '5'], 'Was text' => ['x', 'y'], 'None' => ''],
    );
    expect(array_map(fn (FieldChange $c): array => [$c->field, $c->before, $c->after], $changes))->toBe([
        ['Four', "a\nb\nc\n… +1", ''],
        ['Three', "a\nb\nc", ''],
        ['Five', '', "1\n2\n3\n4\n5"],
        ['Was text', 'x', "x\ny"],
    ]);
});

test('what a run does with a placement, by the prints of both', function (?string $wanted, ?string $is, ?string $verb) {
    expect(Verb::between($wanted, $is)?->value)->toBe($verb);
})->with([
    [null, null, null],
    ['a', null, 'add'],
    [null, 'a', 'remove'],
    ['a', 'a', 'leave'],
    ['a', 'b', 'change'],
]);

test('a section\'s issues in words, how grave, and where they are mended', function (
    SectionStatus $status,
    array $says,
) {
    expect(
        array_map(
            fn ($s): string => ($s->isWrong ? '! ' : '').English::said($s->words)." ($s->where)",
            $status->issues(),
        ),
    )->toBe($says);
})->with([
    [new SectionStatus(0, 0, 0, 0, []), ['! No timetable yet (timetable)']],
    [
        new SectionStatus(1, 0, 3, 1, [], ['A clash', 'Another'], 1),
        [
            '! A clash (timetable)',
            '! Another (timetable)',
            '1 student absent three times in a row (records)',
            'No join link or room (joining)',
            '2 not registered (registration)',
            'Not published (publishing)',
        ],
    ],
    [
        new SectionStatus(2, 2, 2, 2, ['calendar' => ['trouble' => 1, 'leave' => 1]], [], 2),
        ['! 1 failed: Calendar (publishing)', '2 students absent three times in a row (records)'],
    ],
    [
        new SectionStatus(1, 1, 2, 2, ['calendar' => ['add' => 1, 'leave' => 1]], changedThere: 3),
        ['Changed (publishing)', '3 outside changes (publishing)'],
    ],
    [
        new SectionStatus(1, 1, 2, 2, ['calendar' => ['leave' => 1]], seeOther: 4),
        ['4 people or pages show something wrong (publishing)'],
    ],
    [
        new SectionStatus(1, 1, 2, 2, ['calendar' => ['leave' => 1]], isToTell: true),
        ['Changes not announced (publishing)'],
    ],
    [
        new SectionStatus(1, 1, 2, 2, ['calendar' => ['leave' => 1]], withoutAccount: 15, beyond: 1),
        [
            '! 1 series is too long or over capacity for its host account (timetable)',
            '! 15 sessions without a host account (timetable)',
        ],
    ],
    // What differs is published, and told with it.
    [
        new SectionStatus(1, 1, 2, 2, ['calendar' => ['change' => 1]], isToTell: true),
        ['Changed (publishing)'],
    ],
]);

const NOTHING = ['add' => 0, 'change' => 0, 'remove' => 0, 'leave' => 0, 'trouble' => 0];

test('how far a section has come, in issues', function (SectionStatus $status, array $kinds) {
    expect(array_map(fn ($s) => $s->kind, $status->issues()))->toBe($kinds);
})->with([
    'nothing done' => [new SectionStatus(0, 0, 20, 0, []), ['no-series']],
    'changed outside Nomada' => [
        new SectionStatus(1, 1, 2, 2, ['calendar' => ['leave' => 1] + NOTHING], changedThere: 1, seeOther: 4),
        ['changed-there'],
    ],
    'seen otherwise' => [
        new SectionStatus(1, 1, 2, 2, ['calendar' => ['leave' => 1] + NOTHING], seeOther: 1),
        ['truth'],
    ],
    'seen otherwise, since it is not republished' => [
        new SectionStatus(1, 1, 2, 2, ['calendar' => ['change' => 1, 'leave' => 1] + NOTHING], seeOther: 1),
        ['changed'],
    ],
    'timetabled' => [new SectionStatus(1, 0, 20, 0, []), ['no-link', 'not-registered', 'not-published']],
    'all done' => [
        new SectionStatus(1, 1, 20, 20, [
            Place::Calendar->value => ['add' => 0, 'change' => 0, 'remove' => 0, 'leave' => 9, 'trouble' => 0],
        ]),
        [],
    ],
    'changed' => [
        new SectionStatus(1, 1, 20, 20, [
            Place::Calendar->value => ['add' => 0, 'change' => 3, 'remove' => 0, 'leave' => 9, 'trouble' => 0],
        ]),
        ['changed'],
    ],
    'refused' => [
        new SectionStatus(1, 1, 20, 20, [
            Place::Calendar->value => ['add' => 2, 'change' => 0, 'remove' => 0, 'leave' => 9, 'trouble' => 2],
        ]),
        ['refused'],
    ],
]);
