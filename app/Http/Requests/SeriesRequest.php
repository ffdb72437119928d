<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Rotation;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\DatesPattern;
use Nomada\Core\Timetable\OpenDaysPattern;
use Nomada\Core\Timetable\Pattern;
use Nomada\Core\Timetable\Patterns;
use Nomada\Core\Timetable\RotationPattern;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\TypedSpan;
use Nomada\Core\Timetable\WeeklyPattern;

/** What the series editor sends, read into a plan. What it cannot read it says beside the field. */
final class SeriesRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'title' => ['nullable', 'string', 'max:120'],
            'kind' => ['required', 'in:weekly,open-days,every-days,month-weekday,month-day,dates,rotation,keep'],
            'labels' => ['array'],
            'labels.*' => ['string', 'max:3'],
            'rotation_weekdays' => ['array'],
            'rotation_weekdays.*' => ['integer', 'between:1,7'],
            'at' => ['nullable', 'in:clock,period'],
            'period' => ['nullable', 'required_if:at,period', 'string', 'max:40'],
            'reach' => ['nullable', 'in:whole,later'],
            'from_day' => ['nullable', 'required_if:reach,later', 'date_format:Y-m-d'],
            'weekdays' => ['array'],
            'weekdays.*' => ['integer', 'between:1,7'],
            'every' => ['nullable', 'integer', 'between:1,26'],
            'every_days' => ['nullable', 'required_if:kind,every-days', 'integer', 'between:1,60'],
            'month_nth' => ['nullable', 'required_if:kind,month-weekday', 'in:1,2,3,4,5,-1'],
            'month_weekday' => ['nullable', 'required_if:kind,month-weekday', 'integer', 'between:1,7'],
            'month_day' => ['nullable', 'required_if:kind,month-day', 'integer', 'between:1,31'],
            'dates' => ['nullable', 'required_if:kind,dates', 'string', 'max:8000'],
            'start_time' => ['nullable', 'required_unless:at,period', 'string', 'max:20'],
            'end_time' => ['nullable', 'string', 'max:20'],
            'starts_on' => ['nullable', 'required_unless:kind,dates', 'date_format:Y-m-d'],
            'end_kind' => ['required', 'in:date,term,held,keep'],
            'ends_on' => ['nullable', 'required_if:end_kind,date', 'date_format:Y-m-d'],
            'count' => ['nullable', 'required_if:end_kind,held', 'integer', 'between:1,400'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind.*' => (string) __('said.series.choose_when_series'),
            'weekdays.*' => (string) __('said.series.choose_at_least'),
            'every.*' => (string) __('said.series.write_number_weeks'),
            'every_days.*' => (string) __('said.series.write_number_days'),
            'month_day.*' => (string) __('said.series.write_day_month'),
            'month_nth.*' => (string) __('said.series.choose_which_one'),
            'month_weekday.*' => (string) __('said.series.choose_weekday'),
            'dates.*' => (string) __('said.series.list_dates_18'),
            'labels.*' => (string) __('said.series.choose_at_least_2'),
            'period.*' => (string) __('said.series.choose_period'),
            'reach.*' => (string) __('said.series.choose_how_far'),
            'from_day.*' => (string) __('said.series.choose_first_session'),
            'start_time.*' => (string) __('said.series.write_when_session'),
            'end_time.*' => (string) __('said.series.write_when_session_2'),
            'starts_on.*' => (string) __('said.series.choose_first_day'),
            'end_kind.*' => (string) __('said.series.choose_how_series'),
            'ends_on.*' => (string) __('said.series.choose_last_day'),
            'count.*' => (string) __('said.series.write_how_many'),
            'title.max' => (string) __('said.series.title_has_120'),
        ];
    }

    /** @throws Fault naming the field */
    public function plan(Section $section, ?Series $series): SeriesPlan
    {
        $term = $section->term->calendar();
        $listed =
            $this->input('kind') === 'dates'
                ? DatesPattern::read((string) $this->input('dates'), $term->first, $term->last)
                : null;
        $first = $listed === null ? $this->inTerm('starts_on', $term) : $this->allInTerm($listed, $term);
        $period = $this->input('at') === 'period' ? (string) $this->input('period') : null;
        [$start, $end] = $period === null ? $this->times() : $this->periodTimes($period, $term);

        return new SeriesPlan(
            $listed ?? $this->pattern($series, $first),
            $first,
            $listed === null
                ? $this->end($series, $term)
                : SeriesEnd::onDate(new LocalDate($listed->days[count($listed->days) - 1])),
            $start,
            $end - $start,
            $series === null ? $term->zone : Zone::named($series->time_zone),
            $period,
        );
    }

    /**
     * The first date that changes, where the edit goes for "this and later ones"; null for the whole series.
     *
     * @throws Fault
     */
    public function from(?Series $series): ?LocalDate
    {
        return $series === null || $this->input('reach') !== 'later'
            ? null
            : $this->inTerm('from_day', $series->section->term->calendar());
    }

    /**
     * What reads two ways, or like a slip, is asked about: the editor sends the answer as `sure_…`.
     *
     * @return array{int, int}
     */
    private function times(): array
    {
        $typed = fn (string $field): string => (string) $this->input($field);
        $span = TypedSpan::read(
            $typed('start_time'),
            $typed('end_time'),
            ['start_time', 'end_time'],
            [$typed('sure_start_time'), $typed('sure_end_time')],
        );

        return [$span->start, $span->end];
    }

    /** @return array{int, int} the usual times of a period */
    private function periodTimes(string $name, Term $term): array
    {
        $period = $term->plan?->period($name) ?? throw new Fault('said.series.usual_day_plan', 'period');

        return [$period->start, $period->end];
    }

    private function allInTerm(DatesPattern $listed, Term $term): LocalDate
    {
        foreach ($listed->days as $day) {
            if (! $term->contains($day)) {
                throw new Fault('said.series.list_outside', 'dates', [
                    'day' => new LocalDate($day),
                    'first' => $term->first,
                    'last' => $term->last,
                ]);
            }
        }

        return new LocalDate($listed->days[0]);
    }

    private function pattern(?Series $series, LocalDate $first): Pattern
    {
        if ($this->input('kind') === 'keep' && $series !== null) {
            return $series->plan()->pattern;
        }

        return match ($this->input('kind')) {
            'open-days' => new OpenDaysPattern(),
            'rotation' => new RotationPattern(
                $this->rotation($series)->byWeek,
                array_map(strval(...), array_values((array) $this->input('labels', []))),
                array_map(intval(...), array_values((array) $this->input('rotation_weekdays', []))),
            ),
            'every-days' => Patterns::everyDays($this->integer('every_days'), $first),
            'month-weekday' => Patterns::monthWeekday(
                $this->integer('month_nth'),
                $this->integer('month_weekday'),
                $first,
            ),
            'month-day' => Patterns::monthDay($this->integer('month_day'), $first),
            default => new WeeklyPattern(
                array_map(intval(...), array_values((array) $this->input('weekdays', []))),
                $this->integer('every', 1) ?: 1,
            ),
        };
    }

    private function rotation(?Series $series): Rotation
    {
        $section = $this->route('section');

        return ($series->section ?? ($section instanceof Section ? $section : null))?->term->calendar()->rotation ??
            throw new Fault('said.series.term_has_no', 'rotation');
    }

    private function end(?Series $series, Term $term): SeriesEnd
    {
        return match ($this->input('end_kind')) {
            'date' => SeriesEnd::onDate($this->inTerm('ends_on', $term)),
            'held' => SeriesEnd::afterHeld($this->integer('count')),
            'keep' => $series === null ? SeriesEnd::withTerm() : $series->plan()->end,
            default => SeriesEnd::withTerm(),
        };
    }

    private function inTerm(string $field, Term $term): LocalDate
    {
        $date = LocalDate::parse((string) $this->input($field));
        if (! $term->contains($date->day)) {
            throw new Fault('said.series.outside', $field, [
                'day' => $date,
                'first' => $term->first,
                'last' => $term->last,
            ]);
        }

        return $date;
    }
}
