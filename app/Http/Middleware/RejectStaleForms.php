<?php

declare(strict_types=1);

namespace Nomada\App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Nomada\App\Queries\FormVersion;
use Nomada\App\View\Conflict\ConflictPage;
use Symfony\Component\HttpFoundation\Response;

/**
 * A form that changes something knows what it was drawn from. Where somebody else has saved since, nothing is written,
 * and the page of both is shown. The subject stays locked until what is written is written.
 */
final class RejectStaleForms
{
    public function handle(Request $request, Closure $next): Response
    {
        $carried = $request->input(FormVersion::NAME);
        $drawn = is_string($carried) ? json_decode((string) base64_decode($carried, true), true) : null;
        if (
            $request->isMethodSafe() ||
            ReadOnlySession::isOne($request) ||
            ! is_array($drawn) ||
            ! is_string($drawn['of'] ?? null) ||
            ! is_array($drawn['was'] ?? null)
        ) {
            return $next($request);
        }
        $was = array_map(fn (mixed $v): string => is_scalar($v) ? (string) $v : '', $drawn['was']);

        return DB::transaction(function () use ($request, $next, $drawn, $was): Response {
            FormVersion::lock($drawn['of']);
            $is = FormVersion::of($drawn['of']);
            // What is gone altogether the act itself says, in its own words.
            if ($is === null || array_diff_assoc($is, $was) === []) {
                return $next($request);
            }
            $page = ConflictPage::of($request, $drawn['of'], $was, $is);
            // What both wrote alike, and what this one did not touch in the same place, is no conflict.
            if ($page->rows === []) {
                return $next($request);
            }

            return response()->view('conflict', ['page' => $page], 409);
        });
    }
}
