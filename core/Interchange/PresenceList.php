<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use DateTimeImmutable;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/**
 * A list of who came and left, as another service exports it: one line an event (`at` and `what`), or one a stay
 * (`came` and `left`). Which column is which is told from outside; `person`, `at`, `what` and `device` are known by
 * their names.
 *
 * Times are ISO 8601 with an offset, or of a stated zone: a date and a time, or a time alone, which is of the session's
 * day. A date that could be two is the one that lies nearer to that day.
 */
final class PresenceList
{
    /** What a column can be; the first, and one of the pairs, have to be there. */
    public const ROLES = ['person', 'address', 'at', 'what', 'came', 'left', 'device'];

    private const JOINS = ['join', 'joined', 'in', 'came', 'enter', 'entered'];

    private const LEAVES = ['leave', 'left', 'out', 'gone', 'exit', 'exited'];

    /** @var list<ImportFault> */
    public array $faults = [];

    /** @var list<PresenceRow> */
    public array $rows = [];

    /** @param  array<string, string>  $columns  heads by what they are */
    public function __construct(
        string $file,
        string $text,
        private readonly array $columns,
        private readonly Zone $zone,
        private readonly LocalDate $day,
    ) {
        $wrong = self::wrong($columns);
        if ($wrong !== null) {
            $this->faults[] = new ImportFault($file, 1, '', $wrong);

            return;
        }
        $csv = new Csv($file, $text, array_values($columns));
        $this->faults = $csv->faults;
        foreach ($csv->rows as $row) {
            $this->row($row);
        }
        if ($csv->rows === [] && $this->faults() === []) {
            $this->faults[] = new ImportFault($file, 2, '', 'csv.no_line');
        }
    }

    /** @return list<ImportFault> without the warnings */
    public function faults(): array
    {
        return array_values(array_filter($this->faults, fn (ImportFault $f): bool => ! $f->warning));
    }

    /**
     * The code of what is missing of the columns; null where nothing is.
     *
     * @param  array<string, string>  $columns
     */
    public static function wrong(array $columns): ?string
    {
        return match (true) {
            ! isset($columns['person']) && ! isset($columns['address']) => 'list.no_person',
            isset($columns['at'], $columns['what']), isset($columns['came']) => null,
            default => 'list.no_times',
        };
    }

    /**
     * The heads of a list, as they are in it.
     *
     * @return list<string>
     */
    public static function heads(string $text): array
    {
        $first = strtok(str_starts_with($text, "\xEF\xBB\xBF") ? substr($text, 3) : $text, "\r\n");
        $first = mb_scrub($first === false ? '' : $first);
        foreach ([';', "\t", ','] as $separator) {
            if (str_contains($first, $separator)) {
                break;
            }
        }

        return array_values(
            array_filter(
                array_map(fn (?string $h): string => trim((string) $h), str_getcsv($first, $separator, '"', '')),
                fn (string $h): bool => $h !== '',
            ),
        );
    }

    /**
     * Columns that are known by their names.
     *
     * @param  list<string>  $heads
     * @return array<string, string>
     */
    public static function known(array $heads): array
    {
        $out = [];
        foreach ($heads as $head) {
            if (in_array(strtolower($head), self::ROLES, true)) {
                $out[strtolower($head)] ??= $head;
            }
        }

        return $out;
    }

    private function row(CsvRow $row): void
    {
        $get = fn (string $role): string => isset($this->columns[$role]) ? $row->get($this->columns[$role]) : '';
        if ($get('person') === '' && $get('address') === '') {
            $this->faults[] = $row->fault($this->columns['person'] ?? $this->columns['address'], 'list.person');

            return;
        }
        $make = fn (int $at, bool $isJoin): PresenceRow => new PresenceRow(
            $row->line,
            $get('person'),
            $get('address'),
            $at,
            $isJoin,
            $get('device'),
        );
        if (isset($this->columns['came'])) {
            $came = $this->time($row, $this->columns['came']);
            $left =
                isset($this->columns['left']) && $get('left') !== ''
                    ? $this->time($row, $this->columns['left'])
                    : null;
            if ($came !== null && $left !== null && $left < $came) {
                $this->faults[] = $row->fault($this->columns['left'], 'list.left');

                return;
            }
            array_push(
                $this->rows,
                ...$came === null ? [] : [$make($came, true)],
                ...$left === null ? [] : [$make($left, false)],
            );

            return;
        }
        $what = strtolower($get('what'));
        $isJoin = in_array($what, self::JOINS, true);
        if (! $isJoin && ! in_array($what, self::LEAVES, true)) {
            $this->faults[] = $row->fault($this->columns['what'], 'list.join');

            return;
        }
        $at = $this->time($row, $this->columns['at']);
        if ($at !== null) {
            $this->rows[] = $make($at, $isJoin);
        }
    }

    private function time(CsvRow $row, string $column): ?int
    {
        $typed = trim($row->get($column));
        $at =
            preg_match('/^\d{4}-\d{2}-\d{2}[T ].*(Z|[+-]\d{2}:?\d{2})$/', $typed) === 1
                ? self::absolute($typed)
                : $this->local($typed);
        if ($at === null) {
            $this->faults[] = $row->fault($column, new Fault('list.time', '', ['zone' => $this->zone->name]));
        } elseif (abs($at - $this->zone->instant($this->day->day, 720)) > 3 * 86400) {
            $this->faults[] = $row->fault($column, new Fault('list.near', '', ['day' => $this->day]));

            return null;
        }

        return $at;
    }

    private static function absolute(string $typed): ?int
    {
        foreach (['Y-m-d\TH:i:sP', 'Y-m-d\TH:i:s.vP', 'Y-m-d\TH:i:s.uP', 'Y-m-d\TH:iP'] as $format) {
            $at = DateTimeImmutable::createFromFormat('!'.$format, str_replace(' ', 'T', $typed));
            $errors = DateTimeImmutable::getLastErrors();
            if ($at !== false && ($errors === false || $errors['warning_count'] === 0)) {
                return $at->getTimestamp();
            }
        }

        return null;
    }

    private function local(string $typed): ?int
    {
        $time = '(\d{1,2})[:.](\d{2})(?:[:.](\d{2})(?:\.\d+)?)?(?:\s*([ap])\.?m\.?)?';
        if (preg_match("/^(?:(\d{1,4})[-\/.](\d{1,2})[-\/.](\d{2,4}),?[T ]+)?$time$/i", $typed, $m) !== 1) {
            return null;
        }
        [$hour, $minute, $second] = [(int) $m[4], (int) $m[5], (int) ($m[6] ?? 0)];
        $half = strtolower($m[7] ?? '');
        if ($half !== '') {
            if ($hour < 1 || $hour > 12) {
                return null;
            }
            $hour = ($hour % 12) + ($half === 'p' ? 12 : 0);
        }
        $day = $m[1] === '' ? $this->day->day : $this->dayOf((int) $m[1], (int) $m[2], (int) $m[3]);
        if ($day === null || $hour > 23 || $minute > 59 || $second > 59) {
            return null;
        }

        return $this->zone->instant($day, 60 * $hour + $minute) + $second;
    }

    /** Year first, else day or month first: whichever of the two lies nearer to the session's day. */
    private function dayOf(int $a, int $b, int $c): ?int
    {
        $year = $c < 100 ? 2000 + $c : $c;
        $found = null;
        foreach ($a > 31 ? [[$a, $b, $c]] : [[$year, $b, $a], [$year, $a, $b]] as [$y, $m, $d]) {
            if (checkdate($m, $d, $y)) {
                $day = LocalDate::toDay($y, $m, $d);
                $found =
                    $found === null || abs($day - $this->day->day) < abs($found - $this->day->day) ? $day : $found;
            }
        }

        return $found;
    }
}
