<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Editor;

use Nomada\App\Models\Term\MembershipRow;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\FreeTimesQuery;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\App\View\DateText;
use Nomada\App\View\Timetable\Panel\FreeLine;
use Nomada\App\View\Typed;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Rotation;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\TypedSpan;

/** Fills in the series editor. */
final readonly class SeriesEditorQuery
{
    public function __construct(private Clock $clock, private FreeTimesQuery $free)
    {
    }

    /**
     * @param  Section  $section  with its term, its series and their sessions
     * @param  Series|null  $series  null for a new one
     */
    public function of(Section $section, ?Series $series, int $students): SeriesEditor
    {
        $term = $section->term->calendar();
        $plan = $series?->plan();
        $pattern = $series->pattern ?? ['kind' => 'weekly', 'weekdays' => [], 'every' => 1];
        $ends = $series->ends ?? ['kind' => 'term'];
        $rule = RuleText::read((string) ($pattern['rule'] ?? ''));
        $weekdays = Typed::numbers('weekdays', $pattern['weekdays'] ?? []);
        $names = $this->weekdays($term, $weekdays);
        $end = $plan === null ? null : $plan->startMinute + $plan->minutes;
        $today = $this->clock->today($term->zone)->day;
        $first = (new LocalDate(max($term->first->day, min($today, $term->last->day))))->iso();
        $next = $series === null ? null : $this->next($series);

        return new SeriesEditor(
            $section,
            $series,
            Typed::text('title', $series->title ?? ''),
            new TimeFields(
                Typed::text('sure_start_time', self::sure($plan?->startMinute)),
                Typed::text('sure_end_time', self::sure($end)),
                Typed::text('at', $series?->period !== null ? 'period' : 'clock'),
                $this->periods($term),
                Typed::text('period', $series?->period),
                Typed::text('start_time', $plan === null ? '' : TypedTime::format($plan->startMinute)),
                Typed::text('end_time', $end === null ? '' : TypedTime::format($end)),
                Say::place($plan->zone ?? $term->zone),
            ),
            new RepeatFields(
                Typed::text('kind', $pattern['kind'] === 'rule' ? $rule->kind : $pattern['kind']),
                self::ticks($names, $weekdays),
                Typed::text('every', $pattern['every'] ?? 1),
                array_map(
                    fn (int $weekday): string => Say::this(Said::weekdayName($weekday)),
                    array_combine(array_keys($names), array_keys($names)),
                ),
                $term->rotation === null ? null : $this->rotation($term->rotation, $pattern, $names),
                Typed::text('every_days', $rule->days),
                Typed::text('month_nth', $rule->nth),
                Typed::text('month_weekday', $rule->weekday),
                Typed::text('month_day', $rule->monthDay),
                Typed::text('dates', implode("\n", array_map(DateText::of(...), $pattern['dates'] ?? []))),
                $plan !== null && $rule->kind === 'keep' && $pattern['kind'] === 'rule'
                    ? Say::this($plan->pattern->said())
                    : null,
            ),
            new SpanFields(
                $series->starts_on ?? $first,
                Typed::text(
                    'end_kind',
                    in_array($ends['kind'], ['date', 'term', 'held'], true) ? $ends['kind'] : 'keep',
                ),
                $ends['date'] ?? $term->last->iso(),
                Typed::text('count', $ends['kind'] === 'held' ? $ends['n'] : ''),
                $ends['kind'] === 'counted' ? (int) $ends['n'] : null,
                $term->first->iso(),
                $term->last->iso(),
                Say::day($term->last),
            ),
            $next,
            Typed::text('reach', 'whole'),
            $series === null ? [] : FreeLine::ofSeries($this->free->forSeries($series), new LocalDate($today)),
            $students,
            array_values(
                $section->memberships
                    ->whereNotIn('role', [MembershipRole::Student, MembershipRole::Observer])
                    ->map(fn (MembershipRow $p): string => $p->person->shortName())
                    ->all(),
            ),
        );
    }

    /** That a time means itself: nobody is asked about what they did not type. */
    private static function sure(?int $minute): string
    {
        return $minute === null ? '' : TypedSpan::answer($minute, TypedTime::format($minute));
    }

    /**
     * A Saturday can be chosen where one is opened in this term, or where the series has it already.
     *
     * @param  list<int>  $chosen
     * @return array<int, string> short names by ISO number, Monday first
     */
    private function weekdays(Term $term, array $chosen): array
    {
        $held = array_unique([
            ...$term->weekdays(),
            ...array_filter($chosen, fn (int $n): bool => $n >= 1 && $n <= 7),
        ]);
        sort($held);

        return array_combine($held, array_map(Say::weekday(...), $held));
    }

    /**
     * @param  array<int, string>  $names
     * @param  list<int>  $chosen
     * @return list<Tick>
     */
    private static function ticks(array $names, array $chosen): array
    {
        return array_map(
            fn (int $n): Tick => new Tick((string) $n, $names[$n], in_array($n, $chosen, true)),
            array_keys($names),
        );
    }

    /**
     * @param  array<string, mixed>  $pattern
     * @param  array<int, string>  $names
     */
    private function rotation(Rotation $rotation, array $pattern, array $names): RotationChoice
    {
        $labels = Typed::texts('labels', $pattern['labels'] ?? []);
        $stands = $pattern['kind'] === 'rotation' ? $pattern['weekdays'] ?? [] : [];

        return new RotationChoice(
            $rotation->byWeek,
            array_map(
                fn (string $label): Tick => new Tick($label, $label, in_array($label, $labels, true)),
                $rotation->labels(),
            ),
            $rotation->byWeek ? self::ticks($names, Typed::numbers('rotation_weekdays', $stands)) : [],
        );
    }

    /** @return array<string, string> */
    private function periods(Term $term): array
    {
        $out = [];
        foreach ($term->plan->periods ?? [] as $p) {
            $out[$p->name] = "$p->name, ".TypedTime::format($p->start).'–'.TypedTime::format($p->end);
        }

        return $out;
    }

    /** The first session that an edit of "this and later" could change. */
    private function next(Series $series): ?string
    {
        $next = $series->sessions->first(
            fn (Session $s): bool => (int) $s->starts_at->timestamp > $this->clock->seconds() && ! $s->is_extra,
        );

        return $next === null ? null : $next->moved_from ?? $next->day;
    }
}
