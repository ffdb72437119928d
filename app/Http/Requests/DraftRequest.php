<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A draft of the timetable of another term. */
final class DraftRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'to' => ['required', 'integer', 'exists:terms,id'],
            'title' => ['required', 'string', 'max:80'],
            'anew' => ['nullable', 'boolean'],
            'pins' => ['nullable', 'array', 'max:2000'],
            'pins.*' => ['integer', 'min:1'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'to.*' => (string) __('said.drafts.to'),
            'title.*' => (string) __('said.drafts.name'),
            '*' => (string) __('said.fix.choose'),
        ];
    }

    public function to(): int
    {
        return (int) $this->validated('to');
    }

    public function title(): string
    {
        return trim((string) $this->validated('title'));
    }

    /** @return list<int> series that keep their time */
    public function pins(): array
    {
        return array_map(intval(...), array_values((array) $this->validated('pins', [])));
    }
}
