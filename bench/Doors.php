<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Support\Clock;

/**
 * 200 students arrive at once, each by their own link, at the doors of the sessions that run at one moment; a teacher
 * is inside. Beside it the same 200 open the page on which a code is typed, which asks nothing. Then all press the
 * button at once: each is inside once.
 */
final class Doors
{
    private const MANY = 200;

    public function run(): bool
    {
        $served = new ServedSchool(0);
        try {
            return $this->measure($served);
        } finally {
            $served->end();
        }
    }

    private function measure(ServedSchool $served): bool
    {
        // The moment at which most students have a session.
        $start = (int) strtotime(
            (string) DB::table('sessions')
                ->where('day', '2027-02-09')
                ->where('state', 'planned')
                ->groupBy('starts_at')
                ->orderByRaw('count(*) desc')
                ->value('starts_at'),
        );
        app(Clock::class)->set($start - 120);
        $sections = DB::table('sections')
            ->join('series', 'series.section_id', '=', 'sections.id')
            ->join('sessions', 'sessions.series_id', '=', 'series.id')
            ->whereRaw('starts_at = to_timestamp(?)', [$start])
            ->where('state', 'planned')
            ->orderBy('sections.id')
            ->limit(12)
            ->pluck('sections.sourced_id')
            ->all();
        Artisan::call('nomada:links', ['--section' => $sections]);
        Artisan::call('nomada:register', ['--section' => $sections]);
        $meeting = gmdate('Y-m-d\TH:i', $start);
        $links = JoinLink::query()
            ->inForce()
            ->where('kind', 'personal')
            ->whereIn(
                'series_id',
                DB::table('sessions')
                    ->whereRaw('starts_at = to_timestamp(?)', [$start])
                    ->select('series_id'),
            )
            ->orderBy('id')
            ->get()
            ->unique('person_id')
            ->take(self::MANY)
            ->values();
        foreach (
            JoinLink::query()
                ->inForce()
                ->where('kind', 'series')
                ->whereIn('series_id', $links->pluck('series_id')->unique()->all())
                ->pluck('room') as $room
        ) {
            $served->standins->post("/bridge/rooms/$room/people", [
                'person' => 'a-teacher',
                'name' => 'A Teacher',
                'host' => true,
                'meeting' => $meeting,
            ]);
        }
        $cookies = $links->map(fn (JoinLink $l): string => $served->cookie((int) $l->person_id))->all();
        $door = $links
            ->map(fn (JoinLink $l, int $i): array => ["$served->url/join/$l->secret", $cookies[$i], ''])
            ->all();
        $served->atOnce(array_slice($door, 0, 20));
        // One after the other, as the machine's processors are then free for each.
        $alone = array_merge(
            ...array_map(fn (array $r): array => $served->atOnce([$r])[0], array_slice($door, 0, 40)),
        );
        sort($alone);
        [$peer] = $served->atOnce(array_map(fn (string $c): array => ["$served->url/join", $c, ''], $cookies));
        [$times, $statuses] = $served->atOnce($door);
        // Pressed twice by everybody.
        $press = array_map(fn (array $r): array => [$r[0], $r[1], '_token=bench'], [...$door, ...$door]);
        [$entering, $entered] = $served->atOnce($press);
        $inside = 0;
        $twice = 0;
        foreach (
            JoinLink::query()
                ->inForce()
                ->where('kind', 'series')
                ->whereIn('series_id', $links->pluck('series_id')->unique()->all())
                ->pluck('room') as $room
        ) {
            $people = array_column(
                array_filter(
                    $served->standins->get("/bridge/rooms/$room?meeting=$meeting")['inside'],
                    fn (array $p): bool => ! $p['host'],
                ),
                'person',
            );
            $inside += count($people);
            $twice += count($people) - count(array_unique($people));
        }
        $at = fn (array $of, float $part): float => $of[(int) floor($part * (count($of) - 1))] ?? 0.0;
        printf("door: %d students at once, %s\n", count($door), json_encode($statuses));
        printf(
            '  the answer takes %.1f ms of server time (median; 95 of 100 within %.1f); one after the other %.1f ms; '.
                "a page that asks nothing, at once, %.1f ms: %.2f times as long\n",
            $at($times, 0.5),
            $at($times, 0.95),
            $at($alone, 0.5),
            $at($peer, 0.5),
            $at($times, 0.5) / max(0.1, $at($peer, 0.5)),
        );
        printf(
            "  then everybody presses twice: %.1f ms (median, with the bridge's own time), %s; %d inside, %d twice\n",
            $at($entering, 0.5),
            json_encode($entered),
            $inside,
            $twice,
        );

        return $at($times, 0.5) <= 20 && $inside === count($door) && $twice === 0;
    }
}
