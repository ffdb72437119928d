<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Term;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Term\ImportSchool;
use Nomada\App\Actions\Term\UndoImport;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\School;
use Nomada\App\Models\Term\SchoolImport;
use Nomada\App\Support\StagedUpload;
use Nomada\App\View\Term\ImportPreview;
use Nomada\App\View\Term\ImportTally;

final class ImportController extends Controller
{
    public function create(): View
    {
        $last = UndoImport::last();

        return view('term.import', ['last' => $last, 'did' => ImportTally::words($last->tally ?? [])]);
    }

    /** Reads what was chosen and shows what is in it; nothing is saved yet. */
    public function store(Request $request): RedirectResponse
    {
        $request->validate(
            ['files' => ['required', 'array', 'max:20'], 'files.*' => ['file', 'max:65536']],
            [
                'files.required' => (string) __('said.import.choose_zip_or'),
                'files.*.max' => (string) __('said.import.file_may_have'),
                'files.*' => (string) __('said.import.choose_zip_or'),
            ],
        );
        $upload = StagedUpload::keep(
            array_values(
                array_filter(
                    (array) $request->file('files'),
                    fn (mixed $f): bool => $f instanceof \Illuminate\Http\UploadedFile,
                ),
            ),
        );

        return redirect()->route('import.preview', $upload->key);
    }

    public function preview(Request $request, string $key, ImportSchool $import): View
    {
        $data = StagedUpload::find($key)->read($this->zone($request));

        return view('term.import-preview', [
            'page' => ImportPreview::of($key, $data, $import, $this->person($request)),
        ]);
    }

    /**
     * Saves: all of it where there is no fault, the good rows where the person says so; of what is dangerous only what
     * is ticked.
     */
    public function take(Request $request, string $key, ImportSchool $import): RedirectResponse
    {
        $given = $request->validate([
            'sure' => ['nullable', 'array', 'max:20000'],
            'sure.*' => ['string', 'max:300'],
        ]);
        $upload = StagedUpload::find($key);
        $data = $upload->read($this->zone($request));
        if ($data->faults !== [] && ! $request->boolean('take_good')) {
            return redirect()
                ->route('import.preview', $key)
                ->withErrors([
                    'take_good' => (string) __('said.import.there_faults_mend'),
                ]);
        }
        if ($data->school === null && $data->faults !== []) {
            return redirect()
                ->route('import.preview', $key)
                ->withErrors(['take_good' => (string) __('said.import.without_good_row')]);
        }
        $done = $import(
            $data,
            $this->person($request),
            array_values(array_map(strval(...), (array) ($given['sure'] ?? []))),
        );
        $upload->forget();

        return redirect()->route('term')->with('said', $this->words($done));
    }

    /** The last import taken back. */
    public function undo(Request $request, int $import, UndoImport $undo): RedirectResponse
    {
        $undo(SchoolImport::findOrFail($import), $this->person($request));

        return redirect()->route('import')->with('said', (string) __('said.import.import_taken_back'));
    }

    /** The school's zone, where the files do not say it: as it is known, or as somebody has typed it. */
    private function zone(Request $request): string
    {
        $typed = $request->input('zone');

        return is_string($typed) && in_array($typed, \DateTimeZone::listIdentifiers(), true)
            ? $typed
            : School::zoneName();
    }

    /** @param  array<string, array{added: int, changed: int, removed: int}>  $done */
    private function words(array $done): string
    {
        $what = ImportTally::words($done);

        return $what === ''
            ? (string) __('said.import.nothing_new_school')
            : (string) __('said.import.imported', ['what' => $what]);
    }
}
