<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

/** Something that is at a destination, read back from there. */
final readonly class Found
{
    /**
     * @param  string  $key  as our placements are called, where it is one of ours
     * @param  string  $etag  the version that is there
     * @param  string|null  $body  null where only the version was asked for (`Destination::whole`)
     */
    public function __construct(public string $key, public string $etag, public ?string $body = null)
    {
    }
}
