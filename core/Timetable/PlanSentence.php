<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Term\Term;
use Nomada\Core\Term\TypedTime;

/**
 * Reads a plan back in one sentence, so that a slip is heard: "Every second Tuesday and Thursday, 11:15 to 12:00, until
 * 22 Apr: 12 sessions, 1 lost to Carnival".
 */
final class PlanSentence
{
    public static function of(SeriesPlan $plan, Term $term): string
    {
        $held = 0;
        $lost = [];
        foreach ($plan->sessions($term) as $session) {
            if ($session->state === SessionState::Planned) {
                $held++;
            } else {
                $lost[(string) $session->reason] = ($lost[(string) $session->reason] ?? 0) + 1;
            }
        }
        $until = match ($plan->end->kind) {
            'date' => 'until '.$plan->end->date?->dayMonth(),
            'held' => "for {$plan->end->n} sessions",
            'counted' => "for {$plan->end->n} dates",
            default => 'until the term ends',
        };
        $times =
            ($plan->period === null ? '' : "in period {$plan->period}, usually ").
            TypedTime::format($plan->startMinute).
            ' to '.
            TypedTime::format($plan->startMinute + $plan->minutes);
        $losses = implode(
            '',
            array_map(fn (string $why, int $n): string => ", $n lost to $why", array_keys($lost), $lost),
        );

        return "{$plan->pattern->spoken()}, $times, $until: $held ".
            ($held === 1 ? 'session' : 'sessions').
            $losses;
    }
}
