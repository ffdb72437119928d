<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * Answers that are dear and asked again on every page: kept until anybody writes to what they count, a minute at most,
 * since some of them depend on the moment.
 *
 * The database itself says whether anybody has written (the sequence `changes`), no matter who: a page, a worker, the
 * console, somebody at the database. It rises before the writing is committed. An answer is therefore kept only where
 * nobody was in the middle of writing when it was worked out: the number is read first, then whether anybody writes,
 * then the answer. Anybody who had raised the number before is either done, and counted, or seen to be at work.
 */
final class WriteVersionedCache
{
    /** Seconds */
    public const AT_MOST = 60;

    /** Of fewer sections an answer costs less than remembering it. */
    public const MANY = 50;

    /**
     * Whether nobody writes to this database, by whatever role: a transaction that writes locks its own id, and every
     * role may read that. What belongs to no role is the database's own work, and changes nothing that anybody counts.
     */
    private const IS_QUIET = <<<'SQL'
    select not exists (
        select 1 from pg_locks
        join pg_stat_activity using (pid)
        where locktype = 'transactionid' and granted and mode = 'ExclusiveLock'
            and datname = current_database() and usename is not null
    )
    SQL;

    /**
     * @template T of \stdClass|array<mixed>
     *
     * @param  string  $key  names the question and all that the answer depends on besides the database
     * @param  callable(): T  $ask
     * @return T
     */
    public static function untilWritten(string $key, callable $ask): \stdClass|array
    {
        $version = DB::scalar('select last_value from write_version');
        $key = 'remembered '.DB::connection()->getDatabaseName().' '.$key;
        $kept = Cache::get($key);
        if (is_array($kept) && $kept['version'] === $version) {
            return $kept['answer'];
        }
        $isQuiet = (bool) DB::scalar(self::IS_QUIET);
        $answer = $ask();
        if ($isQuiet) {
            Cache::put($key, ['version' => $version, 'answer' => $answer], self::AT_MOST);
        }

        return $answer;
    }
}
