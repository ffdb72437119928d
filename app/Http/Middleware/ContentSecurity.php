<?php

declare(strict_types=1);

namespace Nomada\App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Nomada\App\Destinations\Places;
use Symfony\Component\HttpFoundation\Response;

/**
 * A strict Content-Security-Policy on every answer: everything comes from ourselves, nothing runs inline. The one
 * address that a form may lead to besides is the conference bridge's, where the door brings anybody who may come in.
 * And nobody is led back to a foreign page.
 */
final class ContentSecurity
{
    private const POLICY =
        "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src ".
        "'self'; connect-src 'self'; media-src 'self'; form-action 'self' %s; base-uri 'none'; frame-ancestors %s";

    public function __construct(private readonly Places $places)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        // What was typed wrongly goes back to the page that it came from: to one of ours only, whatever a foreign page
        // says it is.
        if (! str_starts_with((string) $request->headers->get('referer'), $request->root().'/')) {
            $request->headers->remove('referer');
        }
        /** @var Response $response */
        $response = $next($request);
        // The course page of ours is made to be shown within others'.
        $in = trim((string) config('places.embedded_in'));
        $response->headers->set(
            'Content-Security-Policy',
            sprintf(
                self::POLICY,
                $this->places->bridges(),
                $request->routeIs('feed.page') && $in !== '' ? $in : "'none'",
            ),
        );
        $response->headers->set('X-Content-Type-Options', 'nosniff');
        $response->headers->set('Referrer-Policy', 'same-origin');
        $response->headers->set('Permissions-Policy', 'geolocation=(), payment=()');
        if ($request->isSecure()) {
            $response->headers->set('Strict-Transport-Security', 'max-age=31536000');
        }
        // A personal page is cached nowhere, neither by the browser nor in between. A feed may be.
        if ($request->hasSession() && ! $request->routeIs('feed', 'feed.*')) {
            $response->headers->set('Cache-Control', 'no-store, private');
        }

        return $response;
    }
}
