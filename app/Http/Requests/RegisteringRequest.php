<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\Core\Fault;
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
            'opens_on' => ['nullable', 'date_format:Y-m-d'],
            'closes_on' => ['nullable', 'date_format:Y-m-d'],
            'seats' => ['nullable', 'integer', 'between:1,5000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'mode.*' => (string) __('said.registering.choose_how_students'),
            'opens_on.*' => (string) __('said.registering.choose_day_which'),
            'closes_on.*' => (string) __('said.registering.choose_last_day'),
            'seats.*' => (string) __('said.registering.seats_from_1'),
        ];
    }

    /** @throws Fault where it closes before it opens */
    public function registering(): ?Registering
    {
        $given = $this->validated();

        if ($given['mode'] === 'roster') {
            return null;
        }
        try {
            return Registering::from([
                ...$given,
                'opens' => $given['opens_on'] ?? null,
                'closes' => $given['closes_on'] ?? null,
                'each' => $given['mode'] === 'each',
                'accepts_certain' => $this->boolean('accepts_certain'),
            ]);
        } catch (Fault $e) {
            throw $e->at($e->field === 'closes' ? 'closes_on' : $e->field);
        }
    }
}
