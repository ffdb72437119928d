<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

use Nomada\App\View\Registration\InvitationAnswers;

/** Who belongs to a section, and who could be added. */
final readonly class SectionPeople
{
    /**
     * @param  list<MembershipLine>  $teachers  and observers
     * @param  list<RosterLine>  $roster
     * @param  list<RuleLine>  $rules
     * @param  array<string, string>  $staff  names by sourcedId, of those who are not in it yet
     * @param  array<string, string>  $observable  years and courses whose people could observe, by code
     */
    public function __construct(
        public array $teachers,
        public array $roster,
        public array $rules,
        public array $staff,
        public array $observable,
        public InvitationAnswers $answers,
    ) {
    }
}
