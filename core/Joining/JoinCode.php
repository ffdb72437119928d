<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Random\Randomizer;

/**
 * A join code: ten characters to say or type, without vowels and look-alikes, the last a check character.
 *
 * The alphabet has 23 characters, a prime. With weights 1 to 10 the sum of weight times value must be 0 modulo 23; a
 * single wrong character changes it by weight times difference, a swap by difference of weights times difference of
 * values: neither can be 0 there.
 */
final class JoinCode
{
    public const ALPHABET = 'BCDFHJKMNPQRTVWXY234579';

    private const LENGTH = 10;

    public static function make(Randomizer $random): string
    {
        $code = '';
        for ($i = 1; $i < self::LENGTH; $i++) {
            $code .= self::ALPHABET[$random->getInt(0, 22)];
        }

        return $code.self::check($code);
    }

    /**
     * The code as it is held, from however it was typed (small letters, blanks, dashes), or null where it cannot be
     * one.
     */
    public static function read(string $typed): ?string
    {
        $code = strtoupper(preg_replace('/[\s\-–·.]+/u', '', $typed) ?? '');

        return self::isValid($code) ? $code : null;
    }

    /** `RXTN-4BKD-72`, as it is shown. */
    public static function show(string $code): string
    {
        return implode('-', array_filter([substr($code, 0, 4), substr($code, 4, 4), substr($code, 8)]));
    }

    public static function isValid(string $code): bool
    {
        return strlen($code) === self::LENGTH &&
            strspn($code, self::ALPHABET) === self::LENGTH &&
            self::sum($code) === 0;
    }

    private static function check(string $nine): string
    {
        // 10 times the check value makes up what is missing to 0; 7 is the inverse of 10 modulo 23.
        return self::ALPHABET[((23 - self::sum($nine)) * 7) % 23];
    }

    private static function sum(string $code): int
    {
        $sum = 0;
        foreach (str_split($code) as $i => $char) {
            $sum += ($i + 1) * (int) strpos(self::ALPHABET, $char);
        }

        return $sum % 23;
    }
}
