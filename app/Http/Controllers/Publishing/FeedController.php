<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Publishing;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Actions\Publishing\PersonBusy;
use Nomada\App\Actions\Publishing\PersonFeed;
use Nomada\App\Actions\Publishing\RosterOut;
use Nomada\App\Actions\Publishing\SectionCartridge;
use Nomada\App\Actions\Publishing\SectionFeed;
use Nomada\App\Actions\Publishing\SectionStream;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\App\Support\Clock;
use Nomada\App\Support\ZipText;
use Nomada\App\View\Publishing\OwnPage;
use Nomada\Core\Language\Said;
use Symfony\Component\HttpFoundation\Response as SymfonyResponse;

final class FeedController extends Controller
{
    /** The secret address is the authorisation: calendars cannot sign in. */
    public function __invoke(Request $request, string $secret, SectionFeed $feed, PersonFeed $own): Response
    {
        $section = Section::byFeed($secret);
        $text = $section !== null ? $feed($section) : $own(Person::byFeed($secret) ?? abort(404));
        $response = new Response($text, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Cache-Control' => 'private, max-age=300',
        ]);
        $response->setEtag(hash('sha256', $text));
        $response->isNotModified($request);

        return $response;
    }

    /** The course page of ours; it may be shown within a course site's page. */
    public function page(string $secret, SectionFactsQuery $facts, Clock $clock): Response
    {
        $section = Section::byFeed($secret) ?? abort(404);

        $page = OwnPage::of($section, $facts, $clock);
        app()->setLocale($page->language);

        return response()->view('publishing.own', ['page' => $page]);
    }

    /** The class stream of ours. */
    public function stream(Request $request, string $secret, SectionStream $stream): Response
    {
        $section = Section::byFeed($secret) ?? abort(404);
        $page = max(1, min(1000, (int) (is_scalar($request->query('page')) ? $request->query('page') : 1)));
        $text = $stream($section, route('feed.stream', $secret), $page);
        $response = new Response($text, 200, [
            'Content-Type' => 'application/atom+xml; charset=utf-8',
            'Cache-Control' => 'private, max-age=300',
        ]);
        $response->setEtag(hash('sha256', $text));
        $response->isNotModified($request);

        return $response;
    }

    /** When somebody is busy, and nothing else of it. */
    public function busy(Request $request, string $secret, PersonBusy $busy): Response
    {
        $person = Person::byFeed($secret) ?? abort(404);

        return new Response($busy($person), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8; component=vfreebusy',
            'Cache-Control' => 'private, max-age=300',
        ]);
    }

    /** A section's weeks as a Common Cartridge. */
    public function cartridge(Section $section, SectionCartridge $cartridge): SymfonyResponse
    {
        $this->authorize('serve', $section);

        return ZipText::respond($section->sourced_id, $cartridge($section), 'imscc');
    }

    /** All that we hold of the term, as an import folder. */
    public function roster(RosterOut $roster): SymfonyResponse
    {
        return ZipText::respond($this->term()->sourced_id, $roster($this->term()));
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
        $person = Person::bySourcedId($sourcedId);
        $for = $this->person($request);
        $text = $feed->seenBy($person, $for);
        abort_if($text === null, 404);

        return $this->file($text, $person->sourced_id);
    }

    /** Another secret address for one's own calendar; the old one finds nothing any more. */
    public function renew(Request $request): RedirectResponse
    {
        PersonFeed::renew($this->person($request));

        return back()->with('said', __('me.renewed'));
    }

    /** Other secret addresses of a section, for anybody who teaches it: the old ones find nothing any more. */
    public function renewSection(Request $request, Section $section, Audit $audit): RedirectResponse
    {
        $this->authorize('serve', $section);
        SectionFeed::renew($section);
        $audit('link', null, $this->person($request), new Said('audit.addresses_renewed'), $section);

        return redirect()->route('section', $section)->with('said', __('section.feeds.renewed'));
    }

    private function file(string $text, string $name): Response
    {
        return new Response($text, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="'.preg_replace('/[^A-Za-z0-9-]+/', '-', $name).'.ics"',
        ]);
    }
}
