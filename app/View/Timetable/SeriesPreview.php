<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Nomada\App\Actions\Timetable\LaySessions;
use Nomada\App\Actions\Timetable\SaveSeries;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\FreeTimesQuery;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\PlanSentence;
use Nomada\Core\Timetable\ScheduleReconciliation;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionState;

/**
 * What a plan makes: its line, how many sessions, which are lost and why, how many minutes, what reads like a slip, and
 * what it would change.
 */
final readonly class SeriesPreview
{
    public function __construct(private Clock $clock, private LaySessions $lay, private FreeTimesQuery $free)
    {
    }

    /** @param  LocalDate|null  $from  from when on it would hold, where an edit goes no further back */
    public function page(Section $section, SeriesPlan $plan, ?Series $series, ?LocalDate $from = null): PreviewPage
    {
        $term = $section->term->calendar();
        $now = $this->clock->seconds();
        $stretches = SaveSeries::stretches($series, $plan, $from);
        // Of "this and later" what it makes from then on, not the series as it was.
        $shown = $from === null ? $plan : $stretches->last();
        $sessions = $shown->sessions($term);
        $laying =
            $series === null
                ? ScheduleReconciliation::reconcile($sessions, [], $term, $now)
                : $this->lay->look($series, $stretches, $term);
        $held = array_filter($sessions, fn (PlannedSession $s): bool => $s->state === SessionState::Planned);
        $lost = [];
        foreach ($sessions as $session) {
            if ($session->state === SessionState::Lost && ($from === null || $session->day >= $from->day)) {
                $lost[Say::because($session->reason)][] = Say::day(new LocalDate($session->day));
            }
        }
        $days = ['past' => [], 'planned' => [], 'makeup' => []];
        foreach ($held as $session) {
            $days[$session->end <= $now ? 'past' : ($session->isExtra() ? 'makeup' : 'planned')][] = $session->day;
        }
        [$today, $minute] = $term->zone->wall($now);

        return new PreviewPage(
            $shown,
            Say::this(PlanSentence::of($shown, $term)),
            count($held),
            count($days['past']),
            array_sum(array_map(fn (PlannedSession $s): int => intdiv($s->end - $s->start, 60), $held)),
            $held === [] ? null : new LocalDate(reset($held)->day),
            $held === [] ? null : new LocalDate(end($held)->day),
            new TermLine($term, 720, 34, 6, 3.1),
            $days,
            $today,
            $minute,
            self::warnings($shown, $sessions, $term),
            $this->free->costOfPlan($section, $series === null ? $sessions : $laying->sessions, $plan, $series),
            $lost,
            $series === null ? null : $laying->effect,
            $series === null
                ? []
                : array_map(
                    fn (PlannedSession $s): string => Say::this(ScheduleReconciliation::told($s)),
                    $laying->fallen,
                ),
        );
    }

    /**
     * What reads like a slip. None of it stops the plan.
     *
     * @param  list<PlannedSession>  $sessions
     * @return list<string>
     */
    private static function warnings(SeriesPlan $plan, array $sessions, Term $term): array
    {
        $out = [];
        $why = $term->closedBecause($plan->from->day);
        // A date of the pattern on a closed day makes no session.
        $held = array_values(
            array_filter($sessions, fn (PlannedSession $s): bool => $s->state === SessionState::Planned),
        );
        $first = $held[0] ?? null;
        if ($why !== null) {
            $out[] = new Said('slip.closed', ['day' => $plan->from, 'why' => $why]);
        } elseif ($first !== null && ($sessions[0]->day ?? null) !== $plan->from->day) {
            $out[] = new Said('slip.no_day', ['day' => $plan->from, 'first' => new LocalDate($first->day)]);
        }
        $outside = $plan->outside($term);
        if ($outside > 0) {
            $out[] =
                $plan->end->kind === 'held'
                    ? new Said('slip.fit', ['fit' => $plan->end->n - $outside, 'n' => $outside])
                    : new Said('slip.outside', ['n' => $outside]);
        }
        $late = array_filter($sessions, function (PlannedSession $s) use ($term): bool {
            [$opens, $closes] = $term->hoursOn($s->day);
            [, $from] = $term->zone->wall($s->start);
            [, $to] = $term->zone->wall($s->end - 60);

            return $s->state === SessionState::Planned && ($from < $opens || $to + 1 > $closes);
        });
        if ($late !== []) {
            $out[] = new Said('slip.hours', ['n' => count($late), 'day' => new LocalDate(reset($late)->day)]);
        }

        return array_map(fn (Said $one): string => Say::this($one), $out);
    }
}
