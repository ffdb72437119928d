<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

/**
 * The rows of a week on the sheets of paper that they are printed on.
 *
 * @phpstan-import-type Block from WeekPage
 *
 * @phpstan-type Rows array<string, array{blocks: list<Block>, lanes: int}>
 */
final readonly class WeekSheets
{
    /** What a sheet of A4, laid wide, holds of rows at a size that can be read, in px. */
    private const SHEET = 16 * WeekPage::ROW;

    /** Where the rows of a drawing begin, below its days and hours, in px. */
    public const TOP = 40;

    /** What is left below the rows, in px. */
    private const BELOW = 8;

    /** @param  list<Rows>  $sheets  in their order; a row is never cut */
    private function __construct(public array $sheets)
    {
    }

    /**
     * @param  Rows  $rows
     * @param  bool  $onOne  all on one sheet, however small
     */
    public static function of(array $rows, bool $onOne): self
    {
        $out = $sheet = [];
        foreach ($rows as $name => $row) {
            if (! $onOne && $sheet !== [] && self::tall($sheet + [$name => $row]) > self::SHEET) {
                $out[] = $sheet;
                $sheet = [];
            }
            $sheet[$name] = $row;
        }

        return new self($sheet === [] ? $out : [...$out, $sheet]);
    }

    /**
     * The height of a drawing, in px.
     *
     * @param  Rows  $rows
     */
    public function height(array $rows): int
    {
        return self::TOP + self::tall($rows) + self::BELOW;
    }

    /** @param  Rows  $rows */
    private static function tall(array $rows): int
    {
        return WeekPage::ROW * (int) array_sum(array_column($rows, 'lanes'));
    }
}
