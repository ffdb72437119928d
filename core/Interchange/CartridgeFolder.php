<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

/** A folder of a cartridge: a week of a section. */
final readonly class CartridgeFolder
{
    /** @param  list<CartridgeLink>  $links */
    public function __construct(public string $title, public array $links)
    {
    }
}
