<?php

declare(strict_types=1);

namespace Nomada\Standins;

use PDO;
use PDOException;
use RuntimeException;

/** The demo services' own tables, in a database of their own, made on the first request. */
final class Store
{
    /** Of the tables: whatever changes them counts it up, so that what was made before is brought there. */
    private const SHAPE = 4;

    private const SCHEMA = 'services';

    private PDO $pdo;

    public function __construct()
    {
        $env = fn (string $name, string $default): string => getenv($name) ?: $default;
        $name = $env('STANDINS_DATABASE', $env('DB_DATABASE', 'nomada').'_services');
        $this->pdo = self::connect($name) ?? $this->create($name);
        $this->pdo->exec(
            "set client_min_messages = warning; set time zone 'UTC'; set synchronous_commit = off; set search_path to ".
                self::SCHEMA,
        );
        if (
            ($this->one("select to_regclass('".self::SCHEMA.'.shape_'.self::SHAPE."') as t")['t'] ??
                null) ===
            null
        ) {
            $this->make(self::SCHEMA);
        }
    }

    /** @return PDO|null null where there is no database of that name */
    private static function connect(string $database, bool $isKept = true): ?PDO
    {
        $env = fn (string $name, string $default): string => getenv($name) ?: $default;
        try {
            return new PDO(
                sprintf(
                    'pgsql:host=%s;port=%s;dbname=%s',
                    $env('DB_HOST', '127.0.0.1'),
                    $env('DB_PORT', '54330'),
                    $database,
                ),
                $env('DB_USERNAME', 'nomada'),
                $env('DB_PASSWORD', ''),
                [
                    PDO::ATTR_PERSISTENT => $isKept,
                    PDO::PGSQL_ATTR_DISABLE_PREPARES => true,
                    PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION,
                    PDO::ATTR_DEFAULT_FETCH_MODE => PDO::FETCH_ASSOC,
                ],
            );
        } catch (PDOException $e) {
            if (str_contains($e->getMessage(), 'does not exist')) {
                return null;
            }
            throw $e;
        }
    }

    /** Makes the database from within the school's, one process at a time. */
    private function create(string $name): PDO
    {
        if (preg_match('/^[a-z_][a-z0-9_]*$/', $name) !== 1) {
            throw new RuntimeException("The demo services cannot use a database called \"$name\"");
        }
        $school =
            self::connect(getenv('DB_DATABASE') ?: 'nomada', false) ??
            throw new RuntimeException('The database of the school does not exist yet');
        $school->exec('select pg_advisory_lock(7302)');
        $known = $school->query("select 1 from pg_database where datname = '$name'");
        if ($known === false || $known->fetch() === false) {
            $school->exec("create database $name");
        }
        $school = null;

        return self::connect($name) ?? throw new RuntimeException("The database $name could not be made");
    }

    private function make(string $schema): void
    {
        $this->pdo->exec(
            "
            begin;
            select pg_advisory_xact_lock(7302);
            create schema if not exists $schema;
            create table if not exists $schema.rooms (
                id text primary key,
                key text unique not null,
                title text not null,
                dial_in text not null,
                pin text not null,
                made_at timestamptz not null default now()
            );
            create table if not exists $schema.seats (
                seat text primary key,
                room text not null,
                person text not null,
                name text not null,
                host boolean not null,
                came_at timestamptz not null default now(),
                left_at timestamptz
            );
            alter table $schema.seats
                add column if not exists meeting text not null default '',
                add column if not exists state text not null default 'inside',
                add column if not exists floor boolean not null default false,
                add column if not exists late boolean not null default false,
                add column if not exists rules jsonb not null default '{}',
                add column if not exists mic boolean not null default false,
                add column if not exists camera boolean not null default false,
                add column if not exists hand bigint,
                add column if not exists answer integer,
                add column if not exists answers integer not null default 0,
                add column if not exists hands integer not null default 0,
                add column if not exists lines integer not null default 0,
                add column if not exists device text not null default '',
                add column if not exists holder text;
            create table if not exists $schema.meetings (
                room text not null,
                meeting text not null,
                over_at timestamptz,
                primary key (room, meeting)
            );
            alter table $schema.meetings
                add column if not exists at_offset bigint not null default 0,
                add column if not exists version bigint not null default 0,
                add column if not exists may_unmute boolean not null default true,
                add column if not exists chat_open boolean not null default true,
                add column if not exists recording_since bigint,
                add column if not exists ended bigint,
                add column if not exists question jsonb,
                add column if not exists window_of jsonb;
            create table if not exists $schema.talk (
                id bigserial primary key,
                room text not null,
                meeting text not null,
                at bigint not null,
                person text not null,
                name text not null,
                kind text not null,
                text text not null,
                gone boolean not null default false
            );
            create index if not exists talk_of_a_meeting on $schema.talk (meeting, room, id);
            create table if not exists $schema.marks (
                id bigserial primary key,
                room text not null,
                meeting text not null,
                person text not null,
                name text not null,
                kind text not null,
                data jsonb not null
            );
            create index if not exists marks_of_a_meeting on $schema.marks (meeting, room, id);
            create table if not exists $schema.recordings (
                id text primary key,
                room text not null,
                meeting text not null,
                started bigint not null,
                stopped bigint,
                done_at timestamptz
            );
            create table if not exists $schema.events (
                id bigserial primary key,
                room text not null,
                meeting text not null,
                person text not null,
                name text not null,
                what text not null,
                at bigint not null
            );
            alter table $schema.events add column if not exists device text not null default '';
            create index if not exists events_of_a_meeting on $schema.events (meeting, room, id);
            create table if not exists $schema.letters (
                id bigserial primary key,
                key text not null,
                address text not null,
                body text not null,
                came_at timestamptz not null default now(),
                unique (key, address)
            );
            create index if not exists letters_of_an_address on $schema.letters (address);
            create index if not exists seats_of_a_meeting on $schema.seats (room, meeting);
            create table if not exists $schema.documents (
                service text not null,
                path text not null,
                owner text not null,
                type text not null,
                body text not null,
                etag text not null,
                changed_at timestamptz not null default now(),
                primary key (service, path)
            );
            create index if not exists documents_of_an_owner on $schema.documents (service, owner, path);
            create table if not exists $schema.posts (
                id text primary key,
                section text not null,
                key text unique not null,
                post jsonb not null,
                etag text not null,
                posted_at timestamptz not null default now(),
                changed_at timestamptz not null default now()
            );
            create table if not exists $schema.controls (
                service text primary key,
                words text not null default '',
                failures integer not null default 0,
                only_path text not null default '',
                slow_ms integer not null default 0,
                per_second integer not null default 0
            );
            create table if not exists $schema.hits (
                service text,
                second bigint,
                n integer not null,
                primary key (service, second)
            );
            create table if not exists $schema.shape_".
                self::SHAPE.
                ' ();
            commit;',
        );
    }

    /**
     * @param  array<string|int, mixed>  $with
     * @return list<array<string, mixed>>
     */
    public function all(string $sql, array $with = []): array
    {
        $statement = $this->pdo->prepare($sql);
        $statement->execute($with);

        return array_values($statement->fetchAll());
    }

    /**
     * @param  array<string|int, mixed>  $with
     * @return array<string, mixed>|null
     */
    public function one(string $sql, array $with = []): ?array
    {
        return $this->all($sql, $with)[0] ?? null;
    }

    /** @param  array<string|int, mixed>  $with */
    public function run(string $sql, array $with = []): int
    {
        $statement = $this->pdo->prepare($sql);
        $statement->execute($with);

        return $statement->rowCount();
    }
}
