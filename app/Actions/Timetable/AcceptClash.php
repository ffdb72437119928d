<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Fault;

/** A person lives with a clash, for a reason that others can read; or takes that back. */
final class AcceptClash
{
    /** @throws Fault where there is no such clash any more */
    public function __invoke(string $key, string $reason, Person $by): void
    {
        $seen = DB::table('clashes')
            ->whereRaw("kind || ' ' || series_id || coalesce(' ' || other_series_id, '') = ?", [$key])
            ->first(['people', 'days']);
        if ($seen === null) {
            throw new Fault('clash.gone', 'key');
        }
        DB::table('accepted_clashes')->upsert(
            [
                [
                    'key' => $key,
                    'reason' => $reason,
                    'people' => $seen->people,
                    'days' => $seen->days,
                    'accepted_by' => $by->id,
                    'created_at' => now(),
                    'updated_at' => now(),
                ],
            ],
            'key',
            ['reason', 'people', 'days', 'accepted_by', 'updated_at'],
        );
    }

    public function reopen(string $key): void
    {
        DB::table('accepted_clashes')->where('key', $key)->delete();
    }
}
