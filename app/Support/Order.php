<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Collator;

/**
 * How people look names up in a list: letters with marks beside those without, capitals beside small ones, and numbers
 * as numbers (Maths 2 before Maths 10), in the reader's language. The database sorts by the same rule
 * (its collation `by_name`).
 */
final class Order
{
    /** @var array<string, Collator> by language */
    private static array $collators = [];

    /** What a text is sorted by: compare these as strings. The first part counts first. */
    public static function key(string ...$parts): string
    {
        $language = app()->getLocale();
        if (! isset(self::$collators[$language])) {
            $made = new Collator($language);
            $made->setAttribute(Collator::NUMERIC_COLLATION, Collator::ON);
            self::$collators[$language] = $made;
        }
        $key = '';
        foreach ($parts as $part) {
            $key .= bin2hex((string) self::$collators[$language]->getSortKey($part)).' ';
        }

        // No figure in front: PHP compares what looks like two numbers as numbers.
        return "k$key";
    }

    /**
     * Rows in order. What each is sorted by is worked out once a row, not with every comparison.
     *
     * @template T
     *
     * @param  iterable<T>  $rows
     * @param  callable(T): list<int|string>  $by  the first counts first; names as `key` gives them
     * @return list<T>
     */
    public static function rows(iterable $rows, callable $by): array
    {
        $keys = $all = [];
        foreach ($rows as $row) {
            $keys[] = $by($row);
            $all[] = $row;
        }
        uasort($keys, fn (array $a, array $b): int => $a <=> $b);

        return array_map(fn (int $at) => $all[$at], array_keys($keys));
    }

    /**
     * @template T
     *
     * @param  array<string, T>  $rows  by names
     * @return array<string, T> the same in the order of the names
     */
    public static function byKey(array $rows): array
    {
        $keys = [];
        foreach (array_keys($rows) as $name) {
            $keys[$name] = self::key((string) $name);
        }
        uksort($rows, fn (int|string $a, int|string $b): int => $keys[$a] <=> $keys[$b]);

        return $rows;
    }
}
