<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                -- Whether a person is disabled is a fact of the person. The enrolments repeat it, by whatever path they
                -- come (import, co-teacher, observer by rule, copied term).
                create or replace function enrolment_of_disabled() returns trigger language plpgsql as $$
                begin
                    select disabled_on into new.disabled_on from people where id = new.person_id;
                    return new;
                end $$;
                create trigger enrolments_of_disabled before insert or update of person_id on enrolments
                    for each row execute function enrolment_of_disabled();
                create or replace function disabled_with_enrolments() returns trigger language plpgsql as $$
                begin
                    update enrolments set disabled_on = new.disabled_on
                        where person_id = new.id and disabled_on is distinct from new.disabled_on;
                    return null;
                end $$;
                create trigger people_disabled after update of disabled_on on people
                    for each row when (old.disabled_on is distinct from new.disabled_on)
                    execute function disabled_with_enrolments();
                update enrolments e set disabled_on = p.disabled_on from people p
                    where p.id = e.person_id and e.disabled_on is distinct from p.disabled_on;
                -- Somebody may leave a section and come back: of memberships that have no end there is one.
                alter table enrolments drop constraint enrolments_section_id_person_id_role_unique;
                create unique index enrolments_once on enrolments (section_id, person_id, role) where ends_on is null;
                create index enrolments_of_section on enrolments (section_id, person_id, role);
                create or replace view parts as
                    select id, section_id, person_id, role, is_primary, is_local, observer_rule_id, sourced_id,
                        begins_on, least(ends_on, disabled_on - 1) as ends_on, null::bigint as session_id, updated_at
                    from enrolments
                    union all
                    select null, series.section_id, teacher_id, 'substitute', false, true, null, null,
                        day, day, sessions.id, null
                    from sessions join series on series.id = sessions.series_id
                    where teacher_id is not null and state = 'planned' and not exists (
                        select 1 from people where people.id = teacher_id and people.disabled_on <= sessions.day);
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
                drop trigger enrolments_of_disabled on enrolments;
                drop trigger people_disabled on people;
                drop index enrolments_once;
                drop index enrolments_of_section;
                alter table enrolments add constraint enrolments_section_id_person_id_role_unique
                    unique (section_id, person_id, role);
                drop function enrolment_of_disabled();
                drop function disabled_with_enrolments();
                create or replace view parts as
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
};
