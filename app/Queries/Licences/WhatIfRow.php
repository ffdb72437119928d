<?php

declare(strict_types=1);

namespace Nomada\App\Queries\Licences;

/** What another number of accounts would mean. */
final readonly class WhatIfRow
{
    /**
     * @param  int  $left  sessions without an account; $split series on several; $like the plan of those that are added
     */
    public function __construct(
        public int $n,
        public bool $isNow,
        public int $left,
        public int $split,
        public string $like,
    ) {
    }
}
