<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

/**
 * Writes a table as CSV (RFC 4180). Text that begins as a spreadsheet's formula would (`=`, `+`, `-`, `@`, tab, return)
 * gets an apostrophe in front, so that opening the file runs nothing; numbers stay numbers.
 */
final class CsvText
{
    /** @param  list<array<int, string|int|float|null>>  $rows the header first */
    public static function write(array $rows): string
    {
        return implode(
            '',
            array_map(fn (array $row): string => implode(',', array_map(self::cell(...), $row))."\r\n", $rows),
        );
    }

    private static function cell(string|int|float|null $value): string
    {
        if (! is_string($value)) {
            return (string) $value;
        }
        $value = preg_match('/^[=+\-@\t\r]/', $value) === 1 ? "'$value" : $value;

        return preg_match('/[",\r\n]/', $value) === 1 ? '"'.str_replace('"', '""', $value).'"' : $value;
    }
}
