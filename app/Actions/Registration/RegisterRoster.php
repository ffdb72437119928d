<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\KeepLink;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\Clock;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Registration\RosterFollow;

/**
 * Registers a section's whole roster for each of its series: everybody enrolled gets a registration with a personal link,
 * and whoever has left loses theirs. Again the same changes nothing.
 */
final readonly class RegisterRoster
{
    public function __construct(private Clock $clock, private KeepLink $keep, private RefreshPlacements $refresh)
    {
    }

    /** @return array{joined: int, left: int} registrations made and withdrawn, over all series */
    public function __invoke(Section $section): array
    {
        $today = $section->term->calendar()->zone->dateAt($this->clock->seconds())->iso();

        return DB::transaction(function () use ($section, $today): array {
            DB::table('sections')->where('id', $section->id)->lockForUpdate()->first();
            $roster = $section->enrolments()->where('role', 'student')->pluck('ends_on', 'person_id')->all();
            $sum = ['joined' => 0, 'left' => 0];
            foreach ($section->series as $series) {
                $registered = array_values(array_map(intval(...), $series->registrations()->where('state', 'accepted')->pluck('person_id')->all()));
                $follow = RosterFollow::between($roster, $registered, $today);
                $this->join($series->id, $follow->join);
                $this->leave($series->id, $follow->leave);
                $sum['joined'] += count($follow->join);
                $sum['left'] += count($follow->leave);
            }
            if ($sum !== ['joined' => 0, 'left' => 0]) {
                ($this->refresh)([$section->id]);
            }

            return $sum;
        });
    }

    /** @param  list<int>  $people */
    private function join(int $series, array $people): void
    {
        $now = now();
        $linked = JoinLink::query()->inForce()->where('series_id', $series)->where('kind', LinkKind::Personal)->pluck('person_id')->flip();
        $registrations = array_map(fn (int $p): array => ['series_id' => $series, 'person_id' => $p, 'state' => 'accepted', 'came_by' => 'roster', 'created_at' => $now, 'updated_at' => $now], $people);
        Registration::query()->upsert($registrations, ['series_id', 'person_id'], ['state', 'came_by', 'updated_at']);
        foreach ($people as $person) {
            if (! $linked->has($person)) {
                JoinLink::query()->create($this->keep->fresh($series, LinkKind::Personal, $person));
            }
        }
    }

    /** @param  list<int>  $people */
    private function leave(int $series, array $people): void
    {
        if ($people !== []) {
            Registration::query()->where('series_id', $series)->whereIn('person_id', $people)->update(['state' => 'withdrawn']);
            JoinLink::query()->inForce()->where('series_id', $series)->whereIn('person_id', $people)->update(['retired_at' => now()]);
        }
    }
}
