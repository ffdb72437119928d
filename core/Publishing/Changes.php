<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/**
 * What has changed between what students were last told of a section and what is true now. What was changed and changed
 * back in between is no change; what is over by now is told to nobody any more.
 */
final class Changes
{
    /**
     * @param  array<string, ToldSeries>  $was  by uid
     * @param  array<string, ToldSeries>  $is  by uid
     * @param  int  $now  UTC seconds
     * @return list<SessionChange> in the order of time, those of no session first
     */
    public static function between(array $was, array $is, int $now): array
    {
        $out = [];
        foreach ($is as $uid => $series) {
            $before = $was[$uid] ?? null;
            $out = [...$out, ...$before === null ? self::begun($series, $now) : self::of($before, $series, $now)];
        }
        foreach (array_diff_key($was, $is) as $series) {
            if (self::ahead($series, $now) !== []) {
                $out[] = new SessionChange(ChangeKind::NoMoreSeries, $series->title);
            }
        }
        usort($out, fn (SessionChange $a, SessionChange $b): int => self::at($a) <=> self::at($b));

        return $out;
    }

    /**
     * Until when something of it is left to tell; null where nothing is.
     *
     * @param  array<string, ToldSeries>  $was  by uid
     * @param  array<string, ToldSeries>  $is  by uid
     * @param  int  $now  UTC seconds
     * @return int|null UTC seconds: the end of the last session for which it matters
     */
    public static function until(array $was, array $is, int $now): ?int
    {
        if (self::between($was, $is, $now) === []) {
            return null;
        }
        $ends = [];
        foreach ([...array_values($was), ...array_values($is)] as $series) {
            foreach ($series->sessions as $session) {
                $ends[$session->end] = $session->end;
            }
        }
        sort($ends);
        // What is left becomes less and less: the last end before which anything is left is looked for by halves.
        for ([$low, $high] = [0, count($ends) - 1]; $low < $high;) {
            $middle = intdiv($low + $high + 1, 2);
            if (self::between($was, $is, $ends[$middle] - 1) === []) {
                $high = $middle - 1;
            } else {
                $low = $middle;
            }
        }

        return $ends[$low];
    }

    /** @return list<SessionChange> */
    private static function begun(ToldSeries $series, int $now): array
    {
        $ahead = self::ahead($series, $now);

        return $ahead === [] ? [] : [new SessionChange(ChangeKind::NewSeries, $series->title, null, $ahead[0])];
    }

    /** @return list<ToldSession> that are held and not over, in the order of time */
    private static function ahead(ToldSeries $series, int $now): array
    {
        $ahead = array_filter($series->sessions, fn (ToldSession $s): bool => $s->end > $now && ! $s->isCancelled);
        usort($ahead, fn (ToldSession $a, ToldSession $b): int => $a->start <=> $b->start);

        return $ahead;
    }

    /** @return list<SessionChange> */
    private static function of(ToldSeries $was, ToldSeries $is, int $now): array
    {
        $out = [];
        $isAhead = self::ahead($is, $now) !== [];
        if ($was->link !== '' && $is->link !== '' && $was->link !== $is->link && $isAhead) {
            $out[] = new SessionChange(ChangeKind::OtherLink, $is->title);
        }
        if ($was->opensBefore !== $is->opensBefore && $isAhead) {
            $out[] = new SessionChange(ChangeKind::OtherDoor, $is->title);
        }
        foreach (array_keys($was->sessions + $is->sessions) as $key) {
            $before = $was->sessions[$key] ?? null;
            $after = $is->sessions[$key] ?? null;
            $kind = self::kind($before, $after);
            if ($kind !== null && max($before->end ?? 0, $after->end ?? 0) > $now) {
                $out[] = new SessionChange($kind, $is->title, $before, $after);
            }
        }

        return $out;
    }

    /** The gravest of what differs; null where nothing is there that a student would notice. */
    private static function kind(?ToldSession $was, ?ToldSession $is): ?ChangeKind
    {
        $isHeld = $is !== null && ! $is->isCancelled;
        $wasHeld = $was !== null && ! $was->isCancelled;

        return match (true) {
            ! $isHeld && ! $wasHeld => null,
            ! $isHeld => $is === null ? ChangeKind::Gone : ChangeKind::Cancelled,
            ! $wasHeld => $was !== null
                ? ChangeKind::HeldAfterAll
                : ($is->makesUp !== ''
                    ? ChangeKind::MakesUp
                    : ChangeKind::Added),
            [$was->start, $was->end] !== [$is->start, $is->end] => ChangeKind::Moved,
            $was->teacher !== $is->teacher => ChangeKind::OtherTeacher,
            $was->title !== $is->title => ChangeKind::OtherTitle,
            default => null,
        };
    }

    private static function at(SessionChange $change): int
    {
        return $change->was->start ?? ($change->is->start ?? 0);
    }
}
