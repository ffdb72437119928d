<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\Core\Fault;
use Nomada\Core\Term\TypedTime;

/** A time of the week at which a teacher would rather not teach. */
final class WishRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'teacher' => ['nullable', 'integer', 'exists:people,id'],
            'wish_weekday' => ['required', 'integer', 'between:1,7'],
            'wish_open' => ['nullable', 'string', 'max:20'],
            'wish_close' => ['nullable', 'string', 'max:20'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*' => (string) __('said.fix.choose')];
    }

    /**
     * @return array{int, int, int} weekday, and minutes from midnight; the whole day where no times are entered
     *
     * @throws Fault
     */
    public function time(): array
    {
        $read = fn (string $field, int $empty): int => (string) $this->validated($field) === ''
            ? $empty
            : TypedTime::read((string) $this->validated($field), $field)->minute;

        return [(int) $this->validated('wish_weekday'), $read('wish_open', 0), $read('wish_close', 1440)];
    }
}
