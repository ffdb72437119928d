<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\Core\Timetable\SessionChangeForm;

/** A list of topics, one on each line, and how they go along. */
final class TopicsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'topics' => ['nullable', 'string', 'max:40000'],
            'topics_move' => ['nullable', 'boolean'],
            'from_first' => ['nullable', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['topics.max' => (string) __('said.sharing.too_long_list')];
    }

    public function change(): SessionChangeForm
    {
        return SessionChangeForm::topics(
            (string) $this->validated('topics'),
            $this->boolean('topics_move'),
            $this->boolean('from_first'),
        );
    }
}
