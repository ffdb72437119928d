<?php

use Nomada\Core\Term\Closure;
use Nomada\Core\Term\DayPlan;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Rotation;
use Nomada\Core\Term\ShortDay;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;

/** @param  list<string>  $opened */
function shortTerm(array $opened = [], ?DayPlan $plan = null): Term
{
    return new Term(
        'Two weeks',
        LocalDate::parse('2027-03-15'),
        LocalDate::parse('2027-03-28'),
        Zone::named('Europe/Madrid'),
        [new Closure(LocalDate::parse('2027-03-19'), LocalDate::parse('2027-03-22'), 'Feast')],
        opened: array_map(LocalDate::parse(...), $opened),
        shortDays: $plan === null ? [] : [new ShortDay(LocalDate::parse('2027-03-17'), $plan, 'Trip')],
    );
}

test('a term begins and ends at midnights of its own clock, which changes within it', function () {
    $zone = Zone::named('Europe/Madrid');
    expect($zone->iso(shortTerm()->starts()))
        ->toBe('2027-03-15T00:00:00+01:00')
        ->and($zone->iso(shortTerm()->ends()))
        ->toBe('2027-03-29T00:00:00+02:00')
        ->and(shortTerm()->closures[0]->days())
        ->toBe(4)
        ->and((string) $zone->dateAt(shortTerm()->ends() - 1)->iso())
        ->toBe('2027-03-28')
        ->and([$zone->clock(shortTerm()->starts() + 59 * 60), $zone->clock(shortTerm()->starts() + 23 * 3600)])
        ->toBe(['00:59', '23:00'])
        ->and(array_map(fn (array $z): string => Zone::named($z[0])->place($z[1]), [
            ['America/New_York', 'en'],
            ['America/New_York', 'es'],
            ['Atlantic/Canary', 'es'],
            ['UTC', 'es'],
        ]))
        ->toBe(['New York', 'Nueva York', 'Canarias', 'UTC']);
});

test('a term\'s weekdays are the usual ones, and those of days that are opened', function (
    array $opened,
    array $is,
) {
    expect(shortTerm($opened)->weekdays())->toBe($is);
})->with([[[], [1, 2, 3, 4, 5]], [['2027-03-20'], [1, 2, 3, 4, 5, 6]], [['2027-03-28'], [1, 2, 3, 4, 5, 7]]]);

test('a short day goes by its plan where it is open, and only then', function () {
    $plan = DayPlan::read(' Short ', " 1  9:00-9:30 \n\n  2 9:40-10:10");
    $term = shortTerm(plan: $plan);
    $day = LocalDate::parse('2027-03-17')->day;
    expect($term->shortDay($day)?->reason)
        ->toBe('Trip')
        ->and($term->planOn($day))
        ->toBe($plan)
        ->and($term->shortDay($day + 1))
        ->toBeNull()
        ->and($term->planOn($day + 1))
        ->toBeNull()
        ->and([$plan->name, $plan->periods[0]->name, $plan->periods[1]->start])
        ->toBe(['Short', '1', 580])
        ->and(DayPlan::from('x', [['name' => 5, 'start' => '540', 'end' => '570']])->periods[0]->end)
        ->toBe(570);
});

test('a rotation as it is kept, and as it may have been kept', function () {
    $kept = ['by_week' => true, 'n' => 3, 'lettered' => false, 'pins' => ['2027-03-16' => 2, '2027-03-24' => 1]];
    expect(Rotation::from($kept)->toArray())
        ->toBe($kept)
        ->and(
            Rotation::from([
                'by_week' => 1,
                'n' => '2',
                'lettered' => '',
                'pins' => ['2027-03-24' => '1'],
            ])->toArray(),
        )
        ->toBe(['by_week' => true, 'n' => 2, 'lettered' => false, 'pins' => ['2027-03-24' => 1]])
        ->and(Rotation::from(['n' => 4])->toArray())
        ->toBe(['by_week' => false, 'n' => 4, 'lettered' => true, 'pins' => []])
        ->and(Rotation::from(['n' => 4, 'pins' => null])->toArray()['pins'])
        ->toBe([])
        ->and(array_keys((new Rotation(false, 2, true, [20_900 => 1, 20_800 => 2]))->toArray()['pins']))
        ->toBe([(new LocalDate(20_800))->iso(), (new LocalDate(20_900))->iso()])
        ->and(fn () => Rotation::from([]))
        ->toFault('A rotation has 2 to 12 days.');
});
