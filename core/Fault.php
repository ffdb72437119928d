<?php

declare(strict_types=1);

namespace Nomada\Core;

use InvalidArgumentException;

/**
 * A value could not be made because what it was given is wrong. It is a code with parameters; its words, what is wrong
 * and how to fix it, are in every language (lang/…/faults.php). `field` names the input that it is beside.
 */
final class Fault extends InvalidArgumentException
{
    /**
     * @param  string  $says  the code of its words, like `hours.overlap`
     * @param  array<string, mixed>  $with  what is put into them: text, a number, a date, another fault, or a list of
     *   those
     */
    public function __construct(
        public readonly string $says,
        public readonly string $field = '',
        public readonly array $with = [],
    ) {
        parent::__construct($with === [] ? $says : $says.' '.json_encode($with, JSON_PARTIAL_OUTPUT_ON_ERROR));
    }

    /** The same beside another input. */
    public function at(string $field): self
    {
        return new self($this->says, $field, $this->with);
    }
}
