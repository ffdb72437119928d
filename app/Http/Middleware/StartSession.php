<?php

declare(strict_types=1);

namespace Nomada\App\Http\Middleware;

use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession as Base;

/**
 * A session as the framework starts it, but requests that only look (a live preview, a run's progress, finding) never
 * write it back. They run beside others of the same person, and a late one would undo what those have put there, a
 * message to show first of all.
 */
final class StartSession extends Base
{
    /** @param  Request  $request */
    protected function saveSession($request): void
    {
        // What a script fetches beside a page that can be opened too (the live desk, again and again) only looks.
        $isFetched = $request->ajax() && $request->isMethodSafe();
        if (! $isFetched && ! $request->attributes->getBoolean(ReadOnlySession::class)) {
            parent::saveSession($request);
        }
    }
}
