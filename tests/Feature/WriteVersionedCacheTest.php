<?php

use Illuminate\Support\Facades\DB;
use Nomada\App\Support\DryRun;
use Nomada\App\Support\WriteVersionedCache;
use Nomada\App\View\RouteView;

/** How often a question was asked in two times of asking, with something done in between. */
function askedTwice(callable $between): int
{
    $asked = 0;
    $key = 'test '.bin2hex(random_bytes(4));
    $ask = function () use (&$asked): array {
        return ['n' => ++$asked];
    };
    WriteVersionedCache::untilWritten($key, $ask);
    $between();
    expect(WriteVersionedCache::untilWritten($key, $ask))->toBe(['n' => $asked]);

    return $asked;
}

/** A connection of its own, as another page or a worker has it. */
function someoneElse(): PDO
{
    return DB::connectUsing('else', config('database.connections.pgsql'), true)->getPdo();
}

/** Nothing of a test may be in the middle of writing; what is written here changes no row. */
beforeEach(fn () => DB::rollBack());
afterEach(function (): void {
    DB::purge('else');
    // What found none to go back from would lay all tables again.
    DB::beginTransaction();
});

const WRITES = 'update sections set code = code where false';

test('an answer is kept until somebody writes, whoever it is', function () {
    expect(askedTwice(fn () => null))
        ->toBe(1)
        ->and(askedTwice(fn () => DB::statement('select 1')))
        ->toBe(1)
        ->and(askedTwice(fn () => DB::statement(WRITES)))
        ->toBe(2)
        // Which page, worker or console it was is not asked.
        ->and(askedTwice(fn () => someoneElse()->exec(WRITES)))
        ->toBe(2)
        ->and(askedTwice(fn () => DB::table('enrolments')->where('id', 0)->delete()))
        ->toBe(2);
});

test('an answer that was worked out while somebody was writing is not kept', function () {
    $else = someoneElse();
    $else->beginTransaction();
    $else->exec(WRITES);
    $else->exec('select pg_current_xact_id()');
    expect(askedTwice(fn () => null))->toBe(2);
    $else->commit();
    expect(askedTwice(fn () => null))->toBe(1);
});

test('what is only tried out changes nothing that is remembered, and nothing of it stays', function () {
    $had = DB::table('sections')->count();
    $seen = null;
    expect(
        askedTwice(function () use (&$seen): void {
            $seen = DryRun::of(function (): int {
                DB::statement(WRITES);

                return 7;
            });
        }),
    )
        ->toBe(1)
        ->and($seen)
        ->toBe(7)
        ->and(DB::transactionLevel())
        ->toBe(0)
        ->and(fn () => DryRun::of(fn () => throw new DomainException('no')))
        ->toThrow(DomainException::class)
        ->and(DB::transactionLevel())
        ->toBe(0)
        ->and(DB::table('sections')->count())
        ->toBe($had)
        // Once it is over, what is written counts again.
        ->and(askedTwice(fn () => DB::statement(WRITES)))
        ->toBe(2);
});

test('every table that the route counts says when it is written to', function () {
    $asked = (string) file_get_contents((string) (new ReflectionClass(RouteView::class))->getFileName());
    preg_match_all('/\b(?:from|join) (\w+)/', $asked, $found);
    $tables = DB::table('pg_tables')
        ->where('schemaname', 'public')
        ->whereIn('tablename', $found[1])
        ->pluck('tablename');
    // A part is an enrolment, or a session that somebody else takes.
    $tables = [...$tables->all(), 'enrolments', 'sessions', 'series'];
    $told = DB::table('pg_trigger')
        ->where('tgname', 'notes_change')
        ->pluck(DB::raw('tgrelid::regclass::text as name'))
        ->all();
    expect(array_diff($tables, $told))->toBe([])->and(count($tables))->toBeGreaterThan(9);
});
