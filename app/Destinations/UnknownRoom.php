<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

/**
 * How a room stands of which nothing is known: the bridge does not answer, or cannot be asked.
 *
 * @phpstan-import-type State from ConferenceBridge
 */
final class UnknownRoom
{
    /** @return State */
    public static function state(string $state, bool $hostInside): array
    {
        return [
            'version' => 0,
            'state' => $state,
            'host_inside' => $hostInside,
            'inside' => [],
            'outside' => [],
            'sent_out' => [],
            'left' => [],
            'may_unmute' => true,
            'chat_open' => true,
            'recording_since' => null,
            'window' => null,
            'question' => null,
            'talk' => [],
            'sheet' => [],
        ];
    }
}
