<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Publishing;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Nomada\App\Actions\Publishing\PersonFeed;
use Nomada\App\Actions\Publishing\SectionFeed;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\Secrets;

final class FeedController extends Controller
{
    /** The secret address is the authorisation: calendars cannot sign in. */
    public function __invoke(Request $request, string $secret, SectionFeed $feed, PersonFeed $own): Response
    {
        $sum = Secrets::sum($secret, 'feed');
        $section = Section::query()->where('feed_sum', $sum)->first();
        $person = $section === null ? Person::query()->where('feed_sum', $sum)->firstOrFail() : null;
        $text = $section !== null ? $feed($section) : ($person === null ? '' : $own($person));
        $response = new Response($text, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Cache-Control' => 'private, max-age=300',
        ]);
        $response->setEtag(hash('sha256', $text));
        $response->isNotModified($request);

        return $response;
    }

    /** A section's sessions as a file. */
    public function ofSection(Section $section, SectionFeed $feed): Response
    {
        $this->authorize('view', $section);

        return $this->file($feed($section), $section->sourced_id);
    }

    /** A teacher's or student's sessions as a file, without anybody's own links. */
    public function ofPerson(Request $request, string $sourcedId, PersonFeed $feed): Response
    {
        $person = Person::query()->where('sourced_id', $sourcedId)->firstOrFail();
        $for = $this->person($request);
        $text = $feed->seenBy($person, $for);
        abort_if($text === null, 404);

        return $this->file($text, $person->sourced_id);
    }

    /** Another secret address for one's own calendar; the old one finds nothing any more. */
    public function renew(Request $request): RedirectResponse
    {
        PersonFeed::renew($this->person($request));

        return back()->with('said', 'Your calendar has a new address. Subscribe to it anew; the old one is dead.');
    }

    private function file(string $text, string $name): Response
    {
        return new Response($text, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="'.preg_replace('/[^A-Za-z0-9-]+/', '-', $name).'.ics"',
        ]);
    }
}
