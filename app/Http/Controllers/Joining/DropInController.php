<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Joining;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Joining\KeepDropIn;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\DropInRequest;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Term\Section;
use Nomada\App\View\Joining\DropInQuery;

/** Drop-in rooms: office hours without dated sessions. */
final class DropInController extends Controller
{
    public function index(Request $request, DropInQuery $page): View
    {
        return view('joining.drop-in', ['page' => $page->page($this->term(), $this->person($request))]);
    }

    public function store(DropInRequest $request, KeepDropIn $keep): RedirectResponse
    {
        $section = Section::inTerm($this->term(), (string) $request->validated('section'));
        if ($section === null) {
            return back()
                ->withInput()
                ->withErrors(['section' => (string) __('said.drop_in.choose_section')]);
        }
        $this->authorize('serve', $section);
        try {
            $keep->make(
                $section,
                (string) ($request->validated('uid') ?? KeepDropIn::uid()),
                $request->name(),
                $request->hours(),
                $request->preset(),
                $this->person($request),
            );
        } catch (DestinationFailure $e) {
            return back()
                ->withInput()
                ->withErrors(['form' => $e->getMessage()]);
        }

        return $this->done((string) __('said.drop_in.room_made_publish', ['name' => $request->name()]));
    }

    public function update(DropInRequest $request, int $room, KeepDropIn $keep): RedirectResponse
    {
        $keep->change(
            $this->room($room),
            $request->name(),
            $request->hours(),
            $request->preset(),
            $this->person($request),
        );

        return $this->done((string) __('said.drop_in.room_changed', ['name' => $request->name()]));
    }

    public function hide(Request $request, int $room, KeepDropIn $keep): RedirectResponse
    {
        $keep->hide($this->room($room), $request->boolean('hidden'), $this->person($request));

        return $this->done(
            $request->boolean('hidden')
                ? (string) __('said.drop_in.room_hidden_door')
                : (string) __('said.drop_in.room_shown_again'),
        );
    }

    public function replace(Request $request, int $room, KeepDropIn $keep): RedirectResponse
    {
        $keep->replace($this->room($room), $this->person($request));

        return $this->done((string) __('said.drop_in.link_code_replaced'));
    }

    public function destroy(Request $request, int $room, KeepDropIn $keep): RedirectResponse
    {
        $keep->drop($this->room($room), $this->person($request));

        return $this->done((string) __('said.drop_in.room_taken_out'));
    }

    private function room(int $id): DropInRoom
    {
        $room = DropInRoom::withTerm($id);
        $this->authorize('serve', $room->section);

        return $room;
    }

    private function done(string $said): RedirectResponse
    {
        return redirect()->route('drop-ins')->with('said', $said);
    }
}
