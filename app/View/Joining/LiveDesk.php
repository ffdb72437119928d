<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Nomada\App\Actions\Joining\LiveRoom;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Term\Part;
use Nomada\App\Support\Clock;
use Nomada\Core\Joining\Preset;

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
