<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Every session that ever was has a row in session_identities, as long as anything is about it. What is about a
 * session refers to that row, so nothing is orphaned when the session is taken out, and all of it is there again when
 * the session comes back.
 */
return new class extends Migration {
    /** Tables that say something of a session, the column that names it, and what goes with the identity. */
    private const ABOUT = [
        ['presence_events', 'session_id', 'cascade'],
        ['presence_reads', 'session_id', 'cascade'],
        ['participation', 'session_id', 'cascade'],
        ['attendance_corrections', 'session_id', 'cascade'],
        ['session_sums', 'session_id', 'cascade'],
        ['session_absences', 'session_id', 'cascade'],
        ['session_notes', 'session_id', 'cascade'],
        // A recording has files, which no rule of the database can delete.
        ['recordings', 'session_id', 'restrict'],
        ['registrations', 'session_id', 'cascade'],
        ['join_links', 'only_session_id', 'cascade'],
        ['materials', 'session_id', 'cascade'],
        ['invitation_responses', 'session_id', 'cascade'],
        ['sent_reminders', 'session_id', 'cascade'],
    ];

    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            alter table removed_sessions rename to session_identities;
            alter index removed_sessions_slot rename to session_identities_slot;
            alter table session_identities rename constraint removed_sessions_pkey to session_identities_pkey;
            alter table session_identities
                alter column gone_at drop not null,
                alter column gone_at drop default,
                -- Of a session that was removed before identities were kept, only the number is known.
                alter column series_id drop not null,
                alter column slot drop not null;
            insert into session_identities (id, series_id, slot, is_extra)
                select id, series_id, coalesce(moved_from, day), is_extra from sessions
                on conflict (id) do update set slot = excluded.slot, gone_at = null;
            SQL
            ,
        );
        foreach (self::ABOUT as [$table, $column, $then]) {
            DB::unprepared(
                "insert into session_identities (id, gone_at)
                    select distinct $column, clock_timestamp() from $table where $column is not null
                    on conflict (id) do nothing;
                alter table $table add constraint {$table}_session foreign key ($column)
                    references session_identities on delete $then;",
            );
        }
        DB::unprepared(
            <<<'SQL'
            alter table sessions add constraint sessions_identity foreign key (id) references session_identities;

            create or replace function session_has_identity() returns trigger language plpgsql as $$
            begin
                insert into session_identities (id, series_id, slot, is_extra)
                    values (new.id, new.series_id, coalesce(new.moved_from, new.day), new.is_extra)
                    on conflict (id) do update set series_id = excluded.series_id, slot = excluded.slot,
                        is_extra = excluded.is_extra, gone_at = null;
                return new;
            end $$;
            create trigger sessions_have_identities before insert on sessions
                for each row execute function session_has_identity();

            create or replace function facts_come_back() returns trigger language plpgsql as $$
            begin
                update session_identities i
                    set slot = coalesce(o.moved_from, o.day), is_extra = o.is_extra, gone_at = clock_timestamp()
                    from olds o where i.id = o.id;
                perform facts_go_over(y.id, x.id) from olds y join sessions x
                    on x.series_id = y.series_id and x.day = y.makes_up and x.id <> y.id
                    where y.makes_up is not null;
                return null;
            end $$;
            SQL
            ,
        );
    }
};
