<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                alter table placements rename to published_items;
                alter table places rename to service_connections;
                alter table acts rename to processed_forms;
                alter table tellings rename to announcements;
                alter table told_sections rename to section_announcements;
                alter table showings rename to publishing_options;
                alter table looked_at rename to check_results;
                alter table added_there rename to foreign_items;
                alter table openness_accepted rename to accepted_deviations;
                alter table room_counts rename to participation;
                alter table absent_runs rename to absence_streaks;
                alter table reminded rename to sent_reminders;
                alter table answers rename to invitation_responses;
                alter table letters rename to emails;
                alter table drifts rename to outside_changes;
                alter table key_marks rename to key_fingerprints;
                alter table gone_sessions rename to removed_sessions;
                alter table absences_told rename to reported_absences;
                alter view parts rename to memberships;
                alter table recording_parts rename to recording_segments;
                alter table recording_places rename to playback_positions;
                alter table drop_in_rooms rename column secret_sum to secret_hash;
                alter table drop_in_rooms rename column retired_sums to retired_hashes;
                alter table drop_in_rooms rename column code_sum to code_hash;
                alter table join_links rename column secret_sum to secret_hash;
                alter table join_links rename column held_sum to holder_hash;
                alter table join_links rename column code_sum to code_hash;
                alter table people rename column feed_sum to feed_hash;
                alter table series rename column import_print to import_hash;
                alter table published_items rename column wanted_print to desired_hash;
                alter table published_items rename column standing_print to published_hash;
                alter table recordings rename column word_sum to transcript_hash;
                alter table sections rename column feed_sum to feed_hash;
                alter table processed_forms rename column sum to hash;
                alter table pass_claims rename column sum to hash;
                alter table recovery_codes rename column sum to hash;
                alter table key_fingerprints rename column sum to hash;
                alter table accepted_deviations rename column print to hash;
                drop sequence if exists write_version; alter sequence changes rename to write_version;
                create or replace function note_change() returns trigger language plpgsql as $$
                begin
                    if current_setting('nomada.trial', true) is distinct from 'yes' then
                        perform nextval('public.write_version');
                    end if;
                    return null;
                end $$;
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
            SQL
        );
    }
};
