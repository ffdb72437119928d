<?php

declare(strict_types=1);

namespace Nomada\App\View;

use Illuminate\Http\Request;

/**
 * A long list is written whole as far as it can be seen; of the rest there is what it can be chosen and found by, and
 * the other columns are brought when they come into sight, or before the page is printed.
 */
final class LaterRows
{
    /** Rows that are written whole at once. */
    public const AT_FIRST = 80;

    /** Rows that are brought at once, at most. */
    public const AT_ONCE = 60;

    /**
     * @template T
     *
     * @param  list<T>  $rows
     * @return list<T> those that are written whole
     */
    public static function whole(array $rows): array
    {
        return array_slice($rows, 0, self::AT_FIRST);
    }

    /**
     * The others.
     *
     * @template T
     *
     * @param  list<T>  $rows
     * @param  callable(T): Stub  $of
     * @param  string  $box  the name of their boxes, or empty where they have none
     * @param  int  $columns  how many follow the one with the name
     */
    public static function stubs(array $rows, callable $of, string $box, int $columns): Stubs
    {
        return new Stubs(array_map($of, array_slice($rows, self::AT_FIRST)), $box, $columns);
    }

    /** @return list<string> what the rows that are asked for are known by */
    public static function asked(Request $request): array
    {
        $rows = array_filter((array) $request->query('rows', []), is_string(...));

        return array_slice(array_values(array_unique($rows)), 0, self::AT_ONCE);
    }

    /** @return list<int> likewise, where rows are known by a number; whatever is none is no row */
    public static function numbers(Request $request): array
    {
        return array_map(
            intval(...),
            array_values(
                array_filter(self::asked($request), fn (string $r): bool => preg_match('/^\d{1,18}$/', $r) === 1),
            ),
        );
    }
}
