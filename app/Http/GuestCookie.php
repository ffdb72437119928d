<?php

declare(strict_types=1);

namespace Nomada\App\Http;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Str;

/** The word by which a guest's browser is known again: one for all passes that it holds. */
final class GuestCookie
{
    /** Days for which a browser keeps its word. */
    private const DAYS = 200;

    private const NAME = 'guest';

    private const LENGTH = 40;

    public static function of(Request $request): ?string
    {
        $word = $request->cookie(self::NAME);

        return is_string($word) && strlen($word) === self::LENGTH ? $word : null;
    }

    /** The browser's word, which it keeps from now on; a new one where it has none. */
    public static function keep(Request $request): string
    {
        $word = self::of($request) ?? Str::random(self::LENGTH);
        Cookie::queue(self::NAME, $word, self::DAYS * 1440);

        return $word;
    }
}
