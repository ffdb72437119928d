<?php

declare(strict_types=1);

namespace Nomada\App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Nomada\App\Support\KeyFingerprint;
use Symfony\Component\HttpFoundation\Response;

/**
 * Nomada has one address, APP_URL: what is asked of another host is no page of ours, and links, letters and what is
 * published never follow a Host header. On the machine itself its other names lead there. And where the key does not
 * fit the database, one page says so.
 */
final class TrustedHost
{
    private const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

    public function handle(Request $request, Closure $next): Response
    {
        $url = rtrim((string) config('app.url'), '/');
        $own = (string) parse_url($url, PHP_URL_HOST);
        $host = $request->getHost();
        if ($host !== $own) {
            $isAlias = in_array($own, self::LOOPBACK, true) && in_array($host, self::LOOPBACK, true);

            return $isAlias && $request->isMethod('GET')
                ? redirect()->away($url.$request->getRequestUri())
                : response(__('errors.host'), 400, ['Content-Type' => 'text/plain; charset=utf-8']);
        }
        if (! KeyFingerprint::fitsLately()) {
            return response()->view('errors.key', [], 503);
        }

        return $next($request);
    }
}
