<?php

declare(strict_types=1);

namespace Nomada\App\Http\Middleware;

use Closure;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Nomada\App\Queries\IdempotencyKey;
use Nomada\App\Support\FormLock;
use Symfony\Component\HttpFoundation\Response;

/**
 * Carries out an act once, whatever reload, double click, back button or retry brings its form again: the same form
 * with the same answers, from the same person, leads to the same page with the same words, and does nothing.
 *
 * A form that was sent back with a fault has done nothing, and may come again. Two that come at one moment wait for
 * each other, a few seconds long and not more than two of one person. A form without a key (a script of the school's
 * own) is taken as it is.
 */
final class IdempotentForms
{
    /** Days for which an act is remembered. */
    private const REMEMBERED = 7;

    /** Seconds in which the same form again is a second press of one button, and reads what the first one reads. */
    private const SAME_PRESS = 60;

    public function handle(Request $request, Closure $next): Response
    {
        $key = $request->input(IdempotencyKey::NAME);
        if (! is_string($key) || $key === '' || $request->isMethodSafe() || ReadOnlySession::isOne($request)) {
            return $next($request);
        }
        $id = $request->user()?->getAuthIdentifier();
        $claim = FormLock::claim($this->sum($request, $key), $id === null ? null : (int) $id);
        if (is_array($claim)) {
            return $this->again($request, $claim);
        }
        if (! $claim) {
            return $this->underWay($request);
        }
        try {
            return $this->first($request, $next);
        } finally {
            FormLock::release();
        }
    }

    private function first(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $session = $request->hasSession() ? $request->session() : null;
        $isDone = $response instanceof RedirectResponse && $session !== null && ! $session->has('errors');
        if ($isDone) {
            $flash = array_filter(['said' => $session->get('said'), 'look' => $session->get('look')]);
            FormLock::complete($response->getTargetUrl(), $flash);
            if (random_int(1, 200) === 1) {
                DB::table('processed_forms')->where('at', '<', now()->subDays(self::REMEMBERED))->delete();
            }
        }

        return $response;
    }

    /** @param  array{at: int, to: string, flash: array<string, mixed>}  $answer */
    private function again(Request $request, array $answer): Response
    {
        $isOld = time() - $answer['at'] > self::SAME_PRESS;
        foreach ($isOld ? ['said' => (string) __('said.once.again')] : $answer['flash'] as $name => $words) {
            $request->session()->flash($name, $words);
        }

        return redirect()->to($answer['to']);
    }

    private function underWay(Request $request): Response
    {
        $words = (string) __('said.once.under_way');

        return $request->expectsJson()
            ? response()->json(['message' => $words], 409)
            : back()
                ->withInput()
                ->withErrors(['form' => $words]);
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
