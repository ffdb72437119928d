<?php

declare(strict_types=1);

namespace Nomada\App\View\Person;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\PersonFeed;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\App\View\People\EditForm;
use Nomada\App\View\Registration\Me\MeQuery;
use Nomada\App\View\StandinAddress;
use Nomada\Core\Belonging\Role;
use Nomada\Core\Term\LocalDate;

/** Looks up what staff see of one person. */
final readonly class PersonQuery
{
    /** How many coming sessions are listed. */
    private const COMING = 12;

    public function __construct(
        private MeQuery $sessions,
        private Clock $clock,
        private StandinAddress $standins,
    ) {
    }

    public function page(Person $person, Person $for, Term $term): PersonPage
    {
        $sections = Section::query()
            ->where('term_id', $term->id)
            ->seenBy($for)
            ->whereHas('memberships', fn ($q) => $q->where('person_id', $person->id))
            ->orderBy('title')
            ->get();
        abort_if($sections->isEmpty() && ! $for->isCoordinator() && $person->id !== $for->id, 404);
        $isSelf = $person->id === $for->id;
        $names = $sections->mapWithKeys(fn (Section $s): array => [$s->sourced_id => $s->name()])->all();

        return new PersonPage(
            $person,
            $person->zone()->clock($this->clock->seconds()),
            Say::place($person->zone()),
            $for->isCoordinator() && ! $isSelf,
            $person->disabled_on === null ? null : Say::day(LocalDate::parse($person->disabled_on)),
            $person->role === Role::Student && $for->isCoordinator(),
            $names,
            $this->sessions->coming($person, $term, array_values($sections->modelKeys()), self::COMING),
            $person->isStaff() ? DB::table('busy_blocks')->where('person_id', $person->id)->count() : 0,
            $isSelf ? PersonFeed::address($person) : null,
            $isSelf && $person->isStaff() ? PersonFeed::busy($person) : null,
            $isSelf ? $this->standins->mailbox($person) : null,
            $for->isCoordinator() ? EditForm::of($person, $term, $names) : null,
        );
    }
}
