<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Whether the application's key is the one with which everything in this database was sealed. */
final class KeyFingerprint
{
    /** Seconds for which a good answer is remembered. */
    private const SECONDS = 300;

    public static function sum(): string
    {
        return Secrets::sum('the key of this database', 'mark');
    }

    /** True where there is nothing to compare with: no database, or none of ours yet. */
    public static function fits(): bool
    {
        try {
            $known = DB::table('key_fingerprints')->value('hash');
        } catch (Throwable) {
            return true;
        }

        return $known === null || hash_equals((string) $known, self::sum());
    }

    /** The same, asked of the database now and then only. A bad answer is asked again at once. */
    public static function fitsLately(): bool
    {
        $key = 'key fits '.config('database.connections.pgsql.database').' '.self::sum();
        if (Cache::get($key) === true) {
            return true;
        }
        $fits = self::fits();
        if ($fits) {
            Cache::put($key, true, self::SECONDS);
        }

        return $fits;
    }
}
