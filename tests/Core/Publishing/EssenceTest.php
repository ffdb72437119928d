<?php

use Nomada\Core\Belonging\Belonging;
use Nomada\Core\Belonging\Membership;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Publishing\CalendarPlacements;
use Nomada\Core\Publishing\ChangeKind;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\Placement;
use Nomada\Core\Publishing\Reader;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Publishing\SeriesFacts;
use Nomada\Core\Publishing\SessionChange;
use Nomada\Core\Publishing\TellingFacts;
use Nomada\Core\Publishing\ToldSession;
use Nomada\Core\Publishing\WantedPlacements;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionOverrides;
use Tests\Core\Scenario;

// Whether an event is written again is decided by its fingerprint, which is made without writing it: so whatever the
// event says has to be part of it.

/**
 * @param  array<string, mixed>  $series  of its facts, by the constructor's names
 * @param  array<string, mixed>  $section
 */
function essenceOf(array $series = [], array $section = [], array $plan = []): SectionFacts
{
    $plan = Scenario::plan([2, 4], '2027-01-12', ...$plan + ['minutes' => 47]);
    $sessions = array_slice($plan->sessions(Scenario::term()), 0, 6);

    return new SectionFacts(
        ...$section + [
            'id' => '8MAR',
            'title' => 'Y8 Marine Science',
            'teacher' => 'N. Haddad',
            'term' => Scenario::term(),
            'door' => new DoorRules(),
            'series' => [
                new SeriesFacts(
                    ...$series + [
                        'id' => 7,
                        'uid' => 'uid-7',
                        'title' => 'Marine Science',
                        'sequence' => 0,
                        'changedAt' => 1_800_000_000,
                        'plan' => $plan,
                        'sessions' => $sessions,
                        'link' => 'https://x.example/join/series',
                        'joinCode' => 'BCDFHJKMNP',
                        'dialIn' => '+34 555',
                        'pin' => '123',
                    ],
                ),
            ],
            'readers' => [
                new Reader('S-1', 'Name S-1', MembershipRole::Student, [7 => 'https://x.example/join/one']),
            ],
            'joinPage' => 'https://x.example/join',
            'words' => Scenario::words(),
        ],
    );
}

/** @return array{string, string} fingerprint and body of the student's event */
function eventOf(SectionFacts $facts): array
{
    foreach (WantedPlacements::of($facts) as $placement) {
        if ($placement->place === Place::Calendar) {
            return [$placement->fingerprint(), $placement->body()];
        }
    }

    return ['', ''];
}

test('whatever changes what an event says changes its fingerprint', function (
    array $series,
    array $section,
    array $plan,
) {
    [$print, $body] = eventOf(essenceOf());
    [$otherPrint, $otherBody] = eventOf(essenceOf($series, $section, $plan));
    expect($otherBody)->not->toBe($body)->and($otherPrint)->not->toBe($print);
})->with([
    'uid' => [['uid' => 'uid-8'], [], []],
    'sequence' => [['sequence' => 1], [], []],
    'when it was changed' => [['changedAt' => 1_800_000_001], [], []],
    'join code' => [['joinCode' => 'BCDFHJKMNQ'], [], []],
    'phone' => [['dialIn' => '+34 556'], [], []],
    'pin' => [['pin' => '124'], [], []],
    'hidden' => [
        ['isHidden' => true],
        ['readers' => [new Reader('S-1', 'Name S-1', MembershipRole::Student, [])]],
        [],
    ],
    'title of the section' => [[], ['title' => 'Y8 Boats'], []],
    'doors' => [[], ['door' => new DoorRules(opensBefore: 12)], []],
    'page of the codes' => [[], ['joinPage' => 'https://y.example/join'], []],
    'own link' => [
        [],
        ['readers' => [new Reader('S-1', 'Name S-1', MembershipRole::Student, [7 => 'https://x.example/two'])]],
        [],
    ],
    'role' => [
        [],
        [
            'readers' => [
                new Reader('S-1', 'Name S-1', MembershipRole::Observer, [7 => 'https://x.example/join/one']),
            ],
        ],
        [],
    ],
    'length' => [[], [], ['minutes' => 48]],
    'start' => [[], [], ['minute' => 601]],
]);

test('whatever one session has of its own does too', function (SessionOverrides $own, int $later) {
    $with = function (?SessionOverrides $own, int $later): array {
        $plan = Scenario::plan([2, 4], '2027-01-12', minutes: 47);
        $sessions = array_slice($plan->sessions(Scenario::term()), 0, 6);
        $s = $sessions[2];
        $sessions[2] = new PlannedSession($s->day, $s->start + $later, $s->end + $later, $s->state, null, $own);

        return eventOf(essenceOf(['sessions' => $sessions]));
    };
    [$print, $body] = $with(null, 0);
    [$otherPrint, $otherBody] = $with($own, $later);
    expect($otherBody)->not->toBe($body)->and($otherPrint)->not->toBe($print);
})->with([
    'topic' => [new SessionOverrides(topic: 'Tides'), 0],
    'title' => [new SessionOverrides(title: 'Excursion'), 0],
    'teacher' => [new SessionOverrides(teacher: 9, teacherName: 'I. Belmar'), 0],
    'note' => [new SessionOverrides(note: 'Bring boots'), 0],
    'what it makes up' => [new SessionOverrides(isExtra: true, makesUp: 20844), 0],
    'another time' => [new SessionOverrides(), 3600],
]);

test(
    'a session for chosen students stands with them and with those who teach, and nowhere that all read',
    function () {
        $plan = Scenario::plan([2, 4], '2027-01-12', minutes: 47);
        $sessions = array_slice($plan->sessions(Scenario::term()), 0, 3);
        $s = $sessions[1];
        $sessions[1] = new PlannedSession(
            $s->day,
            $s->start,
            $s->end,
            $s->state,
            null,
            new SessionOverrides(chosen: [1]),
        );
        $facts = essenceOf(
            [
                'sessions' => $sessions,
                'belongings' => [
                    'S-1' => new Belonging(1, [new Membership(MembershipRole::Student)]),
                    'S-2' => new Belonging(2, [new Membership(MembershipRole::Student)]),
                    'T-1' => new Belonging(3, [new Membership(MembershipRole::Teacher)]),
                ],
            ],
            [
                'readers' => array_map(
                    fn (string $id): Reader => new Reader(
                        $id,
                        $id,
                        $id === 'T-1' ? MembershipRole::Teacher : MembershipRole::Student,
                        [],
                    ),
                    ['S-1', 'S-2', 'T-1', 'S-3'],
                ),
            ],
        );
        $n = [];
        $all = [];
        foreach (WantedPlacements::of($facts) as $p) {
            if ($p->place === Place::Calendar) {
                $n[$p->person] = count((array) $p->fields['sessions']);
            } else {
                $all[] = json_encode($p->fields);
            }
        }
        // S-3 was let in by hand and has no part.
        expect($n)
            ->toBe(['S-1' => 3, 'S-2' => 2, 'T-1' => 3, 'S-3' => 2])
            ->and(implode('', $all))
            ->not->toContain('Thu 14 Jan')
            ->and(count($facts->series[0]->forAll()))
            ->toBe(2)
            ->and(count($facts->series[0]->forAll(true)))
            ->toBe(2)
            ->and(count(CalendarPlacements::feed($facts)[0]->sessions))
            ->toBe(2);
    },
);

test('each telling is a post of its own, on the school\'s clock', function () {
    $at = strtotime('2027-02-09 10:00 Europe/Madrid');
    $change = new SessionChange(ChangeKind::Cancelled, 'Marine Science', new ToldSession('k', $at, $at + 2820));
    $posts = array_values(
        array_filter(
            WantedPlacements::of(
                essenceOf([], ['tellings' => [new TellingFacts(4, [$change]), new TellingFacts(9, [])]]),
            ),
            fn (Placement $p): bool => str_contains($p->key, '/change-'),
        ),
    );
    expect(array_map(fn (Placement $p): array => [$p->place, $p->key, $p->label, $p->fields], $posts))->toBe([
        [
            Place::ClassStream,
            '8MAR/change-4',
            'Changes, post 4',
            [
                'title' => 'Y8 Marine Science: changes',
                'changes' => ['Tue 9 Feb, 10:00–10:47 is cancelled'],
                'clock' => 'Madrid',
            ],
        ],
        [
            Place::ClassStream,
            '8MAR/change-9',
            'Changes, post 9',
            ['title' => 'Y8 Marine Science: changes', 'changes' => [], 'clock' => 'Madrid'],
        ],
    ]);
});
