<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** A browser in words, by what it writes of itself: "Firefox, Windows"; empty where that says nothing. */
final class Browser
{
    /** Which programs and machines are told apart, by what they write of themselves. */
    private const BROWSERS = [
        'Edg/' => 'Edge',
        'OPR/' => 'Opera',
        'Firefox/' => 'Firefox',
        'Chrome/' => 'Chromium',
        'Safari/' => 'Safari',
    ];

    private const MACHINES = [
        'iPhone' => 'iPhone',
        'iPad' => 'iPad',
        'Android' => 'Android',
        'Windows' => 'Windows',
        'Mac OS' => 'Mac',
        'Linux' => 'Linux',
    ];

    /** What a browser writes of itself, as far as it is kept. */
    public static function of(Request $request): string
    {
        return Str::limit((string) $request->userAgent(), 250, '');
    }

    public static function words(string $text): string
    {
        return implode(
            ', ',
            array_filter([self::first(self::BROWSERS, $text), self::first(self::MACHINES, $text)]),
        );
    }

    /** @param  array<string, string>  $words */
    private static function first(array $words, string $text): string
    {
        foreach ($words as $mark => $word) {
            if (str_contains($text, $mark)) {
                return $word;
            }
        }

        return '';
    }
}
