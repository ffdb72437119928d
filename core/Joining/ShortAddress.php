<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Fault;

/**
 * A memorable address: words from the section and title, small letters and dashes, not case-sensitive. Refused where it
 * would reveal a student.
 */
final class ShortAddress
{
    public const PATTERN = '[A-Za-z0-9]+(?:-[A-Za-z0-9]+)*';

    /**
     * Suggests one that is not taken: `y8-marine-science`, then `y8-marine-science-2`.
     *
     * @param  callable(string): bool  $isTaken
     */
    public static function suggest(string $section, string $title, callable $isTaken): string
    {
        $base =
            mb_substr(
                self::slug($title === '' || str_contains($section, $title) ? $section : "$section $title"),
                0,
                60,
            ) ?:
            'class';
        for ($n = 1; $isTaken($n === 1 ? $base : "$base-$n"); $n++) {
            continue;
        }

        return $n === 1 ? $base : "$base-$n";
    }

    /**
     * As it is typed.
     *
     * @param  list<string>  $names  of the students: none of their words may be in it
     *
     * @throws Fault
     */
    public static function read(string $typed, array $names): string
    {
        $slug = self::slug($typed);
        if (strlen($slug) < 4 || strlen($slug) > 60) {
            throw new Fault('address.length', 'short_address');
        }
        $words = explode('-', $slug);
        foreach ($names as $name) {
            foreach (explode('-', self::slug($name)) as $part) {
                if (strlen($part) > 2 && in_array($part, $words, true)) {
                    throw new Fault('address.reveals', 'short_address');
                }
            }
        }

        return $slug;
    }

    public static function slug(string $text): string
    {
        $plain = (string) preg_replace('/\p{M}/u', '', \Normalizer::normalize($text, \Normalizer::FORM_D) ?: $text);

        return trim(
            (string) preg_replace(
                '/[^a-z0-9]+/',
                '-',
                str_replace(['ß', 'ø', 'ł', 'æ'], ['ss', 'o', 'l', 'ae'], mb_strtolower($plain)),
            ),
            '-',
        );
    }
}
