<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Timetable\SessionChangeForm;

/** What is told of one session: who teaches it, its title, a note. */
final class TellSessionRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'title' => ['nullable', 'string', 'max:120'],
            'note' => ['nullable', 'string', 'max:400'],
            'teacher' => ['nullable', 'string', 'exists:people,sourced_id'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.max' => (string) __('said.tell_session.title_has_120'),
            'note.max' => (string) __('said.tell_session.note_has_400'),
            'teacher.*' => (string) __('said.tell_session.choose_teacher_from'),
        ];
    }

    public function change(): SessionChangeForm
    {
        return SessionChangeForm::describe(
            (string) $this->validated('title'),
            (string) $this->validated('note'),
            $this->teacher()?->id,
        );
    }

    private function teacher(): ?Person
    {
        $id = (string) $this->validated('teacher');

        return $id === '' ? null : Person::bySourcedId($id);
    }
}
