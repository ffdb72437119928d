<?php

declare(strict_types=1);

namespace Nomada\App\View\Requests;

use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\Core\Timetable\TeacherAct;
use Nomada\Core\Timetable\TeacherRights;

/** What teachers may do to the timetable: in the school, or in one section. */
final readonly class RightsPage
{
    /**
     * @param  Section|null  $section  whose own rights are shown; null for the school's
     * @param  bool  $isOwn  whether that section has rights of its own
     * @param  array<string, string>  $others  names of the sections that have their own, by sourcedId
     * @param  array<string, string>  $sections  names of all others, by sourcedId
     */
    private function __construct(
        public TeacherRights $rights,
        public ?Section $section,
        public bool $isOwn,
        public array $others,
        public array $sections,
    ) {
    }

    public static function of(Term $term, ?Section $section): self
    {
        $all = Section::query()->where('term_id', $term->id)->get()->sortBy(fn (Section $s): string => $s->order());
        $names = fn (bool $isOwn): array => $all
            ->filter(fn (Section $s): bool => ($s->teacher_rights !== null) === $isOwn)
            ->mapWithKeys(fn (Section $s): array => [$s->sourced_id => $s->name()])
            ->all();

        return new self(
            $section?->teacherRights() ?? TeacherRights::fromArray($term->school->teacher_rights),
            $section,
            $section?->teacher_rights !== null,
            $names(true),
            $names(false),
        );
    }

    /** @return list<TeacherAct> */
    public function acts(): array
    {
        return TeacherAct::cases();
    }
}
