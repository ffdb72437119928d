<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedDate;

/** A series without a time: how many sessions a week, how long, from when and until. */
final class SeriesToPlaceRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'title' => ['nullable', 'string', 'max:120'],
            'per_week' => ['required', 'integer'],
            'length' => ['required', 'integer'],
            'from' => ['nullable', 'string', 'max:40'],
            'until' => ['nullable', 'string', 'max:40'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.*' => (string) __('said.to_place.title'),
            'per_week.*' => (string) __('said.to_place.per_week'),
            'length.*' => (string) __('said.to_place.minutes'),
            '*' => (string) __('said.fix.from'),
        ];
    }

    /**
     * @return array{LocalDate, LocalDate|null} from when and until
     *
     * @throws Fault
     */
    public function dates(Section $section): array
    {
        $term = $section->term->calendar();
        $read = fn (string $field): ?LocalDate => (string) $this->validated($field) === ''
            ? null
            : TypedDate::read((string) $this->validated($field), $term->first, $term->last, $field);

        return [$read('from') ?? $term->first, $read('until')];
    }
}
