<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\Core\Term\LocalDate;

/** A new term, as it is typed on the term page. */
final class TermRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'term_title' => ['required', 'string', 'max:80'],
            'term_first' => ['required', 'date_format:Y-m-d'],
            'term_last' => ['required', 'date_format:Y-m-d'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'term_title.*' => (string) __('said.term.write_what_term'),
            'term_first.*' => (string) __('said.term.choose_first_day'),
            'term_last.*' => (string) __('said.term.choose_last_day'),
        ];
    }

    public function first(): LocalDate
    {
        return LocalDate::parse((string) $this->validated('term_first'));
    }

    public function last(): LocalDate
    {
        return LocalDate::parse((string) $this->validated('term_last'));
    }
}
