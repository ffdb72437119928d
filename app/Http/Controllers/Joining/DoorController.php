<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Joining;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Joining\ComeIn;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\View\Joining\DoorPage;
use Nomada\Core\Joining\DoorReply;

final class DoorController extends Controller
{
    /** Where a join code is typed. */
    public function ask(): View
    {
        return view('joining.code');
    }

    public function find(Request $request, DoorPage $page): RedirectResponse
    {
        $request->validate(['code' => ['required', 'string', 'max:40']], ['code.*' => 'Write the join code: ten letters and figures.']);

        return redirect()->route('door', $page->secretOf((string) $request->input('code')));
    }

    public function show(Request $request, string $secret, DoorPage $page): View
    {
        return view('joining.door', $page->data($page->link($secret), $this->person($request)));
    }

    /** Asks the door once more, and only then brings the person to the bridge. */
    public function enter(Request $request, string $secret, DoorPage $page, ComeIn $comeIn): RedirectResponse
    {
        $link = $page->link($secret);
        $data = $page->data($link, $this->person($request));
        if ($data['answer']->reply !== DoorReply::ComeIn) {
            return redirect()->route('door', $secret);
        }
        try {
            return redirect()->away($comeIn($link, $this->person($request), $data['answer']->asHost));
        } catch (DestinationFailure $e) {
            return redirect()->route('door', $secret)->withErrors(['bridge' => 'The room did not open: '.$e->getMessage().' Try again in a minute, or come in by phone.']);
        }
    }
}
