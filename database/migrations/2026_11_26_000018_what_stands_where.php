<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            -- Words for each language; not of letters only.
            alter table letter_templates rename to templates;
            alter table templates add column language varchar(35) not null default 'en';
            alter table templates drop constraint letter_templates_pkey;
            alter table templates add primary key (kind, language);
            -- How what is published stands at the places: of the school where there is no section, and what a
            -- section has of its own.
            create table showings (
                id bigserial primary key,
                section_id bigint references sections (id) on delete cascade,
                rules jsonb not null,
                updated_by bigint references people (id) on delete set null,
                updated_at timestamptz not null
            );
            create unique index showings_section on showings (coalesce(section_id, 0));
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            drop table showings;
            delete from templates where language <> 'en' or length(kind) > 20;
            alter table templates drop constraint templates_pkey;
            alter table templates add constraint letter_templates_pkey primary key (kind);
            alter table templates drop column language;
            alter table templates rename to letter_templates;
            SQL
            ,
        );
    }
};
