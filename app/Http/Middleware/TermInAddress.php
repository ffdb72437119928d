<?php

declare(strict_types=1);

namespace Nomada\App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\URL;
use Nomada\App\Queries\CurrentTerm;
use Symfony\Component\HttpFoundation\Response;

/**
 * The term that a page of staff is about is in its address: `/in/27S/timetable`. Without it a page is about the
 * term that the clock is in. Two tabs may be about two terms; what is linked from a page, and what is sent from it,
 * stays in the page's own.
 */
final class TermInAddress
{
    public function handle(Request $request, Closure $next): Response
    {
        self::use(null);
        if (preg_match('#^/in/([^/]+)(/.*)?$#D', $request->getPathInfo(), $m) !== 1) {
            return $next($request);
        }
        $term = rawurldecode($m[1]);
        $query = (string) $request->server->get('QUERY_STRING');
        $inner = $request->duplicate(
            server: [
                ...$request->server->all(),
                'REQUEST_URI' => ($m[2] ?? '/').($query === '' ? '' : "?$query"),
            ],
        );
        $inner->attributes->set(CurrentTerm::IN_ADDRESS, $term);
        self::use($term);

        return $next($inner);
    }

    /** Addresses of staff's pages have the term in them from now on; none where null. */
    public static function use(?string $term): void
    {
        if ($term === null) {
            URL::formatPathUsing(fn (string $path): string => $path);

            return;
        }
        $prefix = '/in/'.rawurlencode($term);
        $known = [];
        URL::formatPathUsing(function (string $path, ?Route $route = null) use ($prefix, &$known): string {
            if ($route === null) {
                return str_starts_with($path, '/sections') ? $prefix.$path : $path;
            }
            $name = (string) $route->getName();
            $known[$name] ??= array_intersect(['can:staff', 'can:coordinate'], $route->gatherMiddleware()) !== [];

            return $known[$name] ? $prefix.$path : $path;
        });
    }
}
