<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Support\Facades\DB;

/**
 * Rules of the database that hold at the end of an act and need not hold on the way: rows that change places would
 * meet. They are looked at when the outermost of such acts ends.
 */
final class CheckedAtEnd
{
    private const RULES = 'sessions_do_not_overlap, sessions_slot, enrolments_open';

    private static int $depth = 0;

    /**
     * Call it within a transaction.
     *
     * @template T
     *
     * @param  callable(): T  $act
     * @return T
     *
     * @throws \Illuminate\Database\QueryException where a rule does not hold at the end
     */
    public static function of(callable $act): mixed
    {
        if (self::$depth === 0) {
            DB::statement('set constraints '.self::RULES.' deferred');
        }
        self::$depth++;
        try {
            $out = $act();
        } finally {
            self::$depth--;
        }
        if (self::$depth === 0) {
            DB::statement('set constraints '.self::RULES.' immediate');
        }

        return $out;
    }
}
