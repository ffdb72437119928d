<?php

use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\DatesPattern;
use Nomada\Core\Timetable\OpenDaysPattern;
use Nomada\Core\Timetable\Pattern;
use Nomada\Core\Timetable\PlanHistory;
use Nomada\Core\Timetable\RecurrenceRule;
use Nomada\Core\Timetable\RotationPattern;
use Nomada\Core\Timetable\RulePattern;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\WeeklyPattern;
use Tests\Core\Scenario;
use Tests\Support\English;

function ruleOf(string $text): RulePattern
{
    return new RulePattern(RecurrenceRule::parse($text, Scenario::term()->zone), LocalDate::parse('2027-01-12'));
}

test('a pattern is said in Spanish, and in English alike wherever it is read', function (
    Pattern $pattern,
    string $spanish,
) {
    expect(Scenario::phrases('es')->this($pattern->said()))
        ->toBe($spanish)
        ->and(Scenario::phrases('en')->this($pattern->said()))
        ->toBe(English::said($pattern->said()))
        // What is kept of it says the same.
        ->and(Said::from((array) json_decode((string) json_encode($pattern->said()->toArray()), true)))
        ->toEqual($pattern->said());
})->with([
    [fn () => new WeeklyPattern([2, 4]), 'mar jue'],
    [fn () => new WeeklyPattern([1, 2, 3, 4, 5]), 'De lunes a viernes'],
    [fn () => new WeeklyPattern([1, 2, 3, 4, 5], 2), 'Cada dos semanas, de lunes a viernes'],
    [fn () => new WeeklyPattern([7], 3), 'Cada tres semanas, dom'],
    [fn () => new WeeklyPattern([1], 9), 'Cada 9 semanas, lun'],
    [fn () => new WeeklyPattern([1], 12), 'Cada 12 semanas, lun'],
    [fn () => new WeeklyPattern([1], 21), 'Cada 21 semanas, lun'],
    [fn () => new WeeklyPattern([1], 22), 'Cada 22 semanas, lun'],
    [fn () => new WeeklyPattern([1], 23), 'Cada 23 semanas, lun'],
    [fn () => new WeeklyPattern([1], 26), 'Cada 26 semanas, lun'],
    [fn () => new RotationPattern(true, ['A', 'B'], [2, 4]), 'Semana A B, mar jue'],
    [fn () => new RotationPattern(false, ['C']), 'Día C'],
    [fn () => new OpenDaysPattern(), 'Todos los días lectivos'],
    [fn () => new DatesPattern([LocalDate::parse('2027-01-14')->day]), 'jue 14 ene'],
    [
        fn () => new DatesPattern(
            array_map(fn (string $d): int => LocalDate::parse($d)->day, ['2027-01-14', '2027-02-02']),
        ),
        '2 fechas',
    ],
    [fn () => ruleOf('FREQ=MONTHLY;BYDAY=1MO'), 'Cada mes, primer lun'],
    [fn () => ruleOf('FREQ=MONTHLY;INTERVAL=2;BYDAY=-1FR'), 'Cada 2 meses, último vie'],
    [fn () => ruleOf('FREQ=MONTHLY;BYDAY=MO,WE;BYSETPOS=2,-1'), 'Cada mes, segundo y último de lun, mié'],
    [fn () => ruleOf('FREQ=MONTHLY;BYMONTHDAY=3,17;BYMONTH=2,3'), 'Cada mes, el día 3, 17, meses 2 3'],
    [fn () => ruleOf('FREQ=DAILY;INTERVAL=3'), 'Cada 3 días'],
    [fn () => ruleOf('FREQ=MONTHLY;BYMONTHDAY=13,14;BYSETPOS=1'), 'Cada mes, primer de el día 13, 14'],
    [fn () => ruleOf('FREQ=MONTHLY;BYDAY=-3MO'), 'Cada mes, número -3 lun'],
    [fn () => ruleOf('FREQ=MONTHLY;BYDAY=MO,TU,WE;BYSETPOS=7'), 'Cada mes, número 7 de lun, mar, mié'],
]);

test('plans are said one after the other, with their period and from when', function () {
    $plans = new PlanHistory([
        Scenario::plan([2, 4]),
        new SeriesPlan(
            new WeeklyPattern([3]),
            LocalDate::parse('2027-02-23'),
            Scenario::plan([3])->end,
            675,
            45,
            Scenario::term()->zone,
            '4',
        ),
    ]);
    $said = fn (string $language): string => Scenario::phrases($language)->this($plans->said());
    expect($said('en'))
        ->toBe('Tue Thu 10:00–10:45, from Tue 23 Feb: Wed period 4, 11:15–12:00')
        ->toBe(English::said($plans->said()))
        ->and($said('es'))
        ->toBe('mar jue 10:00–10:45, desde el mar 23 feb: mié hora 4, 11:15–12:00');
});
