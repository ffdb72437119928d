<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\Core\Term\LocalDate;

/** Who a guest pass is for, until when, and for which session. */
final class GuestRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'guest_name' => ['required', 'string', 'max:120'],
            'guest_email' => ['nullable', 'email:rfc', 'max:160'],
            'until' => ['required', 'date_format:Y-m-d'],
            'only_day' => ['nullable', 'date_format:Y-m-d'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'guest_name.*' => 'Write who the pass is for.',
            'guest_email.*' => 'This is no e-mail address.',
            'until.*' => 'Choose until when the pass is good.',
            'only_day.*' => 'Choose the session\'s day.',
        ];
    }

    public function until(): LocalDate
    {
        return LocalDate::parse((string) $this->validated('until'));
    }

    public function onlyDay(): ?LocalDate
    {
        $day = (string) $this->validated('only_day');

        return $day === '' ? null : LocalDate::parse($day);
    }
}
