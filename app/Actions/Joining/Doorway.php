<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\Presets;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\Floor;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Timetable\PlannedSession;

/** Where a door of ours leads: the room at the bridge, and what is told the bridge about who may be in it. */
final readonly class Doorway
{
    /** @param  int|null  $seats  of the hosting plan; null where there is no limit */
    public function __construct(
        public string $room,
        public ?int $seats,
        public DoorRules $door,
        public Floor $floor,
    ) {
    }

    public static function ofSeries(Series $series, ?PlannedSession $session): self
    {
        $room = JoinLink::query()
            ->inForce()
            ->where('series_id', $series->id)
            ->where('kind', LinkKind::Series)
            ->value('room');

        return new self(
            (string) $room,
            $series->hostAccount?->plan->seats,
            ...Presets::rules($series, Presets::known($series->preset), $session),
        );
    }

    public static function ofDropIn(DropInRoom $room): self
    {
        $all = Presets::known($room->preset);
        $preset = $all[$room->preset] ?? $all['office-hours'];

        return new self($room->room, null, $preset->door, $preset->floor);
    }

    /** What the bridge knows one session's time in a room by; of a drop-in room, one span of its hours. */
    public static function meeting(?int $start): string
    {
        return $start === null ? 'open' : gmdate('Y-m-d\TH:i', $start);
    }

    /** Under what a look at the room is kept for a second. */
    public function look(string $meeting): string
    {
        return "room $this->room $meeting";
    }
}
