<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Me;

/** Where a section is read elsewhere. */
final readonly class SectionLinks
{
    public function __construct(public string $name, public ?string $page, public ?string $stream)
    {
    }
}
