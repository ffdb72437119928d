<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

// A number that rises with whatever is written to what every page counts; see app/Support/WriteVersionedCache.php. A
// sequence holds nobody up: two who write at once both take the next number, and neither waits for the other.
return new class extends Migration {
    private const TABLES = [
        'accepted_clashes',
        'clashes',
        'enrolments',
        'join_links',
        'placements',
        'recordings',
        'registrations',
        'sections',
        'series',
        'series_sections',
        'sessions',
        'told_sections',
    ];

    public function up(): void
    {
        DB::statement('create sequence if not exists changes');
        DB::unprepared(
            // What is only tried out is taken back (app/Support/ConnectionCheck.php) and changes nothing.
            "create or replace function note_change() returns trigger language plpgsql as
            'begin
                if current_setting(''nomada.trial'', true) is distinct from ''yes'' then
                    perform nextval(''changes'');
                end if;
                return null;
            end'",
        );
        foreach (self::TABLES as $table) {
            DB::statement(
                "create or replace trigger notes_change after insert or update or delete or truncate on $table
                for each statement execute function note_change()",
            );
        }
    }

    public function down(): void
    {
        foreach (self::TABLES as $table) {
            DB::statement("drop trigger if exists notes_change on $table");
        }
        DB::statement('drop function if exists note_change()');
        DB::statement('drop sequence if exists changes');
    }
};
