-- Recordings, their segments and words.

-- A recording of a session and what became of it.
create table recordings (
    id bigserial primary key,
    session_id bigint not null,
    state varchar(12) not null,
    bridge_id varchar(200) unique,
    started_at timestamptz not null,
    stopped_at timestamptz,
    ready_at timestamptz,
    trouble varchar(300),
    milliseconds integer,
    file varchar(200),
    type varchar(60) default '' not null,
    has_transcript boolean default false not null,
    transcript_hash char(64),
    keeps_until date,
    deleted_at timestamptz,
    constraint recordings_length check (milliseconds >= 0),
    constraint recordings_span check ((stopped_at is null) or (started_at <= stopped_at)),
    constraint recordings_state check (state in ('recording', 'processing', 'ready', 'released', 'withdrawn',
        'failed'))
);
create index recordings_of_a_session on recordings (session_id);

-- The segments of a recording, and whether each is released.
create table recording_segments (
    recording_id bigint not null references recordings on delete cascade,
    n integer not null,
    from_ms integer not null,
    to_ms integer not null,
    released_at timestamptz,
    to_all boolean default true not null,
    primary key (recording_id, n),
    constraint recording_segments_span check ((0 <= from_ms) and (from_ms < to_ms))
);

-- For whom a segment is released, where it is not for all.
create table recording_readers (
    recording_id bigint not null references recordings on delete cascade,
    n integer not null,
    person_id bigint not null references people on delete cascade,
    primary key (recording_id, n, person_id)
);

-- The transcript, cue by cue.
create table recording_cues (
    recording_id bigint not null references recordings on delete cascade,
    n integer not null,
    from_ms integer not null,
    to_ms integer not null,
    speaker varchar(160) default '' not null,
    said text not null,
    words tsvector generated always as (to_tsvector('simple'::regconfig, said)) stored,
    primary key (recording_id, n),
    constraint recording_cues_span check ((0 <= from_ms) and (from_ms <= to_ms))
);
create index recording_cues_words on recording_cues using gin (words);

-- How far somebody has listened.
create table playback_positions (
    recording_id bigint not null references recordings on delete cascade,
    person_id bigint not null references people on delete cascade,
    ms integer not null,
    primary key (recording_id, person_id),
    constraint playback_positions_ms check (ms >= 0)
);
