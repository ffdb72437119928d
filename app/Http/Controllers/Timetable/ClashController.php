<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\AcceptClash;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\View\Timetable\ClashList;
use Nomada\App\View\Timetable\ClashRow;

final class ClashController extends Controller
{
    public function index(Request $request, ClashList $list): View
    {
        $all = $list->rows($this->term(), $this->person($request));
        $show = (string) $request->query('show', '');
        $kinds = array_count_values(
            array_map(fn (ClashRow $r): string => $r->reason === null ? $r->kind : 'accepted', $all),
        );
        $rows = array_values(
            array_filter(
                $all,
                fn (ClashRow $r): bool => $show === 'accepted'
                    ? $r->reason !== null
                    : $r->reason === null && ($show === '' || $r->kind === $show),
            ),
        );

        return view('timetable.clashes', ['rows' => $rows, 'show' => $show, 'kinds' => $kinds]);
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
                'reason.required' => 'Say why this clash can stay, so that others know.',
                'key.*' => 'This is not a clash.',
            ],
        );
        $accept($given['key'], $given['reason'], $this->person($request));

        return redirect()->route('clashes')->with('said', 'The clash is accepted, with your name and reason.');
    }

    public function reopen(Request $request, AcceptClash $accept): RedirectResponse
    {
        $accept->reopen((string) $request->input('key'));

        return redirect()->route('clashes')->with('said', 'The clash counts again.');
    }
}
