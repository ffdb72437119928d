<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Language\Said;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\TypedTime;

/**
 * Reads a plan back in one sentence, so that a slip is heard: "Every second Tuesday and Thursday, 11:15 to 12:00, until
 * Thu 22 Apr: 12 sessions, 1 lost to Carnival".
 */
final class PlanSentence
{
    public static function of(SeriesPlan $plan, Term $term): Said
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
        $losses = array_map(
            fn (string $why, int $n): Said => new Said('planned.lost', ['n' => $n, 'why' => $why]),
            array_map(strval(...), array_keys($lost)),
            $lost,
        );
        $with = [
            'plan' => $plan->pattern->spoken(),
            'times' => self::times($plan),
            'end' => match ($plan->end->kind) {
                'date' => new Said('planned.until', ['date' => $plan->end->date]),
                'held' => new Said('planned.held', ['n' => $plan->end->n]),
                'counted' => new Said('planned.counted', ['n' => $plan->end->n]),
                default => new Said('planned.term'),
            },
            'n' => $held,
        ];

        return $losses === []
            ? new Said('planned.line', $with)
            : Said::list([new Said('planned.line', $with), ...$losses]);
    }

    private static function times(SeriesPlan $plan): Said
    {
        $from = TypedTime::format($plan->startMinute);
        $to = TypedTime::format($plan->startMinute + $plan->minutes);

        return $plan->period === null
            ? new Said('planned.times', ['from' => $from, 'to' => $to])
            : new Said('planned.period', ['period' => $plan->period, 'from' => $from, 'to' => $to]);
    }
}
