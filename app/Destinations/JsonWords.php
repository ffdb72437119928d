<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

/** What a person reads of an item or a post that is kept as JSON, as {@see FieldWords::body()} made it. */
final class JsonWords
{
    /** @return array<string, string|list<string>> by the fields' codes; what has none is under its own words */
    public static function of(Found $found): array
    {
        $kept = json_decode((string) $found->body, true);
        if (! is_array($kept)) {
            return [];
        }
        $codes = array_values((array) ($kept['codes'] ?? []));
        // Anybody who changes something there by hand may leave out the codes, and keeps the words.
        $known = (array) __('published.fields', [], self::text($kept['language'] ?? 'en'));
        $out = ['title' => self::text($kept['title'] ?? '')];
        $n = 0;
        foreach ((array) ($kept['fields'] ?? []) as $word => $value) {
            $code = $codes[$n] ?? array_search((string) $word, $known, true);
            $code = is_string($code) ? $code : (string) $word;
            if ($code !== 'title') {
                $out[$code] = self::value($value);
            }
            $n++;
        }
        foreach ((array) ($kept['settings'] ?? []) as $code => $value) {
            $out[(string) $code] = self::value($value);
        }

        return $out;
    }

    /** @return string|list<string> */
    private static function value(mixed $value): string|array
    {
        return is_array($value) ? array_values(array_map(self::text(...), $value)) : self::text($value);
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : (string) json_encode($value);
    }
}
