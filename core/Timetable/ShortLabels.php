<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/**
 * What is in a block that has room for six or seven letters: a section's code, and where several sections of a term
 * have one, what tells them apart: the last word of their titles (`7MAT A`), else what their ids end on, else a number.
 */
final class ShortLabels
{
    /** Letters of the word or ending that is added. */
    private const LONGEST = 3;

    /** Letters of a title, where there is no code. */
    private const TITLE = 6;

    /**
     * @param  array<string, array{code: string, title: string}>  $sections  by sourcedId
     * @return array<string, string> by sourcedId; no two alike
     */
    public static function of(array $sections): array
    {
        $same = [];
        foreach ($sections as $id => $section) {
            $code = $section['code'] === '' ? mb_substr($section['title'], 0, self::TITLE) : $section['code'];
            $same[$code][] = (string) $id;
        }
        $out = [];
        foreach ($same as $code => $ids) {
            $ends =
                count($ids) === 1
                    ? ['']
                    : self::apart(
                        array_map(fn (string $id): string => self::lastOf($sections[$id]['title'], ' '), $ids),
                    ) ??
                        (self::apart(array_map(fn (string $id): string => self::lastOf($id, '-'), $ids)) ??
                        range(1, count($ids)));
            foreach ($ids as $n => $id) {
                $out[$id] = trim("$code {$ends[$n]}");
            }
        }

        return $out;
    }

    private static function lastOf(string $text, string $sign): string
    {
        $at = mb_strrpos($text, $sign);

        return $at === false ? '' : mb_substr($text, $at + 1);
    }

    /**
     * @param  list<string>  $ends
     * @return list<string>|null null where they are too long, or do not tell apart
     */
    private static function apart(array $ends): ?array
    {
        $isShort = array_filter($ends, fn (string $e): bool => mb_strlen($e) > self::LONGEST) === [];

        return $isShort && count(array_unique($ends)) === count($ends) ? $ends : null;
    }
}
