<?php

use Nomada\Core\Joining\OpeningHours;
use Nomada\Core\Term\LocalDate;
use Tests\Core\Scenario;

test('hours are read in Spanish, too', function (string $typed) {
    expect(OpeningHours::read($typed)->spans)->toBe([[2, 900, 960], [3, 540, 600], [6, 600, 660]]);
})->with(['mar 15:00-16:00, mié 9-10, sáb 10-11', 'Martes 15 a 16; miércoles 9 a 10; sabado 10 a 11']);

test('open hours are said in the language of whoever reads them', function () {
    $hours = OpeningHours::read('Tue 15:00-16:00, Thu 9-10');
    expect($hours->words(Scenario::phrases('es')))->toBe('mar 15:00–16:00, jue 09:00–10:00');
    expect($hours->words(Scenario::phrases('en')))->toBe($hours->words());
});

test('open hours read as people type them', function (string $typed, string $words) {
    expect(OpeningHours::read($typed)->words())->toBe($words);
})->with([
    ['Tue 15:00-16:00, Thursday 9 to 10', 'Tue 15:00–16:00, Thu 09:00–10:00'],
    ["thu 1630 – 17.15\nmon 9:05-9:50;", 'Mon 09:05–09:50, Thu 16:30–17:15'],
    ['Wed 9-10, Wed 10-11', 'Wed 09:00–10:00, Wed 10:00–11:00'],
    ['FRI 9-15, , Sat 9-10', 'Fri 09:00–15:00, Sat 09:00–10:00'],
    ['Sun 9-10', 'Sun 09:00–10:00'],
]);

test('open hours that cannot be are refused, with what is wrong', function (string $typed, string $because) {
    expect(fn () => OpeningHours::read($typed))->toFault($because);
})->with([
    'nothing' => [' , ', 'Enter when the room is open: "Tue 15:00-16:00, Thu 9-10".'],
    'no weekday' => ['15-16', '"15-16" cannot be read. Enter a weekday and times, for example "Tue 15:00-16:00".'],
    'no end' => ['Tue 15:00', '"Tue 15:00" cannot be read.'],
    'backwards' => ['Tue 16-15', 'Tue 16:00–15:00 ends before it starts'],
    'no time at all' => ['Tue 15-15', 'Tue 15:00–15:00 ends before it starts'],
    'a minute too long' => ['Tue 9:00-15:01', 'longer than 6 hours'],
    'always open' => ['Tue 8:00-18:00', 'longer than 6 hours'],
    'twice' => ['Tue 15-16, Tue 15:30-17', 'Tue 15:30–17:00 overlaps Tue 15:00–16:00'],
    'no time' => ['Tue noon-one', ''],
]);

test('the hours that hold or come next are those of the next open day, on the school\'s clock', function (
    string $at,
    ?string $from,
    ?string $to,
) {
    $zone = Scenario::term()->zone;
    $hours = OpeningHours::read('Tue 15-16, Thu 9-10')->at(
        Scenario::term(),
        (new DateTimeImmutable("$at Europe/Madrid"))->getTimestamp(),
    );

    expect($hours === null ? [null, null] : array_map($zone->iso(...), $hours))->toBe([$from, $to]);
})->with([
    'before' => ['2027-02-09 09:52', '2027-02-09T15:00:00+01:00', '2027-02-09T16:00:00+01:00'],
    'within' => ['2027-02-09 15:59', '2027-02-09T15:00:00+01:00', '2027-02-09T16:00:00+01:00'],
    'at the end the next ones come' => [
        '2027-02-09 16:00',
        '2027-02-11T09:00:00+01:00',
        '2027-02-11T10:00:00+01:00',
    ],
    'carnival is passed over' => ['2027-02-11 12:00', '2027-02-18T09:00:00+01:00', '2027-02-18T10:00:00+01:00'],
    'after the change of the clock' => [
        '2027-03-20 12:00',
        '2027-04-06T15:00:00+02:00',
        '2027-04-06T16:00:00+02:00',
    ],
    'before the term' => ['2026-12-01 12:00', '2027-01-12T15:00:00+01:00', '2027-01-12T16:00:00+01:00'],
    'on the last day of the term' => ['2027-04-22 12:00', null, null],
    'no sessions left' => ['2027-04-22 10:00', null, null],
]);

test('at random moments they are what a walk over every minute finds', function () {
    mt_srand(5);
    $term = Scenario::term();
    for ($round = 0; $round < Scenario::rounds(40); $round++) {
        $spans = [];
        foreach (array_unique([mt_rand(1, 7), mt_rand(1, 7)]) as $weekday) {
            $start = mt_rand(0, 1300);
            $spans[] = [$weekday, $start, $start + mt_rand(1, 130)];
        }
        $now = $term->zone->instant(mt_rand($term->first->day, $term->last->day), mt_rand(0, 1439));
        $is = fn (int $at): bool => $term->isOpen($term->zone->wall($at)[0]) &&
            array_filter(
                $spans,
                fn (array $s): bool => $s[0] === LocalDate::weekdayOf($term->zone->wall($at)[0]) &&
                    $term->zone->wall($at)[1] >= $s[1] &&
                    $term->zone->wall($at)[1] < $s[2],
            ) !== [];
        $first = null;
        for ($at = $now; $at < $now + 40 * 86400 && $first === null; $at += 60) {
            $first = $is($at) ? $at : null;
        }
        $found = (new OpeningHours($spans))->at($term, $now);
        $starts = $found === null || $found[0] > $now + 40 * 86400 ? null : max($now, $found[0]);

        expect($starts)->toBe($first);
    }
});
