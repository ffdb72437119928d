<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Nomada\Core\Fault;
use PhpOffice\PhpSpreadsheet\Cell\Coordinate;
use PhpOffice\PhpSpreadsheet\Reader\IReadFilter;

/** Stops reading a workbook where it goes beyond what a table of people or sessions can have. */
final class BoundedCells implements IReadFilter
{
    public const ROWS = 20_000;

    public const COLUMNS = 100;

    public const CELLS = 500_000;

    private int $cells = 0;

    /** @throws Fault */
    public function readCell(string $columnAddress, int $row, string $worksheetName = ''): bool
    {
        if ($row > self::ROWS) {
            throw new Fault('sheet.rows', 'file');
        }
        if (Coordinate::columnIndexFromString($columnAddress) > self::COLUMNS) {
            throw new Fault('sheet.columns', 'file', ['n' => self::COLUMNS]);
        }
        if (++$this->cells > self::CELLS) {
            throw new Fault('sheet.size', 'file');
        }

        return true;
    }
}
