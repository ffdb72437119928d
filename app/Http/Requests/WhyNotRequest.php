<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\Core\Fault;
use Nomada\Core\Term\TypedTime;

/** A series and a time of the week that somebody points at. */
final class WhyNotRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'series' => ['nullable', 'integer', 'min:1'],
            'weekdays' => ['nullable', 'array', 'max:7'],
            'weekdays.*' => ['integer', 'between:1,7'],
            'start' => ['nullable', 'string', 'max:20'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*' => (string) __('said.fix.choose')];
    }

    /** The number of the series, 0 where none is chosen yet. */
    public function series(): int
    {
        return (int) $this->validated('series');
    }

    /**
     * @return array{list<int>, int|null} weekdays, and minutes from midnight; null where no time is entered yet
     *
     * @throws Fault
     */
    public function place(): array
    {
        $weekdays = array_map(intval(...), array_values((array) $this->validated('weekdays', [])));
        sort($weekdays);
        $start = (string) $this->validated('start');

        return [$weekdays, $start === '' ? null : TypedTime::read($start, 'start')->minute];
    }
}
