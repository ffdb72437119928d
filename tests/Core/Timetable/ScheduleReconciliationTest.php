<?php

use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\ScheduleReconciliation;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;
use Tests\Core\Scenario;

/*
 * Sessions as they are drawn on paper: "mon 9-10", of the week of 8 February ("next mon" of the one after), with what
 * is decided of them behind: lost, cancelled, extra, noted, of mon (moved from there). The hours are UTC.
 */
final class Drawn
{
    /** @return list<PlannedSession> */
    public static function all(string $text): array
    {
        return $text === '' ? [] : array_map(self::one(...), explode(', ', $text));
    }

    public static function one(string $text): PlannedSession
    {
        preg_match('/^(next )?(\w+) (\d+)-(\d+)(?: (lost|cancelled))?(?: (extra|noted|of (\w+)))?$/', $text, $m) ===
            1 || throw new LogicException("What is \"$text\"?");
        $day = self::day($m[2]) + ($m[1] === '' ? 0 : 7);
        $own = match (strtok($m[6] ?? '', ' ')) {
            'extra' => new SessionOverrides(isExtra: true),
            'noted' => new SessionOverrides(note: 'bring a chart'),
            'of' => new SessionOverrides(slot: self::day($m[7])),
            default => null,
        };
        $state = SessionState::from($m[5] ?? '' ?: 'planned');

        return new PlannedSession(
            $day,
            self::at($day, (int) $m[3]),
            self::at($day, (int) $m[4]),
            $state,
            null,
            $own,
        );
    }

    /** @param  list<PlannedSession>  $sessions */
    public static function of(array $sessions): string
    {
        $one = function (PlannedSession $s): string {
            $days = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];
            $from = $s->day - self::day('mon');

            return ($from > 6 ? 'next ' : '').
                $days[$from % 7].
                ' '.
                intdiv($s->start % 86400, 3600).
                '-'.
                intdiv($s->end % 86400, 3600).
                ($s->state === SessionState::Planned ? '' : " {$s->state->value}".(string) $s->reason).
                match (true) {
                    $s->isExtra() => ' extra',
                    $s->isMoved() => ' of '.$days[$s->own->slot - self::day('mon')],
                    $s->own?->note !== null => ' noted',
                    default => '',
                };
        };

        return implode(', ', array_map($one, $sessions));
    }

    /** @param  string  $moment  "tue 9" */
    public static function moment(string $moment): int
    {
        [$day, $hour] = explode(' ', $moment);

        return self::at(self::day($day), (int) $hour);
    }

    private static function at(int $day, int $hour): int
    {
        return $day * 86400 + $hour * 3600;
    }

    private static function day(string $name): int
    {
        $n = array_search($name, ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'], true);

        return Nomada\Core\Term\LocalDate::parse('2027-02-08')->day + (int) $n;
    }
}

test('a plan is laid over what stands', function (string $planned, string $standing, string $now, string $are) {
    $laying = ScheduleReconciliation::reconcile(
        Drawn::all($planned),
        Drawn::all($standing),
        Scenario::term(),
        Drawn::moment($now),
    );
    expect(Drawn::of($laying->sessions))->toBe($are);
})->with([
    'nothing yet: the past ones too' => ['mon 9-10, tue 9-10', '', 'tue 12', 'mon 9-10, tue 9-10'],
    'what has begun at this moment stays' => [
        'mon 9-10, tue 11-12',
        'mon 9-10, tue 9-10',
        'tue 9',
        'mon 9-10, tue 9-10',
    ],
    'what would begin at this moment is past' => ['tue 9-10, wed 9-10', 'thu 9-10', 'tue 9', 'wed 9-10'],
    'a moment before it is not' => ['tue 9-10, wed 9-10', 'thu 9-10', 'tue 8', 'tue 9-10, wed 9-10'],
    'a moved one stays where it was moved' => [
        'tue 9-10, wed 9-10',
        'fri 9-10 of tue',
        'mon 0',
        'wed 9-10, fri 9-10 of tue',
    ],
    'and is not past where its date is' => ['tue 9-10', 'fri 9-10 of tue', 'wed 0', 'fri 9-10 of tue'],
    'a note stays with its date' => ['tue 11-12', 'tue 9-10 noted', 'mon 0', 'tue 11-12 noted'],
    'one beside others that only touch it' => [
        'tue 9-10',
        'tue 10-11 extra, tue 8-9 extra',
        'mon 0',
        'tue 8-9 extra, tue 9-10, tue 10-11 extra',
    ],
    'one into which another reaches' => [
        'tue 9-11',
        'tue 10-12 extra',
        'mon 0',
        'tue 9-11, tue 10-12 lost=overlaps extra',
    ],
    'one that reaches into another' => [
        'tue 9-11',
        'tue 8-10 extra',
        'mon 0',
        'tue 8-10 lost=overlaps extra, tue 9-11',
    ],
    'one beside what is lost there' => [
        'tue 9-11 lost',
        'tue 9-10 extra',
        'mon 0',
        'tue 9-10 extra, tue 9-11 lost',
    ],
    'of two beside each other the first stays, in whatever order they come' => [
        'mon 9-10',
        'tue 10-12 extra, tue 9-11 extra',
        'mon 0',
        'mon 9-10, tue 9-11 extra, tue 10-12 lost=overlaps extra',
    ],
]);

test('what a change comes to', function (string $before, string $after, string $now, array $is) {
    $none = ['stay' => 0, 'move' => 0, 'come' => 0, 'go' => 0, 'lost' => 0];
    expect(ScheduleReconciliation::effect(Drawn::all($before), Drawn::all($after), Drawn::moment($now)))->toBe([
        ...$none,
        ...$is,
    ]);
})->with([
    'nothing' => ['', '', 'mon 0', []],
    'as it was' => ['mon 9-10, tue 9-10', 'mon 9-10, tue 9-10', 'mon 0', ['stay' => 2]],
    'another start' => ['mon 9-10', 'mon 8-10', 'mon 0', ['move' => 1]],
    'another end' => ['mon 9-10', 'mon 9-11', 'mon 0', ['move' => 1]],
    'one more' => ['mon 9-10', 'mon 9-10, tue 9-10', 'mon 0', ['stay' => 1, 'come' => 1]],
    'one that began at this moment is no more' => ['', 'mon 9-10, tue 9-10', 'mon 9', ['come' => 1]],
    'nor is it less' => ['mon 9-10, tue 9-10', '', 'mon 9', ['go' => 1]],
    'on another day of the week' => ['mon 9-10', 'tue 9-10', 'mon 0', ['move' => 1]],
    'two for one' => ['mon 9-10, wed 9-10', 'tue 9-10', 'mon 0', ['move' => 1, 'go' => 1]],
    'one for two' => ['mon 9-10', 'tue 9-10, wed 9-10', 'mon 0', ['move' => 1, 'come' => 1]],
    'in another week' => ['mon 9-10', 'next mon 9-10', 'mon 0', ['go' => 1, 'come' => 1]],
    'lost' => ['mon 9-10, tue 9-10', 'mon 9-10 lost, tue 9-10', 'mon 0', ['stay' => 1, 'lost' => 1]],
    'lost before' => ['mon 9-10 lost', 'mon 9-10 lost', 'mon 0', []],
    'found again' => ['mon 9-10 lost', 'mon 9-10', 'mon 0', ['come' => 1]],
    'moved is known by its date' => ['fri 9-10 of mon', 'mon 9-10', 'mon 0', ['move' => 1]],
    'an extra one by its time' => [
        'mon 9-10 extra',
        'mon 9-10 extra, mon 11-12',
        'mon 0',
        ['stay' => 1, 'come' => 1],
    ],
]);

test('what waits for its day, and what has found it again', function (
    string $before,
    string $after,
    string $wait,
    string $back,
) {
    $term = Scenario::term();
    $now = Drawn::moment('mon 0');
    $laying = ScheduleReconciliation::reconcile(Drawn::all($after), Drawn::all($before), $term, $now);
    expect([Drawn::of($laying->waiting), Drawn::of($laying->back)])->toBe([$wait, $back]);
})->with([
    'noted, and lost' => ['tue 9-10 noted, wed 9-10', 'tue 9-10 lost, wed 9-10 lost', 'tue 9-10 noted', ''],
    'lost before' => ['tue 9-10 lost noted', 'tue 9-10 lost', '', ''],
    'found' => ['tue 9-10 lost noted, wed 9-10 lost', 'tue 9-10, wed 9-10', '', 'tue 9-10 noted'],
]);
