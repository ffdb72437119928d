<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\App\Support\Clock;
use Nomada\App\Support\HistoryLine;
use Nomada\App\Support\RestoredRows;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;

/** Writes down every change of a series with the rows as they were before it, so that it can be told and undone. */
final readonly class SeriesHistory
{
    /** What goes with a series when it is deleted, in the order in which it is put back. */
    private const TABLES = [
        'series' => 'id',
        'series_sections' => 'series_id',
        'sessions' => 'series_id',
        'join_links' => 'series_id',
        'pass_claims' => 'join_link_id',
        'registrations' => 'series_id',
        'emails' => 'series_id',
        'accepted_deviations' => 'series_id',
        'invitation_responses' => 'series_id',
    ];

    public function __construct(private Clock $clock)
    {
    }

    /**
     * @return array<string, list<array<string, mixed>>> rows by table
     */
    public function snapshot(int $series, bool $whole = false): array
    {
        $out = [];
        foreach (self::TABLES as $table => $key) {
            if ($whole || $table === 'series' || $table === 'sessions' || $table === 'series_sections') {
                $out[$table] = array_values(
                    DB::table($table)
                        ->when(
                            $key === 'join_link_id',
                            fn ($q) => $q->whereIn($key, array_column($out['join_links'] ?? [], 'id')),
                            fn ($q) => $q->where($key, $series),
                        )
                        ->orderBy($key)
                        ->get()
                        ->map(fn (\stdClass $r): array => (array) $r)
                        ->all(),
                );
            }
        }

        return $out;
    }

    /** @return array<string, list<array<string, mixed>>> what a series was before it had a time */
    public function toPlace(SeriesToPlace $one): array
    {
        return [$one->getTable() => [(array) DB::table($one->getTable())->find($one->id)]];
    }

    /**
     * @param  array<string, list<array<string, mixed>>>  $before
     */
    public function takeBackTime(array $before): void
    {
        $table = (new SeriesToPlace())->getTable();
        DB::table($table)->insertOrIgnore(RestoredRows::standing($table, $before[$table] ?? []));
    }

    /**
     * @param  array<string, list<array<string, mixed>>>  $before
     * @param  bool  $isForSome  of a session for chosen students, which is told nowhere that the whole section reads
     */
    public function record(
        Series $series,
        ?Person $by,
        Said $said,
        array $before,
        ?int $import = null,
        bool $isForSome = false,
    ): void {
        SeriesChange::query()->create([
            'section_id' => $series->section_id,
            'series_id' => $series->id,
            'person_id' => $by?->id,
            'at' => Carbon::createFromTimestamp($this->clock->seconds()),
            'words' => HistoryLine::columns($said)['words'],
            'said' => $said->toArray(),
            'before' => $before,
            'import_id' => $import,
            'is_for_some' => $isForSome,
        ]);
    }

    /**
     * Makes the changes that an act records one step: they are undone together. Call it within a transaction that holds
     * the timetable of their term.
     *
     * @template T
     *
     * @param  callable(): T  $act
     * @return T
     */
    public function asOneStep(int $term, callable $act): mixed
    {
        $last = (int) SeriesChange::query()->max('id');
        $out = $act();
        $changes = SeriesChange::query()->where('id', '>', $last)->whereRelation('section', 'term_id', $term);
        if ($changes->count() > 1) {
            $changes->update(['batch' => (string) Str::uuid()]);
        }

        return $out;
    }

    /**
     * Puts a deleted series back, with its links and registrations.
     *
     * @param  array<string, list<array<string, mixed>>>  $before
     *
     * @throws Fault where its section has another series of that title by now
     */
    public function putBack(array $before): void
    {
        foreach (array_keys(self::TABLES) as $table) {
            $came = 0;
            foreach (array_chunk(RestoredRows::standing($table, $before[$table] ?? []), 300) as $rows) {
                // What a rule of the database speaks about at the end of an act is never passed over.
                $came +=
                    $table === 'sessions'
                        ? (int) DB::table($table)->insert($rows)
                        : DB::table($table)->insertOrIgnore($rows);
            }
            if ($table === 'series' && $came === 0) {
                throw new Fault('history.title_taken', 'change', ['series' => $before['series'][0]['title'] ?? '']);
            }
        }
    }
}
