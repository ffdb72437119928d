<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\HostAccountRow;
use Nomada\App\Models\Timetable\HostingPlan;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\HostAccounts;
use Nomada\App\Queries\RunningSeries;
use Nomada\Core\Fault;
use Nomada\Core\Timetable\Licences;

/** Keeps hosting plans and host accounts, and puts series on accounts. Clashes are searched again after each change. */
final readonly class KeepLicences
{
    public function __construct(private RefreshClashes $clashes)
    {
    }

    /** @throws Fault where the name is taken */
    public function plan(
        Term $term,
        string $name,
        int $seats,
        int $minutes,
        int $atOnce,
        ?HostingPlan $plan = null,
    ): void {
        if (
            HostingPlan::query()
                ->where('name', $name)
                ->when($plan !== null, fn ($q) => $q->whereKeyNot($plan?->id))
                ->exists()
        ) {
            throw new Fault('licence.plan_taken', 'plan_name', ['name' => $name]);
        }
        DB::transaction(function () use ($term, $name, $seats, $minutes, $atOnce, $plan): void {
            ($plan ?? new HostingPlan())
                ->fill(['name' => $name, 'seats' => $seats, 'minutes' => $minutes, 'at_once' => $atOnce])
                ->save();
            ($this->clashes)($term);
        });
    }

    /** @throws Fault where accounts go by it */
    public function dropPlan(HostingPlan $plan): void
    {
        if ($plan->accounts()->exists()) {
            throw new Fault('licence.plan_used', 'plan_name', ['plan' => $plan->name]);
        }
        $plan->delete();
    }

    /**
     * Adds accounts: one of the name given, or several, numbered.
     *
     * @throws Fault where a name is taken
     */
    public function accounts(HostingPlan $plan, string $name, int $many): void
    {
        DB::transaction(function () use ($plan, $name, $many): void {
            $taken = HostAccountRow::query()->pluck('name')->flip();
            for ($n = 1, $made = 0; $made < $many; $n++) {
                $one = $many === 1 && ! $taken->has($name) ? $name : "$name $n";
                if (! $taken->has($one)) {
                    HostAccountRow::query()->create(['hosting_plan_id' => $plan->id, 'name' => $one]);
                    $made++;
                }
            }
        });
    }

    /** Another plan for an account. */
    public function regrade(Term $term, HostAccountRow $account, HostingPlan $plan): void
    {
        DB::transaction(function () use ($term, $account, $plan): void {
            $account->update(['hosting_plan_id' => $plan->id]);
            ($this->clashes)($term);
        });
    }

    /** Takes an account out; the series on it have none then. */
    public function dropAccount(Term $term, HostAccountRow $account): void
    {
        DB::transaction(function () use ($term, $account): void {
            $account->delete();
            ($this->clashes)($term);
        });
    }

    /** Puts one series on an account, or takes it off. */
    public function put(Term $term, Series $series, ?HostAccountRow $account): void
    {
        DB::transaction(function () use ($term, $series, $account): void {
            $series->update(['host_account_id' => $account?->id]);
            DB::table('sessions')
                ->where('series_id', $series->id)
                ->update(['host_account_id' => null]);
            ($this->clashes)($term, [$series->section_id]);
        });
    }

    /**
     * Puts every series on an account, changing as few as can be; one that no account can take whole is split over
     * several.
     *
     * @return array{placed: int, changed: int, split: int, left: int}
     */
    public function assign(Term $term): array
    {
        return DB::transaction(function () use ($term): array {
            $assignment = (new Licences(RunningSeries::of($term)))->assign(array_values(HostAccounts::all()));
            foreach (
                collect($assignment->accounts)->groupBy(fn (int $account): int => $account, true) as $account => $series
            ) {
                DB::table('series')
                    ->whereIn('id', $series->keys())
                    ->update(['host_account_id' => $account]);
                DB::table('sessions')
                    ->whereIn('series_id', $series->keys())
                    ->whereNotNull('host_account_id')
                    ->update(['host_account_id' => null]);
            }
            foreach ($assignment->split + array_map(fn (): array => [], $assignment->left) as $series => $sessions) {
                // The account of most of its sessions is the series', and the others are told apart; but a series of
                // which sessions are left over has none, or they would be on a full one.
                $most = array_count_values($sessions);
                arsort($most);
                $usual = isset($assignment->left[$series]) ? null : array_key_first($most);
                DB::table('series')
                    ->where('id', $series)
                    ->update(['host_account_id' => $usual]);
                DB::table('sessions')
                    ->where('series_id', $series)
                    ->whereNotNull('host_account_id')
                    ->update(['host_account_id' => null]);
                foreach (array_diff($sessions, [$usual]) as $start => $account) {
                    DB::table('sessions')
                        ->where('series_id', $series)
                        ->whereRaw('starts_at = to_timestamp(?)', [$start])
                        ->update(['host_account_id' => $account]);
                }
            }
            ($this->clashes)($term);

            return [
                'placed' => count($assignment->accounts),
                'changed' => $assignment->changed,
                'split' => count($assignment->split),
                'left' => $assignment->leftOver(),
            ];
        });
    }
}
