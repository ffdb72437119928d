<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\Reach;
use Nomada\Core\Timetable\TypedTime;

/**
 * Another day and time for one session, as people type them. A time that reads two ways is asked about, not guessed.
 */
final class MoveSessionRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'move_day' => ['required', 'date_format:Y-m-d'],
            'move_start' => ['required', 'string', 'max:20'],
            'move_end' => ['required', 'string', 'max:20'],
            'reach' => ['nullable', 'in:this,later,whole'],
            'makes_up' => ['nullable', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'move_day.*' => 'Choose the day it moves to.',
            'move_start.*' => 'Write when it starts, as in 9:05.',
            'move_end.*' => 'Write when it ends, as in 9:50.',
            'reach.*' => 'Choose how far the change goes.',
        ];
    }

    public function reach(): Reach
    {
        return Reach::tryFrom((string) $this->validated('reach')) ?? Reach::This;
    }

    public function day(): LocalDate
    {
        return LocalDate::parse((string) $this->validated('move_day'));
    }

    /**
     * Start and length in minutes.
     *
     * @return array{int, int}
     *
     * @throws Fault
     */
    public function times(): array
    {
        $start = $this->time('move_start');

        return [$start, $this->time('move_end') - $start];
    }

    private function time(string $field): int
    {
        $time = TypedTime::read((string) $this->validated($field), $field);
        if ($time->question !== null) {
            throw new Fault(
                "$time->question Write it with four figures, as in 15:00; times before 07:00 or after 21:00 are ".
                    'planned in the series.',
                $field,
            );
        }

        return $time->minute;
    }
}
