<?php

use Nomada\Core\Fault;
use Nomada\Core\Presence\AbsenceStreak;
use Nomada\Core\Presence\Attendance;
use Nomada\Core\Presence\AttendanceRules;
use Nomada\Core\Presence\Correction;
use Nomada\Core\Presence\Formula;
use Nomada\Core\Presence\Intervals;
use Nomada\Core\Presence\Measure;
use Nomada\Core\Presence\OccupancyCurve;
use Nomada\Core\Presence\PresenceEvent;
use Nomada\Core\Presence\ScorePart;
use Nomada\Core\Presence\Status;
use Tests\Core\Scenario;

/**
 * Minutes from ten o'clock on, as "+0 -12 +14@phone": + came, - left.
 *
 * @return list<PresenceEvent>
 */
function told(string $words): array
{
    $out = [];
    foreach (array_filter(explode(' ', $words)) as $word) {
        preg_match('/^([+-])(-?[\d.]+)(?:@(\w+))?$/', $word, $m);
        $out[] = new PresenceEvent((int) round(60 * (float) $m[2]), $m[1] === '+', $m[3] ?? '');
    }

    return $out;
}

test('when somebody was inside', function (string $told, array $minutes) {
    $inside = array_map(fn (array $i): array => [$i[0] / 60, $i[1] / 60], Intervals::of(told($told), 0, 47 * 60));
    expect($inside)->toEqual($minutes);
})->with([
    'from coming to leaving' => ['+2 -40', [[2, 40]]],
    'in any order' => ['-40 +2 -12 +14', [[2, 12], [14, 40]]],
    'doubled' => ['+2 +2 +3 -40 -40 -41', [[2, 40]]],
    'a leave that is missing' => ['+2', [[2, 47]]],
    'a join that is missing' => ['-12', [[0, 12]]],
    'the last leave is missing' => ['+2 -12 +14', [[2, 12], [14, 47]]],
    'before the start and beyond the end' => ['+-8 -60', [[0, 47]]],
    'gone before the start' => ['+-8 --1', []],
    'come after the end' => ['+50', []],
    'a moment is nothing' => ['+5 -5', []],
    'back in the same second' => ['+2 -9 +9 -20', [[2, 20]]],
    'gone and back in the first second that is known' => ['-0 +0 -15', [[0, 15]]],
    'two devices' => ['+2@a -20@a +10@b -30@b', [[2, 30]]],
    'two devices, one after the other' => ['+2@a -20@a +25@b -30@b', [[2, 20], [25, 30]]],
    'touching devices are one time' => ['+2@a -20@a +20@b -30@b', [[2, 30]]],
    'a device that never left' => ['+2@a +10@b -30@b', [[2, 47]]],
    'a leave of no device closes all' => ['+2@a +10@b -30', [[2, 30]]],
    'a leave of no device closes what began before it' => ['+10@a +2@a -5', [[2, 5], [10, 47]]],
    'a leave of no device in the second of a first join' => ['+5@a -5', [[0, 47]]],
    'a leave of no device in the second of a later join' => ['+2@a +20@a -20', [[2, 47]]],
    'a leave of no device after a join of none and a second device' => ['+0 +10@b -20@b -30', [[0, 30]]],
    'a leave of no device before any join' => ['-1 +2@a -30@a', [[0, 1], [2, 30]]],
    'nothing' => ['', []],
]);

test('who waited before the start, of what was told only', function (string $told, array $minutes) {
    $early = array_map(fn (array $i): array => [$i[0] / 60, $i[1] / 60], Intervals::early(told($told), -15 * 60, 0));
    expect($early)->toEqual($minutes);
})->with([
    'until the start' => ['+-8 -40', [[-8, 0]]],
    'gone and back' => ['+-8 --6 +-2 -40', [[-8, -6], [-2, 0]]],
    'longer than is looked at' => ['+-40', [[-15, 0]]],
    'came with the start' => ['+0 -40', []],
    'a lost join was not early' => ['--3 +1', []],
    'a lost join, and then one told' => ['--9 +-3', [[-3, 0]]],
    'in any order' => ['--6 +-8', [[-8, -6]]],
    'came and gone in one second' => ['+-3 --3', []],
    'gone and come in one second' => ['--3 +-3', []],
    'nothing' => ['', []],
]);

test('attendance of a session', function (
    string $told,
    string $status,
    int $minutes,
    int $late,
    int $left,
    int $away,
) {
    $a = Attendance::of(told($told), 0, 47 * 60);
    expect([$a->status()->value, $a->minutes(), $a->late, $a->left, count($a->away)])->toBe([
        $status,
        $minutes,
        $late,
        $left,
        $away,
    ]);
})->with([
    ['+-1 -47', 'present', 47, 0, 0, 0],
    ['+5 -47', 'present', 42, 5, 0, 0],
    ['+5.02 -47', 'late', 41, 5, 0, 0],
    ['+8 -47', 'late', 39, 8, 0, 0],
    ['+2 -22', 'partial', 20, 2, 25, 0],
    ['+8 -22', 'partial', 14, 8, 25, 0],
    ['+0 -9 +14 -26 +29 -47', 'present', 39, 0, 0, 2],
    ['+0 -9 +9.9 -47', 'present', 46, 0, 0, 0],
    ['+0 -9 +10 -47', 'present', 46, 0, 0, 1],
    ['+0 -35.25', 'present', 35, 0, 11, 0],
    ['+0 -35.24', 'partial', 35, 0, 11, 0],
    ['+0 -4.7', 'partial', 4, 0, 42, 0],
    ['+0 -4.69', 'absent', 4, 0, 42, 0],
    ['', 'absent', 0, 0, 0, 0],
]);

test('first in and last out are of the session', function () {
    $a = Attendance::of(told('+-3 -9 +14 -60'), 0, 47 * 60);
    expect([$a->firstIn, $a->lastOut, $a->away])->toBe([0, 47 * 60, [[9 * 60, 14 * 60]]]);
    // The same an hour later: all is counted from the start.
    $later = Attendance::of(told('+68.5 -99'), 3600, 3600 + 47 * 60);
    expect([$later->minutes(), $later->late, $later->left])->toBe([30, 8, 8]);
});

test('a school sets its own thresholds', function () {
    $rules = new AttendanceRules(0, 50, 25);
    $of = fn (string $told): string => Attendance::of(told($told), 0, 6000, $rules)->status()->value;
    expect([$of('+0 -50'), $of('+0.02'), $of('+0 -49'), $of('+0 -24')])
        ->toBe(['present', 'late', 'partial', 'absent'])
        ->and(AttendanceRules::from($rules->toArray()))
        ->toEqual($rules)
        ->and(AttendanceRules::from([]))
        ->toEqual(new AttendanceRules(5, 75, 10))
        ->and(AttendanceRules::from(['late_after' => '7', 'present_from' => '60', 'absent_under' => '20']))
        ->toEqual(new AttendanceRules(7, 60, 20));
    foreach ([[-1, 75, 10], [61, 75, 10], [5, 0, 0], [5, 101, 10], [5, 75, -1], [5, 75, 76]] as $wrong) {
        expect(fn () => new AttendanceRules(...$wrong))->toThrow(Fault::class);
    }
    foreach ([[0, 75, 10], [60, 75, 10], [5, 1, 0], [5, 100, 10], [5, 75, 75]] as $right) {
        expect(new AttendanceRules(...$right))->toBeInstanceOf(AttendanceRules::class);
    }
});

test('a correction stands beside what was computed, and an excuse is for the absent', function () {
    $absent = Attendance::of([], 0, 2820);
    $late = Attendance::of(told('+8'), 0, 2820);
    $says = new Correction(Status::Present, 47, 'sat beside her sister', 'N. Haddad');
    expect($absent->with(null, true)->status())
        ->toBe(Status::Excused)
        ->and($late->with(null, true)->status())
        ->toBe(Status::Late)
        ->and($absent->with($says, true)->status())
        ->toBe(Status::Present)
        ->and($absent->with($says, true)->minutes())
        ->toBe(47)
        ->and($absent->with($says, true)->computed)
        ->toBe(Status::Absent)
        ->and($late->with(new Correction(Status::Present, null, 'told before'), false)->minutes())
        ->toBe(39);
    expect(fn () => new Correction(Status::Present, null, ' '))->toFault('Enter a reason.');
    expect(fn () => new Correction(Status::Present, -1, 'x'))->toThrow(Fault::class);
    expect(fn () => new Correction(Status::Present, 1441, 'x'))->toThrow(Fault::class);
    expect((new Correction(Status::Absent, 1440, 'x'))->minutes)->toBe(1440);
    expect([(new Correction(Status::Absent, 0, 'x'))->minutes, (new Correction(Status::Absent, 0, 'x'))->by])
        ->toBe([0, '']);
});

// The oracle looks at each second on its own.
test('intervals and minutes are what an oracle counts second by second', function () {
    mt_srand(7302);
    for ($n = 0; $n < Scenario::rounds(400); $n++) {
        $told = [];
        foreach (['a', 'b', 'c'] as $device) {
            for ($i = mt_rand(0, 6); $i > 0; $i--) {
                $told[] = new PresenceEvent(mt_rand(-30, 130), mt_rand(0, 1) === 1, $device);
            }
        }
        shuffle($told);
        $inside = array_fill(0, 100, false);
        foreach (['a', 'b', 'c'] as $device) {
            $own = array_filter($told, fn (PresenceEvent $c): bool => $c->device === $device);
            $isIn = null;
            for ($second = -30; $second <= 130; $second++) {
                $kinds = [];
                foreach ($own as $one) {
                    if ($one->at === $second) {
                        $kinds[(int) $one->isJoin] = true;
                    }
                }
                if (count($kinds) === 1) {
                    if ($isIn === null && isset($kinds[0])) {
                        for ($before = 0; $before < min($second, 100); $before++) {
                            $inside[$before] = true;
                        }
                    }
                    $isIn = isset($kinds[1]);
                }
                if ($isIn === true && $second >= 0 && $second < 100) {
                    $inside[$second] = true;
                }
            }
        }
        $found = Intervals::of($told, 0, 100);
        $again = array_fill(0, 100, false);
        $last = -1;
        foreach ($found as [$since, $until]) {
            expect($since)->toBeGreaterThan($last)->and($until)->toBeGreaterThan($since);
            for ($second = $since; $second < $until; $second++) {
                $again[$second] = true;
            }
            $last = $until;
        }
        expect($again)->toBe($inside, "the $n th");
        expect(Attendance::of($told, 0, 100)->seconds)->toBe(count(array_filter($inside)));
    }
});

test('the curve says how many were inside, and when most were', function () {
    $curve = OccupancyCurve::of([[[0, 60], [120, 180]], [[30, 120]], []]);
    expect($curve->steps)
        ->toBe([[0, 1], [30, 2], [60, 1], [180, 0]])
        ->and([$curve->most, $curve->mostAt])
        ->toBe([2, 30]);
    $twice = OccupancyCurve::of([[[0, 60], [120, 180]], [[0, 30], [120, 180]]]);
    expect([$twice->steps[0], $twice->most, $twice->mostAt])->toBe([[0, 2], 2, 0]);
    expect(OccupancyCurve::of([])->steps)->toBe([])->and(OccupancyCurve::of([])->mostAt)->toBeNull();
});

test('absences running are the last ones, and excused days are passed over', function () {
    $of = fn (string $days): int => AbsenceStreak::absences(
        array_map(
            fn (string $d): Status => ['p' => Status::Present, 'a' => Status::Absent, 'e' => Status::Excused][$d],
            $days === '' ? [] : str_split($days),
        ),
    );
    expect([$of(''), $of('ppa'), $of('paaa'), $of('aaap'), $of('aaeae'), $of('paeaa')])->toBe([0, 1, 3, 0, 3, 3]);
});

test('a participation score is a weighted mean of parts that are full at their caps', function () {
    $formula = new Formula(10, [
        new ScorePart(Measure::Present, 3, 80),
        new ScorePart(Measure::Punctual, 1, 100),
        new ScorePart(Measure::Hands, 1, 4),
    ]);
    expect($formula->score(['present' => 80.0, 'punctual' => 50.0, 'hands' => 1.0]))
        ->toBe(['present' => 6.0, 'punctual' => 1.0, 'hands' => 0.5, 'sum' => 7.5])
        ->and($formula->score(['present' => 100.0, 'punctual' => 100.0, 'hands' => 9.0])['sum'])
        ->toBe(10.0)
        ->and($formula->score([])['sum'])
        ->toBe(0.0)
        ->and(Formula::from($formula->toArray()))
        ->toEqual($formula)
        ->and(Formula::usual()->toArray())
        ->toBe(['maximum' => 10, 'parts' => ['present' => [3, 100], 'punctual' => [1, 100]]])
        ->and($formula->score(['present' => -5.0, 'hands' => 0.5]))
        ->toBe(['present' => 0.0, 'punctual' => 0.0, 'hands' => 0.3, 'sum' => 0.3]);
});

test('a formula as it is kept, and as it may have been kept', function (array $kept, array $is) {
    expect(Formula::from($kept)->toArray())->toBe($is);
})->with([
    'in words of numbers' => [
        ['maximum' => '20', 'parts' => ['hands' => ['2', '5'], 'lines' => ['0', '5'], 'answers' => 'x']],
        ['maximum' => 20, 'parts' => ['hands' => [2, 5]]],
    ],
    'without a maximum' => [['parts' => ['lines' => [1, 1]]], ['maximum' => 10, 'parts' => ['lines' => [1, 1]]]],
]);

test('the last formula that makes sense', function (int $maximum, Measure $measure, int $weight, int $cap) {
    expect((new Formula($maximum, [new ScorePart($measure, $weight, $cap)]))->toArray())->toBe([
        'maximum' => $maximum,
        'parts' => [$measure->value => [$weight, $cap]],
    ]);
})->with([
    [1, Measure::Hands, 1, 1],
    [1000, Measure::Hands, 100, 1000],
    [10, Measure::Punctual, 100, 100],
]);

test('what a part without sense is told', function (Measure $measure, int $weight, int $cap, string $words) {
    expect(fn () => new ScorePart($measure, $weight, $cap))->toFault($words, $measure->value);
})->with([
    [Measure::Present, 1, 101, 'Enter 1 to 100 per cent.'],
    [Measure::Lines, 1, 1001, 'Enter 1 to 1000.'],
    [Measure::Lines, 0, 1, 'Enter a weight from 1 to 100, or leave it empty to ignore the part.'],
]);

test('a formula without sense is refused', function (callable $make) {
    expect($make)->toThrow(Fault::class);
})->with([
    [fn () => new Formula(0, [new ScorePart(Measure::Hands, 1, 1)])],
    [fn () => new Formula(1001, [new ScorePart(Measure::Hands, 1, 1)])],
    [fn () => new Formula(10, [])],
    [fn () => new ScorePart(Measure::Hands, 0, 1)],
    [fn () => new ScorePart(Measure::Hands, 101, 1)],
    [fn () => new ScorePart(Measure::Hands, 1, 0)],
    [fn () => new ScorePart(Measure::Hands, 1, 1001)],
    [fn () => new ScorePart(Measure::Present, 1, 101)],
    [fn () => Formula::from(['maximum' => 5, 'parts' => ['present' => [0, 10]]])],
    [fn () => Formula::from(['maximum' => 5, 'parts' => ['present' => [5]]])],
    [fn () => Formula::from(['maximum' => 5, 'parts' => ['present' => []]])],
]);
