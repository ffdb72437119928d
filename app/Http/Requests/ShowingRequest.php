<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Nomada\Core\Fault;

/** What is where, as somebody has chosen it. */
final class ShowingRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'language' => ['required', 'string', 'max:35'],
            'next' => ['required', 'string', 'max:210'],
            'weeks' => ['required', 'string', 'max:210'],
            'days_before' => ['nullable', 'string', 'max:4'],
            'days_after' => ['nullable', 'string', 'max:4'],
            'amount' => ['required', 'string', 'in:all,short,nothing'],
            'answers' => ['nullable', 'string', 'max:20'],
            'audience' => ['nullable', 'string', 'in:all,chosen'],
            'people' => ['nullable', 'array', 'max:400'],
            'started_told' => ['nullable', 'string', 'in:email,stream,both'],
            'people.*' => ['string', 'max:100'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*' => __('showing.fault')];
    }

    /**
     * @return array<string, mixed> as {@see \Nomada\Core\Publishing\PublishingOptions::from()} reads them
     *
     * @throws Fault that names the field
     */
    public function rulesOf(): array
    {
        $isChosen = $this->typed('audience') === 'chosen';

        return [
            'language' => $this->typed('language'),
            'next' => $this->typed('next'),
            'weeks' => $this->typed('weeks'),
            'from' => $this->days('days_before', 'from'),
            'till' => $this->days('days_after', 'till'),
            'amount' => $this->typed('amount'),
            'answers' => $this->typed('answers') === '' ? null : $this->typed('answers'),
            'for' => $isChosen ? array_values(array_unique((array) $this->validated('people'))) : null,
        ];
    }

    private function typed(string $field): string
    {
        return trim((string) $this->validated($field));
    }

    /** @throws Fault */
    private function days(string $field, string $named): ?int
    {
        $typed = $this->typed($field);
        if ($typed !== '' && ! ctype_digit($typed)) {
            throw new Fault('showing.days_fault', $named);
        }

        return $typed === '' ? null : (int) $typed;
    }
}
