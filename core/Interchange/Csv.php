<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Fault;

/**
 * RFC 4180 text with a header row, read strictly: every value knows its file, line and column, and nothing is guessed.
 */
final class Csv
{
    /** Rows of one file; more are no school's. */
    public const MOST = 200_000;

    /** @var list<ImportFault> */
    public array $faults = [];

    /** @var list<CsvRow> */
    public array $rows = [];

    private string $separator = ',';

    /**
     * @param  list<string>  $needs  columns that must be there
     *
     * @throws Fault where it has too many rows, or takes too long
     */
    public function __construct(
        public readonly string $file,
        string $text,
        array $needs,
        private readonly Deadline $deadline = new Deadline(),
    ) {
        $text = $this->decoded($text);
        $nul = strpos($text, "\0");
        if ($nul !== false) {
            $this->faults[] = new ImportFault($file, 1 + substr_count($text, "\n", 0, $nul), '', 'csv.nul');

            return;
        }
        $this->separator = $this->separatorOf(strtok($text, "\r\n") ?: '', $needs);
        $records = $this->records($text);
        $header = array_shift($records);
        if ($header === null) {
            $this->faults[] = new ImportFault($file, 1, '', new Fault('csv.empty', '', ['columns' => $needs]));

            return;
        }
        $columns = array_map(fn (string $c): string => self::named(trim($c), $needs), $header[1]);
        foreach (array_diff($needs, $columns) as $missing) {
            $this->faults[] = new ImportFault(
                $file,
                1,
                $missing,
                new Fault('csv.column', '', ['column' => $missing]),
                implode(',', $columns),
            );
        }
        foreach (
            array_keys(
                array_filter(
                    array_count_values(array_filter($columns, fn (string $c): bool => $c !== '')),
                    fn (int $n): bool => $n > 1,
                ),
            ) as $twice
        ) {
            $this->faults[] = new ImportFault($file, 1, (string) $twice, 'csv.twice');
        }
        if (array_filter($this->faults, fn (ImportFault $f): bool => ! $f->warning) !== []) {
            return;
        }
        foreach ($records as [$line, $cells]) {
            // An empty row, and one of separators only, as spreadsheets leave them at the end.
            if (implode('', $cells) === '') {
                continue;
            }
            if (count($cells) !== count($columns)) {
                $this->faults[] = new ImportFault(
                    $file,
                    $line,
                    '',
                    new Fault('csv.values', '', ['n' => count($columns), 'found' => count($cells)]),
                );

                continue;
            }
            $this->rows[] = new CsvRow($file, $line, array_combine($columns, array_map(self::plain(...), $cells)));
        }
    }

    /**
     * A column is known by its name however its letters are written.
     *
     * @param  list<string>  $needs
     */
    private static function named(string $column, array $needs): string
    {
        foreach ($needs as $name) {
            if (strcasecmp($name, $column) === 0) {
                return $name;
            }
        }

        return $column;
    }

    /** A cell without blanks around it, and without the apostrophe that keeps a spreadsheet from running it. */
    private static function plain(string $cell): string
    {
        $cell = trim($cell);

        return $cell !== '' && $cell[0] === "'" && preg_match('/^\'[=+\-@]/', $cell) === 1 ? substr($cell, 1) : $cell;
    }

    /** @return list<array{int, list<string>}> line number and cells */
    private function records(string $text): array
    {
        $out = [];
        $line = 1;
        $length = strlen($text);
        $at = 0;
        while ($at < $length) {
            $begun = $line;
            $cells = [];
            do {
                if (($text[$at] ?? '') === '"') {
                    [$cell, $at, $line] = $this->quoted($text, $at + 1, $line, $begun, count($cells) + 1);
                } else {
                    $size = strcspn($text, "$this->separator\r\n", $at);
                    $cell = substr($text, $at, $size);
                    $at += $size;
                }
                $cells[] = $cell;
                $more = ($text[$at] ?? '') === $this->separator;
                $at += $more ? 1 : 0;
            } while ($more);
            if (($text[$at] ?? '') === "\r") {
                $at++;
            }
            if (($text[$at] ?? '') === "\n") {
                $at++;
            }
            $line++;
            $out[] = [$begun, $cells];
            if (count($out) % 2000 === 0) {
                $this->deadline->check($this->file, $line);
            }
            if (count($out) > self::MOST) {
                throw new Fault('import.rows', 'file', ['file' => $this->file, 'n' => self::MOST]);
            }
        }

        return $out;
    }

    /** @return array{string, int, int} */
    private function quoted(string $text, int $at, int $line, int $begun, int $column): array
    {
        $cell = '';
        while (true) {
            $close = strpos($text, '"', $at);
            if ($close === false) {
                $this->faults[] = new ImportFault($this->file, $begun, (string) $column, 'csv.unclosed');

                return [$cell.substr($text, $at), strlen($text), $line];
            }
            $cell .= substr($text, $at, $close - $at);
            $line += substr_count($text, "\n", $at, $close - $at);
            if (($text[$close + 1] ?? '') === '"') {
                $cell .= '"';
                $at = $close + 2;

                continue;
            }
            $after = $close + 1;
            $size = strcspn($text, "$this->separator\r\n", $after);
            if ($size > 0) {
                $this->faults[] = new ImportFault(
                    $this->file,
                    $line,
                    (string) $column,
                    'csv.after_quote',
                    substr($text, $after, min($size, 20)),
                );
            }

            return [$cell, $after + $size, $line];
        }
    }

    /** UTF-8, with or without a mark; UTF-16 by its mark; else Latin-1 (Windows-1252), which is said. */
    private function decoded(string $text): string
    {
        if (str_starts_with($text, "\xEF\xBB\xBF")) {
            return substr($text, 3);
        }
        $from = match (true) {
            str_starts_with($text, "\xFF\xFE") => 'UTF-16LE',
            str_starts_with($text, "\xFE\xFF") => 'UTF-16BE',
            ! mb_check_encoding($text, 'UTF-8') => 'Windows-1252',
            default => null,
        };
        if ($from === null) {
            return $text;
        }
        $this->faults[] = new ImportFault(
            $this->file,
            0,
            '',
            new Fault('csv.encoding', '', ['from' => $from]),
            '',
            true,
        );

        return mb_convert_encoding(str_starts_with($from, 'UTF-16') ? substr($text, 2) : $text, 'UTF-8', $from);
    }

    /**
     * A comma, unless the header row has all its columns only by a semicolon or a tab.
     *
     * @param  list<string>  $needs
     */
    private function separatorOf(string $header, array $needs): string
    {
        foreach ([',', ';', "\t"] as $separator) {
            $columns = array_map(
                fn (string $c): string => self::named(trim($c, " \"\r\n"), $needs),
                explode($separator, $header),
            );
            if (array_diff($needs, $columns) === []) {
                if ($separator !== ',') {
                    $this->faults[] = new ImportFault(
                        $this->file,
                        1,
                        '',
                        $separator === ';' ? 'csv.semicolons' : 'csv.tabs',
                        '',
                        true,
                    );
                }

                return $separator;
            }
        }

        return ',';
    }
}
