<?php

declare(strict_types=1);

namespace Nomada\App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Term\Section;

/** Placements that were chosen, each of a section that the person may act on. */
final class DriftRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'chosen' => ['required', 'array', 'max:2000'],
            'chosen.*' => ['integer', 'between:1,9000000000000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['chosen.*' => __('publishing.drift.fault'), 'chosen' => __('publishing.drift.fault')];
    }

    /** @return list<int> ids */
    public function placements(): array
    {
        $of = Placement::query()
            ->whereKey((array) $this->validated('chosen'))
            ->get(['id', 'section_id']);
        abort_if($of->isEmpty(), 404);
        Section::query()
            ->whereKey($of->pluck('section_id')->unique()->all())
            ->get()
            ->each(fn (Section $s) => Gate::authorize('serve', $s));

        return array_values(array_map(intval(...), $of->modelKeys()));
    }
}
