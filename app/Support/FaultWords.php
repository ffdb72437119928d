<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Lang;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\ImportFault;

/** What a fault says, in the reader's language. */
final class FaultWords
{
    public static function of(Fault $fault): string
    {
        return self::say($fault->says, $fault->with);
    }

    /** What was expected where a file that was read has something else. */
    public static function expected(ImportFault $fault): string
    {
        return self::say($fault->expected->says, $fault->expected->with);
    }

    /** @return array{file: string, line: int, column: string, code: string, expected: string, found: string} */
    public static function plain(ImportFault $fault): array
    {
        return [
            'file' => $fault->file,
            'line' => $fault->line,
            'column' => $fault->column,
            'code' => $fault->expected->says,
            'expected' => self::expected($fault),
            'found' => $fault->found,
        ];
    }

    /** The same with where it is and what was found there, as one line. */
    public static function line(ImportFault $fault): string
    {
        $where = array_filter([
            $fault->file,
            $fault->line > 0 ? __('import.at_line', ['n' => $fault->line]) : '',
            $fault->column === '' ? '' : __('import.at_column', ['column' => $fault->column]),
        ]);
        $found = $fault->found === '' ? '' : ' '.__('import.was_found', ['found' => $fault->found]);

        return implode(', ', $where).': '.self::expected($fault).$found;
    }

    /** @param  array<string, mixed>  $with */
    private static function say(string $code, array $with): string
    {
        // What a page says elsewhere too is in that page's file, under its whole key.
        $key =
            Arr::first(["faults.$code", "staff_faults.$code"], fn (string $key): bool => Lang::has($key)) ?? $code;

        $put = array_map(Say::put(...), $with);
        $n = $with['n'] ?? null;

        return is_int($n) ? trans_choice($key, $n, $put) : (string) __($key, $put);
    }
}
