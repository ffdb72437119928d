<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\View\LaterRows;
use Nomada\App\View\Timetable\Board\BoardFilter;
use Nomada\App\View\Timetable\Board\BoardPages;

final class BoardController extends Controller
{
    public function __invoke(Request $request, BoardPages $page): View|RedirectResponse
    {
        $person = $this->person($request);
        if (! $person->isStaff()) {
            return redirect()->route('me');
        }

        return view('timetable.board', [
            'page' => $page->page(
                $this->term(),
                $person,
                BoardFilter::tryFrom((string) $request->query('show', '')) ?? BoardFilter::All,
                (string) $request->query('year', ''),
            ),
        ]);
    }

    /** Rows that have come into sight. */
    public function rows(Request $request, BoardPages $page): View
    {
        return view('rows', [
            'page' => $page->rows($this->term(), $this->person($request), LaterRows::asked($request)),
            'row' => 'timetable.board.row',
        ]);
    }
}
