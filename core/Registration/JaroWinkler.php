<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

/**
 * The Jaro-Winkler similarity of two texts: 1 where they are equal, 0 where they share nothing (prefix weight 0.1,
 * prefix of 4 at most).
 */
final class JaroWinkler
{
    public static function of(string $a, string $b): float
    {
        if ($a === '' || $b === '') {
            return 0.0;
        }
        if ($a === $b) {
            return 1.0;
        }
        // Names without marks are nearly always plain letters, one byte each.
        [$x, $y] =
            preg_match('/[^\x00-\x7f]/', $a.$b) === 1
                ? [mb_str_split($a), mb_str_split($b)]
                : [str_split($a), str_split($b)];
        [$n, $m] = [count($x), count($y)];
        $window = max(0, intdiv(max($n, $m), 2) - 1);
        $taken = [];
        $mine = [];
        for ($i = 0; $i < $n; $i++) {
            for ($j = max(0, $i - $window), $end = min($m - 1, $i + $window); $j <= $end; $j++) {
                if (! isset($taken[$j]) && $x[$i] === $y[$j]) {
                    $taken[$j] = true;
                    $mine[] = $x[$i];
                    break;
                }
            }
        }
        $matches = count($mine);
        if ($matches === 0) {
            return 0.0;
        }
        ksort($taken);
        $swapped = 0;
        $k = 0;
        foreach ($taken as $j => $is) {
            $swapped += $mine[$k++] !== $y[$j] ? 1 : 0;
        }
        $jaro = ($matches / $n + $matches / $m + ($matches - intdiv($swapped, 2)) / $matches) / 3;
        $prefix = 0;
        while ($prefix < min(4, $n, $m) && $x[$prefix] === $y[$prefix]) {
            $prefix++;
        }

        return $jaro + $prefix * 0.1 * (1 - $jaro);
    }
}
