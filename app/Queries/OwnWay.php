<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\MembershipRow;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Joining\LinkKind;

/** The link by which one person joins: their own, the host's, or the one of the series, while they belong to it. */
final readonly class OwnWay
{
    public function __construct(private Clock $clock)
    {
    }

    /** Null where there is no link, or the series is not theirs today. */
    public function into(Series $series, Person $person): ?string
    {
        $links = JoinLink::query()->inForce()->where('series_id', $series->id);
        $personal = $links->clone()->where('kind', LinkKind::Personal)->where('person_id', $person->id)->first();
        $roles = $this->roles($series->sectionIds(), $person);
        $hosts = array_filter($roles, fn (MembershipRole $r): bool => $r->hosts()) !== [];
        $kind = $hosts ? LinkKind::Host : LinkKind::Series;
        if ($personal === null && $roles === [] && ! $person->isCoordinator()) {
            return null;
        }

        return ($personal ?? $links->clone()->where('kind', $kind)->first())?->address();
    }

    public function intoRoom(DropInRoom $room, Person $person): ?string
    {
        $isTheirs = $person->isCoordinator() || $this->roles([$room->section_id], $person) !== [];

        return $isTheirs ? $room->address() : null;
    }

    /**
     * @param  array<int>  $sections
     * @return list<MembershipRole> what they are there today, or will be
     */
    private function roles(array $sections, Person $person): array
    {
        return array_values(
            MembershipRow::query()
                ->where('person_id', $person->id)
                ->whereIn('section_id', $sections)
                ->stillOn($this->clock->schoolDay()->iso())
                ->get(['role'])
                ->map(fn (MembershipRow $p): MembershipRole => $p->role)
                ->all(),
        );
    }
}
