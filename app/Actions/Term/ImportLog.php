<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;
use Nomada\Core\Interchange\ImportLine;
use stdClass;

/**
 * What one import does, as it does it: a line for each thing, the counts, and the rows as they were, so that it can be
 * told before and undone afterwards.
 */
final class ImportLog
{
    /** @var list<ImportLine> */
    public array $lines = [];

    /** @var array<string, array{added: int, changed: int, removed: int}> by kind of thing */
    public array $tally = [];

    /**
     * @var array<string, array{added: list<int>, changed: list<array<string, mixed>>, now: list<array<string, mixed>>}>
     */
    public array $rows = [];

    /**
     * What has no id of its own, or a history of its own.
     *
     * @var array{guardianships: array{added: list<array<string, int>>, removed: list<array<string, int>>},
     *   series: array{added: list<int>, restored: list<int>}, to_place: list<int>, zone: array{string, string}|null}
     */
    public array $others = [
        'guardianships' => ['added' => [], 'removed' => []],
        'series' => ['added' => [], 'restored' => []],
        'to_place' => [],
        'zone' => null,
    ];

    /** @var list<int> sections that have changed by way of what else was imported */
    public array $touched = [];

    /**
     * @param  bool  $looks  nothing should be written that takes long: the whole is taken back afterwards
     * @param  list<string>|null  $sure  codes of the dangerous lines that should be done; null for all
     * @param  int|null  $by  who imports, and stays a coordinator
     */
    public function __construct(
        public readonly bool $looks,
        private readonly ?array $sure,
        public readonly ?int $by,
    ) {
    }

    public function line(ImportLine $line): void
    {
        $this->lines[] = $line;
    }

    /** Says a dangerous line, and whether it should be done. When it is only looked at, all of them are done. */
    public function dangerous(ImportLine $line): bool
    {
        $this->lines[] = $line;

        return $this->looks || $this->sure === null || in_array($line->code, $this->sure, true);
    }

    /** @param  'added'|'changed'|'removed'  $what */
    public function count(string $kind, string $what, int $n = 1): void
    {
        $this->tally[$kind] ??= ['added' => 0, 'changed' => 0, 'removed' => 0];
        $this->tally[$kind] = [...$this->tally[$kind], $what => $this->tally[$kind][$what] + $n];
    }

    /** Whether anything of a kind of thing came, changed or went. */
    public function moved(string $kind): bool
    {
        return array_sum($this->tally[$kind] ?? []) > 0;
    }

    /**
     * Inserts rows, and remembers which they are.
     *
     * @param  list<array<string, mixed>>  $rows  each with a sourced_id
     */
    public function insert(string $table, array $rows): void
    {
        foreach (array_chunk($rows, 1000) as $chunk) {
            DB::table($table)->insert($chunk);
            $ids = DB::table($table)->whereIn('sourced_id', array_column($chunk, 'sourced_id'))->pluck('id')->all();
            $this->rows[$table] ??= ['added' => [], 'changed' => [], 'now' => []];
            array_push($this->rows[$table]['added'], ...array_map(intval(...), $ids));
        }
    }

    /**
     * Remembers rows as they were before something else changed some of their columns.
     *
     * @param  list<string>  $columns
     */
    public function before(string $table, int $id, array $columns): void
    {
        $this->rows[$table] ??= ['added' => [], 'changed' => [], 'now' => []];
        $this->rows[$table]['changed'][] = (array) DB::table($table)->where('id', $id)->first($columns) + [
            'id' => $id,
        ];
    }

    /**
     * Updates a row, and remembers what of it was otherwise.
     *
     * @param  array<string, mixed>  $to
     */
    public function update(string $table, stdClass $old, array $to): void
    {
        DB::table($table)
            ->where('id', $old->id)
            ->update([...$to, 'updated_at' => now()]);
        $this->rows[$table] ??= ['added' => [], 'changed' => [], 'now' => []];
        $this->rows[$table]['changed'][] = array_intersect_key((array) $old, $to) + ['id' => (int) $old->id];
        $this->rows[$table]['now'][] = $to + ['id' => (int) $old->id];
    }
}
