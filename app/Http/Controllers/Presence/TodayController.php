<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Presence;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\StartNow;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Section;
use Nomada\App\View\Presence\ChoosePage;
use Nomada\App\View\Presence\Today\TodayQuery;

final class TodayController extends Controller
{
    public function __invoke(Request $request, TodayQuery $page): View
    {
        return view('presence.today', [
            'page' => $page->page($this->term(), $this->person($request), (string) $request->query('date', '')),
        ]);
    }

    /** A session that begins now, outside the timetable; for chosen students, they are chosen on a page of its own. */
    public function start(Request $request, StartNow $start): RedirectResponse
    {
        $given = $request->validate(
            [
                'section' => ['required', 'string', 'max:80'],
                'minutes' => ['required', 'integer', 'between:5,240'],
                'whom' => ['nullable', 'in:all,some'],
                'takes_topic' => ['nullable', 'boolean'],
                'chosen' => ['array', 'max:400'],
                'chosen.*' => ['string', 'max:120'],
            ],
            ['section.*' => __('presence.start.section_fault'), 'minutes.*' => __('presence.start.minutes_fault')],
        );
        $section = Section::bySourcedId($given['section'])->load('term.school');
        $this->authorize('serve', $section);
        $minutes = (int) $given['minutes'];
        if (($given['whom'] ?? 'all') === 'some') {
            return redirect()->route(
                'today.choose',
                array_filter([
                    'section' => $section,
                    'minutes' => $minutes,
                    'topic' => $request->boolean('takes_topic'),
                ]),
            );
        }
        $chosen = $request->has('choosing') ? array_values($given['chosen'] ?? []) : null;

        $takesTopic = $request->boolean('takes_topic');
        $session = $start($section, $minutes, $this->person($request), $chosen, $takesTopic);

        return redirect()->route('live', $session->id)->with('said', __('presence.start.said'));
    }

    /** Whom it is for. */
    public function choose(Request $request, Section $section, StartNow $start): View
    {
        $this->authorize('serve', $section);
        $minutes = (string) $request->query('minutes', '');

        return view('presence.choose', [
            'page' => new ChoosePage(
                $section,
                $start->students($section),
                ctype_digit($minutes) ? (int) $minutes : 45,
                $request->boolean('topic'),
            ),
        ]);
    }
}
