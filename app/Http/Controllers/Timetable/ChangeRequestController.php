<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\DecideRequest;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Timetable\ChangeRequest;
use Nomada\App\View\Requests\RequestList;
use Nomada\App\View\Requests\RequestsPage;

/** Changes that teachers ask for. */
final class ChangeRequestController extends Controller
{
    public function index(Request $request, RequestList $list): View
    {
        $person = $this->person($request);
        $term = $this->term();

        return view('requests.list', [
            'page' => new RequestsPage(
                $list->open($term, $person),
                $list->decided($term, $person),
                $person->isCoordinator(),
            ),
        ]);
    }

    public function accept(Request $request, int $changeRequest, DecideRequest $decide): RedirectResponse
    {
        $found = $decide->find($changeRequest);
        $this->authorize('decide', $found);
        $decide->accept($found, $this->person($request), $this->answer($request));

        return $this->done('accepted', $found);
    }

    public function decline(Request $request, int $changeRequest, DecideRequest $decide): RedirectResponse
    {
        $found = $decide->find($changeRequest);
        $this->authorize('decide', $found);
        $decide->decline($found, $this->person($request), $this->answer($request));

        return $this->done('declined', $found);
    }

    public function withdraw(Request $request, int $changeRequest, DecideRequest $decide): RedirectResponse
    {
        $found = $decide->find($changeRequest);
        $this->authorize('withdraw', $found);
        $decide->withdraw($found, $this->person($request));

        return back()->with('said', (string) __('said.request.withdrawn'));
    }

    private function answer(Request $request): string
    {
        $given = $request->validate(
            ['answer' => ['nullable', 'string', 'max:300']],
            ['answer.*' => (string) __('said.request.answer_has_300')],
        );

        return (string) ($given['answer'] ?? '');
    }

    private function done(string $what, ChangeRequest $request): RedirectResponse
    {
        return redirect()
            ->route('requests')
            ->with('said', (string) __("said.request.$what", ['name' => $request->person->name()]));
    }
}
