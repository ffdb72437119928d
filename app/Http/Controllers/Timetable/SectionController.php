<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Section;
use Nomada\App\View\Timetable\Section\SectionQuery;

final class SectionController extends Controller
{
    public function __invoke(Request $request, Section $section, SectionQuery $page): View
    {
        $this->authorize('view', $section);

        return view('timetable.section', [
            'page' => $page->of(
                $section,
                $this->person($request),
                (string) $request->query('change', ''),
                (string) $request->query('day', ''),
                $request->integer('session'),
            ),
        ]);
    }
}
