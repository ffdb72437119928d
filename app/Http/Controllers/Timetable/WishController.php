<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\KeepWishes;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\WishRequest;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\TeacherWishRow;
use Nomada\App\Queries\Meetings;
use Nomada\App\Queries\SolverRulesOfTerm;
use Nomada\App\Support\Clock;
use Nomada\App\View\Timetable\OwnHours\OwnHoursPage;
use Nomada\App\View\Timetable\Wishes\WishesPage;

/** When people would rather not meet: wishes of teachers, and students outside the hours of their own clock. */
final class WishController extends Controller
{
    public function index(Request $request): View
    {
        return view('timetable.wishes', [
            'page' => WishesPage::of($this->person($request), $this->term()->calendar()),
        ]);
    }

    public function store(WishRequest $request, KeepWishes $keep): RedirectResponse
    {
        $by = $this->person($request);
        $id = $by->isCoordinator() ? (int) $request->validated('teacher') : 0;
        $keep->add($id === 0 ? $by : Person::findOrFail($id), ...$request->time());

        return redirect()->route('wishes')->with('said', (string) __('said.wishes.added'));
    }

    public function destroy(Request $request, int $wish, KeepWishes $keep): RedirectResponse
    {
        $keep->remove(TeacherWishRow::for($this->person($request), $wish));

        return redirect()->route('wishes')->with('said', (string) __('said.wishes.removed'));
    }

    public function rule(Request $request, int $wish, KeepWishes $keep): RedirectResponse
    {
        $keep->makeRule(TeacherWishRow::for($this->person($request), $wish), $request->boolean('is_rule'));

        return redirect()->route('wishes')->with('said', (string) __('said.wishes.changed'));
    }

    public function ownHours(Meetings $meetings, SolverRulesOfTerm $rules, Clock $clock): View
    {
        return view('timetable.own-hours', [
            'page' => OwnHoursPage::of($this->term(), $meetings, $rules, $clock),
        ]);
    }
}
