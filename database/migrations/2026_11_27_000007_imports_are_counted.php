<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            -- What an import did is counted by kind of thing and said in the reader's language; it was an English
            -- sentence, such as "12 people added, 1 sections changed".
            alter table imports add column tally jsonb not null default '{}';
            update imports i set tally = t.tally
            from (
                select id, jsonb_object_agg(kind, counts) as tally
                from (
                    select id, m[2] as kind, jsonb_object_agg(m[3], m[1]::int) as counts
                    from imports, regexp_matches(words, '(\d+) (\w+) (added|changed|removed)', 'g') as m
                    group by id, m[2]
                ) as of_kind
                group by id
            ) as t
            where t.id = i.id;
            alter table imports drop column words;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            alter table imports add column words varchar(400) not null default '';
            update imports i set words = left(t.words, 400)
            from (
                select id,
                    string_agg(n.value || ' ' || kind.key || ' ' || n.key, ', ' order by kind.key, n.key) as words
                from imports, jsonb_each(tally) as kind, jsonb_each_text(kind.value) as n
                group by id
            ) as t
            where t.id = i.id;
            alter table imports alter column words drop default, drop column tally;
            SQL
            ,
        );
    }
};
