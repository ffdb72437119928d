<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Term\TermChange;
use Nomada\App\Queries\CurrentTerm;
use Nomada\App\Support\Clock;
use Nomada\App\Support\DryRun;
use Nomada\App\Support\HistoryLine;
use Nomada\App\Support\Locks;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use stdClass;

/**
 * The one way in which a term's calendar changes: looked at before, written into the history of the term and of every
 * series that it touches, and undone as a whole, in any order with the changes of series.
 */
final readonly class ChangeCalendar
{
    /** The calendar's tables, in the order in which rows are put back, and whose rows are this term's. */
    private const TABLES = [
        'terms' => 'id',
        'day_plans' => 'term_id',
        'closures' => 'term_id',
        'opened_days' => 'term_id',
        'short_days' => 'term_id',
    ];

    /** What of a term's own row is its calendar. */
    private const OF_TERM = ['id', 'starts_on', 'ends_on', 'rotation', 'opens_minute', 'closes_minute'];

    public function __construct(
        private Clock $clock,
        private CurrentTerm $current,
        private FollowCalendar $follow,
    ) {
    }

    /**
     * @param  Said  $said  the line of the history, as "closed Fri 26 Feb: Storm"
     * @param  callable(): mixed  $change  writes the calendar's rows
     *
     * @throws Fault
     */
    public function __invoke(Term $term, Said $said, ?Person $by, callable $change): CalendarEffect
    {
        return DB::transaction(function () use ($term, $said, $by, $change): CalendarEffect {
            $fresh = $this->locked($term->id);
            $calendar = $fresh->calendar();
            $before = $this->rows($term->id);
            $change();
            $after = $this->rows($term->id);
            [$was, $is] = self::differing($before, $after);
            if ($was === $is) {
                return new CalendarEffect();
            }
            $line = TermChange::query()->create([
                'term_id' => $term->id,
                'person_id' => $by?->id,
                'at' => $this->clock->now(),
                'words' => HistoryLine::columns($said)['words'],
                'said' => $said->toArray(),
                'before' => $was,
                'after' => $is,
            ]);

            return ($this->follow)($calendar, $this->read($term->id), $line);
        });
    }

    /**
     * What a change would do: it is done, looked at, and taken back.
     *
     * @param  callable(): mixed  $change
     *
     * @throws Fault
     */
    public function look(Term $term, callable $change): CalendarEffect
    {
        try {
            return DryRun::of(function () use ($term, $change): CalendarEffect {
                $calendar = $this->read($term->id)->calendar();
                $change();

                return ($this->follow)($calendar, $this->read($term->id), null);
            });
        } finally {
            $this->current->forget();
        }
    }

    /**
     * @param  bool  $withImport  whether the import that it came by is taken back with it
     *
     * @throws Fault where it is undone already, came by an import, or was changed again since
     */
    public function undo(TermChange $change, Person $by, bool $withImport = false): CalendarEffect
    {
        return DB::transaction(function () use ($change, $by, $withImport): CalendarEffect {
            $calendar = $this->locked($change->term_id)->calendar();
            $change = TermChange::query()->lock('for no key update')->findOrFail($change->id);
            if ($change->undone_at !== null) {
                throw new Fault('change.undone', 'change');
            }
            if ($change->import_id !== null && ! $withImport) {
                throw new Fault('change.import', 'change');
            }
            $this->putBack($change);
            $at = $this->clock->now();
            $change->update(['undone_at' => $at, 'undone_by' => $by->id]);
            DB::table('series_changes')
                ->where('term_change_id', $change->id)
                ->update(['undone_at' => $at->format('Y-m-d H:i:sP'), 'undone_by' => $by->id]);
            $undone = new Said('history.undone', ['what' => HistoryLine::said($change->words, $change->said)]);
            $line = new TermChange(['said' => $undone->toArray(), 'person_id' => $by->id, 'at' => $at]);
            $line->id = $change->id;

            return ($this->follow)($calendar, $this->read($change->term_id), $line);
        });
    }

    private function putBack(TermChange $change): void
    {
        foreach (array_reverse(array_keys(self::TABLES)) as $table) {
            $old = array_column($change->before[$table] ?? [], null, 'id');
            foreach ($change->after[$table] ?? [] as $row) {
                if (! isset($old[$row['id']])) {
                    self::unchanged($table, $row);
                    DB::table($table)->where('id', $row['id'])->delete();
                }
            }
        }
        foreach (array_keys(self::TABLES) as $table) {
            $new = array_column($change->after[$table] ?? [], null, 'id');
            foreach ($change->before[$table] ?? [] as $row) {
                if (! isset($new[$row['id']])) {
                    if (DB::table($table)->insertOrIgnore($row) === 0) {
                        throw new Fault('change.since', 'change');
                    }

                    continue;
                }
                self::unchanged($table, $new[$row['id']]);
                DB::table($table)->where('id', $row['id'])->update($row);
            }
        }
    }

    /**
     * @param  array<string, mixed>  $row  as the change left it
     *
     * @throws Fault where it is not so any more
     */
    private static function unchanged(string $table, array $row): void
    {
        $is = DB::table($table)->where('id', $row['id'])->first(array_keys($row));
        if ($is === null || self::plain($is) != $row) {
            throw new Fault('change.since', 'change');
        }
    }

    /** The term's row is the first lock that anybody takes: calendar, then series, then what follows from them. */
    private function locked(int $term): Term
    {
        Locks::timetable($term);
        DB::table('terms')->where('id', $term)->lock('for no key update')->first();

        return $this->read($term);
    }

    private function read(int $term): Term
    {
        $this->current->forget();

        return Term::query()
            ->with(['school', 'closures'])
            ->findOrFail($term);
    }

    /** @return array<string, list<array<string, mixed>>> */
    private function rows(int $term): array
    {
        $out = [];
        foreach (self::TABLES as $table => $key) {
            $out[$table] = array_values(
                DB::table($table)
                    ->where($key, $term)
                    ->orderBy('id')
                    ->get($table === 'terms' ? self::OF_TERM : ['*'])
                    ->map(self::plain(...))
                    ->all(),
            );
        }

        return $out;
    }

    /** @return array<string, mixed> */
    private static function plain(stdClass $row): array
    {
        return array_diff_key((array) $row, ['created_at' => 0, 'updated_at' => 0]);
    }

    /**
     * Only the rows that are not the same before and after.
     *
     * @param  array<string, list<array<string, mixed>>>  $before
     * @param  array<string, list<array<string, mixed>>>  $after
     * @return array{array<string, list<array<string, mixed>>>, array<string, list<array<string, mixed>>>}
     */
    private static function differing(array $before, array $after): array
    {
        $only = fn (array $rows, array $but): array => array_filter(
            array_map(
                fn (string $table): array => array_values(
                    array_filter($rows[$table], fn (array $r): bool => ! in_array($r, $but[$table], true)),
                ),
                array_combine(array_keys($rows), array_keys($rows)),
            ),
            fn (array $some): bool => $some !== [],
        );

        return [$only($before, $after), $only($after, $before)];
    }
}
