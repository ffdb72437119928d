<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

/**
 * Which row of a timetable is which series. A row is known by the series' uid where it has one, by the title that it
 * was imported under, else by its plan, else by being the only one that is left on both sides: so it stays the same
 * series when it, or the series, is renamed.
 */
final class SeriesRows
{
    /**
     * @param  list<array{title: string, print: string, uid?: string}>  $rows  of one section, in the order of the file
     * @param  list<array{title: string, print: string, uid?: string}>  $known  the series that came by imports: the
     *   title that each was imported under, and the sum of its row
     * @return array<int, int> index of `$known` by index of `$rows`; rows that are new are not in it
     */
    public static function match(array $rows, array $known): array
    {
        $out = [];
        $same = [
            fn (array $r, array $k): bool => ($r['uid'] ?? '') !== '' && $r['uid'] === ($k['uid'] ?? null),
            fn (array $r, array $k): bool => mb_strtolower($r['title']) === mb_strtolower($k['title']),
            fn (array $r, array $k): bool => $r['print'] === $k['print'],
        ];
        foreach ($same as $isSame) {
            foreach ($rows as $i => $row) {
                foreach ($known as $j => $one) {
                    if (! isset($out[$i]) && ! in_array($j, $out, true) && $isSame($row, $one)) {
                        $out[$i] = $j;
                    }
                }
            }
        }
        $left = array_values(array_diff(array_keys($rows), array_keys($out)));
        $free = array_values(array_diff(array_keys($known), $out));
        if (count($left) === 1 && count($free) === 1) {
            $out[$left[0]] = $free[0];
        }
        ksort($out);

        return $out;
    }
}
