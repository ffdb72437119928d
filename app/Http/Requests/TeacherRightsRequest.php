<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Nomada\Core\Fault;
use Nomada\Core\Timetable\Permission;
use Nomada\Core\Timetable\TeacherAct;
use Nomada\Core\Timetable\TeacherRights;

/** What teachers may do: a permission for each act, and how long before its start a session may be changed. */
final class TeacherRightsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $all = ['as_school' => ['nullable', 'boolean'], 'notice' => ['required_without:as_school', 'integer']];
        foreach (TeacherAct::cases() as $act) {
            $all[$act->value] = ['required_without:as_school', Rule::enum(Permission::class)];
        }

        return $all;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['notice.*' => (string) __('said.rights.notice'), '*' => (string) __('said.rights.choose')];
    }

    /** @throws Fault */
    public function rights(): TeacherRights
    {
        $of = [];
        foreach (TeacherAct::cases() as $act) {
            $of[$act->value] = Permission::from((string) $this->validated($act->value));
        }

        return TeacherRights::from($of, (int) $this->validated('notice'));
    }
}
