<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\DB;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Secrets;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\LinkKind;

/**
 * Makes the join link of a series: a room at the conference bridge, the link, the join code, and the teacher's host
 * link. What ought to stand for its sections is written down by the caller, once for all that it makes.
 */
final readonly class MakeLink
{
    public function __construct(private ConferenceBridge $bridge, private KeepLink $keep, private Audit $audit)
    {
    }

    /** @throws DestinationFailure in the bridge's own words */
    public function __invoke(Series $series, ?Person $by = null): void
    {
        // The series' uid is the key of the request: asked twice, the bridge answers with the same room.
        $room = $this->bridge->makeRoom($series->uid, $series->section->name());
        DB::transaction(function () use ($series, $room, $by): void {
            // Two workers may ask for the same series; the second finds the first one's link.
            DB::table('series')->where('id', $series->id)->lock('for no key update')->first();
            $link = ($this->keep)($series->id, LinkKind::Series, null, [
                'join_code' => JoinCode::make(Secrets::random()),
                'room' => $room->id,
                'dial_in' => $room->dialIn,
                'pin' => $room->pin,
            ]);
            ($this->keep)($series->id, LinkKind::Host);
            if ($link->wasRecentlyCreated) {
                ($this->audit)('link', $series, $by, 'join link and host link made');
            }
        });
    }
}
