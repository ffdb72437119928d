<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class() extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                create table materials (
                    id bigserial primary key,
                    section_id bigint not null references sections on delete cascade,
                    -- Of one session; without a key to it, as all that is about a session. Null: of the whole section.
                    session_id bigint,
                    title varchar(120) not null,
                    address varchar(1000) not null,
                    created_by bigint references people on delete set null,
                    created_at timestamptz not null
                );
                create index materials_of_a_section on materials (section_id, id);
                SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('drop table materials');
    }
};
