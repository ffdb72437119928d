<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Publishing;

use Illuminate\Http\File;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use Nomada\App\Actions\Publishing\HandOutMaterial;
use Nomada\App\Actions\Publishing\KeepMaterials;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Section;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class MaterialController extends Controller
{
    public function store(Request $request, Section $section, KeepMaterials $keep): RedirectResponse
    {
        $this->authorize('serve', $section);
        $kilobytes = 1024 * (int) config('nomada.material_megabytes');
        $given = $request->validate(
            [
                'material_title' => ['required_without:material_file', 'nullable', 'string', 'max:120'],
                'material_address' => ['required_without:material_file', 'nullable', 'string', 'max:1000'],
                'material_file' => ['nullable', 'file', "max:$kilobytes"],
                'material_session' => ['nullable', 'integer', 'between:1,9000000000000'],
            ],
            [
                'material_title.*' => __('publishing.materials.title_fault'),
                'material_address.*' => __('publishing.materials.address_fault'),
                'material_file.*' => __('publishing.materials.file_fault', [
                    'n' => config('nomada.material_megabytes'),
                ]),
                'material_session.*' => __('publishing.materials.session_fault'),
            ],
        );
        $session = isset($given['material_session']) ? (int) $given['material_session'] : null;
        $file = $request->file('material_file');
        $title = trim((string) ($given['material_title'] ?? ''));
        $file instanceof UploadedFile
            ? $keep->addFile(
                $section,
                $session,
                $title,
                new File($file->path()),
                $file->getClientOriginalName(),
                $this->person($request),
            )
            : $keep->add($section, $session, $title, (string) $given['material_address'], $this->person($request));

        return back()->with('said', __('publishing.materials.added'));
    }

    public function file(Request $request, string $file, HandOutMaterial $out): StreamedResponse
    {
        [$path, $name] = $out($file, $this->person($request));

        // Saved, and never opened within our pages, whatever it says it is.
        return Storage::disk(KeepMaterials::DISK)->download($path, $name, [
            'Content-Type' => 'application/octet-stream',
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    public function destroy(
        Request $request,
        Section $section,
        int $material,
        KeepMaterials $keep,
    ): RedirectResponse {
        $this->authorize('serve', $section);
        $keep->remove($section, $material, $this->person($request));

        return back()->with('said', __('publishing.materials.removed'));
    }
}
