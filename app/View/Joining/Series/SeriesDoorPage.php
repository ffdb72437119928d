<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Series;

use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\Core\Term\Term;

/**
 * Everything about joining one series: its links in every form, where they stand, its door and floor, and its guests.
 */
final readonly class SeriesDoorPage
{
    /**
     * @param  Links|null  $links  null where none is made yet
     * @param  int|null  $next  the session that comes next or runs
     * @param  list<StandingPlace>  $places
     */
    public function __construct(
        public Section $section,
        public Series $series,
        public Term $term,
        public bool $mayChange,
        public SeriesRules $rules,
        public ?Links $links,
        public ?int $next,
        public array $places,
        public RegisteringForm $registering,
        public SessionRules $single,
    ) {
    }

    public function name(): string
    {
        return $this->section->name().
            ($this->series->title === $this->section->title ? '' : ": {$this->series->title}");
    }

    /** @return 'none'|'hidden'|'shown' */
    public function linkState(): string
    {
        return $this->links === null ? 'none' : ($this->links->isHidden ? 'hidden' : 'shown');
    }
}
