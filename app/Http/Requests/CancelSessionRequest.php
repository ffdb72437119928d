<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\Core\Timetable\SessionChangeForm;

/** Why a session is cancelled, and whether its topic stays with it. */
final class CancelSessionRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['reason' => ['nullable', 'string', 'max:160'], 'keeps_topic' => ['nullable', 'boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['reason.max' => (string) __('said.session.reason_has_160')];
    }

    public function change(): SessionChangeForm
    {
        return SessionChangeForm::cancel((string) $this->validated('reason'), $this->boolean('keeps_topic'));
    }
}
