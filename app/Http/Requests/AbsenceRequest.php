<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\Core\Term\LocalDate;

/** An absence that is told: from a day to a day, and why. */
final class AbsenceRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'from_day' => ['required', 'string'],
            'last' => ['nullable', 'string'],
            'why' => ['nullable', 'string', 'max:300'],
            'who' => ['nullable', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['from_day.*' => __('attendance.absence.from_fault'), '*' => __('attendance.absence.fault')];
    }

    public function first(): LocalDate
    {
        return LocalDate::parse((string) $this->validated('from_day'));
    }

    public function last(): LocalDate
    {
        $last = $this->validated('last');

        return $last === null ? $this->first() : LocalDate::parse((string) $last);
    }

    public function why(): string
    {
        return (string) $this->validated('why');
    }
}
