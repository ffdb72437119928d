<?php

declare(strict_types=1);

namespace Nomada\App\Http\Middleware;

use Closure;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Nomada\App\Queries\ActKey;
use Symfony\Component\HttpFoundation\Response;

/**
 * Carries out an act once, whatever reload, double click, back button or retry brings its form again: the same form
 * with the same answers, from the same person, leads to the same page with the same words, and does nothing.
 *
 * A form that was sent back with a fault has done nothing, and may come again. Two that come at one moment wait for
 * each other. A form without a key (a script of the school's own) is taken as it is.
 */
final class DoesOnce
{
    /** Days for which an act is remembered. */
    private const REMEMBERED = 7;

    public function handle(Request $request, Closure $next): Response
    {
        $key = $request->input(ActKey::NAME);
        if (! is_string($key) || $key === '' || $request->isMethodSafe() || OnlyLooks::isOne($request)) {
            return $next($request);
        }
        $sum = $this->sum($request, $key);
        // Held by the connection: whoever dies lets go of it.
        DB::select('select pg_advisory_lock(hashtextextended(?, 7))', [$sum]);
        try {
            $done = DB::table('acts')->where('sum', $sum)->first();

            return $done === null ? $this->first($request, $next, $sum) : $this->again($request, $done);
        } finally {
            DB::select('select pg_advisory_unlock(hashtextextended(?, 7))', [$sum]);
        }
    }

    private function first(Request $request, Closure $next, string $sum): Response
    {
        $response = $next($request);
        $session = $request->hasSession() ? $request->session() : null;
        $isDone = $response instanceof RedirectResponse && $session !== null && ! $session->has('errors');
        if ($isDone) {
            DB::table('acts')->insertOrIgnore([
                'sum' => $sum,
                'person_id' => $request->user()?->getAuthIdentifier(),
                'leads_to' => $response->getTargetUrl(),
                'said' => json_encode(['said' => $session->get('said'), 'look' => $session->get('look')]),
            ]);
            if (random_int(1, 200) === 1) {
                DB::table('acts')->where('at', '<', now()->subDays(self::REMEMBERED))->delete();
            }
        }

        return $response;
    }

    private function again(Request $request, \stdClass $done): Response
    {
        foreach (array_filter((array) json_decode((string) $done->said, true)) as $name => $words) {
            $request->session()->flash((string) $name, $words);
        }

        return redirect()->to((string) $done->leads_to);
    }

    private function sum(Request $request, string $key): string
    {
        $files = array_map(
            fn (mixed $f): string => $f instanceof UploadedFile
                ? (string) hash_file('sha256', $f->getPathname())
                : '',
            $request->allFiles(),
        );
        $given = $request->except(['_token', ...array_keys($files)]);

        return hash(
            'sha256',
            (string) json_encode(
                [
                    $request->user()?->getAuthIdentifier(),
                    $request->method(),
                    $request->path(),
                    $key,
                    $given,
                    $files,
                ],
                JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR,
            ),
        );
    }
}
