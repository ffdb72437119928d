<?php

declare(strict_types=1);

namespace Nomada\App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Marks a request that only looks: {@see StartSession}. */
final class ReadOnlySession
{
    /** Whether a route is marked so. */
    public static function isOne(Request $request): bool
    {
        return in_array('looks', $request->route()?->gatherMiddleware() ?? [], true);
    }

    public function handle(Request $request, Closure $next): Response
    {
        $request->attributes->set(self::class, true);

        return $next($request);
    }
}
