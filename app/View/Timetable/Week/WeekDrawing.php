<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Week;

/** A week, or some rows of it, with its headings: where everything lies, in px. */
final readonly class WeekDrawing
{
    /** Where the days begin, beside the names of the rows. */
    public const LEFT = 110;

    /** What is above the rows: days and hours; and a second clock. */
    private const HEAD = 40;

    private const CLOCK = 16;

    private const BELOW = 8;

    /** @var list<PlacedRow> */
    public array $rows;

    /** Where the rows begin; $end where they end. */
    public int $top;

    public int $end;

    public int $height;

    public int $width;

    /**
     * @param  list<WeekDay>  $days
     * @param  list<WeekRow>  $rows
     */
    public function __construct(
        public array $days,
        array $rows,
        int $width,
        public bool $isDay = false,
        public ?OtherClock $clock = null,
    ) {
        $this->top = self::HEAD + ($clock === null ? 0 : self::CLOCK);
        $y = $this->top;
        $placed = [];
        foreach ($rows as $row) {
            $placed[] = new PlacedRow($row, $y);
            $y += $row->height();
        }
        $this->rows = $placed;
        $this->end = $y;
        $this->height = $y + self::BELOW;
        $this->width = self::LEFT + $width;
    }
}
