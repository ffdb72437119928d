<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Publishing;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nomada\App\Actions\Publishing\KeepMaterials;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Section;

final class MaterialController extends Controller
{
    public function store(Request $request, Section $section, KeepMaterials $keep): RedirectResponse
    {
        $this->authorize('serve', $section);
        $given = $request->validate(
            [
                'material_title' => ['required', 'string', 'max:120'],
                'material_address' => ['required', 'string', 'max:1000'],
                'material_session' => ['nullable', 'integer', 'between:1,9000000000000'],
            ],
            [
                'material_title.*' => __('publishing.materials.title_fault'),
                'material_address.*' => __('publishing.materials.address_fault'),
                'material_session.*' => __('publishing.materials.session_fault'),
            ],
        );
        $session = $given['material_session'] ?? null;
        $keep->add(
            $section,
            $session === null ? null : (int) $session,
            $given['material_title'],
            $given['material_address'],
            $this->person($request),
        );

        return back()->with('said', __('publishing.materials.added'));
    }

    public function destroy(Request $request, Section $section, int $material, KeepMaterials $keep): RedirectResponse
    {
        $this->authorize('serve', $section);
        $keep->remove($section, $material, $this->person($request));

        return back()->with('said', __('publishing.materials.removed'));
    }
}
