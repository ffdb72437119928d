<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What the solver was asked, and what it found. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            create table solver_runs (
                id bigserial primary key,
                term_id bigint not null references terms on delete cascade,
                person_id bigint references people on delete set null,
                question jsonb not null,
                state varchar(8) default 'waiting' not null,
                seconds real default 0 not null,
                solutions jsonb default '[]' not null,
                asked_at timestamptz not null,
                ended_at timestamptz,
                constraint solver_runs_state check (
                    state in ('waiting', 'running', 'done', 'stopped', 'failed', 'taken')
                )
            );
            create index solver_runs_of_a_term on solver_runs (term_id, id);
            create index solver_runs_person_id on solver_runs (person_id);
            SQL
            ,
        );
    }
};
