<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Database\LostConnectionDetector;
use Illuminate\Support\Str;
use Throwable;

/**
 * When the connection to the database counts as lost, and is made again (or the worker ends and is started again).
 *
 * The framework's own list lacks two cases of a PostgreSQL server that was killed and recovers. Without them a worker
 * keeps its dead connection for as long as it lives and nothing is carried out any more (see bench/Killed.php).
 */
final class LostDatabase extends LostConnectionDetector
{
    private const MORE = [
        // PDO takes a connection of which it knows that it is dead for one in a transaction. A living one never says
        // this: transactions in transactions are savepoints.
        'There is already an active transaction',
        // While it starts and recovers.
        'the database system is ',
    ];

    public function causedByLostConnection(Throwable $e): bool
    {
        return parent::causedByLostConnection($e) || Str::contains($e->getMessage(), self::MORE);
    }
}
