<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Nomada\App\Models\Term\Section;

/** Sections chosen on a board, each of which the person may act on. */
class ChosenSections extends FormRequest
{
    /** Where series were chosen, their sections. */
    protected function prepareForValidation(): void
    {
        $series = array_filter((array) $this->input('series', []), is_numeric(...));
        if ($series !== [] && ! $this->has('sections')) {
            $this->merge([
                'sections' => Section::query()
                    ->whereIn(
                        'id',
                        DB::table('series')->whereIn('id', array_map(intval(...), $series))->select('section_id'),
                    )
                    ->pluck('sourced_id')
                    ->all(),
            ]);
        }
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['sections' => ['required', 'array', 'max:2000'], 'sections.*' => ['string', 'max:255']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['sections.*' => (string) __('said.chosen_sections.choose_at_least')];
    }

    /** @return Collection<int, Section> */
    public function chosen(): Collection
    {
        $sections = Section::query()->whereIn('sourced_id', (array) $this->validated('sections'))->get();
        abort_if($sections->isEmpty(), 404);
        if (! $this->user()?->can('coordinate')) {
            $sections->each(fn (Section $s) => Gate::authorize('serve', $s));
        }

        return $sections->toBase();
    }
}
