-- Signing in.

-- Links that set a password. They hold no secret: the link is signed.
create table account_passes (
    id bigserial primary key,
    person_id bigint not null references people on delete cascade,
    kind varchar(20) not null,
    made_by bigint references people on delete set null,
    expires_at timestamptz not null,
    used_at timestamptz,
    created_at timestamptz,
    updated_at timestamptz,
    sent_to varchar(255),
    constraint account_passes_kind check (kind in ('invitation', 'reset'))
);
create index account_passes_of on account_passes (person_id);

-- Codes for who has lost the second factor, as hashes.
create table recovery_codes (
    id bigserial primary key,
    person_id bigint not null references people on delete cascade,
    hash char(64) not null,
    used_at timestamptz,
    unique (person_id, hash)
);

-- Where somebody is or was signed in.
create table sign_ins (
    id bigserial primary key,
    person_id bigint not null references people on delete cascade,
    browser varchar(255) default '' not null,
    address varchar(45) default '' not null,
    began_at timestamptz not null,
    seen_at timestamptz not null,
    ended_at timestamptz
);
create index sign_ins_began on sign_ins (began_at);
create index sign_ins_of on sign_ins (person_id) where (ended_at is null);
