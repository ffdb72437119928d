<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What teachers may do to the timetable of their sections, and what they ask a coordinator for. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            alter table schools add column teacher_rights jsonb;
            alter table sections add column teacher_rights jsonb;

            create table change_requests (
                id bigserial primary key,
                section_id bigint not null references sections on delete cascade,
                series_id bigint not null references series on delete cascade,
                session_id bigint references session_identities on delete cascade,
                person_id bigint not null references people on delete cascade,
                form jsonb not null,
                words varchar(300) not null,
                said jsonb not null,
                why varchar(300) default '' not null,
                state varchar(10) default 'open' not null,
                asked_at timestamptz not null,
                decided_at timestamptz,
                decided_by bigint references people on delete set null,
                answer varchar(300) default '' not null,
                constraint change_requests_state check (state in ('open', 'accepted', 'declined', 'withdrawn')),
                constraint change_requests_decided check ((state = 'open') = (decided_at is null))
            );
            create index change_requests_open on change_requests (section_id) where (state = 'open');
            create index change_requests_of_a_section on change_requests (section_id, id);
            create index change_requests_of_a_person on change_requests (person_id);
            SQL
            ,
        );
    }
};
