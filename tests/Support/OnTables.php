<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;

/**
 * Tables that are laid once for each process, and stay as they are: whatever a test writes is taken back at its end.
 */
trait OnTables
{
    use RefreshDatabase {
        migrateDatabases as private layTables;
    }

    protected function migrateDatabases(): void
    {
        $this->layTables();
        // What is taken back looks to the database's own tidying up as if the tables were empty. It would note that,
        // and the next test with a school of some size would be answered row by row: half a minute instead of four
        // seconds, in one run of three.
        DB::unprepared(<<<'SQL'
        do $$
        declare
            t regclass;
        begin
            for t in select oid from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace loop
                execute format('alter table %s set (autovacuum_enabled = false)', t);
            end loop;
        end
        $$
        SQL);
    }
}
