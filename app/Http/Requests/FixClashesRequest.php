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
use Nomada\Core\Timetable\Solver\WhatIf;

/** What a coordinator asks the solver: from when, which sections, by which rules, and what is supposed. */
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
            'own_open' => ['nullable', 'string', 'max:20'],
            'own_close' => ['nullable', 'string', 'max:20'],
            'own_must' => ['nullable', 'boolean'],
            'pause' => ['nullable', 'integer'],
            'students_daily' => ['nullable', 'integer'],
            'teachers_daily' => ['nullable', 'integer'],
            'may_move' => ['nullable', 'boolean'],
            'off_person' => ['nullable', 'integer', 'exists:people,id'],
            'off_weekday' => ['nullable', 'integer', 'between:1,7'],
            'accounts' => ['nullable', 'integer', 'between:1,200'],
            'if_open' => ['nullable', 'string', 'max:20', 'required_with:if_close'],
            'if_close' => ['nullable', 'string', 'max:20', 'required_with:if_open'],
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
            'if_open.*' => (string) __('said.fix.hours'),
            'if_close.*' => (string) __('said.fix.hours'),
            'accounts.*' => (string) __('said.fix.accounts'),
            '*.integer' => (string) __('said.fix.number'),
            '*' => (string) __('said.fix.choose'),
        ];
    }

    /**
     * @param  SolverRules  $rules  of the term, for what the form leaves out
     * @param  array<string, array{string, list<int>}>  $scopes  ids of sections by value of the field
     *
     * @throws Fault
     */
    public function question(
        string $kind,
        Term $term,
        LocalDate $today,
        SolverRules $rules,
        array $scopes,
    ): Question {
        $from = TypedDate::read((string) $this->validated('from'), $term->first, $term->last, 'from');
        $scope = $scopes[(string) $this->validated('scope')] ?? throw new Fault('solver.scope', 'scope');
        $pins = array_map(intval(...), (array) $this->validated('pins', []));
        $pins = array_diff([...$pins, (int) $this->validated('pin')], [0, (int) $this->validated('unpin')]);

        return new Question(
            Question::day($from, $term, $today),
            new SolverRules(
                $this->hours('open', 'close') ?? $rules->hours,
                $this->validated('students') === 'must',
                (int) $this->validated('grid'),
                $this->hours('own_open', 'own_close') ?? $rules->ownHours,
                $this->boolean('own_must'),
                $this->number('pause') ?? $rules->pause,
                $this->number('students_daily'),
                $this->number('teachers_daily'),
            ),
            $scope[1],
            array_values(array_unique($pins)),
            kind: $kind,
            mayMove: $this->boolean('may_move'),
            whatIf: new WhatIf(
                $this->number('off_weekday') === null ? null : $this->number('off_person'),
                $this->number('off_person') === null ? null : $this->number('off_weekday'),
                $this->number('accounts'),
                $this->hours('if_open', 'if_close'),
            ),
        );
    }

    private function number(string $field): ?int
    {
        $given = $this->validated($field);

        return $given === null || $given === '' ? null : (int) $given;
    }

    /**
     * @return array{int, int}|null null where nothing was entered
     *
     * @throws Fault
     */
    private function hours(string $from, string $to): ?array
    {
        $read = fn (string $field): int => TypedTime::read((string) $this->validated($field), $field)->minute;

        return (string) $this->validated($from) === '' ? null : [$read($from), $read($to)];
    }
}
