<?php

declare(strict_types=1);

namespace Nomada\App\Queries\Licences;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\HostingPlan;
use Nomada\App\Queries\HostAccounts;
use Nomada\App\Queries\RunningSeries;
use Nomada\App\Support\Say;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\FewestAccounts;
use Nomada\Core\Timetable\HostAccount;
use Nomada\Core\Timetable\HostedSeries;
use Nomada\Core\Timetable\Licences;

/** What the host accounts of a school bear, kept until the timetable or the accounts change. */
final readonly class LicenceLoad
{
    /** @return Load|null null where it takes longer than a page may: then WorkOutLicences works it out */
    public function of(Term $term, int $sessions): ?Load
    {
        $key = $this->key($term);
        $found = Cache::get($key);
        if ($found instanceof Load) {
            return $found;
        }
        if ($sessions > config('nomada.behind_page')) {
            return null;
        }

        return $this->workOut($term);
    }

    /** Works it out, however long that takes, and keeps it. */
    public function workOut(Term $term): Load
    {
        $found = $this->found($term);
        Cache::put($this->key($term), $found, 86400);

        return $found;
    }

    /** Equal as long as nothing changes that the page is worked out from. */
    private function key(Term $term): string
    {
        $row = DB::selectOne(
            "select (select array[count(*), sum(hashint8(extract(epoch from starts_at)::bigint * 100003 +
                sessions.id)::bigint), sum(hashint8(extract(epoch from ends_at)::bigint * 100003 +
                sessions.id)::bigint)]::text from sessions join series on series.id = series_id join sections on
                sections.id = section_id where term_id = ? and state = 'planned') as sessions,
            (select md5(string_agg(series.id || ' ' || coalesce(host_account_id, 0) || series.title, ',' order by
                series.id)) from series join sections on sections.id = section_id where term_id = ?) as series, (select
                array[count(*), sum(id), sum(section_id * person_id + hashtext(role)::bigint)]::text
                    from memberships) as
                people,
            (select md5(string_agg(to_jsonb(host_accounts)::text || to_jsonb(hosting_plans)::text, ',' order by
                host_accounts.id)) from host_accounts join hosting_plans on hosting_plans.id = hosting_plan_id) as
                accounts, (select md5(string_agg(id || title || year, ',' order by id)) from sections where term_id = ?)
                as sections",
            [$term->id, $term->id, $term->id],
        );

        return "licences $term->id ".md5((string) json_encode($row));
    }

    private function found(Term $term): Load
    {
        $running = RunningSeries::of($term);
        $licences = new Licences($running);
        $accounts = array_values(HostAccounts::all());
        $peak = $licences->peak();
        $zone = $term->calendar()->zone;
        $standing = array_count_values(array_map(fn (HostedSeries $r): int => $r->account ?? 0, $running));
        $names = $this->names(array_map(fn (HostedSeries $r): int => $r->series, $running));
        $capacity = array_sum(array_map(fn (HostAccount $a): int => $a->atOnce, $accounts));

        return new Load(
            count($running),
            $peak['n'],
            $peak['times'],
            $peak['n'] === 0
                ? ''
                : Say::day(new LocalDate($zone->wall($peak['from'])[0])).
                    ', '.
                    $zone->clock($peak['from']).
                    '–'.
                    $zone->clock($peak['to']),
            $capacity,
            $this->fewest($running),
            LoadCurve::of($licences->curve($zone), $peak['n'], $capacity),
            $accounts,
            $licences->assign($accounts),
            $standing,
            array_map(fn (array $of): string => $of['name'], $names),
            $this->needs($running, $accounts),
            $accounts === [] ? [] : $this->whatIf($licences, $running, $accounts, $standing),
            $this->beyond($running, $accounts, $names),
        );
    }

    /**
     * The fewest accounts of each plan that suffice, by the plan's name; under an empty name where no plan is known.
     *
     * @param  list<HostedSeries>  $running
     * @return array<string, int>
     */
    public function fewest(array $running): array
    {
        $kinds = array_values(
            HostingPlan::query()
                ->orderBy('id')
                ->get()
                ->map(
                    fn (HostingPlan $p): HostAccount => new HostAccount(
                        0,
                        '',
                        $p->seats,
                        $p->minutes,
                        $p->at_once,
                        $p->name,
                    ),
                )
                ->all(),
        );

        return $kinds === []
            ? array_filter(['' => (new Licences($running))->fewest()])
            : (new FewestAccounts($running, $kinds))->of();
    }

    /**
     * What fewer and more accounts would mean: the sessions that find none.
     *
     * @param  list<HostedSeries>  $running
     * @param  list<HostAccount>  $accounts
     * @param  array<int, int>  $standing  series on each account
     * @return list<WhatIfRow>
     */
    private function whatIf(Licences $licences, array $running, array $accounts, array $standing): array
    {
        $out = [];
        $now = count($accounts);
        // The least used go first; what is added is like the one that is wanted for most.
        usort(
            $accounts,
            fn (HostAccount $a, HostAccount $b): int => [$standing[$b->id] ?? 0, -$b->id] <=> [
                $standing[$a->id] ?? 0,
                -$a->id,
            ],
        );
        $like = $this->like($running, $accounts, $licences);
        for ($n = max(0, $now - 2); $n <= $now + 2; $n++) {
            $some = array_slice($accounts, 0, $n);
            for ($i = $now; $i < $n; $i++) {
                $some[] = new HostAccount(-$i, 'another', $like->seats, $like->minutes, $like->atOnce, $like->plan);
            }
            $then = $licences->assign($some);
            $out[] = new WhatIfRow(
                $n,
                $n === $now,
                $then->leftOver(),
                count($then->split),
                $n > $now ? $like->plan : '',
            );
        }

        return $out;
    }

    /**
     * The smallest plan that would hold what finds no account now; else that of most accounts.
     *
     * @param  list<HostedSeries>  $running
     * @param  list<HostAccount>  $accounts
     */
    private function like(array $running, array $accounts, Licences $licences): HostAccount
    {
        $left = $licences->assign($accounts)->left;
        $bySize = $accounts;
        usort(
            $bySize,
            fn (HostAccount $a, HostAccount $b): int => [$a->seats, $a->minutes] <=> [$b->seats, $b->minutes],
        );
        foreach ($left === [] ? [] : $bySize as $account) {
            if (
                array_filter(
                    $running,
                    fn (HostedSeries $r): bool => isset($left[$r->series]) && ! $account->holds($r),
                ) === []
            ) {
                return $account;
            }
        }

        return $accounts[0];
    }

    /**
     * How many accounts must be at least as large as each plan: the most sessions at once of those that no smaller
     * plan holds.
     *
     * @param  list<HostedSeries>  $running
     * @param  list<HostAccount>  $accounts
     * @return array<string, int> by plan
     */
    private function needs(array $running, array $accounts): array
    {
        $plans = [];
        foreach ($accounts as $account) {
            $plans[$account->plan] = $account;
        }
        uasort(
            $plans,
            fn (HostAccount $a, HostAccount $b): int => [$a->seats, $a->minutes] <=> [$b->seats, $b->minutes],
        );
        $out = [];
        $left = $running;
        foreach ($plans as $name => $account) {
            $out[$name] = (int) ceil((new Licences($left))->peak()['n'] / $account->atOnce);
            $left = array_values(array_filter($left, fn (HostedSeries $r): bool => ! $account->holds($r)));
        }

        return $out;
    }

    /**
     * Series whose sessions no account can hold, or not the one that they are on.
     *
     * @param  list<HostedSeries>  $running
     * @param  list<HostAccount>  $accounts
     * @param  array<int, array{name: string, section: string}>  $names
     * @return list<BeyondRow>
     */
    private function beyond(array $running, array $accounts, array $names): array
    {
        $byId = [];
        foreach ($accounts as $account) {
            $byId[$account->id] = $account;
        }
        $out = [];
        foreach ($accounts === [] ? [] : $running as $series) {
            $fits = array_values(array_filter($accounts, fn (HostAccount $a): bool => $a->holds($series)));
            $on = $series->account === null ? null : $byId[$series->account] ?? null;
            if (($on !== null && $on->holds($series)) || ($on === null && $fits !== [])) {
                continue;
            }
            $minutes = $on->minutes ?? max(1, ...array_map(fn (HostAccount $a): int => $a->minutes, $accounts));
            $seats = $on->seats ?? max(1, ...array_map(fn (HostAccount $a): int => $a->seats, $accounts));
            $out[] = new BeyondRow(
                $series->series,
                $names[$series->series]['name'],
                $names[$series->series]['section'],
                $series->longest,
                $series->people,
                $on?->name,
                $series->longest > $minutes,
                $series->people > $seats,
                $minutes,
                array_column(array_map(fn (HostAccount $a): array => [$a->id, $a->name], $fits), 1, 0),
            );
        }

        return $out;
    }

    /**
     * @param  list<int>  $series
     * @return array<int, array{name: string, section: string}>
     */
    private function names(array $series): array
    {
        return DB::table('series')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->whereIn('series.id', $series)
            ->get(['series.id', 'series.title', 'sections.title as section', 'year', 'sourced_id'])
            ->mapWithKeys(
                fn (\stdClass $r): array => [
                    (int) $r->id => [
                        'name' => Section::called($r->year, $r->section).
                            ($r->title === $r->section ? '' : ": $r->title"),
                        'section' => (string) $r->sourced_id,
                    ],
                ],
            )
            ->all();
    }
}
