<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

/** What a coordinator supposes, to see how many moves it would need. */
final readonly class WhatIf
{
    /**
     * @param  int|null  $person  a teacher who no longer works on a weekday; $weekday: 1 (Monday) to 7
     * @param  int|null  $accounts  how many host accounts there are
     * @param  array{int, int}|null  $hours  when the school opens and closes: every series outside of that must move
     */
    public function __construct(
        public ?int $person = null,
        public ?int $weekday = null,
        public ?int $accounts = null,
        public ?array $hours = null,
    ) {
    }

    public function isAny(): bool
    {
        return ($this->person !== null && $this->weekday !== null) ||
            $this->accounts !== null ||
            $this->hours !== null;
    }

    /** @return array<string, mixed> what {@see from()} reads back */
    public function toArray(): array
    {
        return get_object_vars($this);
    }

    /** @param  array<string, mixed>  $plain */
    public static function from(array $plain): self
    {
        $int = fn (string $of): ?int => isset($plain[$of]) ? (int) $plain[$of] : null;
        $hours = isset($plain['hours']) ? array_values((array) $plain['hours']) : null;

        return new self(
            $int('person'),
            $int('weekday'),
            $int('accounts'),
            $hours === null ? null : [(int) $hours[0], (int) $hours[1]],
        );
    }
}
