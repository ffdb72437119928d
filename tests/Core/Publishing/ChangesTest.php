<?php

use Nomada\Core\Publishing\ChangeKind;
use Nomada\Core\Publishing\Changes;
use Nomada\Core\Publishing\SessionChange;
use Nomada\Core\Publishing\ToldSeries;
use Nomada\Core\Publishing\ToldSession;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;
use Tests\Core\Scenario;

/**
 * A series of sessions of ten minutes, by key.
 *
 * @param  array<string, ToldSession>  $with  instead of, or beside, sessions a, b and c at 1000, 2000 and 3000
 * @param  list<string>  $without
 */
function toldSeries(array $with = [], array $without = [], string $link = 'l', int $opens = 10): array
{
    $sessions = [];
    foreach (['a' => 1000, 'b' => 2000, 'c' => 3000] as $key => $start) {
        $sessions[$key] = new ToldSession($key, $start, $start + 600);
    }
    $sessions = array_diff_key([...$sessions, ...$with], array_flip($without));

    return ['u' => new ToldSeries('u', 'Tides', $link, $opens, $sessions)];
}

/** @return list<string> */
function changesOf(array $was, array $is, int $now = 0): array
{
    return array_map(
        fn (SessionChange $c): string => $c->kind->value.
            ' '.
            ($c->was->start ?? '-').
            ' '.
            ($c->is->start ?? '-'),
        Changes::between($was, $is, $now),
    );
}

test('what became of a session', function (array $is, array $changes) {
    expect(changesOf(toldSeries(), $is))->toBe($changes);
})->with([
    'nothing' => [toldSeries(), []],
    'cancelled' => [toldSeries(['b' => new ToldSession('b', 2000, 2600, true, 'storm')]), ['cancelled 2000 2000']],
    'moved' => [toldSeries(['b' => new ToldSession('b', 2500, 3100)]), ['moved 2000 2500']],
    'longer' => [toldSeries(['b' => new ToldSession('b', 2000, 2601)]), ['moved 2000 2000']],
    'gone' => [toldSeries(without: ['b']), ['gone 2000 -']],
    'added' => [toldSeries(['x' => new ToldSession('x', 2700, 3300)]), ['added - 2700']],
    'made up' => [
        toldSeries(['x' => new ToldSession('x', 2700, 3300, makesUp: '2027-02-09')]),
        ['makes-up - 2700'],
    ],
    'another teacher' => [
        toldSeries(['b' => new ToldSession('b', 2000, 2600, teacher: 'N. H.')]),
        ['other-teacher 2000 2000'],
    ],
    'another title' => [
        toldSeries(['b' => new ToldSession('b', 2000, 2600, title: 'Boats')]),
        ['other-title 2000 2000'],
    ],
    'moved, and another teacher: the gravest' => [
        toldSeries(['b' => new ToldSession('b', 2001, 2600, title: 'x', teacher: 'N. H.')]),
        ['moved 2000 2001'],
    ],
    'a new link and a new door come first' => [
        toldSeries(['a' => new ToldSession('a', 1000, 1600, true)], link: 'm', opens: 5),
        ['other-link - -', 'other-door - -', 'cancelled 1000 1000'],
    ],
    'a link that was hidden before is none' => [toldSeries(link: ''), []],
    'no series any more' => [[], ['no-more-series - -']],
]);

test('what was cancelled is held after all, and what was cancelled and is gone is told to nobody', function () {
    $cancelled = toldSeries(['b' => new ToldSession('b', 2000, 2600, true)]);
    expect(changesOf($cancelled, toldSeries()))
        ->toBe(['held-after-all 2000 2000'])
        ->and(changesOf($cancelled, toldSeries(without: ['b'])))
        ->toBe([])
        ->and(changesOf([], toldSeries()))
        ->toBe(['new-series - 1000']);
});

test('what is over is told to nobody any more', function () {
    $is = toldSeries(['b' => new ToldSession('b', 2000, 2600, true)]);
    expect(changesOf(toldSeries(), $is, 2599))
        ->toBe(['cancelled 2000 2000'])
        ->and(changesOf(toldSeries(), $is, 2600))
        ->toBe([])
        // Moved from the past into the future is told.
        ->and(changesOf(toldSeries(), toldSeries(['a' => new ToldSession('a', 2700, 3300)]), 2650))
        ->toBe(['moved 1000 2700'])
        ->and(changesOf(toldSeries(), toldSeries(link: 'm', opens: 5), 3600))
        ->toBe([])
        ->and(changesOf(toldSeries(), [], 3600))
        ->toBe([])
        ->and(changesOf([], toldSeries(), 3600))
        ->toBe([]);
});

test('until when something is left to tell', function (array $is, ?int $until, int $now) {
    expect(Changes::until(toldSeries(), $is, $now))->toBe($until);
})->with([
    'nothing' => [toldSeries(), null, 0],
    'one that is cancelled, until its end' => [toldSeries(['b' => new ToldSession('b', 2000, 2600, true)]), 2600, 0],
    'until a second before it' => [toldSeries(['b' => new ToldSession('b', 2000, 2600, true)]), 2600, 2599],
    'and not then' => [toldSeries(['b' => new ToldSession('b', 2000, 2600, true)]), null, 2600],
    'moved, until the later of both' => [toldSeries(['a' => new ToldSession('a', 2700, 3300)]), 3300, 0],
    'another link, until the last session' => [toldSeries(link: 'm'), 3600, 0],
    'no series any more' => [[], 3600, 0],
]);

test(
    'after random changes, telling them and looking again finds nothing; and what is kept is read back the same',
    function () {
        mt_srand(11);
        for ($n = 0; $n < Scenario::rounds(200); $n++) {
            $make = function (): array {
                $sessions = [];
                foreach (range('a', 'h') as $i => $key) {
                    if (mt_rand(0, 4) > 0) {
                        $start = 1000 * ($i + 1) + 10 * mt_rand(0, 2);
                        $sessions[$key] = new ToldSession(
                            $key,
                            $start,
                            $start + 600,
                            mt_rand(0, 3) === 0,
                            'x',
                            '',
                            mt_rand(0, 3) === 0 ? 'T' : '',
                        );
                    }
                }

                return ['u' => new ToldSeries('u', 'Tides', 'l', mt_rand(5, 6), $sessions)];
            };
            [$was, $is] = [$make(), $make()];
            expect(Changes::between($is, $is, 0))->toBe([]);
            $changed = array_filter(array_keys($was['u']->sessions + $is['u']->sessions), function (string $k) use (
                $was,
                $is,
            ): bool {
                $seen = fn (?ToldSession $s): array => $s === null || $s->isCancelled
                    ? []
                    : [$s->start, $s->end, $s->teacher, $s->title];

                return $seen($was['u']->sessions[$k] ?? null) !== $seen($is['u']->sessions[$k] ?? null);
            });
            $told = array_filter(Changes::between($was, $is, 0), fn ($c) => $c->kind !== ChangeKind::OtherDoor);
            expect(count($told))->toBe(count($changed));
            // Until when anything is left to tell: looked for moment by moment.
            $now = 10 * mt_rand(0, 500);
            $left = array_filter(range($now, 9000, 10), fn (int $t): bool => Changes::between($was, $is, $t) !== []);
            expect(Changes::until($was, $is, $now))->toBe($left === [] ? null : max($left) + 10);
            expect(ToldSeries::from(json_decode((string) json_encode($is['u']->toArray()), true)))->toEqual(
                $is['u'],
            );
            foreach ($told as $change) {
                expect(SessionChange::from(json_decode((string) json_encode($change->toArray()), true)))->toEqual(
                    $change,
                );
            }
        }
    },
);

test('a session as students are told of it, written down and read back', function (PlannedSession $is, array $told) {
    $one = ToldSession::of($is);
    expect($one->toArray())
        ->toBe($told)
        ->and(ToldSession::from($told))
        ->toEqual($one);
})->with([
    'as planned' => [
        new PlannedSession(20858, 1000, 1600),
        ['key' => '2027-02-09', 'start' => 1000, 'end' => 1600],
    ],
    'cancelled, with a topic' => [
        new PlannedSession(20858, 1000, 1600, SessionState::Cancelled, 'storm', new SessionOverrides(topic: 'Tides')),
        [
            'key' => '2027-02-09',
            'start' => 1000,
            'end' => 1600,
            'isCancelled' => true,
            'reason' => 'storm',
            'title' => 'Tides',
        ],
    ],
    'lost is not cancelled' => [
        new PlannedSession(20858, 1000, 1600, SessionState::Lost, 'Carnival'),
        ['key' => '2027-02-09', 'start' => 1000, 'end' => 1600, 'reason' => 'Carnival'],
    ],
    'an extra one, made up by somebody else, with a title before its topic' => [
        new PlannedSession(
            20859,
            1000,
            1600,
            own: new SessionOverrides(
                teacherName: 'N. H.',
                title: 'Boats',
                topic: 'Tides',
                makesUp: 20858,
                isExtra: true,
            ),
        ),
        [
            'key' => 'x1000',
            'start' => 1000,
            'end' => 1600,
            'title' => 'Boats',
            'teacher' => 'N. H.',
            'makesUp' => '2027-02-09',
        ],
    ],
    'moved: known by its date of the pattern' => [
        new PlannedSession(20860, 1000, 1600, own: new SessionOverrides(20858)),
        ['key' => '2027-02-09', 'start' => 1000, 'end' => 1600],
    ],
]);

test('what was written down of a series before is read, whatever is missing', function () {
    $read = ToldSeries::from(['uid' => 7, 'sessions' => [['key' => 'a', 'start' => '5', 'isCancelled' => true], 'x']]);
    expect([$read->uid, $read->title, $read->link, $read->opensBefore])
        ->toBe(['7', '', '', 0])
        ->and($read->sessions['a'])
        ->toEqual(new ToldSession('a', 5, 0, true))
        ->and($read->toArray()['sessions'][0])
        ->toBe(['key' => 'a', 'start' => 5, 'end' => 0, 'isCancelled' => true])
        ->and(ToldSeries::from(['uid' => 'u', 'sessions' => 'none'])->sessions)
        ->toHaveCount(1);
});
