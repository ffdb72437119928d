<?php

declare(strict_types=1);

namespace Nomada\App\Http;

use Illuminate\Database\QueryException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** The answer when a change had to wait too long for another one. Nothing was saved. */
final class BusyDatabase
{
    /** Of PostgreSQL: the lock was not available in time; two changes waited for each other. */
    private const CODES = ['55P03', '40P01'];

    public static function answer(QueryException $e, Request $request): ?Response
    {
        if (! in_array((string) $e->getCode(), self::CODES, true)) {
            return null;
        }
        $words = (string) __('said.once.busy');

        return $request->expectsJson() || $request->isMethodSafe()
            ? response($words, 503, ['Retry-After' => '5'])
            : back()
                ->withInput()
                ->withErrors(['form' => $words]);
    }
}
