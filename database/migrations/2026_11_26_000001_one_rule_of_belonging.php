<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                alter table people add column disabled_on date;
                -- A copy of the person's, kept by whoever disables and by the import, so that an index can have it.
                alter table enrolments add column disabled_on date;
                create index enrolments_that_end on enrolments ((least(ends_on, disabled_on - 1)))
                    where least(ends_on, disabled_on - 1) is not null;
                create view parts as
                    select id, section_id, person_id, role, is_primary, is_local, observer_rule_id, sourced_id,
                        begins_on, least(ends_on, disabled_on - 1) as ends_on, null::bigint as session_id, updated_at
                    from enrolments
                    union all
                    select null, series.section_id, teacher_id, 'substitute', false, true, null, null,
                        day, day, sessions.id, null
                    from sessions join series on series.id = sessions.series_id
                    where teacher_id is not null and state = 'planned';
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
                drop view parts;
                drop index enrolments_that_end;
                alter table enrolments drop column disabled_on;
                alter table people drop column disabled_on;
            SQL
            ,
        );
    }
};
