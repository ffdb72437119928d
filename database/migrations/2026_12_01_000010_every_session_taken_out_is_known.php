<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                -- Every session that was taken out is known, extra ones too: what hangs on it is left behind, not lost.
                alter table gone_sessions drop constraint gone_sessions_pkey;
                delete from gone_sessions g where exists (
                    select 1 from gone_sessions h where h.id = g.id and h.ctid > g.ctid);
                alter table gone_sessions add primary key (id);
                alter table gone_sessions add column is_extra boolean not null default false;
                alter table gone_sessions add column gone_at timestamptz not null default clock_timestamp();
                create index gone_sessions_slot on gone_sessions (series_id, slot);
                create or replace function facts_come_back() returns trigger language plpgsql as $$
                begin
                    insert into gone_sessions (series_id, slot, id, is_extra)
                        select series_id, coalesce(moved_from, day), id, is_extra from olds
                        on conflict (id) do update set slot = excluded.slot, gone_at = clock_timestamp();
                    perform facts_go_over(y.id, x.id) from olds y join sessions x
                        on x.series_id = y.series_id and x.day = y.makes_up and x.id <> y.id
                        where y.makes_up is not null;
                    return null;
                end $$;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
                create or replace function facts_come_back() returns trigger language plpgsql as $$
                begin
                    insert into gone_sessions (series_id, slot, id)
                        select series_id, coalesce(moved_from, day), id from olds where not is_extra
                        on conflict (series_id, slot) do update set id = excluded.id;
                    perform facts_go_over(y.id, x.id) from olds y join sessions x
                        on x.series_id = y.series_id and x.day = y.makes_up and x.id <> y.id
                        where y.makes_up is not null;
                    return null;
                end $$;
                delete from gone_sessions g where is_extra or exists (
                    select 1 from gone_sessions h where h.series_id = g.series_id and h.slot = g.slot
                        and h.gone_at > g.gone_at);
                drop index gone_sessions_slot;
                alter table gone_sessions drop constraint gone_sessions_pkey;
                alter table gone_sessions add primary key (series_id, slot);
                alter table gone_sessions drop column gone_at, drop column is_extra;
            SQL
            ,
        );
    }
};
