<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** An event is known by what it says, so a number of its own is only a second index on the table that grows most. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            alter table presence_events drop constraint presence_events_session_id_who_at_is_join_device_key;
            alter table presence_events drop constraint presence_events_pkey;
            alter table presence_events drop column id;
            alter table presence_events add primary key (session_id, who, at, is_join, device);
            SQL
            ,
        );
    }
};
