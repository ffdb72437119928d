<?php

declare(strict_types=1);

namespace Nomada\App\View;

use Nomada\App\Actions\Publishing\PersonFeed;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Role;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\App\View\Registration\StudentPage;
use Nomada\Core\Term\LocalDate;

/**
 * What staff see of one person: the sections they have in common (a coordinator: all), and the next sessions on that
 * person's clock.
 */
final readonly class PersonPage
{
    public function __construct(
        private StudentPage $sessions,
        private Clock $clock,
        private StandinAddress $standins,
    ) {
    }

    /** @return array<string, mixed> */
    public function data(Person $person, Person $for, Term $term): array
    {
        $sections = Section::query()
            ->where('term_id', $term->id)
            ->seenBy($for)
            ->whereHas('parts', fn ($q) => $q->where('person_id', $person->id))
            ->orderBy('title')
            ->get();
        abort_if($sections->isEmpty() && ! $for->isCoordinator() && $person->id !== $for->id, 404);
        $coming = $this->sessions->coming($person, $term, array_values($sections->modelKeys()), 12);

        return [
            'who' => $person,
            'mayDisable' => $for->isCoordinator() && $for->id !== $person->id,
            'disabledSince' => $person->disabled_on === null ? null : LocalDate::parse($person->disabled_on)->short(),
            'sections' => $sections,
            'coming' => $coming,
            'feed' => $person->id === $for->id ? PersonFeed::address($person) : null,
            'busyFeed' => $person->id === $for->id && $person->isStaff() ? PersonFeed::busy($person) : null,
            'isTeacher' => $person->isStaff(),
            'isStudent' => $person->role === Role::Student,
            'post' => $person->id === $for->id ? $this->standins->mailbox($person) : null,
            'busy' => $person->isStaff()
                ? \Illuminate\Support\Facades\DB::table('busy_blocks')->where('person_id', $person->id)->count()
                : 0,
            'school' => $term->calendar()->zone,
            'now' => $this->clock->seconds(),
        ];
    }
}
