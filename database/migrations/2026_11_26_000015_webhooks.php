<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            create table webhooks (
                id bigserial primary key,
                address varchar(500) not null,
                -- Sealed with the application's key.
                secret text not null,
                created_by bigint references people on delete set null,
                created_at timestamptz not null,
                -- Since when its receiver wants nothing any more (410), or it was taken out.
                stopped_at timestamptz
            );
            create table webhook_messages (
                id bigserial primary key,
                webhook_id bigint not null references webhooks on delete cascade,
                key varchar(40) not null,
                kind varchar(40) not null,
                body jsonb not null,
                created_at timestamptz not null,
                tries int not null default 0,
                -- When it is to be tried; null once it has arrived or was given up.
                due_at timestamptz,
                tried_at timestamptz,
                arrived_at timestamptz,
                answer varchar(200)
            );
            create index webhook_messages_due on webhook_messages (due_at) where due_at is not null;
            create index webhook_messages_of_one on webhook_messages (webhook_id, id desc);
            -- Of a session for chosen students: told where the whole section reads it by nobody.
            alter table series_changes add column is_for_some boolean not null default false;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('drop table webhook_messages, webhooks; alter table series_changes drop column is_for_some');
    }
};
