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
use Nomada\App\Support\KeptUpload;
use Nomada\App\View\Term\ImportPreview;

final class ImportController extends Controller
{
    public function create(): View
    {
        return view('term.import', ['last' => UndoImport::last()]);
    }

    /** Reads what was chosen and shows what is in it; nothing is saved yet. */
    public function store(Request $request): RedirectResponse
    {
        $request->validate(
            ['files' => ['required', 'array', 'max:20'], 'files.*' => ['file', 'max:65536']],
            [
                'files.required' => 'Choose a zip, or the CSV and iCalendar files.',
                'files.*.max' => 'A file may have 64 MB at most.',
                'files.*' => 'Choose a zip, or the CSV and iCalendar files.',
            ],
        );
        $upload = KeptUpload::keep(
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
        $data = KeptUpload::find($key)->read($this->zone($request));

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
        $upload = KeptUpload::find($key);
        $data = $upload->read($this->zone($request));
        if ($data->faults !== [] && ! $request->boolean('take_good')) {
            return redirect()
                ->route('import.preview', $key)
                ->withErrors([
                    'take_good' => 'There are faults. Mend them, or say that the good rows are to be taken.',
                ]);
        }
        if ($data->school === null && $data->faults !== []) {
            return redirect()
                ->route('import.preview', $key)
                ->withErrors(['take_good' => 'Without a good row of orgs.csv there is nothing to take.']);
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
        $undo(SchoolImport::query()->findOrFail($import), $this->person($request));

        return redirect()->route('import')->with('said', 'The import is taken back: what it changed is as it was.');
    }

    /** The school's zone, where the files do not say it: as it is known, or as somebody has typed it. */
    private function zone(Request $request): string
    {
        $typed = $request->input('zone');

        return is_string($typed) && in_array($typed, \DateTimeZone::listIdentifiers(), true)
            ? $typed
            : (string) School::query()->orderBy('id')->value('time_zone');
    }

    /** @param  array<string, array{added: int, changed: int, removed: int}>  $done */
    private function words(array $done): string
    {
        $parts = [];
        foreach ($done as $kind => $n) {
            foreach ($n as $what => $count) {
                if ($count > 0) {
                    $parts[] = "$count $kind $what";
                }
            }
        }

        return $parts === []
            ? 'Nothing was new: the school is as the files say.'
            : 'Imported: '.implode(', ', $parts).'.';
    }
}
