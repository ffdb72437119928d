<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Contact;

use Nomada\App\View\Address;
use Nomada\App\View\LaterRows;
use Nomada\App\View\Stub;
use Nomada\App\View\Stubs;

/** The contact time of every section, or of a year's. */
final readonly class ContactPage
{
    /** @var list<ContactRow> */
    public array $rows;

    /** @var list<string> */
    public array $years;

    /** How many are short of their target, of all. */
    public int $short;

    /**
     * @param  list<ContactRow>  $all
     * @param  string  $year  whose sections alone are shown, or empty
     */
    public function __construct(array $all, public string $year, public bool $mayChange)
    {
        $this->rows = array_values(
            array_filter($all, fn (ContactRow $r): bool => $year === '' || $r->year === $year),
        );
        $this->years = array_values(array_unique(array_map(fn (ContactRow $r): string => $r->year, $all)));
        $this->short = count(array_filter($all, fn (ContactRow $r): bool => $r->isShort()));
    }

    /** @return list<ContactRow> those that are written whole */
    public function whole(): array
    {
        return LaterRows::whole($this->rows);
    }

    public function stubs(): Stubs
    {
        $sections = Address::of('section');

        return LaterRows::stubs(
            $this->rows,
            fn (ContactRow $r): Stub => new Stub(
                $r->id,
                $r->id,
                $r->name,
                $sections->to($r->id),
                small: $r->teacher,
            ),
            $this->mayChange ? 'sections' : '',
            8,
        );
    }
}
