-- What the database does when rows change.

alter table series add constraint series_in_its_section foreign key (id, section_id)
    references series_sections (series_id, section_id) deferrable initially deferred;

-- Who is part of a section: enrolments, and substitutes for the session that they teach. A disabled person is
-- part of nothing from the day on which they were disabled.
create view memberships as
select id, section_id, person_id, role, is_primary, is_local, observer_rule_id, sourced_id, begins_on,
    least(ends_on, disabled_on - 1) as ends_on, null::bigint as session_id, updated_at
from enrolments
union all
select null, series.section_id, sessions.teacher_id, 'substitute', false, true, null, null, sessions.day, sessions.day,
    sessions.id, null
from sessions
join series on series.id = sessions.series_id
where sessions.teacher_id is not null and sessions.state = 'planned' and not exists (
    select 1 from people where people.id = sessions.teacher_id and people.disabled_on <= sessions.day);

create or replace function disabled_with_enrolments() returns trigger language plpgsql as $$
begin
    update enrolments set disabled_on = new.disabled_on
        where person_id = new.id and disabled_on is distinct from new.disabled_on;
    return null;
end $$;
create trigger people_disabled after update of disabled_on on people
    for each row when (old.disabled_on is distinct from new.disabled_on) execute function disabled_with_enrolments();

create or replace function enrolment_of_disabled() returns trigger language plpgsql as $$
begin
    select disabled_on into new.disabled_on from people where id = new.person_id;
    return new;
end $$;
create trigger enrolments_of_disabled before insert or update of person_id on enrolments
    for each row execute function enrolment_of_disabled();

-- What is about one session goes over to the session that makes it up, and back.
create or replace function facts_go_over(here bigint, there bigint) returns void language sql as $$
    update registrations r set session_id = there, only_day = (select day from sessions where id = there)
        where session_id = here and not exists (
            select 1 from registrations q where q.series_id = r.series_id and q.person_id = r.person_id
                and q.session_id = there);
    update join_links set only_session_id = there, only_day = (select day from sessions where id = there)
        where only_session_id = here;
    update materials set session_id = there where session_id = here;
$$;

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
create trigger sessions_come after insert on sessions referencing new table as news
    for each statement execute function days_follow_sessions();
create trigger sessions_change after update on sessions referencing new table as news
    for each statement execute function days_follow_sessions();

create or replace function facts_come_back() returns trigger language plpgsql as $$
begin
    insert into removed_sessions (series_id, slot, id, is_extra)
        select series_id, coalesce(moved_from, day), id, is_extra from olds
        on conflict (id) do update set slot = excluded.slot, gone_at = clock_timestamp();
    perform facts_go_over(y.id, x.id) from olds y join sessions x
        on x.series_id = y.series_id and x.day = y.makes_up and x.id <> y.id
        where y.makes_up is not null;
    return null;
end $$;
create trigger sessions_go after delete on sessions referencing old table as olds
    for each statement execute function facts_come_back();

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

-- A number that grows whenever anybody writes what pages count (WriteVersionedCache). A dry run is nobody's writing.
create or replace function note_change() returns trigger language plpgsql as $$
begin
    if current_setting('nomada.trial', true) is distinct from 'yes' then
        perform nextval('public.write_version');
    end if;
    return null;
end $$;
do $$
declare counted text;
begin
    foreach counted in array array['accepted_clashes', 'clashes', 'enrolments', 'join_links', 'published_items',
        'recordings', 'registrations', 'section_announcements', 'sections', 'series', 'series_sections', 'sessions'] loop
        execute format('create trigger notes_change after insert or delete or update or truncate on %I
            for each statement execute function note_change()', counted);
    end loop;
end $$;
