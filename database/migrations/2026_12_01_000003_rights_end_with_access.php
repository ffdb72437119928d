<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                -- Days for which whoever took a session instead of its teacher may still act on it.
                alter table schools add column substitute_days smallint not null default 7
                    check (substitute_days between 0 and 365);
                -- Every signed link about or for a person names this number, and ends when it is counted up.
                alter table people add column links_version integer not null default 1;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            'alter table schools drop column substitute_days; alter table people drop column links_version;',
        );
    }
};
