<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * How long what is only written down is kept. docs/data.md says the same for every table, and what is kept as long as
 * the school uses it.
 */
final class Retention
{
    /** Days after which a row goes, and the column that they are counted from. */
    public const DAYS = [
        'runs' => [180, 'ended_at'],
        'emails' => [400, 'sent_at'],
        'audit_log' => [730, 'at'],
        'act_results' => [400, 'at'],
        'imports' => [400, 'at'],
        'webhook_messages' => [60, 'created_at'],
        'failed_jobs' => [60, 'failed_at'],
        'sent_reminders' => [60, 'starts_at'],
        'sign_ins' => [60, 'seen_at'],
        'account_passes' => [60, 'expires_at'],
        'solver_runs' => [60, 'asked_at'],
        'session_identities' => [400, 'gone_at'],
    ];

    /** @return array<string, int> how many rows went, by table */
    public static function prune(): array
    {
        $out = [];
        foreach (self::DAYS as $table => [$days, $column]) {
            $out[$table] = DB::table($table)
                ->where($column, '<', now()->subDays($days))
                // The last import can be undone, however long ago it was.
                ->when(
                    $table === 'imports',
                    fn (Builder $q) => $q->where('id', '<', (int) DB::table('imports')->max('id')),
                )
                // A recording goes by the school's own days.
                ->when(
                    $table === 'session_identities',
                    fn (Builder $q) => $q->whereNotIn('id', DB::table('recordings')->select('session_id')),
                )
                ->delete();
        }

        return $out;
    }
}
