<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\PlanSentence;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionState;

/** What a plan makes: its line, how many sessions, which are lost and why, how many minutes, and what it would change. */
final readonly class SeriesPreview
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return array<string, mixed> */
    public function data(Section $section, SeriesPlan $plan, ?Series $series): array
    {
        $term = $section->term->calendar();
        $now = $this->clock->seconds();
        $sessions = $plan->sessions($term);
        $held = array_filter($sessions, fn (PlannedSession $s): bool => $s->state === SessionState::Planned);
        $lost = [];
        foreach ($sessions as $session) {
            if ($session->state === SessionState::Lost) {
                $lost[(string) $session->reason][] = (new LocalDate($session->day))->short();
            }
        }
        $days = ['past' => [], 'planned' => []];
        foreach ($held as $session) {
            $days[$session->end <= $now ? 'past' : 'planned'][] = $session->day;
        }
        [$today, $minute] = $term->zone->wall($now);

        return [
            'plan' => $plan, 'sentence' => PlanSentence::of($plan, $term), 'held' => count($held), 'past' => count($days['past']), 'lost' => $lost, 'minutes' => count($held) * $plan->minutes,
            'first' => $held === [] ? null : new LocalDate(reset($held)->day), 'last' => $held === [] ? null : new LocalDate(end($held)->day),
            'line' => new TermLine($term, 720, 34, 6, 3.1), 'days' => $days, 'today' => $today, 'minute' => $minute,
            'short' => $plan->end->kind === 'held' ? $plan->outside($term) : 0, 'reach' => $series === null ? null : $this->reach($series, $sessions, $now),
        ];
    }

    /**
     * What saving would change of a series: sessions that stay, move (same day, other time), come and go. Started ones stay.
     *
     * @param  list<PlannedSession>  $sessions
     * @return array{stay: int, move: int, come: int, go: int, started: int}
     */
    private function reach(Series $series, array $sessions, int $now): array
    {
        $out = ['stay' => 0, 'move' => 0, 'come' => 0, 'go' => 0, 'started' => 0];
        $old = [];
        foreach ($series->sessions as $session) {
            $core = $session->toCore();
            if ($core->start <= $now) {
                $out['started']++;
            } elseif ($core->state === SessionState::Planned) {
                $old[$core->day] = $core;
            }
        }
        foreach ($sessions as $session) {
            if ($session->state !== SessionState::Planned || $session->start <= $now) {
                continue;
            }
            $was = $old[$session->day] ?? null;
            $out[$was === null ? 'come' : ($was->start === $session->start && $was->end === $session->end ? 'stay' : 'move')]++;
            unset($old[$session->day]);
        }
        $out['go'] = count($old);

        return $out;
    }
}
