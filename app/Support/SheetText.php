<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Nomada\Core\Fault;
use Nomada\Core\Interchange\CsvText;
use PhpOffice\PhpSpreadsheet\Reader\Xlsx;
use PhpOffice\PhpSpreadsheet\Shared\Date;
use Throwable;
use ZipArchive;

/** A table that somebody brings, CSV or XLSX, as CSV text. Of a workbook the first sheet is read, its values only. */
final class SheetText
{
    /** Bytes of all of a workbook's files together, unpacked. */
    private const MOST_BYTES = 64 * 1024 * 1024;

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
            self::unpacked($file);
            $reader = new Xlsx();
            $reader->setReadDataOnly(false);
            $reader->setReadFilter(new BoundedCells());
            $first = $reader->listWorksheetNames($file)[0] ?? throw new Fault('sheet.unread', 'file');
            $reader->setLoadSheetsOnly([$first]);
            $sheet = $reader->load($file)->getSheet(0);
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

    /** @throws Fault where it would unpack to more than a table can have */
    private static function unpacked(string $file): void
    {
        $zip = new ZipArchive();
        if ($zip->open($file, ZipArchive::RDONLY) !== true || $zip->numFiles > 1000) {
            throw new Fault('sheet.unread', 'file');
        }
        $bytes = 0;
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $bytes += (int) (($zip->statIndex($i) ?: [])['size'] ?? 0);
        }
        $zip->close();
        if ($bytes > self::MOST_BYTES) {
            throw new Fault('sheet.size', 'file');
        }
    }
}
