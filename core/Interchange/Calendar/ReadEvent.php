<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use Nomada\Core\Fault;
use Nomada\Core\Term\Because;
use Nomada\Core\Term\Term;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;

/**
 * One event of a calendar, with all its recurrences, as a plan and the sessions that it makes: those on other days or
 * times than the plan's carry their date of the pattern, those beside the plan are extra.
 */
final readonly class ReadEvent
{
    /**
     * @param  list<string>  $categories
     * @param  int  $line  where it begins in the file
     * @param  SeriesPlan|null  $plan  null for an event of whole days
     * @param  list<PlannedSession>  $sessions  within the term, ascending
     * @param  list<Fault>  $warnings
     */
    public function __construct(
        public string $uid,
        public string $summary,
        public array $categories,
        public int $line,
        public ?SeriesPlan $plan,
        public array $sessions,
        public array $warnings = [],
    ) {
    }

    /**
     * The sessions as the school calendar lets them be: lost where a day is closed, cancelled where the plan has a date
     * that the event leaves out.
     *
     * @return list<PlannedSession>
     */
    public function over(Term $term): array
    {
        $out = [];
        $has = [];
        foreach ($this->sessions as $session) {
            $why = $term->closedBecause($session->day);
            $slot = $session->slot();
            if ($slot !== null) {
                $has[$slot] = true;
            }
            if ($why === null) {
                $out[] = $session;
            } elseif ($slot !== null && $term->contains($slot)) {
                $out[] = new PlannedSession(
                    $slot,
                    $session->start,
                    $session->end,
                    SessionState::Lost,
                    $term->closedBecause($slot) ?? $why,
                );
            }
        }
        foreach ($this->plan?->sessions($term) ?? [] as $planned) {
            if (! isset($has[$planned->day])) {
                $out[] =
                    $planned->state === SessionState::Lost
                        ? $planned
                        : $planned->cancelled(Because::NOT_READ);
            }
        }
        usort($out, fn (PlannedSession $a, PlannedSession $b): int => $a->start <=> $b->start);

        return $out;
    }

    /** Whether the text names a code as a word of its own: in the categories, or in the summary. */
    public function names(string $code): bool
    {
        $code = trim($code);
        foreach ($this->categories as $category) {
            if (mb_strtolower(trim($category)) === mb_strtolower($code)) {
                return true;
            }
        }

        return $code !== '' &&
            preg_match('/(?<![\pL\pN-])'.preg_quote($code, '/').'(?![\pL\pN-])/iu', $this->summary) === 1;
    }

    /** @return list<array{int, int}> UTC start and end of each session */
    public function spans(): array
    {
        return array_map(fn (PlannedSession $s): array => [$s->start, $s->end], $this->sessions);
    }

    public static function extra(int $day, int $start, int $end): PlannedSession
    {
        return new PlannedSession($day, $start, $end, SessionState::Planned, null, new SessionOverrides(isExtra: true));
    }
}
