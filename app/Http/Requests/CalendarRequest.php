<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\Core\Fault;
use Nomada\Core\Term\DayPlan;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Rotation;
use Nomada\Core\Term\TypedTime;

/** What is typed on the term page about day plans, short and opened days, rotation and open hours. */
final class CalendarRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return match ($this->route()?->getName()) {
            'day-plans.store' => [
                'plan' => ['nullable', 'integer'],
                'plan_name' => ['required', 'string', 'max:60'],
                'periods' => ['required', 'string', 'max:4000'],
            ],
            'short-days.store' => [
                'short_day' => ['required', 'date_format:Y-m-d'],
                'short_plan' => ['required', 'integer'],
                'short_reason' => ['required', 'string', 'max:80'],
            ],
            'opened-days.store' => ['open_day' => ['required', 'date_format:Y-m-d']],
            'rotation.update' => [
                'rotation_kind' => ['required', 'in:none,day,week'],
                'rotation_n' => ['nullable', 'required_unless:rotation_kind,none', 'integer'],
                'lettered' => ['nullable', 'boolean'],
                'pin_day' => ['nullable', 'date_format:Y-m-d'],
                'pin_to' => ['nullable', 'required_with:pin_day', 'string', 'max:3'],
                'unpin' => ['nullable', 'date_format:Y-m-d'],
            ],
            default => ['opens' => ['required', 'string', 'max:20'], 'closes' => ['required', 'string', 'max:20']],
        };
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'plan_name.*' => (string) __('said.calendar.write_what_day'),
            'periods.*' => (string) __('said.calendar.periods'),
            'short_day.*' => (string) __('said.calendar.choose_short_day'),
            'short_plan.*' => (string) __('said.calendar.choose_plan_day'),
            'short_reason.*' => (string) __('said.calendar.write_why_day'),
            'open_day.*' => (string) __('said.calendar.choose_saturday_or'),
            'rotation_kind.*' => (string) __('said.calendar.choose_what_rotates'),
            'rotation_n.*' => (string) __('said.calendar.rotation_has_from'),
            'pin_day.*' => (string) __('said.calendar.choose_day_be'),
            'pin_to.*' => (string) __('said.calendar.write_which_rotation'),
            'opens.*' => (string) __('said.calendar.write_from_when'),
            'closes.*' => (string) __('said.calendar.write_until_when'),
        ];
    }

    public function dayPlan(): DayPlan
    {
        return DayPlan::read((string) $this->validated('plan_name'), (string) $this->validated('periods'));
    }

    public function day(string $field): LocalDate
    {
        return LocalDate::parse((string) $this->validated($field));
    }

    /**
     * The rotation that is asked for; pins of before stay where they still count.
     *
     * @throws Fault
     */
    public function rotation(?Rotation $before): ?Rotation
    {
        if ($this->validated('rotation_kind') === 'none') {
            return null;
        }
        $n = (int) $this->validated('rotation_n');
        $isLettered = $this->boolean('lettered');
        $pins = array_filter($before->pins ?? [], fn (int $number): bool => $number <= $n);
        if ((string) $this->validated('unpin') !== '') {
            unset($pins[LocalDate::parse((string) $this->validated('unpin'))->day]);
        }
        if ((string) $this->validated('pin_day') !== '') {
            $number = (new Rotation(false, $n, $isLettered))->numberOf((string) $this->validated('pin_to'));
            $pins[LocalDate::parse((string) $this->validated('pin_day'))->day] =
                $number ??
                throw new Fault('said.calendar.no_label', 'pin_to', [
                    'typed' => (string) $this->validated('pin_to'),
                    'labels' => (new Rotation(false, $n, $isLettered))->labels(),
                ]);
        }

        return new Rotation($this->validated('rotation_kind') === 'week', $n, $isLettered, $pins);
    }

    /** @return array{int, int} minutes from midnight */
    public function hours(): array
    {
        return [
            TypedTime::read((string) $this->validated('opens'), 'opens')->minute,
            TypedTime::read((string) $this->validated('closes'), 'closes')->minute,
        ];
    }
}
