<?php

declare(strict_types=1);

namespace Nomada\Core\Account;

use Closure;

/** A code on paper for when the authenticator is lost: twelve letters in three groups, none that looks like another. */
final class RecoveryCode
{
    /** How many are given at once. */
    public const MANY = 10;

    private const LETTERS = 'bcdfghjkmnpqrstvwxyz23456789';

    /**
     * @param  Closure(int): int  $die  a random number from 0 to what it is given
     * @return list<string> `bcdf-ghjk-mnpq`
     */
    public static function fresh(Closure $die): array
    {
        $out = [];
        for ($n = 0; $n < self::MANY; $n++) {
            $code = '';
            for ($i = 0; $i < 12; $i++) {
                $code .= ($i > 0 && $i % 4 === 0 ? '-' : '').self::LETTERS[$die(strlen(self::LETTERS) - 1)];
            }
            $out[] = $code;
        }

        return $out;
    }

    /** As it is compared, however it was typed: without blanks, dashes and capitals. */
    public static function plain(string $typed): string
    {
        return (string) preg_replace('/[\s-]+/', '', strtolower($typed));
    }

    /** Whether what was typed can be one at all. */
    public static function looksLikeOne(string $typed): bool
    {
        return preg_match('/^['.self::LETTERS.']{12}$/D', self::plain($typed)) === 1;
    }
}
