<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\LiveRoom;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Term\Part;
use Nomada\App\Support\Browser;
use Nomada\App\Support\Clock;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Term\Zone;

/** The teacher's page while a session runs: who is inside, who waits outside, who is missing. */
final readonly class LiveDesk
{
    public function __construct(private ConferenceBridge $bridge, private Clock $clock)
    {
    }

    /** @return array<string, mixed> */
    public function data(LiveRoom $live): array
    {
        $trouble = null;
        try {
            $state = $this->bridge->state($live->way->room, $live->meeting);
        } catch (DestinationFailure $e) {
            $state = ['state' => 'shut', 'host_inside' => false, 'inside' => [], 'outside' => [], 'sent_out' => []];
            $trouble = $e->getMessage();
        }
        $now = $this->clock->seconds();

        return [
            'live' => $live,
            'state' => $state,
            'trouble' => $trouble,
            'missing' => $live->isRehearsal || $live->series === null
                    ? []
                    : $this->missing(
                        $live->series->sectionIds(),
                        $live->zone->dateAt($live->start)->iso(),
                        array_column([...$state['inside'], ...$state['outside']], 'person'),
                    ),
            'claims' => $live->isRehearsal ? [] : $this->claims($live->series?->id, $live->zone),
            'late' => $live->series !== null && $now > $live->start + 300,
            'rules' => Preset::say($live->way->door, $live->way->floor),
            'words' => [
                'shut' => 'nobody is there yet',
                'waiting' => 'waiting for a teacher',
                'running' => 'running',
                'over' => 'over',
            ][$state['state']] ?? $state['state'],
        ];
    }

    /**
     * Guests' passes that a second browser asks for, and nobody has decided.
     *
     * @return list<PassClaim>
     */
    private function claims(?int $series, Zone $zone): array
    {
        return array_values(
            DB::table('pass_claims')
                ->join('join_links', 'join_links.id', '=', 'join_link_id')
                ->where('series_id', $series)
                ->whereNull('decided_at')
                ->whereNull('retired_at')
                ->orderBy('pass_claims.id')
                ->limit(20)
                ->get(['pass_claims.id', 'guest_name', 'held_browser', 'held_at', 'browser', 'asked_at'])
                ->map(
                    fn (\stdClass $r): PassClaim => new PassClaim(
                        (int) $r->id,
                        (string) $r->guest_name,
                        Browser::words($r->held_browser),
                        $zone->clock((int) strtotime((string) $r->held_at)),
                        Browser::words($r->browser),
                        $zone->clock((int) strtotime((string) $r->asked_at)),
                    ),
                )
                ->all(),
        );
    }

    /**
     * @param  list<int>  $sections
     * @param  string  $day  on which the session is held
     * @param  list<string>  $here  sourcedIds
     * @return list<string> names of who is on the roster and not here
     */
    private function missing(array $sections, string $day, array $here): array
    {
        $roster = Part::query()
            ->whereIn('section_id', $sections)
            ->where('role', 'student')
            ->on($day)
            ->with('person')
            ->get()
            ->unique('person_id')
            ->sortBy(fn (Part $e): string => $e->person->family_name);

        return array_values(
            $roster
                ->filter(fn (Part $e): bool => ! in_array($e->person->sourced_id, $here, true))
                ->map(fn (Part $e): string => $e->person->name())
                ->all(),
        );
    }
}
