<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Publishing;

use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Nomada\App\Actions\Publishing\SectionFeed;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\Secrets;

final class FeedController extends Controller
{
    /** The secret address is the authorisation: calendars cannot sign in. */
    public function __invoke(Request $request, string $secret, SectionFeed $feed): Response
    {
        $section = Section::query()->where('feed_sum', Secrets::sum($secret, 'feed'))->firstOrFail();
        $text = $feed($section);
        $response = new Response($text, 200, ['Content-Type' => 'text/calendar; charset=utf-8', 'Cache-Control' => 'private, max-age=300']);
        $response->setEtag(hash('sha256', $text));
        $response->isNotModified($request);

        return $response;
    }
}
