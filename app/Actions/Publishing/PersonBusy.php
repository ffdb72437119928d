<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\App\Support\Clock;
use Nomada\Core\Interchange\Calendar\FreeBusy;

/** When somebody's sessions and own busy times are, for the coming weeks, without what they are. */
final readonly class PersonBusy
{
    private const DAYS = 120;

    public function __construct(private SectionFactsQuery $facts, private Clock $clock)
    {
    }

    public function __invoke(Person $person): string
    {
        $now = $this->clock->seconds();
        $from = $now - ($now % 86400);
        $to = $from + 86400 * self::DAYS;
        $busy = [];
        $sections = Section::query()
            ->whereHas('memberships', fn ($q) => $q->where('person_id', $person->id))
            ->pluck('id');
        foreach ($this->facts->for(array_values(array_map(intval(...), $sections->all())), true) as $facts) {
            foreach ($facts->series as $series) {
                foreach ($series->sessionsOf($person->sourced_id) as $session) {
                    $busy[] = [$session->start, $session->end];
                }
            }
        }
        foreach (
            DB::table('busy_blocks')
                ->where('person_id', $person->id)
                ->get([
                    DB::raw('extract(epoch from starts_at)::bigint as s'),
                    DB::raw('extract(epoch from ends_at)::bigint as e'),
                ]) as $row
        ) {
            $busy[] = [(int) $row->s, (int) $row->e];
        }

        return FreeBusy::write((string) ($person->email ?? $person->sourced_id), $busy, $from, $to, $now);
    }
}
