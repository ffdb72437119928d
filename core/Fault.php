<?php

declare(strict_types=1);

namespace Nomada\Core;

use InvalidArgumentException;

/**
 * A value could not be made because what it was given is wrong. The message is for the person who typed it:
 * what is wrong, and how to mend it. `field` names the input that it stands beside.
 *
 * What students and guardians can read has a code instead, whose words stand in every language.
 */
final class Fault extends InvalidArgumentException
{
    /**
     * @param  string|null  $says  the code of its words; null where the message is the words
     * @param  array<string, string|int>  $with  what is put into them
     */
    public function __construct(
        string $message,
        public readonly string $field = '',
        public readonly ?string $says = null,
        public readonly array $with = [],
    ) {
        parent::__construct($message);
    }

    /** @param  array<string, string|int>  $with */
    public static function coded(string $code, string $field, array $with = []): self
    {
        return new self($code, $field, $code, $with);
    }
}
