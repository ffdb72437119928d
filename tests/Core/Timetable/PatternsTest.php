<?php

use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\Because;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\DatesPattern;
use Nomada\Core\Timetable\OpenDaysPattern;
use Nomada\Core\Timetable\Pattern;
use Nomada\Core\Timetable\Patterns;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\PlanSentence;
use Nomada\Core\Timetable\RecurrenceRule;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\WeeklyPattern;
use Tests\Core\Scenario;
use Tests\Support\English;

test('the worked numbers of the scenario', function (
    Pattern $pattern,
    string $from,
    ?SeriesEnd $end,
    int $planned,
    int $lost,
) {
    $sessions = Scenario::plan($pattern, $from, $end)->sessions(Scenario::term());

    expect(Scenario::dates($sessions))
        ->toHaveCount($planned)
        ->and(Scenario::dates($sessions, SessionState::Lost))
        ->toHaveCount($lost);
})->with([
    'every school day' => [new OpenDaysPattern(), '2027-01-11', null, 61, 0],
    'Thursdays from 14 January to 22 April' => [
        new WeeklyPattern([4]),
        '2027-01-14',
        SeriesEnd::onDate(LocalDate::parse('2027-04-22')),
        13,
        2,
    ],
    'Mondays, Wednesdays and Fridays' => [new WeeklyPattern([1, 3, 5]), '2027-01-11', null, 36, 9],
    'Tuesdays and Thursdays' => [new WeeklyPattern([2, 4]), '2027-01-11', null, 25, 5],
]);

test('lost sessions keep their reason, and n held does not count them', function () {
    $sessions = Scenario::plan([3], '2027-02-03', SeriesEnd::afterHeld(3))->sessions(Scenario::term());

    expect(
        array_map(
            fn (PlannedSession $s): string => (new LocalDate($s->day))->short().
                ' '.
                $s->state->value.
                ' '.
                $s->reason,
            $sessions,
        ),
    )->toBe(['Wed 3 Feb planned ', 'Wed 10 Feb planned ', 'Wed 17 Feb lost Carnival', 'Wed 24 Feb planned ']);
});

test('COUNT of a rule counts closed days, which are then taken out', function () {
    $rule = RecurrenceRule::parse('FREQ=WEEKLY;BYDAY=WE;COUNT=3', Zone::named('Europe/Madrid'));
    $sessions = Scenario::plan(
        Patterns::fromRule($rule, LocalDate::parse('2027-02-03')),
        '2027-02-03',
        SeriesEnd::afterCounted(3),
    )->sessions(Scenario::term());

    expect(Scenario::dates($sessions))
        ->toBe(['2027-02-03', '2027-02-10'])
        ->and(Scenario::dates($sessions, SessionState::Lost))
        ->toBe(['2027-02-17']);
});

test('every second week is counted from the week in which the series begins', function () {
    $sessions = Scenario::plan(
        new WeeklyPattern([1, 4], 2),
        '2027-01-14',
        SeriesEnd::onDate(LocalDate::parse('2027-02-12')),
    )->sessions(Scenario::term());

    expect(Scenario::dates($sessions))->toBe([
        '2027-01-14',
        '2027-01-25',
        '2027-01-28',
        '2027-02-08',
        '2027-02-11',
    ]);
});

test('a series longer than its term says how much does not fit', function () {
    expect(Scenario::plan([1], '2027-04-05', SeriesEnd::afterHeld(10))->outside(Scenario::term()))
        ->toBe(7)
        ->and(
            Scenario::plan([5], '2027-04-09', SeriesEnd::onDate(LocalDate::parse('2027-05-07')))->outside(
                Scenario::term(),
            ),
        )
        ->toBe(2)
        ->and(Scenario::plan([5], '2027-04-09')->outside(Scenario::term()))
        ->toBe(0);
});

test('plans that make no sense are refused', function (callable $make) {
    expect($make)->toThrow(Fault::class);
})->with([
    fn () => new WeeklyPattern([]),
    fn () => new WeeklyPattern([8]),
    fn () => new WeeklyPattern([1], 0),
    fn () => SeriesEnd::afterHeld(0),
    fn () => Scenario::plan([1], minutes: 0),
    fn () => Scenario::plan([1], minute: 1440),
    fn () => Scenario::plan([1], '2027-02-01', SeriesEnd::onDate(LocalDate::parse('2027-01-31'))),
    fn () => Patterns::from(['kind' => 'lunar']),
]);

test('what is stored is read back as the same pattern', function (array $plain) {
    expect(Patterns::from($plain)->toArray())->toBe($plain);
})->with([
    [['kind' => 'weekly', 'weekdays' => [1, 5], 'every' => 2]],
    [['kind' => 'open-days']],
    [['kind' => 'rule', 'rule' => 'FREQ=MONTHLY;BYDAY=1WE', 'anchor' => '2027-02-03']],
]);

test('over random terms, sessions are what a day-by-day reading finds', function () {
    mt_srand(4711);
    for ($round = 0; $round < Scenario::rounds(300); $round++) {
        $first = LocalDate::parse('2026-09-01')->plus(mt_rand(0, 300));
        $last = $first->plus(mt_rand(5, 140));
        $closures = $opened = [];
        for ($i = mt_rand(0, 4); $i > 0; $i--) {
            $from = $first->plus(mt_rand(-5, 140));
            $closures[] = new Closure($from, $from->plus(mt_rand(0, 9)), "Reason $i");
        }
        for ($i = mt_rand(0, 2); $i > 0; $i--) {
            $opened[] = $first->plus(mt_rand(0, 100));
        }
        $term = new Term('T', $first, $last, Zone::named('Europe/Madrid'), $closures, $opened);
        $from = $first->plus(mt_rand(-10, 30));
        $weekdays = array_values(array_unique(array_map(fn () => mt_rand(1, 7), range(1, mt_rand(1, 4)))));
        $every = mt_rand(1, 3);
        $openDays = mt_rand(0, 4) === 0;
        $end = [
            SeriesEnd::withTerm(),
            SeriesEnd::onDate($from->plus(mt_rand(0, 120))),
            SeriesEnd::afterHeld(mt_rand(1, 40)),
            SeriesEnd::afterCounted(mt_rand(1, 40)),
        ][mt_rand(0, 3)];
        $plan = new SeriesPlan(
            $openDays ? new OpenDaysPattern() : new WeeklyPattern($weekdays, $every),
            $from,
            $end,
            600,
            45,
            Zone::named('Europe/Madrid'),
        );
        $got = array_map(
            fn (PlannedSession $s): string => (new LocalDate($s->day))->iso().' '.$s->state->value,
            $plan->sessions($term),
        );

        // The oracle: one day after another, each question asked again.
        $want = [];
        $used = 0;
        $isClosed = function (string $iso) use ($closures, $opened): bool {
            foreach ($closures as $c) {
                if ($iso >= $c->first->iso() && $iso <= $c->last->iso()) {
                    return true;
                }
            }

            return date('N', strtotime($iso)) > 5 && ! in_array($iso, array_map(fn ($o) => $o->iso(), $opened), true);
        };
        $start = new DateTimeImmutable($from->iso());
        $startMonday = $start->modify('monday this week');
        for ($d = $start; $d->format('Y-m-d') <= $last->iso(); $d = $d->modify('+1 day')) {
            $iso = $d->format('Y-m-d');
            if ($end->date !== null && $iso > $end->date->iso()) {
                break;
            }
            $inTerm = $iso >= $first->iso();
            $weeks = intdiv((int) $startMonday->diff($d)->days, 7);
            $fits = $openDays
                ? $inTerm && ! $isClosed($iso)
                : in_array((int) $d->format('N'), $weekdays, true) && $weeks % $every === 0;
            if (! $fits) {
                continue;
            }
            if ($end->n !== null && $used >= $end->n) {
                break;
            }
            $closed = $isClosed($iso);
            if ($end->kind === 'counted' || ($inTerm && ! $closed)) {
                $used++;
            }
            // A weekend day that nobody opened loses no lesson of "every Saturday".
            $isWeekend = $d->format('N') > 5 && ! in_array($iso, array_map(fn ($o) => $o->iso(), $opened), true);
            if ($inTerm && ! $isWeekend) {
                $want[] = "$iso ".($closed ? 'lost' : 'planned');
            }
        }
        expect($got)->toBe($want, "round $round");
    }
});

test('other patterns that schools use', function (Pattern $pattern, array $held, string $sentence) {
    $sessions = Scenario::plan($pattern)->sessions(Scenario::term());

    expect(Scenario::dates($sessions))
        ->toBe($held)
        ->and(English::said($pattern->said()))
        ->toBe($sentence)
        ->and(Patterns::from($pattern->toArray())->toArray())
        ->toBe($pattern->toArray());
})->with([
    'every 20 days' => [
        Patterns::everyDays(20, LocalDate::parse('2027-01-11')),
        ['2027-01-11', '2027-03-12', '2027-04-21'],
        'Every 20 days',
    ],
    'the second Tuesday' => [
        Patterns::monthWeekday(2, 2, LocalDate::parse('2027-01-11')),
        ['2027-01-12', '2027-02-09', '2027-03-09', '2027-04-13'],
        'Every month, second Tue',
    ],
    'the last Friday' => [
        Patterns::monthWeekday(-1, 5, LocalDate::parse('2027-01-11')),
        ['2027-02-26'],
        'Every month, last Fri',
    ],
    'day 15' => [
        Patterns::monthDay(15, LocalDate::parse('2027-01-11')),
        ['2027-01-15', '2027-03-15', '2027-04-15'],
        'Every month, on day 15',
    ],
    'listed dates' => [
        DatesPattern::read("4 Mar, Thu 18\n16/2 2027-02-18", LocalDate::of(2027, 2, 9), LocalDate::of(2027, 3, 10)),
        ['2027-02-18', '2027-03-04'],
        '3 dates',
    ],
]);

test('why no session is held: words of people as they are, codes of ours in each language', function () {
    $said = fn (string $reason): array => [
        Said::because($reason) === null ? null : English::said(Said::because($reason)),
        Said::because($reason) === null ? null : Scenario::phrases('es')->this(Said::because($reason)),
    ];
    expect($said('Carnival'))
        ->toBe([null, null])
        ->and($said('=weekend'))
        ->toBe(['Weekend', 'Fin de semana'])
        ->and($said(Because::noPeriod('3', 'Short (Friday)')))
        ->toBe(['No period 3 (Short (Friday))', 'Sin la hora 3 (Short (Friday))'])
        // Text that looks like a code is kept as written.
        ->and($said('=storm'))
        ->toBe([null, null])
        ->and($said('=weekend|1|2'))
        ->toBe([null, null])
        ->and($said('a =weekend'))
        ->toBe([null, null])
        ->and($said("=weekend\n"))
        ->toBe([null, null]);
    foreach ([Because::OUTSIDE, Because::OVERLAPS, Because::NO_DATE, Because::NO_PLAN, Because::NOT_READ] as $code) {
        expect($said($code))->each->toBeString();
    }
});

test('a plan is read back in one sentence', function (Pattern $pattern, SeriesEnd $end, string $words) {
    expect(
        English::said(PlanSentence::of(Scenario::plan($pattern, '2027-01-12', $end, 675), Scenario::term())),
    )->toBe($words);
})->with([
    [
        new WeeklyPattern([2, 4], 2),
        SeriesEnd::onDate(LocalDate::parse('2027-04-22')),
        'Every second Tuesday and Thursday, 11:15 to 12:00, until Thu 22 Apr: 14 sessions, 2 lost to Easter break',
    ],
    [
        new WeeklyPattern([3]),
        SeriesEnd::afterHeld(5),
        'Every Wednesday, 11:15 to 12:00, for 5 sessions: 5 sessions',
    ],
    [
        new OpenDaysPattern(),
        SeriesEnd::withTerm(),
        'Every school day, 11:15 to 12:00, until the term ends: 60 sessions',
    ],
]);
