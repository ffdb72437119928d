<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Nomada\Core\Publishing\Placement;

/** A destination whose spaces are read back with the whole content at once, kept as JSON. */
abstract class JsonDestination implements Destination
{
    public function whole(Found $found): Found
    {
        return $found;
    }

    public function means(Found $found, Placement $wanted): bool
    {
        return json_decode((string) $found->body, true) == json_decode(static::body($wanted), true);
    }

    public function words(Found $found): array
    {
        return JsonWords::of($found);
    }

    /** What is sent. */
    abstract protected static function body(Placement $wanted): string;
}
