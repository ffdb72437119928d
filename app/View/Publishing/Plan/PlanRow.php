<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Plan;

/** What would be published of one section. */
final readonly class PlanRow
{
    /**
     * @param  array<string, array{add: int, change: int, remove: int, leave: int, trouble: int}>  $places  by Place
     * @param  'no-timetable'|'no-link'|'refused'|'right'|'to-tell'|'first'|'changed'  $note  how it is
     * @param  bool  $isToTell  whether students have not been told yet of something that changed
     */
    public function __construct(
        public string $section,
        public string $name,
        public array $places,
        public string $note,
        public bool $isToTell = false,
    ) {
    }

    /** @return list<int> steps at each place, in the order of the places */
    public function steps(): array
    {
        return array_values(array_map(fn (array $n): int => $n['add'] + $n['change'] + $n['remove'], $this->places));
    }

    /** Whether it has nothing that could be published so far. */
    public function isNotYet(): bool
    {
        return ! $this->differs() && in_array($this->note, ['no-timetable', 'no-link'], true);
    }

    public function differs(): bool
    {
        return $this->isToTell || array_sum($this->steps()) > 0;
    }
}
