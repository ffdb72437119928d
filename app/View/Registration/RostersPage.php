<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration;

use Nomada\App\View\Address;
use Nomada\App\View\Joining\SeriesRow;
use Nomada\App\View\LaterRows;
use Nomada\App\View\Stub;
use Nomada\App\View\Stubs;

/** Every series with how many of its roster are registered; or only those where some are not. */
final readonly class RostersPage
{
    /** @var list<SeriesRow> */
    public array $rows;

    public int $all;

    public int $left;

    public Address $doors;

    public Address $sections;

    /** @param  list<SeriesRow>  $rows */
    public function __construct(array $rows, public bool $onlyLeft)
    {
        $left = array_values(array_filter($rows, fn (SeriesRow $r): bool => $r->registered < $r->roster));
        $this->doors = Address::of('series.door');
        $this->sections = Address::of('section');
        $this->rows = $onlyLeft ? $left : $rows;
        $this->all = count($rows);
        $this->left = count($left);
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
                $r->section,
                $r->name,
                $this->sections->to($r->section),
                $r->title,
            ),
            'sections',
            4,
        );
    }
}
