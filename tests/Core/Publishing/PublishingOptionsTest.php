<?php

use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Fault;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Publishing\DetailLevel;
use Nomada\Core\Publishing\Placement;
use Nomada\Core\Publishing\PublishingOptions;
use Nomada\Core\Publishing\Reader;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Publishing\SeriesFacts;
use Nomada\Core\Publishing\SessionChange;
use Nomada\Core\Publishing\ShownText;
use Nomada\Core\Publishing\TellingFacts;
use Nomada\Core\Publishing\WantedPlacements;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;
use Tests\Core\Scenario;

/** @param  array<string, array{string, string}>  $words */
function shownFacts(PublishingOptions $showing, array $words = [], ?string $reads = null): SectionFacts
{
    $plan = Scenario::plan([2], '2027-01-12');
    $sessions = array_values(
        array_filter(
            $plan->sessions(Scenario::term()),
            fn (PlannedSession $s): bool => $s->state === SessionState::Planned,
        ),
    );
    $first = $sessions[0];
    $sessions[0] = new PlannedSession(
        $first->day,
        $first->start,
        $first->end,
        SessionState::Planned,
        null,
        own: new SessionOverrides(topic: 'Tides'),
    );

    return new SectionFacts(
        '8MAR',
        'Y8 Marine Science',
        'N. Haddad',
        Scenario::term(),
        new DoorRules(),
        [
            new SeriesFacts(
                7,
                'uid-7',
                'Marine Science',
                0,
                1_800_000_000,
                $plan,
                array_slice($sessions, 0, 2),
                'https://x.example/join/series',
                'BCDFHJKMNP',
                '+34 555',
                '123',
            ),
        ],
        [
            new Reader('S-1', 'Ana', MembershipRole::Student, [], $reads),
            new Reader('T-2', 'Nadir', MembershipRole::Teacher, []),
        ],
        'https://x.example/join',
        tellings: [new TellingFacts(4, [SessionChange::from(['kind' => 'other-link', 'series' => 'x'])])],
        words: Scenario::words($words),
        showing: $showing,
        school: 'Colegio Marisma',
    );
}

/** @return array<string, string|list<string>> the fields of one placement */
function shownFields(SectionFacts $facts, string $key): array
{
    return array_column(
        array_map(fn (Placement $p): array => [$p->key, $p->fields], WantedPlacements::of($facts)),
        1,
        0,
    )[$key];
}

test('what is usual leaves the places as they are', function () {
    foreach (WantedPlacements::of(shownFacts(new PublishingOptions())) as $placement) {
        expect($placement->settings())->toBe([]);
    }
});

test('positions, from when till when, who may answer and for whom go with each item that they are of', function () {
    $facts = shownFacts(
        new PublishingOptions(
            next: 'after reading-list',
            weeks: 'top',
            from: 3,
            till: 0,
            answers: 'answers',
            for: ['S-1'],
        ),
    );
    expect(array_intersect_key(shownFields($facts, '8MAR/pinned'), array_flip(Placement::SETTINGS)))
        ->toBe(['position' => 'after reading-list'])
        ->and(array_intersect_key(shownFields($facts, '8MAR/week-1'), array_flip(Placement::SETTINGS)))
        // The week begins on Monday 11 January at midnight in Madrid, an hour before UTC's.
        ->toBe(['position' => 'top', 'from' => '2027-01-07T23:00:00Z', 'till' => '2027-01-17T23:00:00Z']);
    foreach (['8MAR/opening', '8MAR/change-4'] as $post) {
        expect(array_intersect_key(shownFields($facts, $post), array_flip(Placement::SETTINGS)))->toBe([
            'answers' => 'answers',
            'for' => ['S-1'],
        ]);
    }
    expect(array_intersect_key(shownFields($facts, 'S-1/uid-7'), array_flip(Placement::SETTINGS)))->toBe([]);
});

test('an item shows as much of a session as was chosen', function (
    DetailLevel $amount,
    ?array $week,
    ?string $next,
) {
    $facts = shownFacts(new PublishingOptions(amount: $amount));
    expect(shownFields($facts, '8MAR/week-1')['sessions'] ?? null)
        ->toBe($week)
        ->and(shownFields($facts, '8MAR/pinned')['sessions'][0] ?? null)
        ->toBe($next)
        ->and(shownFields($facts, '8MAR/week-1')['link'])
        ->toBe('https://x.example/join/series')
        // A person's own calendar shows all of it.
        ->and(shownFields($facts, 'S-1/uid-7')['sessions'][0])
        ->toBe('Tue 12 Jan, 10:00–10:45 Madrid: Tides');
})->with([
    [
        DetailLevel::All,
        ['Tue 12 Jan, 10:00–10:45 Madrid: Tides'],
        '2027-01-12T09:45:00Z Tue 12 Jan, 10:00–10:45 Madrid: Tides',
    ],
    [DetailLevel::Short, ['Tue 12 Jan, 10:00–10:45 Madrid'], '2027-01-12T09:45:00Z Tue 12 Jan, 10:00–10:45 Madrid'],
    [DetailLevel::Nothing, null, null],
]);

test('the section reads together in its language, and everybody in their calendar in their own', function () {
    $facts = shownFacts(new PublishingOptions('es'), reads: 'en');
    expect(shownFields($facts, '8MAR/week-1')['sessions'])
        ->toBe(['mar 12 ene, 10:00–10:45 Madrid: Tides'])
        ->and(shownFields($facts, '8MAR/opening')['title'])
        ->toBe('Y8 Marine Science: cómo entrar')
        ->and(shownFields($facts, '8MAR/opening')['doors'])
        ->toBe('La sesión se abre 10 minutos antes del comienzo.')
        ->and(shownFields($facts, '8MAR/change-4')['changes'])
        ->toBe(['Hay un enlace nuevo; el anterior ya no funciona'])
        ->and(shownFields($facts, 'S-1/uid-7')['sessions'][0])
        ->toBe('Tue 12 Jan, 10:00–10:45 Madrid: Tides')
        ->and(shownFields($facts, 'T-2/uid-7')['time'])
        ->toBe('mar 10:00–10:45 Madrid');
    // A language without words is read in the section's.
    expect(shownFields(shownFacts(new PublishingOptions('es'), reads: 'fr'), 'S-1/uid-7')['time'])->toBe(
        'mar 10:00–10:45 Madrid',
    );
    $bodies = array_map(fn (Placement $p): string => $p->body(), WantedPlacements::of($facts));
    expect(implode('', $bodies))->toContain('Entrar: https://x.example')->toContain('Join: https://x.example');
});

test('the school\'s own words stand there, and other words are a change', function () {
    $own = [
        'course-next' => ['Up next in {class}', '{meets}'],
        'course-week' => ['Week {week} with {teacher}', 'At {school}'],
        'calendar-event' => ['[{school}] {series}', "Door: {link}\nOr {code}"],
        'stream-opening' => ['Hello {class}', '{doors}'],
        'stream-changed' => ['News', 'Look twice'],
    ];
    $facts = shownFacts(new PublishingOptions(), $own);
    $usual = shownFacts(new PublishingOptions());
    expect(shownFields($facts, '8MAR/pinned'))
        ->toMatchArray(['title' => 'Up next in Y8 Marine Science', 'text' => 'Tue 10:00–10:45 Madrid'])
        ->and(shownFields($facts, '8MAR/week-2'))
        ->toMatchArray(['title' => 'Week 2 with N. Haddad', 'text' => 'At Colegio Marisma'])
        ->and(shownFields($facts, 'S-1/uid-7')['event'])
        ->toBe('[Colegio Marisma] Y8 Marine Science')
        ->and(shownFields($facts, '8MAR/opening'))
        ->toMatchArray([
            'title' => 'Hello Y8 Marine Science',
            'text' => 'The session opens 10 minutes before the start.',
        ])
        ->and(shownFields($facts, '8MAR/change-4'))
        ->toMatchArray(['title' => 'News', 'text' => 'Look twice']);
    foreach (WantedPlacements::of($facts) as $i => $placement) {
        expect($placement->fingerprint())->not->toBe(WantedPlacements::of($usual)[$i]->fingerprint());
    }
    $written = WantedPlacements::written($facts, ShownText::CalendarEvent, $facts->words());
    expect($written[1])->toBe("Door: https://x.example/join/series\nOr BCDF-HJKM-NP at https://x.example/join");
    expect(WantedPlacements::written($facts, ShownText::CourseWeek, $facts->words())[0])->toBe(
        'Week 1 with N. Haddad',
    );
});

test('posts for chosen students are read by them, and by whoever is no student', function () {
    $all = new PublishingOptions();
    $some = new PublishingOptions(for: ['S-1']);
    expect($all->isFor('S-2', true))
        ->toBeTrue()
        ->and($some->isFor('S-1', true))
        ->toBeTrue()
        ->and($some->isFor('S-2', true))
        ->toBeFalse()
        ->and($some->isFor('T-2', false))
        ->toBeTrue();
});

test('what is kept is read back, and a section\'s own goes over the school\'s', function () {
    $one = new PublishingOptions('es', 'after x y', 'top', 5, 0, DetailLevel::Short, 'nobody', ['S-1', 'S-2']);
    expect(PublishingOptions::from($one->toArray()))
        ->toEqual($one)
        ->and((new PublishingOptions())->with(null))
        ->toEqual(new PublishingOptions())
        ->and($one->with(['till' => null, 'for' => null, 'answers' => null]))
        ->toEqual(new PublishingOptions('es', 'after x y', 'top', 5, null, DetailLevel::Short))
        ->and(PublishingOptions::from(['amount' => 'much', 'from' => 'x']))
        ->toEqual(new PublishingOptions());
});

test('what cannot be is refused, with its field', function (array $with, string $field) {
    try {
        new PublishingOptions(...$with);
        $this->fail('It was taken');
    } catch (Fault $e) {
        expect($e->field)->toBe($field);
    }
})->with([
    [['language' => 'es_ES!'], 'language'],
    [['next' => 'week'], 'next'],
    [['next' => 'below'], 'next'],
    [['weeks' => 'after '], 'weeks'],
    [['weeks' => ''], 'weeks'],
    [['from' => -1], 'from'],
    [['from' => PublishingOptions::MOST_DAYS + 1], 'from'],
    [['till' => -1], 'till'],
    [['answers' => 'everybody'], 'answers'],
    [['for' => []], 'for'],
]);
