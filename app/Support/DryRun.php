<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Support\Facades\DB;

/** What would come of an act: it is done, looked at, and taken back, and nobody else ever sees any of it. */
final class DryRun
{
    /**
     * @template T
     *
     * @param  callable(): T  $act
     * @return T
     */
    public static function of(callable $act): mixed
    {
        DB::beginTransaction();
        try {
            // Nothing of it stays, so what others remember holds (see WriteVersionedCache).
            DB::statement("select set_config('nomada.trial', 'yes', true)");

            return $act();
        } finally {
            DB::rollBack();
        }
    }
}
