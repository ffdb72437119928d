<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Account\SignIns;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Actions\Registration\RegisterRoster;
use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;

/**
 * Disables a person, or enables them again. Anybody who is disabled cannot sign in, and has no part in anything from
 * that day on; what was before stays.
 */
final readonly class DisablePerson
{
    public function __construct(
        private Clock $clock,
        private Audit $audit,
        private RegisterRoster $register,
        private RefreshClashes $clashes,
        private RefreshPlacements $refresh,
    ) {
    }

    /** @throws Fault where it is oneself */
    public function __invoke(Person $person, bool $isDisabled, Person $by): void
    {
        if ($isDisabled && $person->id === $by->id) {
            throw new Fault('person.self', 'person');
        }
        DB::transaction(function () use ($person, $isDisabled, $by): void {
            if (! self::mark([$person->id], $isDisabled ? $this->clock->schoolDay()->iso() : null)) {
                return;
            }
            DB::table('people')
                ->where('id', $person->id)
                ->update(['is_disabled_here' => $isDisabled]);
            ($this->audit)(
                'person',
                null,
                $by,
                new Said($isDisabled ? 'audit.disabled' : 'audit.enabled', ['person' => $person->name()]),
            );
            $sections = array_map(
                intval(...),
                $person->memberships()->distinct()->orderBy('section_id')->pluck('section_id')->all(),
            );
            $this->follow(array_values($sections));
        });
    }

    /**
     * Writes it down for people and their enrolments; anybody who is so already stays as they were.
     *
     * @param  list<int>  $people
     * @return bool whether anybody changed
     */
    public static function mark(array $people, ?string $on): bool
    {
        $of = DB::table('people')
            ->whereIn('id', $people)
            ->whereRaw($on === null ? 'disabled_on is not null' : 'disabled_on is null');
        $ids = $of->pluck('id')->all();
        DB::table('people')
            ->whereIn('id', $ids)
            ->update(['disabled_on' => $on, 'remember_token' => null]);
        if ($on !== null) {
            SignIns::endAll(array_values(array_map(intval(...), $ids)));
        }

        return $ids !== [];
    }

    /** @param  list<int>  $sections */
    private function follow(array $sections): void
    {
        $registered = DB::table('registrations')
            ->join('series', 'series.id', '=', 'series_id')
            ->whereIn('section_id', $sections)
            ->where('came_by', 'roster')
            ->distinct()
            ->pluck('section_id');
        foreach (
            Section::query()
                ->whereKey($sections)
                ->with(['term.school', 'term.closures', 'series'])
                ->get() as $one
        ) {
            if ($registered->contains($one->id)) {
                ($this->register)($one);
            }
            ($this->clashes)($one->term, [$one->id]);
        }
        ($this->refresh)($sections);
    }
}
