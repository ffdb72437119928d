<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** What it was and what it is: a session of a series, or one of its ways to come in. */
final readonly class SessionChange
{
    public function __construct(
        public ChangeKind $kind,
        public string $series,
        public ?ToldSession $was = null,
        public ?ToldSession $is = null,
    ) {
    }

    /** @return array<string, mixed> what `from` reads back */
    public function toArray(): array
    {
        return array_filter([
            'kind' => $this->kind->value,
            'series' => $this->series,
            'was' => $this->was?->toArray(),
            'is' => $this->is?->toArray(),
        ]);
    }

    /** @param  array<string, mixed>  $plain */
    public static function from(array $plain): self
    {
        $one = fn (string $key): ?ToldSession => is_array($plain[$key] ?? null)
            ? ToldSession::from($plain[$key])
            : null;

        return new self(
            ChangeKind::from(is_string($plain['kind'] ?? null) ? $plain['kind'] : ''),
            is_string($plain['series'] ?? null) ? $plain['series'] : '',
            $one('was'),
            $one('is'),
        );
    }
}
