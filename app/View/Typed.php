<?php

declare(strict_types=1);

namespace Nomada\App\View;

/** What was typed into a form that comes back with a fault; else what is there. */
final class Typed
{
    /** Text of one field; something that is no text counts as nothing. */
    public static function text(string $field, mixed $stands = ''): string
    {
        $old = session()->hasOldInput($field) ? session()->getOldInput($field) : $stands;

        return is_scalar($old) ? (string) $old : '';
    }

    /**
     * Several texts of one field.
     *
     * @param  array<mixed>  $stands
     * @return list<string>
     */
    public static function texts(string $field, array $stands = []): array
    {
        $old = session()->hasOldInput($field) ? session()->getOldInput($field) : $stands;

        return array_values(array_map(strval(...), array_filter((array) $old, is_scalar(...))));
    }

    /**
     * @param  array<mixed>  $stands
     * @return list<int>
     */
    public static function numbers(string $field, array $stands = []): array
    {
        return array_map(intval(...), self::texts($field, $stands));
    }

    /** Whether this form, and no other of the page, came back. */
    public static function has(string $field): bool
    {
        return session()->hasOldInput($field);
    }
}
