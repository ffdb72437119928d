<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Actions\Joining\KeepLink;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Post\Letters;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Locks;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Language\Said;
use Nomada\Core\Post\LetterKind;
use Nomada\Core\Registration\RegistrationState;
use Nomada\Core\Registration\RosterFollow;

/**
 * Registers a section's whole roster (and of the sections that share a series with it) for each of its series:
 * everybody enrolled gets a registration with a personal link, and anybody who has left loses theirs. Again the same
 * changes nothing.
 */
final readonly class RegisterRoster
{
    /** Sections that are registered in one transaction. */
    private const AT_ONCE = 20;

    public function __construct(
        private Clock $clock,
        private KeepLink $keep,
        private RefreshPlacements $refresh,
        private Audit $audit,
        private Letters $letters,
        private DecideRegistration $decide,
    ) {
    }

    /**
     * Where a series is registered as a roster, its registrations follow anybody who meets in it now.
     *
     * @return array{joined: int, left: int}
     */
    public function follow(Series $series): array
    {
        if (! Registration::query()->where('series_id', $series->id)->where('came_by', 'roster')->exists()) {
            return ['joined' => 0, 'left' => 0];
        }

        $section = Section::query()
            ->with(['term.school', 'term.closures'])
            ->findOrFail($series->section_id);

        // The section's other series are no part of it: nobody has registered their rosters by this.
        return $this($section->setRelation('series', $series->newCollection([$series])));
    }

    /** @return array{joined: int, left: int} registrations made and withdrawn, over all series */
    public function __invoke(Section $section): array
    {
        return $this->many([$section])[$section->id];
    }

    /**
     * The same of many: some sections at a time, so that what should be is written down in sets.
     *
     * @param  array<Section>  $sections
     * @param  bool  $onlyLeft  nobody is registered; who has left loses theirs
     * @return array<int, array{joined: int, left: int}> by section
     */
    public function many(array $sections, bool $onlyLeft = false): array
    {
        $out = [];
        foreach (array_chunk($sections, self::AT_ONCE) as $some) {
            $out += DB::transaction(function () use ($some, $onlyLeft): array {
                Locks::series(
                    ...array_merge(...array_map(fn (Section $s): array => $s->series->pluck('id')->all(), $some)),
                );
                $sums = $touched = [];
                foreach ($some as $section) {
                    [$sums[$section->id], $also] = $this->section($section, $onlyLeft);
                    if ($sums[$section->id] !== ['joined' => 0, 'left' => 0]) {
                        $touched = [...$touched, $section->id, ...$also];
                    }
                }
                if ($touched !== []) {
                    ($this->refresh)(array_values(array_unique($touched)));
                }

                return $sums;
            });
        }

        return $out;
    }

    /** @return array{array{joined: int, left: int}, list<int>} and the sections that share any of its series */
    private function section(Section $section, bool $onlyLeft): array
    {
        $today = $section->term->calendar()->zone->dateAt($this->clock->seconds())->iso();
        $sum = ['joined' => 0, 'left' => 0];
        $touched = [];
        foreach ($section->series as $series) {
            $sections = $series->sectionIds();
            $roster = $this->roster($sections);
            $touched = [...$touched, ...$sections];
            $own = $series->registering !== null;
            $states = $own ? RegistrationState::CURRENT : [RegistrationState::Accepted];
            $registered = array_values(
                array_map(
                    intval(...),
                    $series->registrations()->whereIn('state', $states)->distinct()->pluck('person_id')->all(),
                ),
            );
            $follow = RosterFollow::between($roster, $registered, $today);
            // Where students register themselves nobody is registered by the roster; anybody who has left it loses the
            // link anyway.
            $join = $own || $onlyLeft ? [] : $follow->join;
            $leave = $own ? array_values(array_intersect($follow->leave, array_keys($roster))) : $follow->leave;
            $this->join($series->id, $join);
            $this->leave($series->setRelation('section', $section), $leave);
            $sum['joined'] += count($join);
            $sum['left'] += count($leave);
            $this->note($series->setRelation('section', $section), $join, $leave);
            // Where the others have been written to, anybody who joins is too.
            if ($join !== [] && $this->isInvited($series->id)) {
                $this->letters->invite($series);
            }
        }

        return [$sum, $touched];
    }

    private function isInvited(int $series): bool
    {
        return DB::table('emails')
            ->where('series_id', $series)
            ->whereIn('kind', [LetterKind::Accepted, LetterKind::Teacher])
            ->exists();
    }

    /**
     * Everybody enrolled in one of the sections that share a series; anybody who is in two of them stays for the longer
     * of the two.
     *
     * @param  list<int>  $sections
     * @return array<int, string|null> until when, by person
     */
    private function roster(array $sections): array
    {
        $out = [];
        foreach (
            DB::table('memberships')
                ->whereIn('section_id', $sections)
                ->where('role', MembershipRole::Student)
                ->get(['person_id', 'ends_on']) as $row
        ) {
            $known = array_key_exists($row->person_id, $out);
            $out[$row->person_id] =
                $known && ($out[$row->person_id] === null || $row->ends_on === null)
                    ? null
                    : ($known
                        ? max($out[$row->person_id], $row->ends_on)
                        : $row->ends_on);
        }

        return $out;
    }

    /**
     * @param  list<int>  $join
     * @param  list<int>  $leave
     */
    private function note(Series $series, array $join, array $leave): void
    {
        if ($join !== []) {
            ($this->audit)(
                'registration',
                $series,
                null,
                new Said('audit.joined', ['names' => $this->names($join)]),
            );
        }
        if ($leave !== []) {
            ($this->audit)(
                'registration',
                $series,
                null,
                new Said('audit.left', ['names' => $this->names($leave)]),
            );
        }
    }

    /** @param  list<int>  $people */
    private function names(array $people): string
    {
        $names = DB::table('people')
            ->whereIn('id', array_slice($people, 0, 6))
            ->orderBy('family_name')
            ->get(['given_name', 'family_name'])
            ->map(fn (\stdClass $p): string => trim("$p->given_name $p->family_name"))
            ->implode(', ');

        return count($people) > 6 ? "$names and ".(count($people) - 6).' more' : $names;
    }

    /** @param  list<int>  $people */
    private function join(int $series, array $people): void
    {
        if ($people === []) {
            return;
        }
        $now = now();
        $linked = JoinLink::query()
            ->inForce()
            ->where('series_id', $series)
            ->where('kind', LinkKind::Personal)
            ->pluck('person_id')
            ->flip();
        // One parameter for all of them: binding each column takes longer than writing the rows.
        DB::insert(
            "insert into registrations (series_id, person_id, state, came_by, created_at, updated_at)
            select ?, person::bigint, 'accepted', 'roster', ?, ? from json_array_elements_text(?::json) as t(person)
            on conflict (series_id, person_id, coalesce(session_id, 0)) do update
                set state = excluded.state, came_by = excluded.came_by, updated_at = excluded.updated_at",
            [$series, $now, $now, json_encode($people, JSON_THROW_ON_ERROR)],
        );
        $this->keep->insert(
            array_map(
                fn (int $p): array => $this->keep->fresh($series, LinkKind::Personal, $p),
                array_values(array_filter($people, fn (int $p): bool => ! $linked->has($p))),
            ),
        );
    }

    /**
     * Their registrations end, whatever they wait for, and their seats go to those who wait.
     *
     * @param  list<int>  $people
     */
    private function leave(Series $series, array $people): void
    {
        if ($people === []) {
            return;
        }
        $theirs = Registration::query()
            ->where('series_id', $series->id)
            ->whereIn('person_id', $people)
            ->whereIn('state', RegistrationState::CURRENT);
        $sessions = (clone $theirs)->distinct()->pluck('session_id')->all();
        $theirs->update(['state' => RegistrationState::Withdrawn]);
        JoinLink::query()
            ->inForce()
            ->where('series_id', $series->id)
            ->whereIn('person_id', $people)
            ->update(['retired_at' => now()]);
        foreach ($series->registering === null ? [] : $sessions as $session) {
            $this->decide->moveUp($series, $session === null ? null : (int) $session);
        }
    }
}
