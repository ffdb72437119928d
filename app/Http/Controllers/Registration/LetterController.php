<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Registration;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Post\Letters;
use Nomada\App\Support\Words;

/** Letters that somebody asks for: to everybody of a series, once more to one student, and none any more. */
final class LetterController extends Controller
{
    public function invite(Section $section, Series $series, Letters $letters): RedirectResponse
    {
        $n = $letters->invite($series);

        return redirect()
            ->route('series.door', [$section, $series])
            ->with(
                'said',
                $n === 0
                    ? 'Everybody has link and timetable already.'
                    : Words::count($n, 'letter').($n === 1 ? ' goes' : ' go').' out with link and timetable.',
            );
    }

    public function again(Section $section, Series $series, int $link, Letters $letters): RedirectResponse
    {
        $found = JoinLink::query()
            ->inForce()
            ->where('series_id', $series->id)
            ->where('kind', 'personal')
            ->findOrFail($link);
        $n = $letters->again($found);

        return redirect()
            ->route('series.door', [$section, $series])
            ->with(
                'said',
                $n === 0
                    ? "{$found->person?->name()} is not registered, and gets no letter."
                    : "{$found->person?->name()} gets link and timetable again.",
            );
    }

    public function stopping(Request $request, int $person): View
    {
        return view('post.stop', ['person' => $this->guardian($person), 'address' => $request->fullUrl()]);
    }

    /** Stops a guardian's letters, or begins them again. */
    public function stop(Request $request, int $person): View
    {
        $found = $this->guardian($person);
        $found->update(['letters_stopped_at' => $request->boolean('again') ? null : Carbon::now()]);

        return view('post.stop', ['person' => $found, 'address' => $request->fullUrl()]);
    }

    private function guardian(int $id): Person
    {
        return Person::query()->where('role', 'guardian')->findOrFail($id);
    }
}
