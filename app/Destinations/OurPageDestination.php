<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Nomada\App\Models\Publishing\Placement as Standing;
use Nomada\Core\Publishing\Placement;

/**
 * A page or feed of ours: nothing is sent and nothing can drift, since it is made of the facts when it is looked at.
 */
final class OurPageDestination implements Destination
{
    public function put(Placement $wanted, Standing $standing): Receipt
    {
        return new Receipt('', '');
    }

    public function remove(Standing $standing): void
    {
    }

    public function read(string $space): array
    {
        return [];
    }

    public function whole(Found $found): Found
    {
        return $found;
    }

    public function means(Found $found, Placement $wanted): bool
    {
        return true;
    }

    public function words(Found $found): array
    {
        return [];
    }
}
