<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * Lets one request at a time carry out a form, identified by the hash of what it sends.
 *
 * The claim is a row with a lease, not a lock of the database session: it survives neither the request (fatal errors
 * release it at shutdown, see public/index.php) nor its process (a dead process on this host is recognised), and it
 * works behind a connection pooler. A host that vanished holds its claims until the lease ends.
 */
final class FormLock
{
    /** Seconds; longer than any request may run. */
    private const LEASE = 600;

    /** Requests of one person that may wait for a form at the same time. */
    private const WAITERS = 2;

    /** Seconds for which a request waits. */
    private const PATIENCE = 8.0;

    /** The form that this process is carrying out. */
    private static ?string $sum = null;

    private static ?string $holder = null;

    /**
     * Claims a form: true when this request carries it out, the answer when it was carried out already, false when
     * another request is still at it after waiting, or too many wait.
     *
     * @return bool|array{at: int, to: string, flash: array<string, mixed>}  at: UTC seconds
     */
    public static function claim(string $sum, ?int $person): bool|array
    {
        $claim = self::take($sum, $person);
        if ($claim !== false || ! self::mayWait($sum, $person)) {
            return $claim;
        }
        try {
            for ($until = microtime(true) + self::PATIENCE; microtime(true) < $until; usleep(100_000)) {
                $claim = self::take($sum, $person);
                if ($claim !== false) {
                    return $claim;
                }
            }
        } finally {
            DB::table('processed_forms')->where('hash', $sum)->where('waiting', '>', 0)->decrement('waiting');
        }

        return false;
    }

    /**
     * Records the answer of a form that was carried out.
     *
     * @param  array<string, mixed>  $flash
     */
    public static function complete(string $to, array $flash): void
    {
        DB::table('processed_forms')
            ->where(['hash' => self::$sum, 'held_by' => self::$holder])
            ->update([
                'answer' => Crypt::encryptString((string) json_encode(['to' => $to, 'flash' => $flash])),
                'held_by' => null,
                'held_until' => null,
                'waiting' => 0,
                'at' => DB::raw('now()'),
            ]);
        self::forget();
    }

    /** Gives up the claim of a form that changed nothing, so that it can be sent again. */
    public static function release(): void
    {
        if (self::$sum !== null) {
            DB::table('processed_forms')
                ->where(['hash' => self::$sum, 'held_by' => self::$holder])
                ->whereNull('answer')
                ->delete();
        }
        self::forget();
    }

    /** At the end of every request, however it ended. */
    public static function releaseAtShutdown(): void
    {
        if (self::$sum === null) {
            return;
        }
        ini_set('memory_limit', '-1');
        try {
            while (DB::transactionLevel() > 0) {
                DB::rollBack(0);
            }
            self::release();
        } catch (Throwable) {
            // The database is away: the process or the lease ends the claim.
            self::forget();
        }
    }

    /** @return bool|array{at: int, to: string, flash: array<string, mixed>} */
    private static function take(string $sum, ?int $person): bool|array
    {
        $me = self::me();
        $row = DB::selectOne(
            "insert into processed_forms (hash, person_id, held_by, held_until)
                values (?, ?, ?, clock_timestamp() + ? * interval '1 second')
                on conflict (hash) do nothing
                returning held_by",
            [$sum, $person, $me, self::LEASE],
        );
        if ($row === null) {
            $there = DB::selectOne(
                'select answer, held_by, extract(epoch from at)::bigint as at, held_until < clock_timestamp() as over
                    from processed_forms where hash = ?',
                [$sum],
            );
            if ($there === null) {
                return false;
            }
            if ($there->answer !== null) {
                $answer = (array) json_decode(Crypt::decryptString($there->answer), true);

                return [
                    'at' => (int) $there->at,
                    'to' => (string) $answer['to'],
                    'flash' => (array) $answer['flash'],
                ];
            }
            $isFree =
                ($there->over || self::isDead((string) $there->held_by)) &&
                DB::update(
                    "update processed_forms set held_by = ?, waiting = 0,
                            held_until = clock_timestamp() + ? * interval '1 second'
                        where hash = ? and held_by = ? and answer is null",
                    [$me, self::LEASE, $sum, $there->held_by],
                ) === 1;
            if (! $isFree) {
                return false;
            }
        }
        self::$sum = $sum;
        self::$holder = $me;

        return true;
    }

    private static function mayWait(string $sum, ?int $person): bool
    {
        return DB::update(
            'update processed_forms set waiting = waiting + 1 where hash = ? and answer is null and (
                select coalesce(sum(waiting), 0) from processed_forms
                where answer is null and (hash = ? or person_id = ?)
            ) < ?',
            [$sum, $sum, $person, self::WAITERS],
        ) === 1;
    }

    /** Whether the request that holds a claim is known to have ended. */
    private static function isDead(string $holder): bool
    {
        [$host, $process, $began] = explode(' ', $holder) + ['', '', ''];
        if ($host !== gethostname()) {
            return false;
        }

        // A process carries out one request at a time: what this one held before has ended.
        return (int) $process === getmypid() || self::began((int) $process) !== $began;
    }

    private static function me(): string
    {
        return sprintf(
            '%s %d %s %s',
            gethostname(),
            getmypid(),
            self::began((int) getmypid()),
            bin2hex(random_bytes(6)),
        );
    }

    /** When a process began, in ticks since the machine did (proc(5), stat, field 22); '' if there is none. */
    private static function began(int $process): string
    {
        $stat = (string) @file_get_contents("/proc/$process/stat");

        return explode(' ', substr((string) strrchr($stat, ')'), 2))[19] ?? '';
    }

    private static function forget(): void
    {
        self::$sum = self::$holder = null;
    }
}
