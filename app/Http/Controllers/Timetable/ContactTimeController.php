<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Term\SetTarget;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\ChosenSections;
use Nomada\App\Support\SheetFile;
use Nomada\App\View\LaterRows;
use Nomada\App\View\Timetable\Contact\ContactPage;
use Nomada\App\View\Timetable\Contact\ContactRow;
use Nomada\App\View\Timetable\Contact\ContactRows;
use Symfony\Component\HttpFoundation\Response;

final class ContactTimeController extends Controller
{
    public function index(Request $request, ContactRows $rows): View
    {
        return view('timetable.contact-time', [
            'page' => new ContactPage(
                $rows($this->term(), $this->person($request)),
                (string) $request->query('year', ''),
                $this->person($request)->isCoordinator(),
            ),
        ]);
    }

    /** Rows that have come into sight. */
    public function rows(Request $request, ContactRows $rows): View
    {
        return view('rows', [
            'page' => new ContactPage(
                $rows($this->term(), $this->person($request), only: LaterRows::asked($request)),
                '',
                $this->person($request)->isCoordinator(),
            ),
            'row' => 'timetable.contact-time.row',
        ]);
    }

    public function export(Request $request, string $as, ContactRows $rows): Response
    {
        $rows = array_map(
            fn (ContactRow $r): array => [
                $r->id,
                $r->name,
                $r->teacher,
                $r->sessions,
                $r->time->planned,
                $r->time->held,
                $r->time->coming,
                $r->time->lost,
                $r->time->madeUp,
                $r->time->target,
                $r->time->short(),
            ],
            $rows($this->term(), $this->person($request), (string) $request->query('year', '')),
        );

        return (new SheetFile(
            "contact time {$this->term()->title}",
            [
                'section',
                'name',
                'teacher',
                'sessions',
                'planned_minutes',
                'held_minutes',
                'coming_minutes',
                'lost_minutes',
                'made_up_minutes',
                'target_minutes',
                'short_minutes',
            ],
            $rows,
        ))->respond($as);
    }

    public function target(ChosenSections $request, SetTarget $set): RedirectResponse
    {
        $set($request->chosen(), (string) $request->input('target'));

        return redirect()
            ->route('contact-time')
            ->with(
                'said',
                $request->filled('target')
                    ? (string) __('said.contact_time.target_set')
                    : (string) __('said.contact_time.target_taken_out'),
            );
    }
}
