<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\Core\Joining\OpeningHours;

/** A drop-in room as it is typed: its name, its open hours in words, its preset. */
final class DropInRequest extends FormRequest
{
    /** Who may change a room is asked before what was typed is read; a new one's section is asked when it is known. */
    public function authorize(): bool
    {
        $room = $this->route('room');

        return $room === null ||
            Gate::check('serve', DropInRoom::findOrFail((int) $room)->section);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'hours' => ['required', 'string', 'max:300'],
            'preset' => ['required', 'string', 'max:40'],
            'section' => ['nullable', 'string', 'max:120'],
            'uid' => ['nullable', 'uuid'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => (string) __('said.drop_in.write_what_room'),
            'hours.*' => (string) __('said.drop_in.write_when_room'),
            'preset.*' => (string) __('said.drop_in.choose_preset_list'),
            'section.*' => (string) __('said.drop_in.choose_section'),
            'uid.*' => (string) __('said.drop_in.open_page_once'),
        ];
    }

    public function name(): string
    {
        return trim((string) $this->validated('name'));
    }

    public function hours(): OpeningHours
    {
        return OpeningHours::read((string) $this->validated('hours'));
    }

    public function preset(): string
    {
        return (string) $this->validated('preset');
    }
}
