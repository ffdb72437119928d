<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\HostingPlan;
use Nomada\App\Queries\HostAccounts;
use Nomada\App\Queries\RunningSeries;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\FewestAccounts;
use Nomada\Core\Timetable\HostAccount;
use Nomada\Core\Timetable\Licences;
use Nomada\Core\Timetable\Running;

/**
 * How many sessions run at one time, over the week and at the most; the accounts that suffice; which series runs on
 * which; what other numbers would mean.
 */
final readonly class LicencePage
{
    public const WIDTH = 1240;

    public const HEIGHT = 150;

    /** @return array<string, mixed> */
    public function data(Term $term): array
    {
        $plans = HostingPlan::query()->with('accounts')->orderBy('seats')->get();
        $sessions = (int) DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->where('state', 'planned')
            ->count();
        $key = $this->key($term);
        $found = Cache::get($key);
        if ($found === null && $sessions > config('nomada.behind_page')) {
            // Longer than a page may take: asked for once, and looked at again.
            if (Cache::add("$key asked", true, 60)) {
                WorkOutLicences::dispatch($term->id);
            }

            return [
                'term' => $term,
                'isLater' => true,
                'plans' => $plans,
                'accounts' => array_values(HostAccounts::all()),
                'whatIf' => [],
                'standing' => [],
                'series' => $sessions,
            ];
        }
        if ($found === null) {
            $found = $this->found($term);
            Cache::put($key, $found, 86400);
        }

        return ['term' => $term, 'isLater' => false, 'plans' => $plans, 'zone' => $term->calendar()->zone] + $found;
    }

    /** Works it out and keeps it: for the queue, where the page would take too long. */
    public function workOut(Term $term): void
    {
        $key = $this->key($term);
        Cache::put($key, $this->found($term), 86400);
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
                array[count(*), sum(id), sum(section_id * person_id + hashtext(role)::bigint)]::text from parts) as
                people,
            (select md5(string_agg(to_jsonb(host_accounts)::text || to_jsonb(hosting_plans)::text, ',' order by
                host_accounts.id)) from host_accounts join hosting_plans on hosting_plans.id = hosting_plan_id) as
                accounts, (select md5(string_agg(id || title || year, ',' order by id)) from sections where term_id = ?)
                as sections",
            [$term->id, $term->id, $term->id],
        );

        return "licences $term->id ".md5((string) json_encode($row));
    }

    /** @return array<string, mixed> all of the page that takes long */
    private function found(Term $term): array
    {
        $running = RunningSeries::of($term);
        $licences = new Licences($running);
        $accounts = array_values(HostAccounts::all());
        $peak = $licences->peak();
        $zone = $term->calendar()->zone;
        $standing = array_count_values(array_map(fn (Running $r): int => $r->account ?? 0, $running));
        $names = $this->names(array_map(fn (Running $r): int => $r->series, $running));
        $capacity = array_sum(array_map(fn (HostAccount $a): int => $a->atOnce, $accounts));

        return [
            'peak' => $peak,
            'peakWords' => $peak['n'] === 0
                    ? ''
                    : (new LocalDate($zone->wall($peak['from'])[0]))->short().
                        ', '.
                        $zone->clock($peak['from']).
                        '–'.
                        $zone->clock($peak['to']),
            'accounts' => $accounts,
            'fewest' => $this->fewest($running),
            'capacity' => $capacity,
            'curve' => $this->drawn($licences->curve($zone), $peak['n'], $capacity),
            'assignment' => $licences->assign($accounts),
            'whatIf' => $accounts === [] ? [] : $this->whatIf($licences, $running, $accounts, $standing),
            'standing' => $standing,
            'series' => count($running),
            'unassigned' => $standing[0] ?? 0,
            'names' => $names,
            'needs' => $this->needs($running, $accounts),
            'long' => $this->beyond($running, $accounts, $names),
        ];
    }

    /**
     * The fewest accounts of each plan that suffice, by the plan's name; under an empty name where no plan is known.
     *
     * @param  list<Running>  $running
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
     * "Large 1, Small 2", where there is more than one plan.
     *
     * @param  array<string, int>  $fewest
     */
    public static function which(array $fewest): string
    {
        return count($fewest) < 2
            ? ''
            : ': '.
                    implode(
                        ', ',
                        array_map(fn (string $plan, int $n): string => "$plan $n", array_keys($fewest), $fewest),
                    );
    }

    /**
     * What fewer and more accounts would mean: the sessions that find none.
     *
     * @param  list<Running>  $running
     * @param  list<HostAccount>  $accounts
     * @param  array<int, int>  $standing  series on each account
     * @return list<array{n: int, isNow: bool, left: int, split: int, like: string}>
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
            $out[] = [
                'n' => $n,
                'isNow' => $n === $now,
                'left' => $then->leftOver(),
                'split' => count($then->split),
                'like' => $n > $now ? $like->plan : '',
            ];
        }

        return $out;
    }

    /**
     * The smallest plan that would hold what finds no account now; else that of most accounts.
     *
     * @param  list<Running>  $running
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
                array_filter($running, fn (Running $r): bool => isset($left[$r->series]) && ! $account->holds($r)) ===
                []
            ) {
                return $account;
            }
        }

        return $accounts[0];
    }

    /**
     * How many accounts must be at least as large as each plan: the most sessions at one time of those that no smaller
     * plan holds.
     *
     * @param  list<Running>  $running
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
            $left = array_values(array_filter($left, fn (Running $r): bool => ! $account->holds($r)));
        }

        return $out;
    }

    /**
     * Series whose sessions no account can hold, or not the one that they stand on.
     *
     * @param  list<Running>  $running
     * @param  list<HostAccount>  $accounts
     * @param  array<int, array{name: string, section: string}>  $names
     * @return list<array{series: int, name: string, section: string, minutes: int, people: int, account: string,
     *   isLong: bool, isFull: bool, most: int, fits: list<array{int, string}>}>
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
            $out[] = [
                'series' => $series->series,
                ...$names[$series->series],
                'minutes' => $series->longest,
                'people' => $series->people,
                'account' => $on->name ?? 'no account',
                'isLong' => $series->longest > $minutes,
                'isFull' => $series->people > $seats,
                'most' => $minutes,
                'fits' => array_map(fn (HostAccount $a): array => [$a->id, $a->name], $fits),
            ];
        }

        return $out;
    }

    /**
     * The curve as a path: a step for every five minutes, days side by side.
     *
     * @param  array<int, array<int, int>>  $curve
     * @return array{path: string, days: list<array{x: float, width: float, name: string, most: int}>,
     *   hours: list<array{x: float, text: string}>, capacity: float|null, levels: list<array{y: float, n: int}>}
     */
    private function drawn(array $curve, int $peak, int $capacity): array
    {
        $top = max(1, $peak, $capacity) + 1;
        $y = fn (int $n): float => round(self::HEIGHT - ($n / $top) * self::HEIGHT, 1);
        $weekdays = array_keys($curve);
        $minutes = array_merge(...array_map(array_keys(...), array_values($curve)));
        [$from, $to] = [intdiv(min(960, ...$minutes), 60) * 60, (intdiv(max(480, ...$minutes), 60) + 1) * 60];
        $days = $hours = [];
        $path = '';
        $width = (self::WIDTH - 30) / max(1, count($weekdays));
        foreach ($weekdays as $i => $weekday) {
            $left = 30 + $i * $width;
            $scale = ($width - 14) / max(1, $to - $from);
            $days[] = [
                'x' => round($left, 1),
                'width' => round($width - 14, 1),
                'name' => LocalDate::dayName($weekday),
                'most' => max(0, ...array_values($curve[$weekday])),
            ];
            $path .= 'M'.round($left, 1).' '.$y(0);
            $last = 0;
            for ($minute = $from; $minute <= $to; $minute += Licences::STEP) {
                $n = $minute === $to ? 0 : $curve[$weekday][$minute] ?? 0;
                if ($n !== $last) {
                    $path .= 'H'.round($left + ($minute - $from) * $scale, 1).'V'.$y($n);
                    $last = $n;
                }
            }
            $path .= 'H'.round($left + $width - 14, 1);
            for ($hour = intdiv($from, 60); $hour * 60 < $to; $hour += 2) {
                $hours[] = ['x' => round($left + ($hour * 60 - $from) * $scale, 1), 'text' => (string) $hour];
            }
        }
        $step = max(1, (int) ceil($top / 6));

        return [
            'path' => $path,
            'days' => $days,
            'hours' => $hours,
            'capacity' => $capacity === 0 ? null : $y($capacity),
            'levels' => array_map(fn (int $n): array => ['y' => $y($n), 'n' => $n], range(0, $top - 1, $step)),
        ];
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
                        'name' => ($r->year === '' ? '' : "Y$r->year ").
                            $r->section.
                            ($r->title === $r->section ? '' : ": $r->title"),
                        'section' => (string) $r->sourced_id,
                    ],
                ],
            )
            ->all();
    }
}
