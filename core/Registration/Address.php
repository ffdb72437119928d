<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

/** An e-mail address as it is compared: trimmed, case-folded, without a +tag. */
final class Address
{
    public static function normal(string $typed): string
    {
        $text = mb_strtolower(trim(mb_scrub($typed)));
        $at = strrpos($text, '@');

        return $at === false
            ? $text
            : (string) preg_replace('/\+.*$/', '', substr($text, 0, $at)).substr($text, $at);
    }

    public static function domain(string $address): string
    {
        $at = strrpos($address, '@');

        return $at === false ? '' : mb_strtolower(trim(substr($address, $at + 1)));
    }

    /** @param  list<string>  $domains  of the school */
    public static function isSchools(string $address, array $domains): bool
    {
        return in_array(self::domain(self::normal($address)), array_map(mb_strtolower(...), $domains), true);
    }
}
