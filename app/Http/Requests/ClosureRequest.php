<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\Core\Fault;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\LocalDate;

/** Days to be closed, as they are typed on the term page. */
final class ClosureRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'first' => ['required', 'date_format:Y-m-d'],
            'last' => ['nullable', 'date_format:Y-m-d'],
            'reason' => ['required', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'first.*' => (string) __('said.closure.choose_first_closed'),
            'last.*' => (string) __('said.closure.choose_last_closed'),
            'reason.*' => (string) __('said.closure.write_why_school'),
        ];
    }

    /** @throws Fault where the range ends before it begins */
    public function closure(): Closure
    {
        $first = LocalDate::parse((string) $this->validated('first'));
        $last = (string) $this->validated('last');
        try {
            return new Closure(
                $first,
                $last === '' ? $first : LocalDate::parse($last),
                trim((string) $this->validated('reason')),
            );
        } catch (Fault $e) {
            throw $e->at('last');
        }
    }
}
