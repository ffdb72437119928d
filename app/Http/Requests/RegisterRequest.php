<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A student's registration: name and address as typed, and the sessions. */
final class RegisterRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'typed_name' => ['required', 'string', 'max:160', 'not_regex:/[\x00-\x1f\x7f]/'],
            'typed_email' => ['required', 'string', 'email:rfc', 'max:160', 'not_regex:/[\x00-\x20\x7f,;<>]/'],
            'days' => ['nullable', 'array', 'max:300'],
            'days.*' => ['date_format:Y-m-d'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'typed_name.*' => __('faults.registration.name'),
            'typed_email.*' => __('faults.registration.email'),
            'days.*' => __('faults.registration.list'),
            'days.*.*' => __('faults.registration.list'),
        ];
    }
}
