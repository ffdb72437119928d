<?php

declare(strict_types=1);

namespace Nomada\App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Language\ReaderLanguage;
use Symfony\Component\HttpFoundation\Response;

/**
 * Every page in the language of its reader, as core's rule chooses it. It runs twice: before anything else, so that
 * errors are in the browser's language, and once it is known who reads.
 */
final readonly class SpeaksTheirLanguage
{
    public function handle(Request $request, Closure $next): Response
    {
        $person = $request->hasSession() ? $request->user() : null;
        app()->setLocale(
            ReaderLanguage::of(
                [
                    ...$person instanceof Person ? [$person->language, $person->roster_language] : [],
                    ...ReaderLanguage::accepted((string) $request->header('Accept-Language')),
                ],
                array_values(array_map(strval(...), (array) config('app.languages'))),
            ),
        );
        $answer = $next($request);
        $answer->headers->set('Content-Language', app()->getLocale());

        return $answer;
    }
}
