<?php

use Nomada\Core\Term\Closure;
use Nomada\Core\Term\DayPlan;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\DatesPattern;
use Nomada\Core\Timetable\Pattern;
use Nomada\Core\Timetable\PlanHistory;
use Nomada\Core\Timetable\RotationPattern;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\Shift;
use Nomada\Core\Timetable\WeeklyPattern;
use Tests\Core\Scenario;
use Tests\Support\English;

/** A term of three weeks from a Monday on, with one open Saturday and one open Sunday, and two periods a day. */
function openTerm(): Term
{
    return new Term(
        'Three weeks',
        LocalDate::parse('2027-02-01'),
        LocalDate::parse('2027-02-21'),
        Zone::named('Europe/Madrid'),
        [new Closure(LocalDate::parse('2027-02-10'), LocalDate::parse('2027-02-10'), 'Feast')],
        [LocalDate::parse('2027-02-13'), LocalDate::parse('2027-02-14')],
        DayPlan::read('Day', "1 9:00-9:45\n2 10:00-10:45\n3 11:00-11:45"),
    );
}

/** The plan of a pattern from 2 February on, moved by some days from Tuesday 9. */
function movedBy(Pattern $pattern, int $days, int $start = 540, ?string $period = null): SeriesPlan
{
    $from = LocalDate::parse('2027-02-02');
    $plan = new SeriesPlan(
        $pattern,
        $from,
        SeriesEnd::onDate(LocalDate::parse('2027-02-18')),
        600,
        45,
        Zone::named('Europe/Madrid'),
        $period,
    );
    $tuesday = LocalDate::parse('2027-02-09')->day;

    return (new Shift($tuesday, $tuesday + $days, $start, 45))->plan($plan, openTerm());
}

test('weekdays move as many days, within their week', function (array $weekdays, int $by, array $are) {
    $pattern = movedBy(new WeeklyPattern($weekdays, 2), $by)->pattern;
    expect($pattern)
        ->toBeInstanceOf(WeeklyPattern::class)
        ->and($pattern->weekdays)
        ->toBe($are)
        ->and($pattern->every)
        ->toBe(2);
})->with([[[2, 4], 1, [3, 5]], [[2, 4], -1, [1, 3]], [[2], 5, [7]], [[2, 7], -1, [1, 6]], [[2, 4], 0, [2, 4]]]);

test('a weekday that would leave its week, or fall on one without school, is no move', function (
    Pattern $pattern,
    int $by,
    string $words,
) {
    expect(fn () => movedBy($pattern, $by))->toFault($words, 'reach');
})->with([
    'before Monday' => [new WeeklyPattern([1, 2]), -1, 'The other sessions would move to another week.'],
    'after Sunday' => [new WeeklyPattern([2, 7]), 1, 'The other sessions would move to another week.'],
    'rotation days' => [new RotationPattern(false, ['A']), 1, 'This pattern has no weekdays to move.'],
]);

test('rotation weeks keep theirs, and their weekdays move', function () {
    $pattern = movedBy(new RotationPattern(true, ['B'], [2, 4]), 1)->pattern;
    expect($pattern)
        ->toBeInstanceOf(RotationPattern::class)
        ->and([$pattern->byWeek, $pattern->labels, $pattern->weekdays])
        ->toBe([true, ['B'], [3, 5]]);
});

test('first and last day move along, within their week; of listed dates as far as the dates', function (
    Pattern $pattern,
    int $by,
    string $first,
    string $last,
) {
    $plan = movedBy($pattern, $by);
    expect([$plan->from->iso(), $plan->end->date?->iso()])->toBe([$first, $last]);
})->with([
    'a day on' => [new WeeklyPattern([2]), 1, '2027-02-03', '2027-02-19'],
    'to the Monday, and not before' => [new WeeklyPattern([2]), -1, '2027-02-01', '2027-02-17'],
    'to the Sunday, and not after' => [new WeeklyPattern([2]), 5, '2027-02-07', '2027-02-21'],
    'listed' => [
        new DatesPattern([LocalDate::parse('2027-02-02')->day, LocalDate::parse('2027-02-18')->day]),
        9,
        '2027-02-11',
        '2027-02-27',
    ],
]);

test('tied to a period before, it is tied to the one that has the new time', function (
    ?string $before,
    int $start,
    ?string $is,
) {
    expect(movedBy(new WeeklyPattern([2]), 0, $start, $before)->period)->toBe($is);
})->with([['2', 540, '1'], ['2', 660, '3'], ['2', 545, null], [null, 540, null]]);

test('of several plans the one that holds is moved from the day on, and all that come later', function () {
    $plan = fn (array $weekdays, string $from): SeriesPlan => Scenario::plan($weekdays, $from);
    $series = new PlanHistory([$plan([1], '2027-01-11'), $plan([2], '2027-02-08'), $plan([3], '2027-03-08')]);
    $from = LocalDate::parse('2027-02-09')->day;
    $moved = (new Shift($from, $from + 1, 700, 45))->over($series, $from, Scenario::term());
    $show = fn (SeriesPlan $p): string => $p->from->iso().' '.English::said($p->said());
    expect(array_map($show, $moved->plans))->toBe([
        '2027-01-11 Mon 10:00–10:45',
        '2027-02-08 Tue 10:00–10:45',
        '2027-02-09 Wed 11:40–12:25',
        '2027-03-09 Thu 11:40–12:25',
    ]);
    // On the very day on which a plan begins, that one is moved.
    $begins = LocalDate::parse('2027-02-08')->day;
    $moved = (new Shift($begins + 1, $begins + 1, 700, 45))->over($series, $begins, Scenario::term());
    expect(array_map($show, $moved->plans))->toBe([
        '2027-01-11 Mon 10:00–10:45',
        '2027-02-08 Tue 11:40–12:25',
        '2027-03-08 Wed 11:40–12:25',
    ]);
});
