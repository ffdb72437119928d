<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/*
 * What is about a session names the session, and follows it to whatever day it is moved. The day that stands beside it
 * (only_day) is only what people read; it is written here and nowhere else. See docs/sessions.md.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                alter table registrations add column session_id bigint;
                update registrations r set session_id = (
                    select s.id from sessions s where s.series_id = r.series_id and s.day = r.only_day
                        order by (s.state = 'planned') desc, s.starts_at limit 1
                ) where only_day is not null;
                drop index registrations_once;
                create unique index registrations_once on registrations (series_id, person_id, coalesce(session_id, 0));
                create index registrations_of_a_session on registrations (session_id) where session_id is not null;
                -- A session that is taken out may be put back with its id, and its passes with it.
                alter table join_links drop constraint if exists join_links_only_session_id_fkey;
                create index if not exists join_links_of_a_session on join_links (only_session_id)
                    where only_session_id is not null;
                create index if not exists materials_of_a_session on materials (session_id) where session_id is not
                    null;
                alter table answers add column session_id bigint;
                -- The ids of sessions that were taken out, by their dates of the pattern: one that is made again for
                -- the same date is the same session, with all that hangs on it.
                create table gone_sessions (
                    series_id bigint not null,
                    slot date not null,
                    id bigint not null,
                    primary key (series_id, slot)
                );

                create or replace function days_follow_sessions() returns trigger language plpgsql as $$
                begin
                    update registrations r set only_day = n.day from news n
                        where r.session_id = n.id and r.only_day is distinct from n.day;
                    update join_links l set only_day = n.day from news n
                        where l.only_session_id = n.id and l.only_day is distinct from n.day;
                    -- What hangs on a session that is not held hangs on the one that makes it up.
                    if exists (select 1 from news where makes_up is not null and state = 'planned') then
                        perform facts_go_over(x.id, y.id) from news y join sessions x
                            on x.series_id = y.series_id and x.day = y.makes_up and x.state <> 'planned'
                            where y.makes_up is not null and y.state = 'planned' and x.id <> y.id;
                    end if;
                    return null;
                end $$;
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
                create or replace function facts_go_over(here bigint, there bigint) returns void language sql as $$
                    update registrations r set session_id = there, only_day = (select day from sessions where id =
                        there)
                        where session_id = here and not exists (
                            select 1 from registrations q where q.series_id = r.series_id and q.person_id = r.person_id
                                and q.session_id = there);
                    update join_links set only_session_id = there, only_day = (select day from sessions where id =
                        there)
                        where only_session_id = here;
                    update materials set session_id = there where session_id = here;
                $$;
                create trigger sessions_come after insert on sessions referencing new table as news
                    for each statement execute function days_follow_sessions();
                create trigger sessions_change after update on sessions referencing new table as news
                    for each statement execute function days_follow_sessions();
                create trigger sessions_go after delete on sessions referencing old table as olds
                    for each statement execute function facts_come_back();
                -- Whoever writes a day alone means the session that is held on it.
                create or replace function registration_names_session() returns trigger language plpgsql as $$
                begin
                    if new.only_day is not null and new.session_id is null then
                        select id into new.session_id from sessions
                            where series_id = new.series_id and day = new.only_day
                            order by (state = 'planned') desc, starts_at limit 1;
                    end if;
                    return new;
                end $$;
                create trigger registrations_name_sessions before insert on registrations
                    for each row execute function registration_names_session();
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
                drop trigger registrations_name_sessions on registrations;
                drop trigger sessions_come on sessions;
                drop trigger sessions_change on sessions;
                drop trigger sessions_go on sessions;
                drop function registration_names_session();
                drop function days_follow_sessions();
                drop function facts_come_back();
                drop function facts_go_over(bigint, bigint);
                drop index registrations_once;
                create unique index registrations_once on registrations (series_id, person_id, coalesce(only_day,
                    '-infinity'::date));
                drop table gone_sessions;
                alter table registrations drop column session_id;
                alter table answers drop column session_id;
            SQL
            ,
        );
    }
};
