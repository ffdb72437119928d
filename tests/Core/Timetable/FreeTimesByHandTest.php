<?php

use Nomada\Core\Term\DayPlan;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\ShortDay;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\FreeTime;
use Nomada\Core\Timetable\FreeTimes;
use Tests\Core\Scenario;
use Tests\Support\English;

/** A span of a day in March on Madrid's clock, in minutes; with how many of the students where that is said. */
function spanOn(int $dayOfMarch, int $from, int $to, ?int $people = null): array
{
    $at = Scenario::term()->zone->instant(marchDay($dayOfMarch), 0);

    return [$at + 60 * $from, $at + 60 * $to, ...$people === null ? [] : [$people]];
}

function marchDay(int $n): int
{
    return LocalDate::of(2027, 3, $n)->day;
}

/** @return list<string> `shift start clear/sessions students` of each answer */
function answers(array $free): array
{
    return array_map(fn (FreeTime $f): string => "$f->shift $f->start $f->clear/$f->sessions $f->students", $free);
}

test('what given times cost is counted session by session', function () {
    [$tuesday, $thursday, $monday] = [marchDay(2), marchDay(4), marchDay(8)];
    $times = new FreeTimes(
        Scenario::term(),
        [$tuesday => [spanOn(2, 590, 601)], $thursday => [spanOn(4, 500, 600), spanOn(4, 645, 700)]],
        [
            $tuesday => [spanOn(2, 640, 650, 2), spanOn(2, 645, 650, 9)],
            $thursday => [spanOn(4, 600, 610, 4), spanOn(4, 630, 700, 1)],
            $monday => [spanOn(8, 555, 601, 5)],
        ],
        ['Pacific/Auckland' => 3],
        full: [$thursday => [spanOn(4, 590, 601)], $tuesday => [spanOn(2, 590, 601), spanOn(2, 600, 610)]],
    );
    $cost = $times->at([[$tuesday, 600, 45], [$thursday, 600, 45], [$monday, 600, 45]]);
    // On Tuesday the teacher is elsewhere for a minute; on Thursday nobody is, and the account is taken.
    expect([$cost->clear, $cost->sessions, $cost->noAccount, $cost->closed])
        ->toBe([1, 3, 1, 0])
        ->and([$cost->students, $cost->on, $cost->worst, $cost->worstDay])
        ->toBe([12, 3, 5, $thursday])
        ->and([$cost->firstDay, $cost->weekday, $cost->weekdays, $cost->start, $cost->minutes])
        ->toBe([$tuesday, 2, [1, 2, 4], 600, 45])
        ->and([$cost->uncomfortable, $cost->shift, $cost->distance, $cost->period])
        ->toBe([3, 0, 0, null])
        ->and($times->at([])?->clear)
        ->toBeNull()
        ->and(English::said($cost->cost()))
        ->toBe(
            'the teacher is free for 1 of 3; the host account is in use on 1 day; on 3 days up to 5 students are '
                .'elsewhere, most on Thu 4 Mar; early or late for 3 students; on 1 day less than 5 minutes between two '
                .'sessions of the teacher',
        );
    $once = $times->at([[$monday, 601, 45]]);
    expect([$once->clear, $once->students, $once->on, $once->worst])->toBe([1, 0, 0, 0]);
});

test('a cost in words', function (array $with, string $words) {
    $of = new FreeTime(
        ...[
            'shift' => 0,
            'start' => 600,
            'minutes' => 45,
            'sessions' => 1,
            'clear' => 1,
            'closed' => 0,
            'students' => 0,
            'worstDay' => marchDay(4),
            'worst' => 0,
            'uncomfortable' => 0,
            'distance' => 0,
            'weekday' => 4,
            'firstDay' => marchDay(4),
            ...$with,
        ],
    );
    expect(English::said($of->cost()))->toBe($words);
})->with([
    [[], 'everybody is free'],
    [['clear' => 0], 'the teacher is elsewhere'],
    [['clear' => 0, 'noAccount' => 1], 'the host account is in use'],
    [['students' => 1, 'on' => 1, 'worst' => 1], 'the teacher is free; on Thu 4 Mar 1 student is elsewhere'],
    [
        ['sessions' => 30, 'clear' => 30, 'students' => 60, 'on' => 30, 'worst' => 2],
        'the teacher is free for 30 of 30; on 30 days 2 students each are elsewhere',
    ],
    [
        ['sessions' => 2, 'clear' => 2, 'students' => 2, 'on' => 2, 'worst' => 1],
        'the teacher is free for 2 of 2; on 2 days 1 student each is elsewhere',
    ],
]);

test('a series moves within its week, each of its days as far', function (array $days, bool $may, array $shifts) {
    $free = (new FreeTimes(Scenario::term(), [], []))->forSeries(array_map(marchDay(...), $days), 600, 45, 400, $may);
    $found = array_values(array_unique(array_map(fn (FreeTime $f): int => $f->shift, $free)));
    sort($found);
    expect($found)->toBe($shifts);
})->with([
    'a Tuesday' => [[2], true, [-1, 0, 1, 2, 3]],
    'Tuesday and Thursday' => [[2, 4, 9, 11], true, [-1, 0, 1]],
    'Thursday before Tuesday' => [[4, 9], true, [-1, 0, 1]],
    'Monday to Friday' => [[1, 2, 3, 4, 5], true, [0]],
    'dates that cannot be moved' => [[2, 4], false, [0]],
    'none' => [[], true, []],
]);

test('of neighbours the best stands for all, and no day fills the list alone', function () {
    $times = new FreeTimes(Scenario::term(), [], []);
    $one = answers($times->forSeries([marchDay(2)], 600, 45, 4, false));
    // Half an hour apart, the nearest first, before and after alike.
    expect($one)->toBe(['0 595 1/1 0', '0 625 1/1 0', '0 565 1/1 0', '0 655 1/1 0']);
    // Of several days a third each, two at least.
    $several = $times->forSeries([marchDay(2)], 600, 45, 9);
    $per = array_count_values(array_map(fn (FreeTime $f): string => "d$f->shift", $several));
    expect($per)->toBe(['d0' => 3, 'd-1' => 3, 'd1' => 3]);
    $few = $times->forSeries([marchDay(2)], 600, 45, 3);
    expect(array_count_values(array_map(fn (FreeTime $f): string => "d$f->shift", $few)))
        ->toBe(['d0' => 2, 'd-1' => 1]);
    $seven = $times->forSeries([marchDay(2)], 600, 45, 7);
    expect(array_count_values(array_map(fn (FreeTime $f): string => "d$f->shift", $seven)))
        ->toBe(['d0' => 3, 'd-1' => 3, 'd1' => 1]);
    expect($times->forSeries([marchDay(2)], 600, 45))->toHaveCount(12);
});

test('a session is made up within the span, the term and the school day', function () {
    $term = Scenario::term();
    $times = new FreeTimes($term, [], []);
    $days = fn (array $free): array => array_values(
        array_unique(array_map(fn (FreeTime $f): string => (new LocalDate($f->firstDay))->iso(), $free)),
    );
    $last = $term->last->day;
    $found = $days($times->forOne($last, $last - 1, $last + 5, 600, 45, 400));
    sort($found);
    expect($found)->toBe(['2027-04-22', '2027-04-23']);
    $first = $term->first->day;
    expect($days($times->forOne($first, $first - 5, $first, 600, 45, 400)))->toBe(['2027-01-11']);
    // From eight to six, every five minutes; the time that it has is no answer.
    $starts = array_map(fn (FreeTime $f): int => $f->start, $times->forOne($first, $first, $first, 600, 540, 400));
    sort($starts);
    expect($starts)->toBe([480, 510, 540]);
    expect($times->forOne($first, $first, $first, 600, 45))->toHaveCount(12);
});

test('on periods, the periods of the day plan; a short day may lack one', function () {
    $plan = DayPlan::read('Day', "1 9:00-9:45\n2 10:00-10:50\n3 11:00-11:45");
    $short = DayPlan::read('Short', "1 9:00-9:30\n2 9:40-10:10");
    $term = new Term(
        'March',
        LocalDate::parse('2027-03-01'),
        LocalDate::parse('2027-03-31'),
        Zone::named('Europe/Madrid'),
        [],
        [],
        $plan,
        [new ShortDay(LocalDate::parse('2027-03-09'), $short, 'Market')],
    );
    $free = (new FreeTimes($term, [marchDay(9) => [spanOn(9, 575, 579)]], []))->forSeries(
        [marchDay(2), marchDay(9)],
        600,
        50,
        99,
        false,
        true,
    );
    expect(array_map(fn (FreeTime $f): string => "$f->period $f->minutes $f->clear $f->closed", $free))->toBe([
        // Period 1 is over at 9:30 on the short day; period 3 is none of it.
        '1 45 2 0',
        '3 45 1 1',
    ]);
    expect(English::said($free[0]->when()))->toBe('Tue period 1, 09:00–09:45');
    // Without periods asked for, the grid.
    expect((new FreeTimes($term, [], []))->forSeries([marchDay(2)], 600, 45, 1, false)[0]->period)->toBeNull();
});

test('hours that suit students elsewhere, to the minute', function (int $start, int $people) {
    $times = new FreeTimes(Scenario::term(), [], [], ['Atlantic/Canary' => 2, 'Europe/Athens' => 5]);
    expect($times->at([[marchDay(2), $start, 45]])->uncomfortable)->toBe($people);
})->with([
    'before seven in Canary' => [479, 2],
    'seven in Canary' => [480, 0],
    'before seven in both' => [359, 7],
    'seven in Athens' => [360, 2],
    'half past eight in Athens' => [1170, 0],
    'a minute later' => [1171, 5],
    'past midnight in Athens' => [1400, 7],
]);

test('whoever is out of hours before and after a change of clocks counts once', function () {
    // New York changes on 14 March, Madrid on 28: six hours behind, then five.
    $times = new FreeTimes(Scenario::term(), [], [], ['America/New_York' => 4]);
    $early = array_filter(
        $times->forSeries([marchDay(2), marchDay(9), marchDay(16)], 600, 45, 999, false),
        fn (FreeTime $f): bool => $f->start < 720,
    );
    expect($times->at([[marchDay(9), 750, 45]])->uncomfortable)
        ->toBe(4)
        ->and($times->at([[marchDay(16), 750, 45]])->uncomfortable)
        ->toBe(0)
        ->and($times->at([[marchDay(9), 700, 45], [marchDay(16), 700, 45]])->uncomfortable)
        ->toBe(4)
        ->and(array_unique(array_map(fn (FreeTime $f): int => $f->uncomfortable, array_values($early))))
        ->toBe([4]);
});
