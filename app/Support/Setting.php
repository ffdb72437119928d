<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use RuntimeException;

/** Reads a setting that is yes or no, and refuses what is neither: a slip must not open the school to everybody. */
final class Setting
{
    private const WORDS = [
        'yes' => true,
        'on' => true,
        'true' => true,
        '1' => true,
        'no' => false,
        'off' => false,
        'false' => false,
        '0' => false,
    ];

    /**
     * @param  mixed  $value  as the environment has it
     *
     * @throws RuntimeException naming the setting
     */
    public static function yes(string $name, mixed $value, bool $default): bool
    {
        if ($value === null || $value === '') {
            return $default;
        }
        if (is_bool($value)) {
            return $value;
        }

        return self::WORDS[strtolower(trim(is_scalar($value) ? (string) $value : ''))] ??
            throw new RuntimeException("$name is \"$value\". Write yes or no.");
    }
}
