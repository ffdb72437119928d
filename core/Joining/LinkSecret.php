<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Random\Randomizer;

/**
 * The part of a join link that nobody can guess: 160 random bits, written in 27 characters that need no escaping in an
 * address.
 */
final class LinkSecret
{
    public const PATTERN = '[A-Za-z0-9_-]{27}';

    public static function make(Randomizer $random): string
    {
        return rtrim(strtr(base64_encode($random->getBytes(20)), '+/', '-_'), '=');
    }
}
