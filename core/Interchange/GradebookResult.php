<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

/** One student's points in a gradebook, and a word on them. */
final readonly class GradebookResult
{
    public function __construct(public string $person, public float $points, public string $comment = '')
    {
    }
}
