<?php

use Nomada\App\Support\SheetText;
use Nomada\Core\Fault;
use PhpOffice\PhpSpreadsheet\Spreadsheet;
use PhpOffice\PhpSpreadsheet\Writer\Xlsx;

// A small file cannot make a worker busy for long, or use up its memory.

/** A workbook with one text in some cells. */
function workbook(string ...$cells): string
{
    $book = new Spreadsheet();
    foreach ($cells as $cell) {
        $book->getActiveSheet()->setCellValue($cell, 'x');
    }
    $file = (string) tempnam(sys_get_temp_dir(), 'book');
    (new Xlsx($book))->save($file);
    $text = (string) file_get_contents($file);
    unlink($file);

    return $text;
}

test('a workbook is read within its bounds, and refused in words beyond them', function (string $cell, string $fault) {
    $before = memory_get_usage();
    expect(fn () => SheetText::of(workbook('A1', $cell)))->toThrow(fn (Fault $e) => expect($e->says)->toBe($fault));
    expect(memory_get_peak_usage() - $before)->toBeLessThan(200 * 1024 * 1024);
})->with([
    'one cell in the last column and a far row' => ['XFD20000', 'sheet.columns'],
    'one cell in the last row' => ['A1048576', 'sheet.rows'],
    'one column too many' => ['CW1', 'sheet.columns'],
]);

test('a workbook that unpacks to far more than a table is not opened', function () {
    $file = (string) tempnam(sys_get_temp_dir(), 'bomb');
    $zip = new ZipArchive();
    $zip->open($file, ZipArchive::OVERWRITE);
    $zip->addFromString('xl/worksheets/sheet1.xml', str_repeat(' ', 70 * 1024 * 1024));
    $zip->close();
    expect(fn () => SheetText::of((string) file_get_contents($file)))->toThrow(
        fn (Fault $e) => expect($e->says)->toBe('sheet.size'),
    );
    unlink($file);
});

test('what fits is read as ever', function () {
    expect(SheetText::of(workbook('A1', 'CV3')))
        ->toStartWith('x,')
        ->and(substr_count(SheetText::of(workbook('A1', 'B2')), "\n"))
        ->toBe(2);
});
