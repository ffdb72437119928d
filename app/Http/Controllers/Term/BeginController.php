<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Term;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\School;
use Nomada\App\Support\StagedUpload;
use Nomada\App\Support\ZipText;
use Nomada\App\View\Term\BeginPage;
use Nomada\App\View\Term\SampleFolder;
use Symfony\Component\HttpFoundation\Response;

/** An empty school's first page: typed, or brought as files; either is looked at before it is saved. */
final class BeginController extends Controller
{
    public function show(): View|RedirectResponse
    {
        if (School::isSetUp()) {
            return $this->import();
        }

        return view('term.begin', ['page' => BeginPage::of()]);
    }

    public function store(Request $request): RedirectResponse
    {
        if (School::isSetUp()) {
            return $this->import();
        }
        $given = $request->validate(
            [
                'name' => ['required', 'string', 'max:120'],
                'zone' => ['required', 'timezone:all'],
                'term' => ['required', 'string', 'max:80'],
                'term_first' => ['required', 'date_format:Y-m-d'],
                'term_last' => ['required', 'date_format:Y-m-d'],
                'sections' => ['required', 'string', 'max:400000'],
                'students' => ['nullable', 'string', 'max:400000'],
            ],
            array_map(fn (string $field): string => __("begin.faults.$field"), BeginPage::FIELDS),
        );

        return redirect()->route('import.preview', StagedUpload::texts(BeginPage::files($given))->key);
    }

    /** What is typed is a whole school; to one that is there, only a file can be added and be looked at row by row. */
    private function import(): RedirectResponse
    {
        return redirect()
            ->route('import')
            ->withErrors(['files' => __('begin.there')]);
    }

    public function sample(): Response
    {
        return ZipText::respond('sample school', SampleFolder::files());
    }
}
