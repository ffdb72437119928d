<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\TypedDate;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\Solver\Question;
use Nomada\Core\Timetable\Solver\SolverRules;

/** What a coordinator asks the solver: from when, which sections, within which hours. */
final class FixClashesRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'from' => ['required', 'string', 'max:40'],
            'open' => ['required', 'string', 'max:20'],
            'close' => ['required', 'string', 'max:20'],
            'grid' => ['required', Rule::in(SolverRules::GRIDS)],
            'students' => ['required', 'in:must,should'],
            'scope' => ['required', 'string', 'max:40'],
            'pins' => ['nullable', 'array', 'max:1000'],
            'pins.*' => ['integer', 'min:1'],
            'pin' => ['nullable', 'integer', 'min:1'],
            'unpin' => ['nullable', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'from.*' => (string) __('said.fix.from'),
            'open.*' => (string) __('said.fix.hours'),
            'close.*' => (string) __('said.fix.hours'),
            '*' => (string) __('said.fix.choose'),
        ];
    }

    /**
     * @param  array<string, array{string, list<int>}>  $scopes  ids of sections by value of the field
     *
     * @throws Fault
     */
    public function question(Term $term, LocalDate $today, array $scopes): Question
    {
        $from = TypedDate::read((string) $this->validated('from'), $term->first, $term->last, 'from');
        $hours = array_map(
            fn (string $field): int => TypedTime::read((string) $this->validated($field), $field)->minute,
            ['open', 'close'],
        );
        $scope = $scopes[(string) $this->validated('scope')] ?? throw new Fault('solver.scope', 'scope');
        $pins = array_map(intval(...), (array) $this->validated('pins', []));
        $pins = array_diff([...$pins, (int) $this->validated('pin')], [0, (int) $this->validated('unpin')]);

        return new Question(
            Question::day($from, $term, $today),
            new SolverRules(
                [$hours[0], $hours[1]],
                $this->validated('students') === 'must',
                (int) $this->validated('grid'),
            ),
            $scope[1],
            array_values(array_unique($pins)),
        );
    }
}
