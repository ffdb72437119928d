<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\AcceptClash;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\View\Timetable\Clashes\ClashesPage;
use Nomada\App\View\Timetable\Clashes\ClashList;
use Nomada\App\View\Timetable\Clashes\WaysOut;

final class ClashController extends Controller
{
    public function index(Request $request, ClashList $list): View
    {
        return view('timetable.clashes', [
            'page' => new ClashesPage(
                $list->rows($this->term(), $this->person($request)),
                (string) $request->query('show', ''),
            ),
        ]);
    }

    /** Free times for one clash, as a part of a page. */
    public function options(Request $request, ClashList $list, WaysOut $ways): View
    {
        $key = (string) $request->query('key', '');

        return view('timetable.clashes.times', [
            'ways' => array_slice(
                $ways->of($list->series($this->term(), $this->person($request), $key)),
                0,
                max(1, $request->integer('most', WaysOut::MOST)),
            ),
        ]);
    }

    public function accept(Request $request, AcceptClash $accept): RedirectResponse
    {
        $given = $request->validate(
            [
                'key' => [
                    'required',
                    'string',
                    'max:60',
                    'regex:/^(teacher|account|room|students|long|full|turnaround|hours|outside)( \d+){1,2}$/',
                ],
                'reason' => ['required', 'string', 'max:200'],
            ],
            [
                'reason.required' => (string) __('said.clash.say_why_clash'),
                'key.*' => (string) __('said.clash.not_clash'),
            ],
        );
        $accept($given['key'], $given['reason'], $this->person($request));

        return redirect()->route('clashes')->with('said', (string) __('said.clash.clash_accepted_with'));
    }

    public function reopen(Request $request, AcceptClash $accept): RedirectResponse
    {
        $accept->reopen((string) $request->input('key'));

        return redirect()->route('clashes')->with('said', (string) __('said.clash.clash_counts_again'));
    }
}
