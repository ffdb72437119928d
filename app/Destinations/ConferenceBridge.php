<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

/** The conference bridge: makes rooms, and lets a person in whom our door has let through. */
interface ConferenceBridge
{
    /**
     * The room for a key, made where there is none.
     *
     * @throws DestinationFailure
     */
    public function makeRoom(string $key, string $title): Room;

    /**
     * The address at which one person comes in, now.
     *
     * @throws DestinationFailure
     */
    public function admit(string $room, string $person, string $name, bool $asHost): string;
}
