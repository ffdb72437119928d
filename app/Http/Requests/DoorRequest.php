<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\Floor;
use Nomada\Core\Joining\FloorRight;

/** A door and a floor, as they are chosen for one series, one session or a preset. */
final class DoorRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'preset_name' => ['nullable', 'string', 'max:60'],
            'changes' => ['nullable', 'string', 'max:40'],
            'opens_before' => ['required', 'integer', 'between:0,120'],
            'opens_before_hosts' => ['required', 'integer', 'between:0,240', 'gte:opens_before'],
            'needs_host' => ['boolean'],
            'straight_in' => ['required', 'in:nobody,accepted,roster,school,anyone'],
            'others_wait' => ['boolean'],
            'one_device' => ['boolean'],
            'hidden_outside' => ['boolean'],
            'only' => ['nullable', 'integer'],
            ...$this->rights(),
            'muted_on_entry' => ['boolean'],
            'speakers' => ['nullable', 'integer', 'between:1,1000'],
            'cameras' => ['nullable', 'integer', 'between:1,1000'],
        ];
    }

    /** @return array<string, mixed> */
    private function rights(): array
    {
        $out = [];
        foreach (FloorRight::cases() as $right) {
            $out[$right->value] = ['required', Rule::in(array_column($right->choices(), 'value'))];
        }

        return $out;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'opens_before.*' => (string) __('said.door.doors_open_0'),
            'opens_before_hosts.*' => (string) __('said.door.hosts_come_at'),
            'straight_in.*' => (string) __('said.door.choose_who_goes'),
            'speakers.*' => (string) __('said.door.limit_from_1'),
            'cameras.*' => (string) __('said.door.limit_from_1'),
            'record.*' => (string) __('said.door.recording_host_alone'),
            '*.in' => (string) __('said.door.choose_who_may'),
            '*.required' => (string) __('said.door.choose_who_may'),
            'preset_name.*' => (string) __('said.door.preset_name_has'),
        ];
    }

    public function door(): DoorRules
    {
        return DoorRules::from([
            ...$this->validated(),
            'needs_host' => $this->boolean('needs_host'),
            'others_wait' => $this->boolean('others_wait'),
            'one_device' => $this->boolean('one_device'),
            'hidden_outside' => $this->boolean('hidden_outside'),
        ]);
    }

    public function floor(): Floor
    {
        return Floor::from([...$this->validated(), 'muted_on_entry' => $this->boolean('muted_on_entry')]);
    }
}
