<?php

namespace Tests\Support;

use Nomada\Core\Fault;
use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Language\Phrases;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use RuntimeException;

/** What faults of core/ say in English, read straight from its file: core tests know no framework. */
final class English
{
    public static function of(Fault $fault): string
    {
        static $all = null;
        $all ??= array_replace_recursive(
            require __DIR__.'/../../lang/en/faults.php',
            require __DIR__.'/../../lang/en/staff_faults.php',
        );
        $found = $all;
        foreach (explode('.', $fault->says) as $part) {
            $found = $found[$part] ?? throw new RuntimeException("There are no words for $fault->says");
        }
        $pairs = [];
        foreach ($fault->with as $name => $value) {
            $pairs[":$name"] = self::put($value);
        }

        return strtr($found, $pairs);
    }

    /** Where it is, what was expected there, and what was found. */
    public static function line(ImportFault $fault): string
    {
        $where =
            $fault->file.
            ($fault->line > 0 ? ", line $fault->line" : '').
            ($fault->column === '' ? '' : ", column $fault->column");
        $found = $fault->found === '' ? '' : " Found \"$fault->found\".";

        return "$where: ".self::of($fault->expected).$found;
    }

    /** What core/ has to say to staff; of a list all, with a semicolon between. */
    public static function said(Said|array $said): string
    {
        if (is_array($said)) {
            return implode('; ', array_map(self::said(...), $said));
        }
        $ofCalendar = Phrases::ofCalendar('en', $said);
        if ($ofCalendar !== null) {
            return $ofCalendar;
        }
        static $all = null;
        $all ??= array_replace_recursive(
            require __DIR__.'/../../lang/en/published.php',
            require __DIR__.'/../../lang/en/says.php',
        );
        $found = $all;
        foreach (explode('.', $said->code) as $part) {
            $found = $found[$part] ?? throw new RuntimeException("There are no words for $said->code");
        }
        $forms = explode('|', $found);
        $pairs = [];
        foreach ($said->with as $name => $value) {
            $pairs[":$name"] = self::put($value);
        }

        return strtr(($said->with['n'] ?? 1) === 1 ? $forms[0] : $forms[count($forms) - 1], $pairs);
    }

    private static function put(mixed $value): string
    {
        return match (true) {
            $value instanceof Said => self::said($value),
            $value instanceof Fault => self::of($value),
            $value instanceof LocalDate => $value->short(),
            $value instanceof Zone => $value->place('en'),
            is_int($value) && $value >= 10_000 => number_format($value),
            is_array($value) => implode(', ', array_map(self::put(...), $value)),
            is_string($value) && Said::because($value) !== null => self::said(Said::because($value)),
            default => (string) $value,
        };
    }
}
