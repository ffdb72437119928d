<?php

declare(strict_types=1);

namespace Nomada\App\View\Term\Calendar;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\ClosedRange;
use Nomada\App\Models\Term\DayPlanRow;
use Nomada\App\Models\Term\OpenedDay;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\ShortDayRow;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\App\View\Term\CalendarHistory;
use Nomada\App\View\Term\ClosingLook;
use Nomada\App\View\Typed;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term as TermCalendar;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\SessionState;
use stdClass;

/** Looks up the term as it is. */
final readonly class TermQuery
{
    public function __construct(private Clock $clock)
    {
    }

    public function of(Term $term, Person $for, ?ClosingLook $closing = null): TermPage
    {
        $calendar = $term->calendar();
        $width = self::width($calendar);

        return new TermPage(
            $term->id,
            $term->title,
            $calendar,
            count($calendar->openDays()),
            $this->terms(),
            $for->isCoordinator(),
            new TermWeeks($width, $this->weeks($term, $calendar, $width)),
            new TermClosures($closing, $this->closed($term), $this->toMakeUp($term)),
            CalendarHistory::of($term),
            new TermDays(
                array_values($term->dayPlans->map(fn (DayPlanRow $p): PlanRow => $this->plan($p))->all()),
                $this->plan(null),
                array_values(
                    $term->shortDays
                        ->map(
                            fn (ShortDayRow $s): ShortRow => new ShortRow(
                                $s->id,
                                Say::day(LocalDate::parse($s->day)),
                                $s->reason,
                                $term->dayPlans->firstWhere('id', $s->day_plan_id)->name ?? '',
                            ),
                        )
                        ->all(),
                ),
                $this->rotation($calendar),
                $term->openedDays
                    ->mapWithKeys(fn (OpenedDay $o): array => [$o->id => Say::day(LocalDate::parse($o->day))])
                    ->all(),
                TypedTime::format($calendar->hours[0]),
                TypedTime::format($calendar->hours[1]),
            ),
        );
    }

    /** A week is as long as the weekend days that are open make it. */
    private static function width(TermCalendar $calendar): int
    {
        $open = array_filter($calendar->opened, fn (LocalDate $d): bool => $calendar->isOpen($d->day));

        return max([5, ...array_map(fn (LocalDate $d): int => $d->weekday(), $open)]);
    }

    /** @return list<TermRow> */
    private function terms(): array
    {
        return array_values(
            Term::query()
                ->orderBy('starts_on')
                ->withCount('sections')
                ->get()
                ->map(
                    fn (Term $t): TermRow => new TermRow(
                        $t->id,
                        $t->title,
                        Say::dayMonth(LocalDate::parse($t->starts_on)),
                        substr($t->starts_on, 0, 4),
                        Say::dayMonth(LocalDate::parse($t->ends_on)),
                        substr($t->ends_on, 0, 4),
                        (int) $t->sections_count,
                    ),
                )
                ->all(),
        );
    }

    /** @return list<WeekRow> */
    private function weeks(Term $term, TermCalendar $calendar, int $width): array
    {
        $sessions = DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->where('state', SessionState::Planned)
            ->groupBy('day')
            ->pluck(DB::raw('count(*) as n'), 'day');
        $changes = $this->clockChanges($calendar);
        $today = $this->clock->today($calendar->zone)->day;
        $byWeek = $calendar->rotation?->byWeek === true;
        $weeks = [];
        for ($week = 1; $week <= $calendar->weeks(); $week++) {
            $monday = $calendar->monday($week);
            $days = array_map(function (int $offset) use ($monday, $calendar, $sessions, $today, $byWeek): DayCell {
                $date = $monday->plus($offset);

                return new DayCell(
                    $date,
                    $calendar->contains($date->day),
                    $calendar->closedBecause($date->day),
                    (int) ($sessions[$date->iso()] ?? 0),
                    $byWeek ? null : $calendar->rotationLabel($date->day),
                    $calendar->shortDay($date->day) !== null,
                    $date->day === $today,
                );
            }, range(0, $width - 1));
            $weeks[] = new WeekRow(
                $week,
                $monday,
                $days,
                $byWeek ? $calendar->rotationLabel(max($monday->day, $calendar->first->day)) : null,
                $changes[$week] ?? null,
            );
        }

        return $weeks;
    }

    /** @return array<int, ClockChange> by week */
    private function clockChanges(TermCalendar $calendar): array
    {
        $out = [];
        foreach (array_slice($calendar->zone->changes($calendar->starts(), $calendar->ends()), 1) as $change) {
            $date = $calendar->zone->dateAt($change['at']);
            $out[$calendar->weekOf($date->day)] = new ClockChange($change['offset'] > $change['before'], $date);
        }

        return $out;
    }

    /** @return list<ClosedRow> */
    private function closed(Term $term): array
    {
        $lost = DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->where('state', SessionState::Lost)
            ->groupBy('reason')
            ->get([
                'reason',
                DB::raw('count(*) as sessions'),
                DB::raw(
                    '(select count(distinct x.section_id) from series_sections x where x.series_id =
                        any(array_agg(sessions.series_id))) as sections',
                ),
            ])
            ->keyBy('reason');

        return array_values(
            $term->closures
                ->map(function (ClosedRange $c) use ($lost): ClosedRow {
                    $of = $lost->get($c->reason, new stdClass());
                    $last = LocalDate::parse($c->ends_on);

                    return new ClosedRow(
                        $c->id,
                        $c->reason,
                        LocalDate::parse($c->starts_on),
                        $c->ends_on > $c->starts_on ? $last : null,
                        (int) ($of->sessions ?? 0),
                        (int) ($of->sections ?? 0),
                    );
                })
                ->all(),
        );
    }

    /** Lost and cancelled sessions that nothing makes up. */
    private function toMakeUp(Term $term): int
    {
        return DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->whereIn('state', [SessionState::Lost, SessionState::Cancelled])
            ->whereNotExists(
                fn ($q) => $q
                    ->from('sessions as made')
                    ->whereColumn('made.series_id', 'sessions.series_id')
                    ->whereColumn('made.makes_up', 'sessions.day')
                    ->where('made.state', SessionState::Planned),
            )
            ->count();
    }

    /** A plan as it is, or as it was typed last where its form came back with a fault. */
    private function plan(?DayPlanRow $plan): PlanRow
    {
        $isTyped = Typed::has('plan_name') && Typed::text('plan') === (string) ($plan->id ?? '');

        return new PlanRow(
            $plan?->id,
            $isTyped ? Typed::text('plan_name') : $plan->name ?? '',
            $isTyped ? Typed::text('periods') : $plan?->toCore()->typed() ?? '',
            count($plan->periods ?? []),
            $plan->is_usual ?? false,
            $isTyped,
        );
    }

    private function rotation(TermCalendar $calendar): RotationCard
    {
        $rotation = $calendar->rotation;
        $stands = $rotation === null ? 'none' : ($rotation->byWeek ? 'week' : 'day');
        $pins = [];
        foreach ($rotation->pins ?? [] as $day => $number) {
            $pins[(new LocalDate($day))->iso()] = (string) $rotation?->label($number);
        }

        return new RotationCard(
            $rotation?->labels() ?? [],
            $rotation->byWeek ?? false,
            Typed::text('rotation_kind', $stands),
            Typed::text('rotation_n', $rotation->n ?? 2),
            (bool) Typed::text('lettered', $rotation === null || $rotation->isLettered),
            $pins,
        );
    }
}
