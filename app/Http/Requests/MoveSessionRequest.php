<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\Reach;
use Nomada\Core\Timetable\SessionChangeForm;
use Nomada\Core\Timetable\TypedSpan;

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
            'move_end' => ['nullable', 'string', 'max:20'],
            'reach' => ['nullable', 'in:this,later,whole'],
            'makes_up' => ['nullable', 'integer'],
            'why' => ['nullable', 'string', 'max:300'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'move_day.*' => (string) __('said.move_session.choose_day_moves'),
            'move_start.*' => (string) __('said.move_session.write_when_starts'),
            'move_end.*' => (string) __('said.move_session.write_when_ends'),
            'reach.*' => (string) __('said.move_session.choose_how_far'),
            'why.*' => (string) __('said.request.why_has_300'),
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
        $span = $this->span();

        return [$span->start, $span->minutes()];
    }

    /** @throws Fault */
    public function moved(): SessionChangeForm
    {
        [$start, $minutes] = $this->times();

        return SessionChangeForm::move($this->day(), $start, $minutes, $this->reach());
    }

    /**
     * An extra session, or one that makes up another.
     *
     * @throws Fault
     */
    public function added(): SessionChangeForm
    {
        [$start, $minutes] = $this->times();
        $madeUp = $this->filled('makes_up') ? $this->integer('makes_up') : null;

        return SessionChangeForm::add($this->day(), $start, $minutes, $madeUp);
    }

    /** A single session may be at any time of the day: what is unlikely is noted, not refused. */
    public function span(): TypedSpan
    {
        return TypedSpan::read(
            (string) $this->validated('move_start'),
            (string) $this->validated('move_end'),
            ['move_start', 'move_end'],
            asks: false,
        );
    }
}
