<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Nomada\App\Models\Term\School;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Timetable\TeacherRights;

/** Says what teachers may do to the timetable, for the school or for one section. */
final readonly class SetTeacherRights
{
    public function ofSchool(TeacherRights $rights): void
    {
        School::query()->update(['teacher_rights' => json_encode($rights->toArray(), JSON_THROW_ON_ERROR)]);
    }

    /** @param  TeacherRights|null  $rights  null: as the school has it */
    public function ofSection(Section $section, ?TeacherRights $rights): void
    {
        $section->update(['teacher_rights' => $rights?->toArray()]);
    }
}
