<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\Cache;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Presets;
use Nomada\Core\Joining\DoorAnswer;
use Nomada\Core\Joining\DoorReply;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Timetable\PlannedSession;

/** Brings somebody whom the door has let through (or has wait outside) to the bridge's room. Returns the address there. */
final readonly class ComeIn
{
    public function __construct(private ConferenceBridge $bridge, private Clock $clock)
    {
    }

    /** @throws DestinationFailure */
    public function __invoke(JoinLink $link, string $person, string $name, DoorAnswer $answer): string
    {
        [$door, $floor] = Presets::rules($link->series, Presets::all());

        $at = $this->bridge->admit(self::room($link->series_id), $person, $name, $answer->asHost, [
            'meeting' => self::meeting($answer->session), 'outside' => $answer->reply === DoorReply::WaitOutside, 'seats' => $link->series->hostAccount?->plan->seats, 'one_device' => $door->oneDevice, 'floor' => $floor->toArray(), 'at' => $this->clock->seconds(),
        ]);
        Cache::forget(self::look($link->series_id, self::meeting($answer->session)));

        return $at;
    }

    /** Under what a look at a room is kept for a second. */
    public static function look(int $series, string $meeting): string
    {
        return "room $series $meeting";
    }

    public static function room(int $series): string
    {
        return (string) JoinLink::query()->inForce()->where('series_id', $series)->where('kind', LinkKind::Series)->value('room');
    }

    /** What the bridge knows one session's time in a room by. */
    public static function meeting(?PlannedSession $session): string
    {
        return $session === null ? 'open' : gmdate('Y-m-d\TH:i', $session->start);
    }
}
