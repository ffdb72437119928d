<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Presence;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Session;

/** Keeps what was told of a session, each thing once, and works out what it comes to. */
final readonly class TakeEvents
{
    public function __construct(private WorkOutSums $sums)
    {
    }

    /**
     * @param  list<array{who: string, name: string, at: int, is_join: bool, device: string}>  $events  whose `who` is
     *   a sourcedId where they are a person of the school
     * @param  'bridge'|'list'  $source
     * @return int how many were new
     */
    public function __invoke(Session $session, array $events, string $source): int
    {
        $people = DB::table('people')
            ->whereIn('sourced_id', array_values(array_unique(array_column($events, 'who'))))
            ->pluck('id', 'sourced_id');
        $new = 0;
        foreach (array_chunk($events, 500) as $chunk) {
            $new += DB::table('presence_events')->insertOrIgnore(
                array_map(
                    fn (array $e): array => [
                        'session_id' => $session->id,
                        'who' => mb_substr($e['who'], 0, 120),
                        'person_id' => $people[$e['who']] ?? null,
                        'name' => mb_substr($e['name'], 0, 160),
                        'at' => gmdate('Y-m-d H:i:sP', $e['at']),
                        'is_join' => $e['is_join'],
                        'device' => mb_substr($e['device'], 0, 60),
                        'source' => $source,
                    ],
                    $chunk,
                ),
            );
        }
        if ($new > 0) {
            ($this->sums)([$session->id]);
        }

        return $new;
    }
}
