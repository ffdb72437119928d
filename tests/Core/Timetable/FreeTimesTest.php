<?php

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\FreeTime;
use Nomada\Core\Timetable\FreeTimes;
use Tests\Core\Scenario;
use Tests\Support\English;

/** @param  list<string>  $days  @return list<int> */
function dayNumbers(array $days): array
{
    return array_map(fn (string $d): int => LocalDate::parse($d)->day, $days);
}

/** @return array{int, int} */
function from(string $day, int $minute, int $minutes): array
{
    $at = Scenario::term()->zone->instant(LocalDate::parse($day)->day, $minute);

    return [$at, $at + $minutes * 60];
}

test('the nearest time at which everybody is free comes first', function () {
    $days = dayNumbers(['2027-02-18', '2027-02-25', '2027-03-04']);
    $students = $teachers = [];
    foreach ($days as $day) {
        $iso = (new LocalDate($day))->iso();
        $students[$day][] = [...from($iso, 600, 47), 19];
        $teachers[$day][] = from($iso, 690, 45);
    }
    $best = (new FreeTimes(Scenario::term(), $teachers, $students))->forSeries($days, 630, 45)[0];

    // Between the students' 10:47 and the teacher's 11:30 there is no room for 45 minutes; 09:15 to 10:00 is nearer
    // than 12:15.
    expect($best->clear)
        ->toBe(3)
        ->and($best->students)
        ->toBe(0)
        ->and($best->shift)
        ->toBe(0)
        ->and($best->start)
        ->toBe(555);
});

test('closed days and busy ones are told as what they cost', function () {
    $days = dayNumbers(['2027-02-18', '2027-02-25']);
    $monday = LocalDate::parse('2027-02-22')->day;
    $free = (new FreeTimes(Scenario::term(), [], [$monday => [[...from('2027-02-22', 480, 600), 3]]]))->forSeries(
        $days,
        600,
        45,
        400,
    );
    $onMonday = array_values(array_filter($free, fn (FreeTime $f): bool => $f->shift === -3));

    // Monday 15 February is Carnival.
    expect(English::said($onMonday[0]->cost()))
        ->toBe('the teacher is free for 1 of 2; 1 on closed days; on Mon 22 Feb 3 students are elsewhere')
        ->and(English::said($onMonday[0]->when()))
        ->toStartWith('Mon ');
});

test('hours that are none for students elsewhere count against a time', function () {
    $free = (new FreeTimes(Scenario::term(), [], [], ['Atlantic/Azores' => 4]))->forSeries(
        dayNumbers(['2027-02-18']),
        480,
        45,
        100,
    );

    expect($free[0]->uncomfortable)
        ->toBe(0)
        ->and(array_filter($free, fn (FreeTime $f): bool => $f->start < 540 && $f->uncomfortable !== 4))
        ->toBe([]);
});

test('a single session is made up on an open day, never on a closed one', function () {
    $lost = LocalDate::parse('2027-02-16')->day;
    $free = (new FreeTimes(Scenario::term(), [], []))->forOne($lost, $lost - 5, $lost + 5, 600, 47, 50);

    expect($free[0]->firstDay)->toBe(LocalDate::parse('2027-02-18')->day)->and($free[0]->start)->toBe(600);
    foreach ($free as $one) {
        expect(Scenario::term()->isOpen($one->firstDay))->toBeTrue();
    }
});

test('every cost is what counting by hand gives, and no better time is left out', function () {
    mt_srand(8);
    $term = Scenario::term();
    for ($round = 0; $round < Scenario::rounds(8); $round++) {
        $days = dayNumbers(['2027-03-02', '2027-03-09', '2027-03-16']);
        $teachers = $students = [];
        for ($d = LocalDate::parse('2027-03-01')->day; $d <= LocalDate::parse('2027-03-19')->day; $d++) {
            $iso = (new LocalDate($d))->iso();
            $teachers[$d] = array_map(
                fn () => from($iso, mt_rand(96, 200) * 5, mt_rand(4, 20) * 5),
                range(1, mt_rand(1, 3)),
            );
            $students[$d] = array_map(
                fn () => [...from($iso, mt_rand(96, 200) * 5, mt_rand(4, 20) * 5), mt_rand(1, 9)],
                range(1, mt_rand(1, 4)),
            );
        }
        $got = (new FreeTimes($term, $teachers, $students))->forSeries($days, 600, 45, 1)[0];
        $best = null;
        for ($shift = -1; $shift <= 3; $shift++) {
            for ($start = 480; $start + 45 <= 1080; $start += 5) {
                if ($shift === 0 && $start === 600) {
                    continue;
                }
                $hard = $soft = $advice = 0;
                foreach ($days as $day) {
                    [$a, $b] = from((new LocalDate($day + $shift))->iso(), $start, 45);
                    $meets = fn (int $pause): bool => array_filter(
                        $teachers[$day + $shift],
                        fn (array $t): bool => $t[0] < $b + $pause && $t[1] > $a - $pause,
                    ) !== [];
                    $hard += $meets(0) ? 1 : 0;
                    $advice += ! $meets(0) && $meets(300) ? 1 : 0;
                    [$opens, $closes] = $term->hoursOn($day + $shift);
                    $advice += $start < $opens || $start + 45 > $closes ? 1 : 0;
                    $soft += array_sum(
                        array_map(fn ($s) => $s[0] < $b && $s[1] > $a ? $s[2] : 0, $students[$day + $shift]),
                    );
                }
                $rank = [$hard, $soft, 0, $advice, abs($shift) * 1440 + abs($start - 600)];
                $best = $best === null || $rank < $best ? $rank : $best;
            }
        }
        expect($got->rank())->toBe($best);
    }
});
