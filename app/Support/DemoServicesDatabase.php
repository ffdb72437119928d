<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;

/**
 * Where the demo services keep what they were given: a database beside the school's, so that a copy of the school's
 * holds nothing of theirs. They make it themselves.
 */
final class DemoServicesDatabase
{
    /** The schema that holds all their tables. */
    public const SCHEMA = 'services';

    public static function name(): string
    {
        return (string) (config('nomada.standins.database') ?: DB::connection()->getDatabaseName().'_services');
    }

    public static function connection(): Connection
    {
        $name = self::name();
        $own = ['database' => $name, 'search_path' => self::SCHEMA];
        config(["database.connections.$name" => $own + (array) config('database.connections.pgsql')]);

        return DB::connection($name);
    }

    /** Leaves the demo services with nothing, as they were before their first request. */
    public static function clear(): void
    {
        if (DB::table('pg_database')->where('datname', self::name())->doesntExist()) {
            return;
        }
        $connection = self::connection();
        $drop = fn () => $connection->statement('drop schema if exists '.self::SCHEMA.' cascade');
        $connection->transaction($drop, attempts: 20);
        $connection->disconnect();
    }
}
