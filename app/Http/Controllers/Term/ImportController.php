<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Term;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Term\ImportSchool;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Support\KeptUpload;

final class ImportController extends Controller
{
    public function create(): View
    {
        return view('term.import');
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

    public function preview(string $key): View
    {
        $data = KeptUpload::find($key)->read();

        return view('term.import-preview', ['data' => $data, 'key' => $key]);
    }

    /** Saves: all of it where there is no fault, the good rows where the person says so. */
    public function take(Request $request, string $key, ImportSchool $import): RedirectResponse
    {
        $upload = KeptUpload::find($key);
        $data = $upload->read();
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
        $done = $import($data);
        $upload->forget();

        return redirect()->route('term')->with('said', $this->words($done));
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
