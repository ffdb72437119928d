<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\Core\Registration\Registering;

/** How students get into a series. */
final class RegisteringRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'mode' => ['required', 'in:roster,once,each'],
            'accepts_certain' => ['boolean'],
            'opens' => ['nullable', 'date_format:Y-m-d'],
            'closes' => ['nullable', 'date_format:Y-m-d'],
            'seats' => ['nullable', 'integer', 'between:1,5000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'mode.*' => 'Choose how students get in.',
            'opens.*' => 'Choose the day on which registration opens.',
            'closes.*' => 'Choose the last day of registration.',
            'seats.*' => 'Seats are from 1 to 5000; leave the field empty for no limit.',
        ];
    }

    public function registering(): ?Registering
    {
        $given = $this->validated();

        return $given['mode'] === 'roster'
            ? null
            : Registering::from([
                ...$given,
                'each' => $given['mode'] === 'each',
                'accepts_certain' => $this->boolean('accepts_certain'),
            ]);
    }
}
