<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Random\Randomizer;

/** Keyed sums of secrets: they find a link in the database, and are worth nothing to who has only the database. */
final class Secrets
{
    public static function sum(string $secret, string $use = 'link'): string
    {
        return hash_hmac('sha256', "$use|$secret", (string) config('app.key'));
    }

    /** The engine is the operating system's: a seeded one would make secrets that can be guessed. */
    public static function random(): Randomizer
    {
        return new Randomizer(new \Random\Engine\Secure());
    }
}
