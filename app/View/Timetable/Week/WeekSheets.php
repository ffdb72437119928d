<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Week;

/** The rows of a week on the sheets of paper that they are printed on. */
final readonly class WeekSheets
{
    /** What a sheet of A4, laid wide, holds of rows at a size that can be read, in px. */
    private const SHEET = 16 * WeekRow::HEIGHT;

    /**
     * @param  list<WeekRow>  $rows
     * @param  bool  $onOne  all on one sheet, however small
     * @return list<list<WeekRow>> in their order; a row is never cut
     */
    public static function of(array $rows, bool $onOne): array
    {
        $out = $sheet = [];
        $tall = 0;
        foreach ($rows as $row) {
            if (! $onOne && $sheet !== [] && $tall + $row->height() > self::SHEET) {
                $out[] = $sheet;
                $sheet = [];
                $tall = 0;
            }
            $sheet[] = $row;
            $tall += $row->height();
        }

        return $sheet === [] ? $out : [...$out, $sheet];
    }
}
