<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\Clock;
use Nomada\App\Support\WriteVersionedCache;
use Nomada\Core\Timetable\ContactTime;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;

/** The contact time of sections, in two queries however many there are. */
final readonly class ContactTimes
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param  list<int>  $sections
     * @param  array<int, int|null>  $targets  minutes by section
     * @return array<int, array{n: int, time: ContactTime}> by section
     */
    public function of(array $sections, array $targets): array
    {
        $now = $this->clock->seconds();
        $found = [];
        $minute = intdiv($now, WriteVersionedCache::AT_MOST);
        $rows =
            count($sections) < WriteVersionedCache::MANY
                ? $this->sums($sections, $now)
                : WriteVersionedCache::untilWritten(
                    'contact '.hash('sha256', implode(' ', $sections))." $minute",
                    fn (): array => $this->sums($sections, $now),
                );
        foreach ($rows as $row) {
            $end = $row->over ? $now : $now + 86400 * 400;
            $own = $row->makeup ? new SessionOverrides(isExtra: true, makesUp: 0) : null;
            $found[(int) $row->section_id][] = [
                (int) $row->n,
                new PlannedSession(
                    0,
                    $end - 60 * (int) $row->minutes,
                    $end,
                    SessionState::from($row->state),
                    null,
                    $own,
                ),
            ];
        }
        $out = [];
        foreach ($sections as $id) {
            $own = $found[$id] ?? [];
            $out[$id] = [
                'n' => array_sum(
                    array_map(fn (array $f): int => $f[1]->state === SessionState::Planned ? $f[0] : 0, $own),
                ),
                'time' => ContactTime::of(
                    array_column($own, 1),
                    $now,
                    isset($targets[$id]) ? (int) $targets[$id] : null,
                ),
            ];
        }

        return $out;
    }

    /**
     * Summed up by the database by state and length: thirty thousand sessions are too many to carry here one by one.
     *
     * @param  list<int>  $sections
     * @return list<\stdClass>
     */
    private function sums(array $sections, int $now): array
    {
        return array_values(
            DB::table('sessions')
                ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
                ->whereIn('section_id', $sections)
                ->groupByRaw('1, 2, 3, 4')
                ->get([
                    'section_id',
                    'state',
                    DB::raw('makes_up is not null as makeup'),
                    DB::raw("ends_at <= to_timestamp($now) as over"),
                    DB::raw('count(*) as n'),
                    DB::raw('(extract(epoch from sum(ends_at - starts_at)) / 60)::int as minutes'),
                ])
                ->all(),
        );
    }
}
