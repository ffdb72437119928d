<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;

/**
 * How a series ends. There is no series without an end:
 * on a date (inclusive), with the term, after n sessions held (closed days do not use one up),
 * or after n dates counted as RFC 5545 counts them (closed days do; only what was read from a rule).
 */
final readonly class SeriesEnd
{
    private function __construct(public string $kind, public ?LocalDate $date = null, public ?int $n = null)
    {
    }

    public static function onDate(LocalDate $date): self
    {
        return new self('date', $date);
    }

    public static function withTerm(): self
    {
        return new self('term');
    }

    public static function afterHeld(int $n): self
    {
        return new self('held', null, self::positive($n));
    }

    public static function afterCounted(int $n): self
    {
        return new self('counted', null, self::positive($n));
    }

    /** @param  array<string, mixed>  $plain */
    public static function from(array $plain): self
    {
        return match ($plain['kind'] ?? null) {
            'date' => self::onDate(LocalDate::parse((string) ($plain['date'] ?? ''))),
            'term' => self::withTerm(),
            'held' => self::afterHeld((int) ($plain['n'] ?? 0)),
            'counted' => self::afterCounted((int) ($plain['n'] ?? 0)),
            default => throw new Fault('series.end', 'end'),
        };
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return array_filter(
            ['kind' => $this->kind, 'date' => $this->date?->iso(), 'n' => $this->n],
            fn (mixed $v): bool => $v !== null,
        );
    }

    private static function positive(int $n): int
    {
        return $n >= 1 && $n <= 5000 ? $n : throw new Fault('series.count', 'count');
    }
}
