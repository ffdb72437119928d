<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

use Nomada\App\Models\Term\Section;
use Nomada\App\View\Publishing\MaterialRow;
use Nomada\App\View\Registration\InvitationAnswers;
use Nomada\App\View\Timetable\Contact\ContactBar;
use Nomada\App\View\Timetable\Editor\SeriesEditor;
use Nomada\App\View\Timetable\Panel\SessionPanel;
use Nomada\App\View\Timetable\TermLine;
use Nomada\Core\Issue;
use Nomada\Core\Publishing\SectionStatus;

/** Everything about one section on one page. */
final readonly class SectionPage
{
    /**
     * @param  string  $meets  when it meets, or empty
     * @param  string  $place  whose clock that is, where all its series go by the school's
     * @param  array<string, list<int>>  $days  day numbers by the state of their sessions
     * @param  list<Issue>  $snags
     * @param  list<SeriesCard>  $series
     * @param  list<ChangeLine>  $changes  the last first
     * @param  string  $target  of contact time, as typed: hours, or hours and minutes
     * @param  list<MembershipLine>  $teachers  and observers
     * @param  list<RosterLine>  $roster
     * @param  list<RuleLine>  $rules
     * @param  array<string, string>  $staff  names by sourcedId, of those who are not in it yet
     * @param  array<string, string>  $observable  years and courses whose people could observe, by code
     * @param  list<PlaceLine>  $places
     * @param  list<MaterialRow>  $materials
     * @param  array<int, string>  $ahead  days of the sessions to come, by id
     * @param  string  $feed  secret addresses: a calendar, a page to embed, an Atom feed
     */
    public function __construct(
        public Section $section,
        public string $meets,
        public string $place,
        public SectionStatus $status,
        public array $snags,
        public TermLine $line,
        public array $days,
        public int $today,
        public int $minute,
        public bool $mayChange,
        public ?SessionPanel $panel,
        public ?SeriesEditor $editor,
        public array $series,
        public array $changes,
        public ContactBar $contact,
        public string $target,
        public array $teachers,
        public array $roster,
        public array $rules,
        public array $staff,
        public array $observable,
        public InvitationAnswers $answers,
        public array $places,
        public array $materials,
        public array $ahead,
        public string $feed,
        public string $own,
        public string $atom,
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
