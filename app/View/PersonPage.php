<?php

declare(strict_types=1);

namespace Nomada\App\View;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\App\View\Registration\StudentPage;

/** What staff see of one person: the sections they have in common (a coordinator: all), and the next sessions on that person's clock. */
final readonly class PersonPage
{
    public function __construct(private StudentPage $sessions, private Clock $clock)
    {
    }

    /** @return array<string, mixed> */
    public function data(Person $person, Person $for, Term $term): array
    {
        $sections = Section::query()->where('term_id', $term->id)->seenBy($for)->whereHas('enrolments', fn ($q) => $q->where('person_id', $person->id))->orderBy('title')->get();
        abort_if($sections->isEmpty() && ! $for->isCoordinator(), 404);
        $coming = $this->sessions->coming($person, $term, array_values($sections->modelKeys()), 12);

        return ['who' => $person, 'sections' => $sections, 'coming' => $coming, 'school' => $term->calendar()->zone, 'now' => $this->clock->seconds()];
    }
}
