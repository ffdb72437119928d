<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

use Nomada\App\Models\Term\Section;
use Nomada\App\View\Timetable\Editor\SeriesEditor;
use Nomada\App\View\Timetable\Panel\SessionPanel;
use Nomada\Core\Issue;
use Nomada\Core\Publishing\SectionStatus;

/** Everything about one section on one page. */
final readonly class SectionPage
{
    /**
     * @param  list<Issue>  $issues
     * @param  bool  $mayChange  single sessions, or ask for it; $mayPlan: series, too
     * @param  string|null  $teacherNote  what a teacher may do to the session whose panel is open
     */
    public function __construct(
        public Section $section,
        public SectionWhen $when,
        public SectionStatus $status,
        public array $issues,
        public bool $mayChange,
        public bool $mayPlan,
        public ?string $teacherNote,
        public ?SessionPanel $panel,
        public ?SeriesEditor $editor,
        public SectionSeries $plan,
        public SectionPeople $people,
        public SectionPublished $published,
    ) {
    }

    public function lacksLinks(): bool
    {
        return $this->status->linked < $this->status->series;
    }

    public function lacksRegistrations(): bool
    {
        return $this->status->series > 0 && $this->status->registered < $this->status->roster;
    }
}
