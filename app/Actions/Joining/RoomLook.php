<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\Cache;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\Core\Joining\RoomState;

/**
 * What a room at the bridge is like, as far as the door needs it.
 *
 * @phpstan-import-type State from ConferenceBridge
 */
final readonly class RoomLook
{
    public function __construct(private ConferenceBridge $bridge)
    {
    }

    public function at(Doorway $way, string $meeting, string $person): RoomState
    {
        try {
            // Two hundred arrive at once: for a second they share one look.
            /** @var State $state */
            $state = Cache::remember(
                $way->look($meeting),
                1,
                fn (): array => $this->bridge->state($way->room, $meeting),
            );
        } catch (DestinationFailure) {
            // Without the bridge nobody comes in anyway; what it says then is beside the button.
            return new RoomState(hostInside: true);
        }
        $inside = array_column($state['inside'], 'person');

        return new RoomState(
            $state['host_inside'],
            $state['state'] === 'over',
            count($state['inside']),
            $way->seats,
            in_array($person, $inside, true),
            in_array($person, $state['sent_out'], true),
            $state['recording_since'] ?? null,
        );
    }
}
