<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Fault;

/** Lines that somebody has typed, or pasted from a spreadsheet or an email, as cells. */
final class TypedTable
{
    /**
     * @param  int  $most  lines, at most
     * @return array<int, list<string>> cells by the number of their line, from 1; empty lines are left out
     *
     * @throws Fault under the field where there are more lines
     */
    public static function lines(string $typed, string $field, int $most): array
    {
        $out = [];
        foreach (preg_split('/\R/u', $typed) ?: [] as $n => $line) {
            if (trim($line) !== '') {
                $out[$n + 1] = array_map(trim(...), self::cells($line));
            }
        }
        if (count($out) > $most) {
            throw new Fault('school.lines', $field, ['n' => $most]);
        }

        return $out;
    }

    /** @return list<string> split at what the line has: tabs before semicolons before commas */
    private static function cells(string $line): array
    {
        foreach (["\t", ';', ','] as $sign) {
            if (str_contains($line, $sign)) {
                return array_map(strval(...), str_getcsv($line, $sign, '"', ''));
            }
        }

        return [$line];
    }
}
