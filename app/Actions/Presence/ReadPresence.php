<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Presence;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Doorway;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;

/**
 * Reads from the bridge who came and left in a session, what they did there, and whether it was ended. It goes on from
 * the last event that was read; reading again adds nothing.
 */
final readonly class ReadPresence
{
    public function __construct(private ConferenceBridge $bridge, private Clock $clock, private TakeEvents $take)
    {
    }

    /**
     * @return int how many events were new
     *
     * @throws DestinationFailure in the bridge's own words
     */
    public function __invoke(Session $session): int
    {
        $core = $session->toCore();
        $way = Doorway::ofSeries($session->series, $core);
        if ($way->room === '') {
            return 0;
        }
        $last = (int) DB::table('presence_reads')->where('session_id', $session->id)->value('last_event');
        $read = $this->bridge->events($way->room, Doorway::meeting($core->start), $last);
        $rows = [];
        foreach ($read['events'] as $event) {
            $last = max($last, $event['id']);
            if (in_array($event['what'], ['join', 'leave'], true)) {
                $rows[] = [
                    'who' => $event['person'],
                    'name' => $event['name'],
                    'at' => $event['at'],
                    'is_join' => $event['what'] === 'join',
                    'device' => $event['device'],
                ];
            }
        }

        return DB::transaction(function () use ($session, $rows, $read, $last): int {
            $new = ($this->take)($session, $rows, 'bridge');
            $this->counts($session, $read['counts']);
            DB::table('presence_reads')->upsert(
                [
                    'session_id' => $session->id,
                    'last_event' => $last,
                    'read_at' => $this->clock->now(),
                    'ended_at' => $read['over_at'] === null ? null : gmdate('Y-m-d H:i:sP', $read['over_at']),
                    'trouble' => null,
                ],
                'session_id',
            );

            return $new;
        });
    }

    /** @param  list<array{person: string, answers: int, hands: int, lines: int}>  $counts */
    private function counts(Session $session, array $counts): void
    {
        $people = DB::table('people')
            ->whereIn('sourced_id', array_column($counts, 'person'))
            ->pluck('id', 'sourced_id');
        foreach ($counts as $one) {
            DB::table('participation')->upsert(
                [
                    'session_id' => $session->id,
                    'who' => $one['person'],
                    'person_id' => $people[$one['person']] ?? null,
                    'answers' => $one['answers'],
                    'hands' => $one['hands'],
                    'lines' => $one['lines'],
                ],
                ['session_id', 'who'],
            );
        }
    }
}
