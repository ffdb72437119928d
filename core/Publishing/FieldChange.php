<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** One field of a placement, before and after. */
final readonly class FieldChange
{
    public function __construct(public string $field, public string $before, public string $after)
    {
    }

    /**
     * The fields that differ, in the order of the new content, then those that are dropped.
     *
     * @param  array<string, string|list<string>>  $before
     * @param  array<string, string|list<string>>  $after
     * @return list<self>
     */
    public static function between(array $before, array $after): array
    {
        $out = [];
        foreach ($after + $before as $field => $value) {
            $old = self::text($before[$field] ?? '');
            $new = self::text($after[$field] ?? '');
            if ($old !== $new) {
                $out[] = self::shortened($field, $before[$field] ?? '', $after[$field] ?? '');
            }
        }

        return $out;
    }

    /**
     * Of two lists only what differs is shown.
     *
     * @param  string|list<string>  $before
     * @param  string|list<string>  $after
     */
    private static function shortened(string $field, string|array $before, string|array $after): self
    {
        if (! is_array($before) || ! is_array($after)) {
            return new self($field, self::text($before), self::text($after));
        }

        return new self(
            $field,
            self::some(array_values(array_diff($before, $after))),
            self::some(array_values(array_diff($after, $before))),
        );
    }

    /** @param  list<string>  $lines */
    private static function some(array $lines): string
    {
        $more = count($lines) - 3;

        return implode("\n", array_slice($lines, 0, 3)).($more > 0 ? "\n… +$more" : '');
    }

    /** @param  string|list<string>  $value */
    private static function text(string|array $value): string
    {
        return is_array($value) ? implode("\n", $value) : $value;
    }
}
