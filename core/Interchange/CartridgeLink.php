<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

/** A web link of a cartridge: a session's join link, or its recording. */
final readonly class CartridgeLink
{
    public function __construct(public string $title, public string $address)
    {
    }
}
