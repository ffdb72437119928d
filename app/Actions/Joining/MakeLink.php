<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\DB;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Destinations\Room;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Locks;
use Nomada\App\Support\Secrets;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Language\Said;

/**
 * Makes the join links of series: a room at the conference bridge, the link, the join code, and the teacher's host
 * link. What should be for its sections is written down by the caller, once for all that it makes.
 */
final readonly class MakeLink
{
    public function __construct(private ConferenceBridge $bridge, private KeepLink $keep, private Audit $audit)
    {
    }

    /**
     * The room, under the series' uid as the key of the request: asked twice, the bridge answers with the same one.
     *
     * @throws DestinationFailure in the bridge's own words
     */
    public function room(Series $series): Room
    {
        return $this->bridge->makeRoom($series->uid, $series->section->name());
    }

    /**
     * The links of some series whose rooms are there, in one transaction.
     *
     * @param  list<array{Series, Room}>  $made
     */
    public function keep(array $made, ?Person $by = null): void
    {
        if ($made === []) {
            return;
        }
        DB::transaction(function () use ($made, $by): void {
            $ids = array_map(fn (array $one): int => $one[0]->id, $made);
            // Two workers may ask for the same series; the second finds the first one's link.
            Locks::series(...$ids);
            $known = [];
            foreach (
                DB::table('join_links')
                    ->whereIn('series_id', $ids)
                    ->whereIn('kind', [LinkKind::Series, LinkKind::Host])
                    ->whereNull('retired_at')
                    ->get(['id', 'series_id', 'kind', 'room']) as $row
            ) {
                $known["$row->series_id $row->kind"] = $row;
            }
            $links = [];
            foreach ($made as [$series, $room]) {
                $link = $known["$series->id ".LinkKind::Series->value] ?? null;
                if ($link !== null && $link->room === '') {
                    // The link stays; what it leads to is at the conference service that is asked now.
                    JoinLink::query()
                        ->findOrFail((int) $link->id)
                        ->update(['room' => $room->id, 'dial_in' => $room->dialIn, 'pin' => $room->pin]);
                    ($this->audit)('link', $series, $by, new Said('audit.room_made'));
                } elseif ($link === null) {
                    $links[] = [
                        ...$this->keep->fresh($series->id, LinkKind::Series, null),
                        'join_code' => JoinCode::make(Secrets::random()),
                        'room' => $room->id,
                        'dial_in' => $room->dialIn,
                        'pin' => $room->pin,
                    ];
                    ($this->audit)('link', $series, $by, new Said('audit.made'));
                }
                if (! isset($known["$series->id ".LinkKind::Host->value])) {
                    $links[] = $this->keep->fresh($series->id, LinkKind::Host, null);
                }
            }
            $this->keep->insert($links);
        });
    }
}
