<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Post\Reminder;

/** When, and whether, a section's people or one person are reminded of a session. */
final readonly class ChooseReminder
{
    public function section(Section $section, Reminder $choice): void
    {
        $section->update(['remind' => $choice->value]);
    }

    /** @param  Reminder|null  $choice  null for what each section says */
    public function person(Person $person, ?Reminder $choice): void
    {
        $person->update(['remind' => $choice?->value]);
    }
}
