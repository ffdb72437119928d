<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Section;
use Nomada\App\View\Timetable\SectionPage;

final class SectionController extends Controller
{
    public function __invoke(Request $request, Section $section, SectionPage $page): View
    {
        $this->authorize('view', $section);
        $edit = (string) $request->query('change', '');

        return view(
            'timetable.section',
            $page->data(
                $section,
                $this->person($request),
                $edit,
                (string) $request->query('day', ''),
                $request->integer('session'),
            ),
        );
    }
}
