<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Joining;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Joining\GuestPass;
use Nomada\App\Actions\Joining\KeepDoor;
use Nomada\App\Actions\Joining\NameLink;
use Nomada\App\Actions\Joining\ReplaceLink;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\DoorRequest;
use Nomada\App\Http\Requests\GuestRequest;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\View\Joining\Series\SeriesDoorQuery;
use Nomada\Core\Joining\LinkKind;

/** Joining of one series: links, door, floor, guests. */
final class SeriesDoorController extends Controller
{
    public function show(Request $request, Section $section, Series $series, SeriesDoorQuery $page): View
    {
        $section->load(['term.school', 'term.closures']);

        return view('joining.series', [
            'page' => $page->of(
                $section,
                $series->load(['sessions', 'section']),
                $this->person($request),
                $request->filled('only') ? $request->integer('only') : null,
            ),
        ]);
    }

    public function preset(Request $request, Section $section, Series $series, KeepDoor $keep): RedirectResponse
    {
        $keep->preset($series->load('section'), (string) $request->input('preset'), $this->person($request));

        return $this->done($section, $series, (string) __('said.series_door.preset_set_what'));
    }

    /** For the series, or for one session of it only. */
    public function door(DoorRequest $request, Section $section, Series $series, KeepDoor $keep): RedirectResponse
    {
        if ($request->filled('only')) {
            $session = $series->sessions()->findOrFail($request->integer('only'));
            $keep->session($session, $request->door(), $request->floor(), $this->person($request));

            return $this->done($section, $series, (string) __('said.series_door.door_floor_saved'));
        }
        $keep->own($series->load('section'), $request->door(), $request->floor(), $this->person($request));

        return $this->done($section, $series, (string) __('said.series_door.door_floor_saved_2'));
    }

    /** A session's own door is taken back. */
    public function asSeries(
        Request $request,
        Section $section,
        Series $series,
        Session $session,
        KeepDoor $keep,
    ): RedirectResponse {
        $keep->session($session, null, null, $this->person($request));

        return $this->done($section, $series, (string) __('said.series_door.session_has_door'));
    }

    public function accept(Request $request, Section $section, Series $series, KeepDoor $keep): RedirectResponse
    {
        $keep->accept($series->load('section'), $this->person($request));

        return $this->done($section, $series, (string) __('said.series_door.accepted_with_your'));
    }

    public function hide(Request $request, Section $section, Series $series, KeepDoor $keep): RedirectResponse
    {
        $keep->hide($series->load('section'), $request->boolean('hidden'), $this->person($request));

        return $this->done(
            $section,
            $series,
            $request->boolean('hidden')
                ? (string) __('said.series_door.links_hidden_door')
                : (string) __('said.series_door.links_shown_again'),
        );
    }

    public function replace(
        Request $request,
        Section $section,
        Series $series,
        ReplaceLink $replace,
    ): RedirectResponse {
        $series->load('section');
        if ($request->filled('link')) {
            $replace->single(JoinLink::ofSeries($series, $request->integer('link')), $this->person($request));

            return $this->done($section, $series, (string) __('said.series_door.link_replaced_old'));
        }
        $n = $replace->all($series, $this->person($request));

        return $this->done($section, $series, trans_choice('said.series_door.links_replaced_old', $n, ['n' => $n]));
    }

    public function name(Request $request, Section $section, Series $series, NameLink $name): RedirectResponse
    {
        $name($series->load('section'), (string) $request->input('short_address'), $this->person($request));

        return $this->done(
            $section,
            $series,
            $request->filled('short_address')
                ? (string) __('said.series_door.short_address_set')
                : (string) __('said.series_door.short_address_taken'),
        );
    }

    public function guest(
        GuestRequest $request,
        Section $section,
        Series $series,
        GuestPass $pass,
    ): RedirectResponse {
        $pass(
            $series->load('section.term.school'),
            (string) $request->validated('guest_name'),
            (string) $request->validated('guest_email'),
            $request->until(),
            $request->onlyDay(),
            $this->person($request),
        );

        return $this->done(
            $section,
            $series,
            (string) __('said.series_door.has_pass_copy', ['what' => $request->validated('guest_name')]),
        );
    }

    public function withdraw(
        Request $request,
        Section $section,
        Series $series,
        int $link,
        ReplaceLink $replace,
    ): RedirectResponse {
        $replace->withdraw(JoinLink::ofSeries($series, $link, LinkKind::Guest), $this->person($request));

        return $this->done($section, $series, (string) __('said.series_door.pass_taken_back'));
    }

    private function done(Section $section, Series $series, string $said): RedirectResponse
    {
        return redirect()
            ->route('series.door', [$section, $series])
            ->with('said', $said);
    }
}
