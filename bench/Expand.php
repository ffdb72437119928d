<?php

declare(strict_types=1);

namespace Nomada\Bench;

use DateTimeZone;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\WeeklyPattern;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Recur\EventIterator;

/**
 * Expanding a whole term of 1,000 series of about 60 sessions each, in core/ and by sabre/vobject's EventIterator:
 * the same rules, the same zone, the closed days as exceptions. Both must find the same instants.
 */
final class Expand
{
    private const SERIES = 1000;

    private const ROUNDS = 5;

    public function run(): bool
    {
        $term = $this->term();
        $plans = $this->plans();
        $calendar = $this->events($plans, $term);
        $ours = $peer = [];
        $sumOurs = $sumPeer = 0;
        $memory = 0;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            memory_reset_peak_usage();
            $before = memory_get_usage();
            $at = hrtime(true);
            [$n, $sumOurs] = $this->ours($plans, $term);
            $ours[] = (hrtime(true) - $at) / 1e6;
            $memory = max($memory, memory_get_peak_usage() - $before);
            $at = hrtime(true);
            [$m, $sumPeer] = $this->peer($calendar);
            $peer[] = (hrtime(true) - $at) / 1e6;
        }
        sort($ours);
        sort($peer);
        $mid = intdiv(self::ROUNDS, 2);
        printf(
            "expand: %d series, %d sessions (%d by the peer), same instants: %s\n",
            self::SERIES,
            $n,
            $m,
            $sumOurs === $sumPeer ? 'yes' : 'NO',
        );
        printf(
            '  ours %.0f ms, sabre/vobject EventIterator %.0f ms (medians of %d): %.1f times faster; ours takes %.1f '.
                "MB at its peak\n",
            $ours[$mid],
            $peer[$mid],
            self::ROUNDS,
            $peer[$mid] / $ours[$mid],
            $memory / 1048576,
        );

        return $sumOurs === $sumPeer && $peer[$mid] / $ours[$mid] >= 5 && $memory < 128 * 1048576;
    }

    /**
     * All sessions of all series are held at once, as a page that needs them would.
     *
     * @param  list<SeriesPlan>  $plans
     * @return array{int, int} how many planned sessions, and the sum of their starts
     */
    private function ours(array $plans, Term $term): array
    {
        $all = array_map(fn (SeriesPlan $p): array => $p->sessions($term), $plans);
        $n = $sum = 0;
        foreach ($all as $sessions) {
            foreach ($sessions as $session) {
                if ($session->state === SessionState::Planned) {
                    $n++;
                    $sum += $session->start;
                }
            }
        }

        return [$n, $sum];
    }

    /**
     * @param  list<VEvent>  $events
     * @return array{int, int}
     */
    private function peer(array $events): array
    {
        $n = $sum = 0;
        $zone = new DateTimeZone('Europe/Madrid');
        foreach ($events as $event) {
            for ($it = new EventIterator([$event], null, $zone); $it->valid(); $it->next()) {
                $n++;
                $sum += (int) $it->getDtStart()?->getTimestamp();
            }
        }

        return [$n, $sum];
    }

    private function term(): Term
    {
        $closed = fn (string $a, string $b, string $why): Closure => new Closure(
            LocalDate::parse($a),
            LocalDate::parse($b),
            $why,
        );

        return new Term(
            'Spring term',
            LocalDate::parse('2027-01-11'),
            LocalDate::parse('2027-04-23'),
            Zone::named('Europe/Madrid'),
            [
                $closed('2027-01-29', '2027-01-29', 'Staff day'),
                $closed('2027-02-15', '2027-02-17', 'Carnival'),
                $closed('2027-03-22', '2027-04-02', 'Easter break'),
            ],
        );
    }

    /** @return list<SeriesPlan> every weekday, at a minute of their own */
    private function plans(): array
    {
        return array_map(
            fn (int $i): SeriesPlan => new SeriesPlan(
                new WeeklyPattern([1, 2, 3, 4, 5]),
                LocalDate::parse('2027-01-11'),
                SeriesEnd::withTerm(),
                480 + ($i % 420),
                45,
                Zone::named('Europe/Madrid'),
            ),
            range(1, self::SERIES),
        );
    }

    /**
     * The same as events: rule, zone, and the closed days as EXDATE. Made outside the measured part.
     *
     * @param  list<SeriesPlan>  $plans
     * @return list<VEvent>
     */
    private function events(array $plans, Term $term): array
    {
        $out = [];
        foreach ($plans as $i => $plan) {
            $calendar = new VCalendar();
            $time = sprintf('T%02d%02d00', intdiv($plan->startMinute, 60), $plan->startMinute % 60);
            $lost = array_filter($plan->sessions($term), fn ($s): bool => $s->state === SessionState::Lost);
            $event = $calendar->add('VEVENT', [
                'UID' => "series-$i",
                'RRULE' => 'FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR;UNTIL=20270423T220000Z',
            ]);
            assert($event instanceof VEvent);
            $event->add('DTSTART', '20270111'.$time, ['TZID' => 'Europe/Madrid']);
            $event->add('DURATION', 'PT45M');
            $event->add(
                'EXDATE',
                array_values(array_map(fn ($s): string => (new LocalDate($s->day))->basic().$time, $lost)),
                ['TZID' => 'Europe/Madrid'],
            );
            $out[] = $event;
        }

        return $out;
    }
}
