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
            'until' => ['nullable', 'required_without:only_day', 'date_format:Y-m-d'],
            'only_day' => ['nullable', 'date_format:Y-m-d'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'guest_name.*' => (string) __('said.guest.write_who_pass'),
            'guest_email.*' => (string) __('said.guest.no_e_mail'),
            'until.*' => (string) __('said.guest.choose_until_when'),
            'only_day.*' => (string) __('said.guest.choose_session_day'),
        ];
    }

    /** Null where the session alone says it. */
    public function until(): ?LocalDate
    {
        $day = (string) $this->validated('until');

        return $day === '' ? null : LocalDate::parse($day);
    }

    public function onlyDay(): ?LocalDate
    {
        $day = (string) $this->validated('only_day');

        return $day === '' ? null : LocalDate::parse($day);
    }
}
