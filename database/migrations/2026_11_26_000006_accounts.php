<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                -- Since when somebody has a password of their own; the demo's public one is none.
                alter table people add column password_set_at timestamptz,
                    add column has_demo_password boolean not null default false,
                    -- The key of the second factor, sealed; it counts from when a code of it was typed.
                    add column totp_secret text, add column totp_set_at timestamptz,
                    add column totp_step bigint not null default 0;
                -- A letter's link by which somebody sets a password, once. Nothing of the link is kept: it is signed.
                create table account_passes (
                    id bigserial primary key,
                    person_id bigint not null references people on delete cascade,
                    kind varchar(20) not null,
                    made_by bigint references people on delete set null,
                    expires_at timestamptz not null,
                    used_at timestamptz,
                    created_at timestamptz, updated_at timestamptz
                );
                create index account_passes_of on account_passes (person_id);
                -- What opens once when the authenticator is lost: sums under the application's key.
                create table recovery_codes (
                    id bigserial primary key,
                    person_id bigint not null references people on delete cascade,
                    sum char(64) not null,
                    used_at timestamptz,
                    unique (person_id, sum)
                );
                -- Where somebody is signed in.
                create table sign_ins (
                    id bigserial primary key,
                    person_id bigint not null references people on delete cascade,
                    browser varchar(255) not null default '',
                    address varchar(45) not null default '',
                    began_at timestamptz not null,
                    seen_at timestamptz not null,
                    ended_at timestamptz
                );
                create index sign_ins_of on sign_ins (person_id) where ended_at is null;
                create index sign_ins_began on sign_ins (began_at);
            SQL
            ,
        );
        // Whoever was given the demo's password by an earlier start keeps it, but only for the demo.
        foreach (DB::table('people')->distinct()->limit(200)->pluck('password') as $hash) {
            if (Hash::check((string) config('nomada.demo_password'), $hash)) {
                DB::table('people')
                    ->where('password', $hash)
                    ->update(['has_demo_password' => true]);
            }
        }
    }

    public function down(): void
    {
        DB::unprepared(
            'drop table sign_ins, recovery_codes, account_passes;
            alter table people drop column password_set_at, drop column has_demo_password, drop column totp_secret,
                drop column totp_set_at, drop column totp_step',
        );
    }
};
