<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Closure;

/**
 * The names of the columns in the rows that histories keep. They are put back as they are written, so a migration that
 * renames or drops a column of such a table raises CURRENT and the default of the column `shape`, and adds the step
 * that leads there. tests/Feature/HistoryShapeTest.php knows the columns of each shape.
 */
final class SnapshotShape
{
    public const CURRENT = 1;

    /**
     * @param  array<string, mixed>  $row  as it was written
     * @param  array<int, Closure(string, array<string, mixed>): array<string, mixed>>|null  $steps  by the shape that
     *   each begins with; null: those of this version
     * @return array<string, mixed> as it would be written today
     */
    public static function upgrade(string $table, array $row, int $shape, ?array $steps = null): array
    {
        $steps ??= self::steps();
        for (; isset($steps[$shape]); $shape++) {
            $row = $steps[$shape]($table, $row);
        }

        return $row;
    }

    /**
     * How a row of one shape becomes a row of the next.
     *
     * @return array<int, Closure(string, array<string, mixed>): array<string, mixed>>
     */
    private static function steps(): array
    {
        return [];
    }
}
