<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

/** What a person reads of an item or a post that is kept as JSON: `title`, and `fields` under their words. */
final class JsonWords
{
    /** @return array<string, string|list<string>> */
    public static function of(Found $found): array
    {
        $kept = json_decode((string) $found->body, true);
        $out = [];
        $all = is_array($kept) ? ['title' => $kept['title'] ?? ''] + (array) ($kept['fields'] ?? []) : [];
        foreach ($all as $word => $value) {
            $word = $word === 'title' ? FieldWords::of('title') : (string) $word;
            $out[$word] = is_array($value) ? array_values(array_map(self::text(...), $value)) : self::text($value);
        }

        return $out;
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : (string) json_encode($value);
    }
}
