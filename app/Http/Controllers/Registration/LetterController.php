<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Registration;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Registration\StopLetters;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Post\Letters;
use Nomada\App\Queries\Templates;
use Nomada\Core\Joining\LinkKind;

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
                $n === 0 ? (string) __('said.letter.everybody_has_link') : trans_choice('said.letter.go_out', $n),
            );
    }

    public function again(Section $section, Series $series, int $link, Letters $letters): RedirectResponse
    {
        $found = JoinLink::ofSeries($series, $link, LinkKind::Personal);
        $n = $letters->again($found);

        return redirect()
            ->route('series.door', [$section, $series])
            ->with(
                'said',
                $n === 0
                    ? (string) __('said.letter.not_registered_gets', ['name' => $found->person?->name()])
                    : (string) __('said.letter.gets_link_timetable', ['name' => $found->person?->name()]),
            );
    }

    public function stopping(Request $request, int $person): View
    {
        return view('post.stop', [
            'person' => $this->guardian($request, $person),
            'address' => $request->fullUrl(),
        ]);
    }

    /** Stops a guardian's letters, or begins them again. */
    public function stop(Request $request, int $person, StopLetters $stop): View
    {
        $found = $this->guardian($request, $person);
        $stop($found, $request->boolean('again'));

        return view('post.stop', ['person' => $found, 'address' => $request->fullUrl()]);
    }

    private function guardian(Request $request, int $id): Person
    {
        $guardian = Person::guardian($id);
        abort_unless($guardian->takesLink($request->integer('v')), 403);
        // Nobody is signed in behind a letter's link: the page is in the language of the letter's reader.
        app()->setLocale(Templates::languageOf($guardian));

        return $guardian;
    }
}
