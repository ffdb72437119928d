<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Nomada\App\Support\LostDatabase;

/** A second connection, of which the server has ended its side and PDO knows. */
function deadConnection(): string
{
    config(['database.connections.dying' => config('database.connections.pgsql')]);
    $pdo = DB::connection('dying')->getPdo();
    $pid = $pdo->query('select pg_backend_pid()')->fetchColumn();
    DB::select('select pg_terminate_backend(?)', [$pid]);
    // The first who asks hears of it; afterwards PDO knows.
    expect(fn () => $pdo->query('select 1'))->toThrow(PDOException::class);

    return 'dying';
}

afterEach(fn () => DB::purge('dying'));

it('makes a dead connection anew where a transaction begins', function () {
    $name = deadConnection();
    expect(DB::connection($name)->getPdo()->inTransaction())->toBeTrue();

    $sees = DB::connection($name)->transaction(fn () => DB::connection($name)->scalar('select 41 + 1'));

    expect($sees)->toBe(42);
});

it('takes only what the server itself says of being away for a loss', function (string $message, bool $lost) {
    expect((new LostDatabase())->causedByLostConnection(new PDOException($message)))->toBe($lost);
})->with([
    ['There is already an active transaction', true],
    ['SQLSTATE[08006] [7] FATAL:  the database system is in recovery mode', true],
    ['SQLSTATE[08006] [7] FATAL:  the database system is starting up', true],
    ['server closed the connection unexpectedly', true],
    ['SQLSTATE[23505]: Unique violation: duplicate key value violates unique constraint', false],
    ['SQLSTATE[40P01]: Deadlock detected', false],
]);

it('connects without the compiler of the database, which takes longer than the page', function () {
    expect(DB::scalar('show jit'))->toBe('off');
});
