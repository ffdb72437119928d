<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Editor;

use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\View\Timetable\Panel\FreeLine;

/** The form in which a series is planned or changed, filled in: with what was typed last, else with what holds. */
final readonly class SeriesEditor
{
    /** What is beneath "Other patterns" until it is opened. */
    private const USUAL = ['weekly', 'open-days', 'rotation'];

    /**
     * @param  Series|null  $series  null for a new one
     * @param  string|null  $nextDay  ISO, the first day that an edit of "this and later" can change
     * @param  list<FreeLine>  $free
     * @param  list<string>  $teachers  for whom it is free
     */
    public function __construct(
        public Section $section,
        public ?Series $series,
        public string $title,
        public TimeFields $time,
        public RepeatFields $repeats,
        public SpanFields $span,
        public ?string $nextDay,
        public string $reach,
        public array $free,
        public int $students,
        public array $teachers,
    ) {
    }

    public function isOther(): bool
    {
        return ! in_array($this->repeats->kind, self::USUAL, true);
    }
}
