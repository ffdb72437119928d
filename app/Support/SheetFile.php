<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Nomada\Core\Interchange\CsvText;
use PhpOffice\PhpSpreadsheet\Cell\DataType;
use PhpOffice\PhpSpreadsheet\Spreadsheet;
use PhpOffice\PhpSpreadsheet\Worksheet\Worksheet;
use PhpOffice\PhpSpreadsheet\Writer\Xlsx;
use Symfony\Component\HttpFoundation\Response;

/** A table for the office, as CSV or XLSX. Text that a spreadsheet would take for a formula is only text in both. */
final readonly class SheetFile
{
    /**
     * @param  list<string>  $header
     * @param  list<list<string|int|float|null>>  $rows
     * @param  array<string, array{list<string>, list<list<string|int|float|null>>}>  $more  further sheets of a
     *   workbook by their titles: head and rows
     * @param  string  $title  of the first sheet; its name where empty
     */
    public function __construct(
        private string $name,
        private array $header,
        private array $rows,
        private array $more = [],
        private string $title = '',
    ) {
    }

    public function respond(string $as): Response
    {
        return $as === 'xlsx'
            ? $this->file(
                $this->xlsx(),
                'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
                'xlsx',
            )
            : $this->file($this->csv(), 'text/csv; charset=utf-8', 'csv');
    }

    public function csv(): string
    {
        return CsvText::write([$this->header, ...$this->rows]);
    }

    public function xlsx(): string
    {
        $book = new Spreadsheet();
        $this->fill(
            $book->getActiveSheet(),
            $this->title === '' ? $this->name : $this->title,
            $this->header,
            $this->rows,
        );
        foreach ($this->more as $title => [$header, $rows]) {
            $this->fill($book->createSheet(), (string) $title, $header, $rows);
        }
        $file =
            tempnam(sys_get_temp_dir(), 'nomada') ?:
            throw new \RuntimeException('No file can be made in '.sys_get_temp_dir());
        try {
            (new Xlsx($book))->save($file);

            return (string) file_get_contents($file);
        } finally {
            unlink($file);
            $book->disconnectWorksheets();
        }
    }

    /**
     * @param  list<string>  $header
     * @param  list<list<string|int|float|null>>  $rows
     */
    private function fill(Worksheet $sheet, string $title, array $header, array $rows): void
    {
        $sheet->setTitle(mb_substr((string) preg_replace('/[^\w -]/u', ' ', $title), 0, 31));
        foreach ([$header, ...$rows] as $y => $row) {
            foreach ($row as $x => $value) {
                if ($value !== null) {
                    // Said what it is, so that no text is taken for a formula.
                    $sheet->setCellValueExplicit(
                        [$x + 1, $y + 1],
                        $value,
                        is_string($value) ? DataType::TYPE_STRING : DataType::TYPE_NUMERIC,
                    );
                }
            }
        }
        $sheet
            ->getStyle([1, 1, count($header), 1])
            ->getFont()
            ->setBold(true);
        foreach (array_keys($header) as $x) {
            $sheet->getColumnDimensionByColumn($x + 1)->setAutoSize(true);
        }
        $sheet->freezePane('A2');
    }

    private function file(string $content, string $type, string $ending): Response
    {
        $name = preg_replace('/[^a-z0-9-]+/', '-', mb_strtolower($this->name));

        return new Response($content, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => "attachment; filename=\"$name.$ending\"",
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }
}
