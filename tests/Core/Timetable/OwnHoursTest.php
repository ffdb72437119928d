<?php

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\OwnHours;

/*
 * Casablanca has Madrid's time on 1 February 2027, and is an hour behind from 14 February on (Ramadan) until 14 March;
 * then again from 28 March, when Madrid goes to summer time.
 */

function mornings(string ...$dates): array
{
    $madrid = Zone::named('Europe/Madrid');

    return array_map(function (string $iso) use ($madrid): array {
        $day = LocalDate::parse($iso)->day;

        return [$day, $madrid->instant($day, 570), $madrid->instant($day, 615)];
    }, $dates);
}

test('what is outside their hours is told by the time on their own clock, over clock changes', function () {
    $sessions = mornings('2027-02-01', '2027-02-15', '2027-02-16', '2027-03-22', '2027-03-29');
    expect(OwnHours::outside($sessions, Zone::named('Africa/Casablanca'), [600, 1200]))->toBe([
        '08:30–09:15' => 3,
        '09:30–10:15' => 2,
    ]);
    expect(OwnHours::outside($sessions, Zone::named('Africa/Casablanca'), [570, 1200]))->toBe(['08:30–09:15' => 3]);
    // The bounds belong to the hours: from 09:30 to 10:15 is inside 09:30 to 10:15.
    expect(OwnHours::outside(mornings('2027-02-01'), Zone::named('Europe/Madrid'), [570, 615]))
        ->toBe([])
        ->and(OwnHours::outside(mornings('2027-02-01'), Zone::named('Europe/Madrid'), [575, 700]))
        ->toBe(['09:30–10:15' => 1])
        ->and(OwnHours::outside(mornings('2027-02-01'), Zone::named('Europe/Madrid'), [0, 614]))
        ->toBe(['09:30–10:15' => 1]);
});

test('what goes on past midnight is outside', function () {
    expect(OwnHours::outside(mornings('2027-02-01'), Zone::named('Pacific/Auckland'), [0, 1320]))->toBe([
        '21:30–22:15' => 1,
    ]);
    // Three hours later there: from half past midnight on.
    expect(OwnHours::outside(mornings('2027-02-01'), Zone::named('Pacific/Kiritimati'), [0, 1440]))->toBe([]);
    expect(OwnHours::outside(mornings('2027-02-01'), Zone::named('Asia/Tokyo'), [0, 1050]))->toBe([
        '17:30–18:15' => 1,
    ]);
});
