<?php

declare(strict_types=1);

namespace Nomada\App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Says with every answer how long the server took for it (W3C Server Timing), so that a slow page can be seen where it
 * is used; bin/bench reads it.
 */
final class ServerTiming
{
    public function handle(Request $request, Closure $next): Response
    {
        $begun = defined('LARAVEL_START') ? (float) LARAVEL_START : microtime(true);
        /** @var Response $response */
        $response = $next($request);
        $response->headers->set('Server-Timing', sprintf('app;dur=%.1f', 1000 * (microtime(true) - $begun)));

        return $response;
    }
}
