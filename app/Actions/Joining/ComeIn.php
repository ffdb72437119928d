<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\Cache;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Support\Clock;
use Nomada\Core\Joining\AdmissionDecision;
use Nomada\Core\Joining\DoorReply;

/**
 * Brings somebody whom the door has let through (or has wait outside) to the bridge's room. Returns the address there.
 */
final readonly class ComeIn
{
    public function __construct(private ConferenceBridge $bridge, private Clock $clock)
    {
    }

    /** @throws DestinationFailure */
    public function __invoke(
        Doorway $way,
        string $meeting,
        string $person,
        string $name,
        AdmissionDecision $answer,
    ): string {
        $at = $this->bridge->admit($way->room, $person, $name, $answer->asHost, [
            'meeting' => $meeting,
            'outside' => $answer->reply === DoorReply::WaitOutside,
            'seats' => $way->seats,
            'one_device' => $way->door->oneDevice,
            'floor' => $way->floor->toArray(),
            'at' => $this->clock->seconds(),
        ]);
        Cache::forget($way->look($meeting));

        return $at;
    }
}
