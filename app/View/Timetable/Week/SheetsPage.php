<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Week;

/** A week as it is printed: as many sheets as it takes, each with its headings. */
final readonly class SheetsPage
{
    /** @param  list<WeekDrawing>  $sheets */
    public function __construct(public WeekPage $week, public array $sheets)
    {
    }

    public static function of(WeekPage $week): self
    {
        return new self(
            $week,
            array_map($week->drawing(...), WeekSheets::of($week->grid->rows, $week->filter->isOfOne())),
        );
    }
}
