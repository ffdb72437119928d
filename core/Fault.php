<?php

declare(strict_types=1);

namespace Nomada\Core;

use InvalidArgumentException;

/**
 * A value could not be made because what it was given is wrong. The message is for the person who typed it:
 * what is wrong, and how to mend it. `field` names the input that it stands beside.
 */
final class Fault extends InvalidArgumentException
{
    public function __construct(string $message, public readonly string $field = '')
    {
        parent::__construct($message);
    }
}
