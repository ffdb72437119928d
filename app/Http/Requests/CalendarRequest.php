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
            'plan_name.*' => 'Write what the day plan is called, in 60 characters at most.',
            'periods.*' => 'List the periods of the day, one a line, as in: 1 9:00-9:45',
            'short_day.*' => 'Choose the short day.',
            'short_plan.*' => 'Choose the plan of that day.',
            'short_reason.*' => 'Write why the day is short; everybody reads it.',
            'open_day.*' => 'Choose a Saturday or Sunday of the term.',
            'rotation_kind.*' => 'Choose what rotates: days, weeks, or nothing.',
            'rotation_n.*' => 'A rotation has from 2 to 12 days. For none, choose "no rotation".',
            'pin_day.*' => 'Choose the day to be pinned.',
            'pin_to.*' => 'Write which rotation day it is.',
            'opens.*' => 'Write from when school is open, as in 8:00.',
            'closes.*' => 'Write until when school is open, as in 18:00.',
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
                throw new Fault(
                    '"'.
                        $this->validated('pin_to').
                        '" is no rotation day. There are '.
                        implode(', ', (new Rotation(false, $n, $isLettered))->labels()).
                        '.',
                    'pin_to',
                );
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
