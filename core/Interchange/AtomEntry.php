<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

/** One entry of a feed; `at` in UTC seconds. */
final readonly class AtomEntry
{
    public function __construct(public string $id, public string $title, public string $text, public int $at)
    {
    }
}
