<?php

declare(strict_types=1);

namespace Nomada\Core\Language;

/**
 * The language in which somebody reads: what they chose, else what the roster says of them, else what their browser
 * asks for, else the school's. A tag is looked up as RFC 4647, 3.4 says: `es-419` is read as `es` if there is none
 * of its own.
 */
final class ReaderLanguage
{
    /** Languages that are written from right to left. */
    private const RIGHT_TO_LEFT = ['ar', 'arc', 'ckb', 'dv', 'fa', 'he', 'ku', 'ps', 'sd', 'ug', 'ur', 'yi'];

    /**
     * @param  list<string|null>  $wishes  tags (BCP 47), the weightiest first
     * @param  list<string>  $spoken  the tags that there are words for, the school's first
     */
    public static function of(array $wishes, array $spoken): string
    {
        foreach ($wishes as $wish) {
            $tag = strtolower(trim((string) $wish));
            while ($tag !== '') {
                foreach ($spoken as $one) {
                    if (strtolower($one) === $tag) {
                        return $one;
                    }
                }
                // A single letter before the end belongs to what follows it, and goes with it.
                $tag = (string) preg_replace('/(-[a-z0-9])?-[^-]*$|^[^-]*$/', '', $tag);
            }
        }

        return $spoken[0] ?? 'en';
    }

    /**
     * The languages of the header Accept-Language (RFC 9110, 12.5.4), the most wanted first; without those that are not
     * wanted at all.
     *
     * @return list<string>
     */
    public static function accepted(string $header): array
    {
        $weights = [];
        foreach (array_slice(explode(',', $header), 0, 20) as $part) {
            if (
                preg_match(
                    '/^\s*([a-z0-9-]{1,35})\s*(?:;\s*q\s*=\s*(0(?:\.\d{0,3})?|1(?:\.0{0,3})?))?\s*$/i',
                    $part,
                    $m,
                ) === 1
            ) {
                $weights[$m[1]] ??= (float) ($m[2] ?? 1);
            }
        }
        $weights = array_filter($weights, fn (float $weight): bool => $weight > 0);
        arsort($weights);

        return array_map(strval(...), array_keys($weights));
    }

    /** `rtl` or `ltr`, as HTML's `dir` has it. */
    public static function direction(string $tag): string
    {
        return in_array(strtolower(explode('-', $tag)[0]), self::RIGHT_TO_LEFT, true) ? 'rtl' : 'ltr';
    }

    /** Whether a text can be a tag: letters and figures in groups of eight at most. */
    public static function isTag(string $text): bool
    {
        return preg_match('/^[a-z]{2,8}(-[a-z0-9]{1,8}){0,5}$/iD', $text) === 1;
    }
}
