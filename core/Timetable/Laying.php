<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;

/**
 * Lays the sessions of a series anew over what stands: what has begun stays as it is; what was changed of a single
 * session stays where its date still exists in the series, and is listed where it does not; extra sessions stay while
 * their day is open.
 */
final readonly class Laying
{
    /**
     * @param  list<PlannedSession>  $sessions  all that stand afterwards, in order of time
     * @param  list<PlannedSession>  $fallen  exceptions that had no place any more, as they stood
     * @param  array{stay: int, move: int, come: int, go: int, lost: int, begun: int}  $effect  on the coming
     *   sessions; `lost` are those that a closed day takes
     */
    private function __construct(public array $sessions, public array $fallen, public array $effect)
    {
    }

    /**
     * @param  list<PlannedSession>  $planned  what the plan makes
     * @param  list<PlannedSession>  $standing  what stands now
     * @param  int  $now  UTC seconds
     */
    public static function over(array $planned, array $standing, Term $term, int $now): self
    {
        $begun = $exceptions = $extras = [];
        foreach ($standing as $session) {
            $slot = $session->slot();
            if ($session->start <= $now) {
                $begun[] = $session;
            } elseif ($slot === null) {
                $extras[] = $session;
            } else {
                $exceptions[$slot] = $session;
            }
        }
        $taken = [];
        foreach ($begun as $session) {
            $taken[$session->slot() ?? -1] = true;
        }
        $out = $begun;
        $fallen = [];
        foreach ($planned as $session) {
            // A series that has no session yet gets the past ones of its plan too.
            if (isset($taken[$session->day]) || ($session->start <= $now && $standing !== [])) {
                continue;
            }
            $was = $exceptions[$session->day] ?? null;
            unset($exceptions[$session->day]);
            $is = $was === null ? $session : self::kept($session, $was, $term);
            if ($was !== null && self::lost($was, $is)) {
                $fallen[] = $was;
            }
            $out[] = $is;
        }
        foreach ($exceptions as $was) {
            if ($was->state === SessionState::Cancelled || $was->own?->isException()) {
                $fallen[] = $was;
            }
        }
        foreach ($extras as $extra) {
            $term->isOpen($extra->day) ? ($out[] = $extra) : ($fallen[] = $extra);
        }
        usort($out, fn (PlannedSession $a, PlannedSession $b): int => [$a->start, $a->day] <=> [$b->start, $b->day]);

        return new self($out, $fallen, self::effect($standing, $out, $now) + ['begun' => count($begun)]);
    }

    private static function kept(PlannedSession $session, PlannedSession $was, Term $term): PlannedSession
    {
        $own = $was->own;
        if ($session->state === SessionState::Lost) {
            // The topic waits for the day to open again.
            return $own?->topic === null ? $session : $session->with(new Particulars(topic: $own->topic));
        }
        $moved = $was->isMoved() && $term->isOpen($was->day);
        $own = $moved ? $own : $own?->unmoved();
        $cancelled = $was->state === SessionState::Cancelled;

        return new PlannedSession(
            $moved ? $was->day : $session->day,
            $moved ? $was->start : $session->start,
            $moved ? $was->end : $session->end,
            $cancelled ? SessionState::Cancelled : $session->state,
            $cancelled ? $was->reason : $session->reason,
            $own === null || $own->isEmpty() ? null : $own,
        );
    }

    private static function lost(PlannedSession $was, PlannedSession $is): bool
    {
        $hadOwn = $was->state === SessionState::Cancelled || $was->own?->isException() === true;

        return $hadOwn &&
            (($is->state === SessionState::Lost && $was->state !== SessionState::Lost) ||
                ($was->isMoved() && ! $is->isMoved()));
    }

    /**
     * @param  list<PlannedSession>  $before
     * @param  list<PlannedSession>  $after
     * @return array{stay: int, move: int, come: int, go: int, lost: int}
     */
    public static function effect(array $before, array $after, int $now): array
    {
        $out = ['stay' => 0, 'move' => 0, 'come' => 0, 'go' => 0, 'lost' => 0];
        $key = fn (PlannedSession $s): string => $s->slot() === null ? "extra $s->start" : "slot {$s->slot()}";
        $old = $new = [];
        foreach ($before as $session) {
            if ($session->start > $now && $session->state === SessionState::Planned) {
                $old[$key($session)] = $session;
            }
        }
        foreach ($after as $session) {
            $was = $old[$key($session)] ?? null;
            if ($session->start <= $now && $was === null) {
                continue;
            }
            if ($session->state === SessionState::Planned && $was === null) {
                $new[(new LocalDate($session->day))->monday()->day][] = $session;
            } elseif ($session->state === SessionState::Planned) {
                $out[$was->start === $session->start && $was->end === $session->end ? 'stay' : 'move']++;
                unset($old[$key($session)]);
            } elseif ($was !== null && $session->state === SessionState::Lost) {
                $out['lost']++;
                unset($old[$key($session)]);
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

    /** "Thu 18 Feb, moved to Fri 19 Feb": what falls away, for a list. */
    public static function told(PlannedSession $fallen): string
    {
        $own = $fallen->own;
        $date = (new LocalDate($fallen->slot() ?? $fallen->day))->short();
        $what = array_filter([
            $fallen->state === SessionState::Cancelled ? 'cancelled' : '',
            $fallen->isMoved() ? 'moved to '.(new LocalDate($fallen->day))->short() : '',
            $fallen->isExtra() ? 'extra' : '',
            $own?->teacher !== null ? 'with another teacher' : '',
            $own?->title !== null ? "\"$own->title\"" : '',
            $own?->note !== null ? 'with a note' : '',
            $own?->door !== null || $own?->floor !== null ? 'with a door of its own' : '',
        ]);

        return $date.($what === [] ? '' : ', '.implode(', ', $what));
    }
}
