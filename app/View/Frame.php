<?php

declare(strict_types=1);

namespace Nomada\App\View;

use Nomada\App\Models\Term\Person;
use Nomada\App\Queries\CurrentTerm;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\Core\Term\LocalDate;

/** What is around every page of somebody who is signed in: who, which term, what time it is for them. */
final readonly class Frame
{
    /**
     * @param  string  $term  its title; empty on pages of students, which say it where it matters
     * @param  string  $span  from when to when it is
     * @param  string  $day  of the clock, which is the school's for staff; $time, $place and $iso likewise
     * @param  bool  $isMovable  the demo's clock stands still until somebody moves it
     */
    private function __construct(
        public Person $person,
        public bool $isStaff,
        public string $term,
        public string $span,
        public string $school,
        public string $day,
        public string $time,
        public string $place,
        public string $iso,
        public bool $isMovable,
    ) {
    }

    public static function of(Person $person): self
    {
        $isStaff = $person->isStaff();
        $term = $isStaff ? app(CurrentTerm::class)->find() : null;
        $clock = app(Clock::class);
        $zone = $term?->calendar()->zone ?? $person->zone();
        $now = $clock->seconds();
        $date = $zone->dateAt($now);
        $short = fn (string $iso): string => Say::dayMonth(LocalDate::parse($iso));

        return new self(
            $person,
            $isStaff,
            $term->title ?? '',
            $term === null ? '' : $short($term->starts_on).' – '.$short($term->ends_on),
            $term->school->name ?? '',
            Say::day($date),
            $zone->clock($now),
            Say::place($zone),
            $date->iso(),
            $clock->isMovable(),
        );
    }

    /** @return array<string, mixed>|null what the scripts of staff's pages say (resources/js/words.js) */
    public function words(): ?array
    {
        return $this->isStaff ? (array) __('script') : null;
    }
}
