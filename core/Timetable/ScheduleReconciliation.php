<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Language\Said;
use Nomada\Core\Term\Because;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;

/**
 * Lays the sessions of a series again over what is there: a function of its plan, of what was decided of single
 * sessions, and of the calendar.
 *
 * What has begun stays as it is. What was decided of a single session stays while its date exists in the pattern, and
 * is listed where it does not. A moved session, and an extra one, lives by its own moment: the day that it is held on,
 * not the date that it came from. What is on a closed day is lost and waits with all that is its own, and is held
 * again when the day opens. No series overlaps itself: an extra or moved session at the time of another one waits too.
 */
final readonly class ScheduleReconciliation
{
    /**
     * @param  list<PlannedSession>  $sessions  all that stand afterwards, in order of time
     * @param  list<PlannedSession>  $fallen  exceptions that had no place any more, as they stood
     * @param  list<PlannedSession>  $waiting  exceptions that were held (or cancelled) and now wait, as they stood
     * @param  list<PlannedSession>  $back  those that waited and now hold again, as they stand
     * @param  array{stay: int, move: int, come: int, go: int, lost: int, begun: int}  $effect  on the coming sessions;
     *   `lost` are those that a closed day takes
     */
    private function __construct(
        public array $sessions,
        public array $fallen,
        public array $waiting,
        public array $back,
        public array $effect,
    ) {
    }

    /**
     * @param  list<PlannedSession>  $planned  what the plan makes
     * @param  list<PlannedSession>  $standing  what is there now
     * @param  int  $now  UTC seconds
     * @param  bool  $byCalendar  whether the calendar changed and not the plan: what has lost its date then (a rotation
     *   day that is another one now) waits for it instead of falling away
     */
    public static function reconcile(
        array $planned,
        array $standing,
        Term $term,
        int $now,
        bool $byCalendar = false,
    ): self {
        $begun = $coming = $extras = $taken = [];
        foreach ($standing as $session) {
            $slot = $session->slot();
            if ($session->start <= $now) {
                $begun[] = $session;
                $taken[$slot ?? -1] = true;
            } elseif ($slot === null) {
                $extras[] = $session;
            } else {
                $coming[$slot] = $session;
            }
        }
        $bySlot = $beside = [];
        foreach ($planned as $session) {
            $was = $coming[$session->day] ?? null;
            // A series that has no session yet gets the past ones of its plan too. A moved one is past when it was
            // held.
            $isPast = $session->start <= $now && $standing !== [] && $was?->isMoved() !== true;
            if (isset($taken[$session->day]) || $isPast) {
                continue;
            }
            unset($coming[$session->day]);
            if ($was?->isMoved() === true) {
                $beside[] = $was;
            } else {
                $bySlot[] = $was === null ? $session : self::kept($session, $was->own)->as($was->id);
            }
        }
        $isOwn = fn (PlannedSession $s): bool => $s->own?->isException() === true;
        $fallen = array_values(array_filter($coming, $isOwn));
        $orphans = [];
        foreach ($byCalendar ? $fallen : [] as $was) {
            $why = $term->closedBecause($was->day) ?? Because::NO_DATE;
            $orphans[] = new PlannedSession(
                $was->day,
                $was->start,
                $was->end,
                SessionState::Lost,
                $why,
                $was->own,
                $was->id,
            );
        }
        $without = $byCalendar ? array_filter($coming, fn (PlannedSession $s): bool => ! $isOwn($s)) : $coming;
        $bySlot = self::paired(array_values($without), $bySlot, $now);
        $fallen = $byCalendar ? [] : $fallen;
        $out = self::apart([...$begun, ...$bySlot, ...$orphans], [...$beside, ...$extras], $term);

        return new self(
            $out,
            $fallen,
            self::waiting($standing, $out, $now),
            self::waiting($out, $standing, $now),
            self::effect($standing, $out, $now) + ['begun' => count($begun)],
        );
    }

    /**
     * Gives sessions of a new pattern the identity of those that have lost their date: of one week, in order. A class
     * that met on Tuesdays and now meets on Wednesdays holds the same sessions, with all that hangs on them.
     *
     * @param  list<PlannedSession>  $without  whose date is in the pattern no more
     * @param  list<PlannedSession>  $made  by the pattern
     * @return list<PlannedSession>
     */
    private static function paired(array $without, array $made, int $now): array
    {
        usort($without, fn (PlannedSession $a, PlannedSession $b): int => $a->start <=> $b->start);
        $ids = [];
        foreach ($without as $session) {
            if ($session->id !== null) {
                $ids[(new LocalDate($session->day))->monday()->day][] = $session->id;
            }
        }
        foreach ($made as $i => $session) {
            $week = (new LocalDate($session->day))->monday()->day;
            if ($session->id === null && $session->start > $now && ($ids[$week] ?? []) !== []) {
                $made[$i] = $session->as(array_shift($ids[$week]));
            }
        }

        return $made;
    }

    /** A session of the pattern with what was decided of it. */
    private static function kept(PlannedSession $session, ?SessionOverrides $own): PlannedSession
    {
        $isCancelled = $session->state === SessionState::Planned && $own?->cancelled !== null;

        return new PlannedSession(
            $session->day,
            $session->start,
            $session->end,
            $isCancelled ? SessionState::Cancelled : $session->state,
            $isCancelled ? $own->cancelled : $session->reason,
            $own === null || $own->isEmpty() ? null : $own,
        );
    }

    /**
     * Puts moved and extra sessions beside those of the pattern, each on its own day where that is open and at a time
     * at which no other one is held.
     *
     * @param  list<PlannedSession>  $pattern
     * @param  list<PlannedSession>  $beside
     * @return list<PlannedSession> in order of time
     */
    private static function apart(array $pattern, array $beside, Term $term): array
    {
        $order = fn (PlannedSession $a, PlannedSession $b): int => [$a->start, $a->day, $a->slot()] <=> [
            $b->start,
            $b->day,
            $b->slot(),
        ];
        usort($beside, $order);
        $out = $pattern;
        foreach ($beside as $session) {
            $why = $term->closedBecause($session->day);
            foreach ($why === null ? $out : [] as $other) {
                if (
                    $other->state === SessionState::Planned &&
                    $other->start < $session->end &&
                    $other->end > $session->start
                ) {
                    $why = Because::OVERLAPS;
                }
            }
            $state = $why === null ? SessionState::Planned : SessionState::Lost;
            $out[] = self::kept(
                new PlannedSession($session->day, $session->start, $session->end, $state, $why),
                $session->own,
            )->as($session->id);
        }
        usort($out, $order);

        return $out;
    }

    /**
     * @param  list<PlannedSession>  $before
     * @param  list<PlannedSession>  $after
     * @return list<PlannedSession>
     */
    private static function waiting(array $before, array $after, int $now): array
    {
        $lost = [];
        foreach ($after as $session) {
            if ($session->state === SessionState::Lost) {
                $lost[self::key($session)] = true;
            }
        }

        return array_values(
            array_filter(
                $before,
                fn (PlannedSession $s): bool => $s->start > $now &&
                    $s->state !== SessionState::Lost &&
                    $s->own?->isException() === true &&
                    isset($lost[self::key($s)]),
            ),
        );
    }

    /** What a session is known by within its series, from one laying to the next. */
    public static function key(PlannedSession $session): string
    {
        return $session->isExtra() ? "extra $session->start" : 'slot '.$session->slot();
    }

    /**
     * @param  list<PlannedSession>  $before
     * @param  list<PlannedSession>  $after
     * @return array{stay: int, move: int, come: int, go: int, lost: int}
     */
    public static function effect(array $before, array $after, int $now): array
    {
        $out = ['stay' => 0, 'move' => 0, 'come' => 0, 'go' => 0, 'lost' => 0];
        $old = $new = [];
        foreach ($before as $session) {
            if ($session->start > $now && $session->state === SessionState::Planned) {
                $old[self::key($session)] = $session;
            }
        }
        foreach ($after as $session) {
            $was = $old[self::key($session)] ?? null;
            if ($session->start <= $now && $was === null) {
                continue;
            }
            if ($session->state === SessionState::Planned && $was === null) {
                $new[(new LocalDate($session->day))->monday()->day][] = $session;
            } elseif ($session->state === SessionState::Planned) {
                $out[$was->start === $session->start && $was->end === $session->end ? 'stay' : 'move']++;
                unset($old[self::key($session)]);
            } elseif ($was !== null && $session->state === SessionState::Lost) {
                $out['lost']++;
                unset($old[self::key($session)]);
            }
        }
        // One that is gone and a new one of the same week are one that moves to another day.
        foreach ($old as $session) {
            $week = (new LocalDate($session->day))->monday()->day;
            $moves = ($new[$week] ?? []) !== [];
            if ($moves) {
                array_pop($new[$week]);
            }
            $out[$moves ? 'move' : 'go']++;
        }
        $out['come'] = array_sum(array_map(count(...), $new));

        return $out;
    }

    /** "Thu 18 Feb, moved to Fri 19 Feb": what is dropped, for a list. */
    public static function told(PlannedSession $fallen): Said
    {
        $own = $fallen->own;
        $what = array_keys(
            array_filter([
                'cancelled' => $own?->cancelled !== null,
                'time' => $fallen->isMoved() && $fallen->day === $own?->slot,
                'moved' => $fallen->isMoved() && $fallen->day !== $own?->slot,
                'extra' => $fallen->isExtra(),
                'teacher' => $own?->teacher !== null,
                'chosen' => $own?->chosen !== null,
                'title' => $own?->title !== null,
                'note' => $own?->note !== null,
                'door' => $own?->door !== null || $own?->floor !== null,
            ]),
        );
        $with = ['day' => new LocalDate($fallen->day), 'title' => (string) $own?->title];

        return Said::list([
            new Said('decided.on', ['day' => new LocalDate($fallen->slot() ?? $fallen->day)]),
            ...array_map(fn (string $one): Said => new Said("decided.$one", $with), $what),
        ]);
    }
}
