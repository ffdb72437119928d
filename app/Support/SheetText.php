<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Nomada\Core\Fault;
use Nomada\Core\Interchange\CsvText;
use PhpOffice\PhpSpreadsheet\Reader\Xlsx;
use PhpOffice\PhpSpreadsheet\Shared\Date;
use Throwable;

/** A table that somebody brings, CSV or XLSX, as CSV text. Of a workbook the first sheet is read, its values only. */
final class SheetText
{
    private const MOST_ROWS = 20_000;

    /** @throws Fault where a workbook cannot be read */
    public static function of(string $text): string
    {
        if (! str_starts_with($text, "PK\x03\x04")) {
            return $text;
        }
        $file =
            tempnam(sys_get_temp_dir(), 'nomada') ?:
            throw new \RuntimeException('No file can be made in '.sys_get_temp_dir());
        try {
            file_put_contents($file, $text);
            $reader = new Xlsx();
            $reader->setReadDataOnly(false);
            $sheet = $reader->load($file)->getSheet(0);
            if ($sheet->getHighestDataRow() > self::MOST_ROWS) {
                throw new Fault('sheet.rows', 'file');
            }
            $rows = [];
            foreach ($sheet->getRowIterator() as $row) {
                $cells = [];
                foreach ($row->getCellIterator('A', $sheet->getHighestDataColumn()) as $cell) {
                    $value = $cell->getValue();
                    $cells[] =
                        is_numeric($value) && Date::isDateTime($cell)
                            ? Date::excelToDateTimeObject((float) $value)->format(
                                (float) $value < 1 ? 'H:i:s' : 'Y-m-d H:i:s',
                            )
                            : (is_scalar($value)
                                ? (string) $value
                                : '');
                }
                $rows[] = $cells;
            }

            return CsvText::write($rows);
        } catch (Fault $e) {
            throw $e;
        } catch (Throwable) {
            throw new Fault('sheet.unread', 'file');
        } finally {
            unlink($file);
        }
    }
}
