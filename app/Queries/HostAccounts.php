<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Facades\DB;
use Nomada\Core\Timetable\HostAccount;

/** The school's host accounts, as core/ computes with them. */
final class HostAccounts
{
    /** @return array<int, HostAccount> by id, in the order in which they are used */
    public static function all(): array
    {
        return DB::table('host_accounts')
            ->join('hosting_plans', 'hosting_plans.id', '=', 'hosting_plan_id')
            ->orderBy('host_accounts.id')
            ->get([
                'host_accounts.id',
                'host_accounts.name',
                'seats',
                'minutes',
                'at_once',
                'hosting_plans.name as plan',
            ])
            ->mapWithKeys(
                fn (\stdClass $r): array => [
                    (int) $r->id => new HostAccount(
                        (int) $r->id,
                        $r->name,
                        (int) $r->seats,
                        (int) $r->minutes,
                        (int) $r->at_once,
                        $r->plan,
                    ),
                ],
            )
            ->all();
    }
}
