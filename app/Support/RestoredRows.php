<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Support\Facades\DB;

/**
 * Puts rows of a history back although something that they refer to may have gone since: a person who was erased, an
 * account that was removed. What would have happened to the rows if they had been there happens to them now.
 */
final class RestoredRows
{
    /**
     * @param  list<array<string, mixed>>  $rows
     * @return list<array<string, mixed>> without those that would have been deleted, and without the references that
     *   would have been emptied
     */
    public static function standing(string $table, array $rows): array
    {
        foreach ($rows === [] ? [] : self::references($table) as $of) {
            $ids = array_values(array_unique(array_filter(array_column($rows, $of->column))));
            $known = $ids === [] ? [] : DB::table($of->other)->whereIn($of->key, $ids)->pluck($of->key)->all();
            $gone = array_flip(array_diff($ids, $known));
            foreach ($gone === [] ? [] : $rows as $i => $row) {
                if (! isset($gone[$row[$of->column] ?? ''])) {
                    continue;
                }
                if ($of->then === 'n') {
                    $rows[$i][$of->column] = null;
                } else {
                    unset($rows[$i]);
                }
            }
        }

        return array_values($rows);
    }

    /**
     * What a table refers to by one column, and what happens to its rows when that goes: `c` they go, too, `n` the
     * reference is emptied. What is looked at when a transaction ends may still come.
     *
     * @return list<\stdClass> each with column, other (table), key (its column) and then
     */
    private static function references(string $table): array
    {
        return array_values(
            DB::select(
                "select a.attname as column, c.confrelid::regclass::text as other, f.attname as key, c.confdeltype
                    as then
            from pg_constraint c
            join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
            join pg_attribute f on f.attrelid = c.confrelid and f.attnum = c.confkey[1]
            where c.contype = 'f' and c.conrelid = ?::regclass and cardinality(c.conkey) = 1
                and c.confdeltype in ('c', 'n') and not c.condeferred",
                [$table],
            ),
        );
    }
}
