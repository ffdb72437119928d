<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Term\Zone;

/** What a live desk is about: one session of a series or its rehearsal, or one span of a drop-in room's hours. */
final readonly class LiveRoom
{
    /**
     * @param  Series|null  $series  null for a drop-in room
     * @param  int  $start  UTC seconds
     * @param  int|null  $session  its id; null for a drop-in room
     * @param  list<int>|null  $chosen  the students whom it is for; null for the whole roster
     * @param  string|null  $hostLink  by which the teacher comes in
     * @param  string  $page  the desk's own address
     * @param  string|null  $other  the rehearsal's address, or from it that of the real one
     */
    private function __construct(
        public string $name,
        public Section $section,
        public ?Series $series,
        public Doorway $way,
        public string $meeting,
        public int $start,
        public int $end,
        public Zone $zone,
        public ?string $hostLink,
        public string $page,
        public ?string $other,
        public bool $isRehearsal,
        public ?int $session = null,
        public ?array $chosen = null,
    ) {
    }

    /** Whether its time is not over. */
    public function isOpen(int $now): bool
    {
        return $now < $this->end;
    }

    public static function ofSession(Session $session, bool $isRehearsal): self
    {
        $core = $session->toCore();
        $series = $session->series;
        $host = $isRehearsal
            ? null
            : JoinLink::query()->inForce()->where('series_id', $series->id)->where('kind', LinkKind::Host)->first();
        $pages = [route('live', $session->id), route('live', [$session->id, 'rehearsal' => 1])];

        return new self(
            $series->section->name().($isRehearsal ? ', rehearsal' : ''),
            $series->section,
            $series,
            Doorway::ofSeries($series, $core),
            $isRehearsal ? "rehearsal-$session->id" : Doorway::meeting($core->start),
            $core->start,
            $core->end,
            $series->section->term->calendar()->zone,
            $host?->address(),
            $pages[$isRehearsal ? 1 : 0],
            $pages[$isRehearsal ? 0 : 1],
            $isRehearsal,
            $session->id,
            $core->own?->chosen,
        );
    }

    /** Null where no hours are left in the term. */
    public static function ofDropIn(DropInRoom $room, int $now): ?self
    {
        $term = $room->section->term->calendar();
        $hours = $room->openHours()->at($term, $now);

        return $hours === null
            ? null
            : new self(
                "$room->name, {$room->section->name()}",
                $room->section,
                null,
                Doorway::ofDropIn($room),
                Doorway::meeting($hours[0]),
                $hours[0],
                $hours[1],
                $term->zone,
                $room->address(),
                route('drop-in.live', $room->id),
                null,
                false,
            );
    }
}
