<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/**
 * Sessions of which each overlaps with one before it: what is decided inside of one stretch touches no other. Each is
 * a {@see HostedSeries} of one session, and they are in the order in which they begin.
 */
final readonly class OverlapGroup
{
    /** Steps of one search; a stretch that takes more counts as one that does not fit. */
    private const STEPS = 50_000;

    /** @param  list<HostedSeries>  $sessions */
    private function __construct(public array $sessions)
    {
    }

    /**
     * @param  list<HostedSeries>  $running
     * @return list<self> in the order in which they begin
     */
    public static function all(array $running): array
    {
        $all = [];
        foreach ($running as $series) {
            foreach ($series->sessions as $session) {
                $all[] = new HostedSeries($series->series, [$session], $series->people);
            }
        }
        usort($all, fn (HostedSeries $a, HostedSeries $b): int => $a->sessions[0] <=> $b->sessions[0]);
        $out = [];
        $until = 0;
        foreach ($all as $one) {
            [$start, $end] = $one->sessions[0];
            if ($start >= $until) {
                $out[] = [];
            }
            $out[array_key_last($out)][] = $one;
            $until = max($until, $end);
        }

        return array_map(fn (array $sessions): self => new self($sessions), $out);
    }

    /** Equal for stretches that ask the same of accounts: those of one week and the next, mostly. */
    public function shape(): string
    {
        $from = $this->sessions[0]->sessions[0][0];

        return implode(
            ' ',
            array_map(
                fn (HostedSeries $r): string => implode(':', [
                    $r->sessions[0][0] - $from,
                    $r->sessions[0][1] - $from,
                    $r->people,
                ]),
                $this->sessions,
            ),
        );
    }

    /**
     * An account for every session, searched through: where there is a way, it is found.
     *
     * Accounts of one size are alike, so the search goes over sizes, the tightest first; what it has seen to fail it
     * does not try again.
     *
     * @param  list<HostAccount>  $accounts
     * @return list<int>|null the account by the session's place; null where not all of them fit
     */
    public function fit(array $accounts): ?array
    {
        /** @var array<string, list<HostAccount>> $sizes */
        $sizes = [];
        foreach ($accounts as $account) {
            $sizes[sprintf('%06d %06d', $account->seats, $account->minutes)][] = $account;
        }
        ksort($sizes);
        $sizes = array_values($sizes);
        $free = array_map(fn (array $of): int => array_sum(array_column($of, 'atOnce')), $sizes);
        $failed = [];
        $steps = 0;
        $chosen = $this->choose(0, $free, [], $sizes, $failed, $steps);

        return $chosen === null ? null : $this->named($chosen, $sizes);
    }

    /**
     * @param  array<int, int>  $free  places that are free, by size
     * @param  list<array{int, int}>  $busy  until when, and of which size, of those that run
     * @param  list<list<HostAccount>>  $sizes
     * @param  array<string, true>  $failed  what was tried from a state on
     * @return list<int>|null sizes of this session and those after it
     */
    private function choose(int $i, array $free, array $busy, array $sizes, array &$failed, int &$steps): ?array
    {
        $one = $this->sessions[$i] ?? null;
        if ($one === null) {
            return [];
        }
        [$start, $end] = $one->sessions[0];
        $still = [];
        foreach ($busy as [$until, $size]) {
            if ($until > $start) {
                $still[] = [$until, $size];
            } else {
                $free[$size]++;
            }
        }
        sort($still);
        $state = $i.json_encode($still);
        if (isset($failed[$state]) || ++$steps > self::STEPS) {
            return null;
        }
        foreach ($sizes as $size => $of) {
            if ($free[$size] > 0 && $of[0]->holds($one)) {
                $then = $free;
                $then[$size]--;
                $rest = $this->choose($i + 1, $then, [...$still, [$end, $size]], $sizes, $failed, $steps);
                if ($rest !== null) {
                    return [$size, ...$rest];
                }
            }
        }
        $failed[$state] = true;

        return null;
    }

    /**
     * @param  list<int>  $chosen  sizes
     * @param  list<list<HostAccount>>  $sizes
     * @return list<int> accounts
     */
    private function named(array $chosen, array $sizes): array
    {
        $until = $out = [];
        foreach ($sizes as $size => $of) {
            foreach ($of as $account) {
                for ($place = 0; $place < $account->atOnce; $place++) {
                    $until[$size][] = [0, $account->id];
                }
            }
        }
        foreach ($chosen as $i => $size) {
            [$start, $end] = $this->sessions[$i]->sessions[0];
            foreach ($until[$size] ?? [] as $place => [$busy, $id]) {
                if ($busy <= $start) {
                    $until[$size][$place] = [$end, $id];
                    $out[] = $id;

                    break;
                }
            }
        }

        return $out;
    }
}
