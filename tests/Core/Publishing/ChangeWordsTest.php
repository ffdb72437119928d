<?php

use Nomada\Core\Publishing\ChangeKind;
use Nomada\Core\Publishing\ChangeWords;
use Nomada\Core\Publishing\SessionChange;
use Nomada\Core\Publishing\ToldSession;
use Nomada\Core\Term\Zone;
use Tests\Core\Scenario;

/** @param  array<string, mixed>  $with */
function toldAt(string $utc, array $with = []): ToldSession
{
    $start = (int) strtotime($utc);

    return new ToldSession(...['key' => 'k', 'start' => $start, 'end' => $start + 2820, ...$with]);
}

test('what it was and what it is, on the reader\'s clock', function (
    ChangeKind $kind,
    ?ToldSession $was,
    ?ToldSession $is,
    string $words,
) {
    $change = new SessionChange($kind, 'Tides', $was, $is);
    $zone = Zone::named('Atlantic/Canary');
    expect((new ChangeWords(Scenario::phrases()))->lines([$change], $zone))
        ->toBe([$words])
        ->and((new ChangeWords(Scenario::phrases()))->lines([$change], $zone, true))
        ->toBe(["Tides: $words"])
        ->and(SessionChange::from((array) json_decode((string) json_encode($change->toArray()), true)))
        ->toEqual($change);
})->with(function () {
    $tue = toldAt('2027-02-09T09:00:00Z');
    $wed = toldAt('2027-02-10T11:00:00Z');
    $with = fn (array $own): ToldSession => toldAt('2027-02-09T09:00:00Z', $own);

    return [
        [
            ChangeKind::Cancelled,
            $tue,
            $with(['isCancelled' => true, 'reason' => 'storm']),
            'Tue 9 Feb, 09:00–09:47 is cancelled: storm',
        ],
        [ChangeKind::Cancelled, $tue, $with(['isCancelled' => true]), 'Tue 9 Feb, 09:00–09:47 is cancelled'],
        [ChangeKind::Gone, $tue, null, 'Tue 9 Feb, 09:00–09:47 is not held'],
        [ChangeKind::HeldAfterAll, $tue, $wed, 'Wed 10 Feb, 11:00–11:47 takes place after all'],
        [ChangeKind::Moved, $tue, $wed, 'Tue 9 Feb, 09:00–09:47 is now Wed 10 Feb, 11:00–11:47'],
        [
            ChangeKind::MakesUp,
            null,
            $with(['makesUp' => '2027-02-04']),
            'Tue 9 Feb, 09:00–09:47 makes up Thu 4 Feb',
        ],
        [ChangeKind::Added, null, $tue, 'Tue 9 Feb, 09:00–09:47 is an extra session'],
        [ChangeKind::OtherTeacher, $tue, $with(['teacher' => 'N. H.']), 'Tue 9 Feb, 09:00–09:47 is with N. H.'],
        [ChangeKind::OtherTeacher, $tue, $tue, 'Tue 9 Feb, 09:00–09:47 is with the usual teacher again'],
        [ChangeKind::OtherTitle, $tue, $with(['title' => 'Boats']), 'Tue 9 Feb, 09:00–09:47: Boats'],
        [ChangeKind::OtherTitle, $tue, $tue, 'Tue 9 Feb, 09:00–09:47 has no topic any more'],
        [ChangeKind::NewSeries, null, $tue, 'Tides starts on Tue 9 Feb, 09:00–09:47'],
        [ChangeKind::NoMoreSeries, null, null, 'Tides has been cancelled'],
        [ChangeKind::OtherLink, null, null, 'There is a new link; the old one no longer works'],
        [ChangeKind::OtherDoor, null, null, 'The session opens at another time before the start'],
    ];
});

test('of many changes the first twelve are said, and how many more there are', function () {
    $change = new SessionChange(ChangeKind::Added, 'Tides', null, toldAt('2027-02-09T09:00:00Z'));
    $lines = fn (int $n): array => (new ChangeWords(Scenario::phrases()))->lines(
        array_fill(0, $n, $change),
        Zone::named('UTC'),
    );
    expect($lines(12))
        ->toHaveCount(12)
        ->and($lines(12)[11])
        ->toBe('Tue 9 Feb, 09:00–09:47 is an extra session')
        ->and($lines(14))
        ->toHaveCount(13)
        ->and($lines(14)[12])
        ->toBe('and 2 more; see the calendar');
});
