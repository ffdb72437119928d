<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Crypt;
use RuntimeException;

/**
 * Words kept sealed, and pressed before that: what is sealed cannot be pressed any more, and a row over 2 kB is cut
 * into pieces by the database (TOAST), which takes as long as the rest of writing it.
 *
 * @implements CastsAttributes<array<string, string|list<string>>, array<string, string|list<string>>>
 */
final class SealedWords implements CastsAttributes
{
    /** @param  array<string, string|list<string>>  $words */
    public static function seal(array $words): string
    {
        return Crypt::encryptString((string) gzcompress(json_encode($words, JSON_THROW_ON_ERROR), 1));
    }

    /** @return array<string, string|list<string>> */
    public static function open(string $sealed): array
    {
        $plain = Crypt::decryptString($sealed);
        // RFC 1950, 2.2: what is pressed begins with 0x78. What was kept before it was pressed begins as JSON does.
        $json = str_starts_with($plain, "\x78") ? gzuncompress($plain) : $plain;
        $words = json_decode($json === false ? throw new RuntimeException('Sealed words are torn') : $json, true);

        return is_array($words) ? $words : [];
    }

    /** @return array<string, string|list<string>>|null */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?array
    {
        return is_string($value) ? self::open($value) : null;
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return is_array($value) ? self::seal($value) : null;
    }
}
