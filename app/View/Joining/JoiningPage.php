<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Nomada\App\View\Address;
use Nomada\App\View\LaterRows;
use Nomada\App\View\Stub;
use Nomada\App\View\Stubs;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Timetable\HostAccount;

/** Every series with its join link and its door; or only those that lack something. */
final readonly class JoiningPage
{
    /** @var list<SeriesRow> */
    public array $rows;

    public int $all;

    /** @var array<string, int> how many have no link, a door that is too open, a hidden link */
    public array $counts;

    public Address $doors;

    /** Before the secrets of links. */
    public string $join;

    /** @var list<Preset> those that are used by what is shown */
    public array $used;

    /**
     * @param  list<SeriesRow>  $rows
     * @param  string  $show  missing, open, hidden, or empty for all
     * @param  array<string, Preset>  $presets  by key
     * @param  array<int, HostAccount>  $accounts  by id
     */
    public function __construct(array $rows, public string $show, public array $presets, public array $accounts)
    {
        $is = [
            'missing' => fn (SeriesRow $r): bool => ! $r->hasLink(),
            'open' => fn (SeriesRow $r): bool => $r->moreOpen !== [] && $r->acceptedBy === null,
            'hidden' => fn (SeriesRow $r): bool => $r->isHidden,
        ];
        $this->doors = Address::of('series.door');
        $this->join = url('/join');
        $this->all = count($rows);
        $this->counts = array_map(fn (callable $of): int => count(array_filter($rows, $of)), $is);
        $this->rows = isset($is[$show]) ? array_values(array_filter($rows, $is[$show])) : $rows;
        $keys = array_flip(array_map(fn (SeriesRow $r): string => $r->preset->key ?? '', $this->rows));
        $this->used = array_values(array_filter($presets, fn (Preset $p): bool => isset($keys[$p->key])));
    }

    /** @return list<SeriesRow> those that are written whole */
    public function whole(): array
    {
        return LaterRows::whole($this->rows);
    }

    public function stubs(): Stubs
    {
        return LaterRows::stubs(
            $this->rows,
            fn (SeriesRow $r): Stub => new Stub(
                (string) $r->id,
                (string) $r->id,
                $r->name,
                $this->doors->to($r->section, $r->id),
                $r->title,
                $r->meets,
            ),
            'series',
            4,
        );
    }
}
