<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Joining\LinkKind;

/** Brings a person whom the door has let through to the bridge's room. Returns the address there. */
final readonly class ComeIn
{
    public function __construct(private ConferenceBridge $bridge)
    {
    }

    /** @throws DestinationFailure */
    public function __invoke(JoinLink $link, Person $person, bool $asHost): string
    {
        $room = JoinLink::query()->inForce()->where('series_id', $link->series_id)->where('kind', LinkKind::Series)->value('room');

        return $this->bridge->admit((string) $room, $person->sourced_id, $person->name(), $asHost);
    }
}
