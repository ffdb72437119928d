<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Licences;

/** One hosting plan and its form; without an id the one that is being added. */
final readonly class PlanForm
{
    /**
     * @param  array<string, string>  $fields  seats, minutes, at_once: as they stand or were typed last
     * @param  bool  $isTyped  what is in the form is what was typed last, with its faults
     */
    public function __construct(
        public ?int $id,
        public string $name,
        public array $fields,
        public int $accounts,
        public bool $isTyped,
    ) {
    }
}
