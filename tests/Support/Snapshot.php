<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Support\Facades\DB;

/**
 * All rows of the database at one moment, put back a good deal faster than what had made them could make them again.
 */
final readonly class Snapshot
{
    /**
     * @param  array<string, string>  $rows  as JSON, by table
     * @param  list<string>  $counted  what brings each sequence behind the rows that are numbered by it
     */
    private function __construct(private array $rows, private array $counted)
    {
    }

    public static function take(): self
    {
        $rows = [];
        foreach (self::tables() as $table) {
            $json = DB::scalar("select json_agg(t) from \"$table\" t");
            if (is_string($json)) {
                $rows[$table] = $json;
            }
        }

        $counted = [];
        foreach (self::sequences() as $of) {
            $last = (int) DB::scalar("select max(\"$of->column\") from \"$of->table\"");
            $counted[] = "setval('\"$of->sequence\"', greatest(nextval('\"$of->sequence\"'), $last))";
        }

        return new self($rows, $counted);
    }

    /** Into tables that hold nothing else; each row stands with the number it had. */
    public function putBack(): void
    {
        DB::transaction(function (): void {
            foreach (array_intersect_key(self::keys(), $this->rows) as $table => $key) {
                DB::insert(
                    "insert into \"$table\" select * from json_populate_recordset(null::\"$table\", ?) on
                        conflict ($key) do nothing",
                    [$this->rows[$table]],
                );
            }
        });
        // New rows get numbers behind those, wherever counting had begun again.
        DB::select('select '.implode(', ', $this->counted));
    }

    /**
     * Leaves every table as it is when it has just been made. What still runs behind a page may write at the same
     * time, in another order: if the database stops this for it, it begins again.
     */
    public static function clear(): void
    {
        $tables = implode(', ', array_map(fn (string $t): string => "\"$t\"", self::tables()));
        DB::transaction(fn () => DB::statement("truncate $tables"), attempts: 20);
    }

    /** @return list<string> */
    private static function tables(): array
    {
        return array_keys(self::keys());
    }

    /**
     * The columns of each table's primary key. What a table refers to comes before it, but for what may refer to rows
     * that come later in a transaction.
     *
     * @return array<string, string> by table
     */
    private static function keys(): array
    {
        $rows = DB::select(
            <<<'SQL'
            with recursive
                own as (
                    select oid from pg_class where relkind = 'r' and relname <> 'migrations'
                        and relnamespace = 'public'::regnamespace
                ),
                refers as (
                    select distinct conrelid, confrelid from pg_constraint
                    where contype = 'f' and not condeferred and conrelid <> confrelid
                ),
                steps(oid, step) as (
                    select oid, 0 from own
                    union
                    select conrelid, step + 1 from steps join refers on confrelid = steps.oid where step < 20
                )
            select relname as name, (
                    select string_agg('"' || attname || '"', ', ') from pg_constraint k
                    join pg_attribute a on a.attrelid = k.conrelid and a.attnum = any (k.conkey)
                    where k.conrelid = c.oid and k.contype = 'p'
                ) as key
            from pg_class c
            join (select oid, max(step) as step from steps group by oid) s using (oid)
            order by step, relname
            SQL,
        );

        return array_column($rows, 'key', 'name');
    }

    /** @return list<\stdClass> each with its sequence, and the table and the column that it numbers */
    private static function sequences(): array
    {
        return DB::select(
            "select s.relname as sequence, t.relname as table, a.attname as column from pg_class s
            join pg_depend d on d.objid = s.oid and d.deptype = 'a' and d.classid = 'pg_class'::regclass
            join pg_class t on t.oid = d.refobjid
            join pg_attribute a on a.attrelid = d.refobjid and a.attnum = d.refobjsubid
            where s.relkind = 'S' and s.relnamespace = 'public'::regnamespace",
        );
    }
}
