<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Nomada\App\Models\Publishing\Placement as Standing;
use Nomada\Core\Publishing\Placement;

/**
 * One place that we publish to. `put` and `remove` are idempotent: doing one again after a crash, or after an answer
 * that got lost, leaves the placement standing exactly once (or not at all). What is there is read back a space at a
 * time: a section's page or stream, a person's calendar.
 */
interface Destination
{
    /**
     * @throws Drifted where somebody else has put something else there meanwhile
     * @throws DestinationFailure
     */
    public function put(Placement $wanted, Standing $standing): Receipt;

    /** @throws DestinationFailure */
    public function remove(Standing $standing): void;

    /**
     * All that is in one space.
     *
     * @param  string  $space  what is there before the slash in the keys of its placements
     * @return array<string, Found> by key
     *
     * @throws DestinationFailure
     */
    public function read(string $space): array;

    /**
     * The same with its content.
     *
     * @throws DestinationFailure
     */
    public function whole(Found $found): Found;

    /** Whether what is there means what should. */
    public function means(Found $found, Placement $wanted): bool;

    /** @return array<string, string|list<string>> what a person reads there, by the fields' codes */
    public function words(Found $found): array;
}
