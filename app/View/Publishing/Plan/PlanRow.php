<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Plan;

/** What would be published of one section. */
final readonly class PlanRow
{
    /**
     * @param  array<string, array{add: int, change: int, remove: int, leave: int, trouble: int}>  $places  by Place
     * @param  'no-timetable'|'no-link'|'refused'|'right'|'first'|'changed'  $note  how it stands
     */
    public function __construct(
        public string $section,
        public string $name,
        public array $places,
        public string $note,
    ) {
    }

    /** @return list<int> steps at each place, in the order of the places */
    public function steps(): array
    {
        return array_values(array_map(fn (array $n): int => $n['add'] + $n['change'] + $n['remove'], $this->places));
    }

    public function differs(): bool
    {
        return array_sum($this->steps()) > 0;
    }
}
