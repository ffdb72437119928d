<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Actions\Joining\KeepLink;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Post\Letters;
use Nomada\App\Queries\Belongings;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\SessionRole;
use Nomada\Core\Fault;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Language\Said;
use Nomada\Core\Post\LetterKind;
use Nomada\Core\Registration\Registering;
use Nomada\Core\Registration\RegistrationState;

/**
 * Accepts, declines, sends to another section, takes back. Each locks the series first, so that no seat is given twice;
 * what is decided already is not decided again. A letter goes out a minute later; until then the decision can be
 * undone.
 */
final readonly class DecideRegistration
{
    public function __construct(
        private Clock $clock,
        private KeepLink $keep,
        private Audit $audit,
        private Letters $letters,
        private RefreshPlacements $refresh,
        private RegistrationChecks $checks,
    ) {
    }

    /** @throws Fault where no seat is left, or somebody has decided it meanwhile */
    public function accept(Registration $registration, ?Person $by): void
    {
        $this->locked($registration, function (Registration $r, Series $series) use ($by): void {
            $this->needs($r, RegistrationState::UNDECIDED);
            $seats = Registering::from($series->registering ?? [])->seats;
            if (
                $seats !== null &&
                self::held($series->id, $r->session_id, [RegistrationState::Accepted]) >= $seats
            ) {
                throw new Fault($seats === 1 ? 'desk.one_seat' : 'desk.seats', 'registration', [
                    'n' => $seats,
                    'person' => $r->person->name(),
                ]);
            }
            $this->settle($r, RegistrationState::Accepted, null, $by);
            ($this->keep)($series->id, LinkKind::Personal, $r->person_id);
            ($this->audit)(
                'registration',
                $series,
                $by,
                new Said($by === null ? 'audit.certain' : 'audit.took', ['name' => $r->typed_name]),
            );
            $this->letters->write(LetterKind::Accepted, $r, true);
            ($this->refresh)($series->sectionIds());
        });
    }

    /** @throws Fault without a reason, or where somebody has decided it meanwhile */
    public function decline(Registration $registration, string $reason, Person $by): void
    {
        if (trim($reason) === '') {
            throw new Fault('desk.reason', 'reason');
        }
        $this->locked($registration, function (Registration $r, Series $series) use ($reason, $by): void {
            $this->needs($r, RegistrationState::UNDECIDED);
            $this->settle($r, RegistrationState::Declined, trim($reason), $by);
            ($this->audit)(
                'registration',
                $series,
                $by,
                new Said('audit.declined', [
                    'name' => $r->typed_name,
                    'why' => trim($reason),
                ]),
            );
            $this->letters->write(LetterKind::Declined, $r, true);
            $this->moveUp($series, $r->session_id);
        });
    }

    /**
     * To the other section's series; there it waits to be decided. @throws Fault where that one takes no registrations,
     * or the student is there already
     */
    public function send(Registration $registration, Section $to, Person $by): void
    {
        $target =
            $to->series()->whereNotNull('registering')->first() ??
            throw new Fault('desk.no_series', 'section', ['to' => $to->name()]);
        $session =
            $registration->session_id === null
                ? null
                : $target->sessions()->where('day', $registration->only_day)->value('sessions.id');
        if ($registration->session_id !== null && $session === null) {
            throw new Fault('desk.no_session', 'section', ['to' => $to->name()]);
        }
        $this->locked(
            $registration,
            function (Registration $r, Series $series) use ($target, $session, $to, $by): void {
                $this->needs($r, RegistrationState::UNDECIDED);
                if (
                    Registration::query()
                        ->where([
                            'series_id' => $target->id,
                            'person_id' => $r->person_id,
                            'session_id' => $session,
                        ])
                        ->exists()
                ) {
                    throw new Fault('desk.twice', 'section', ['person' => $r->person->name(), 'to' => $to->name()]);
                }
                $seat = Registering::from($target->registering ?? [])->hasSeat(self::held($target->id, $session));
                $before = [
                    'state' => $r->state->value,
                    'series_id' => $r->series_id,
                    'session_id' => $r->session_id,
                ];
                $r->update([
                    'series_id' => $target->id,
                    'session_id' => $session,
                    'state' => $seat ? RegistrationState::Waiting : RegistrationState::Queued,
                    'before' => $before,
                    'decided_by' => $by->id,
                    'decided_at' => $this->now(),
                ]);
                ($this->audit)(
                    'registration',
                    $series,
                    $by,
                    new Said('audit.sent', [
                        'section' => $to->name(),
                        'name' => $r->typed_name,
                    ]),
                );
                $this->letters->write(LetterKind::Elsewhere, $r->load(['series.section', 'person']), true);
                $this->moveUp($series, $r->session_id);
            },
            $target->id,
        );
    }

    /** The last decision taken back, for as long as its letter has not gone. @throws Fault where it has */
    public function undo(Registration $registration, Person $by): void
    {
        $this->locked($registration, function (Registration $r, Series $series) use ($by): void {
            if ($r->before === null || ! $this->letters->takeBack($r->id)) {
                throw new Fault('desk.letter', 'registration');
            }
            $was = $r->before;
            if ($r->state === RegistrationState::Accepted) {
                $this->retire($r);
            }
            $r->update([
                'state' => $was['state'],
                'series_id' => $was['series_id'],
                'session_id' => $was['session_id'] ?? $r->session_id,
                'before' => null,
                'reason' => null,
                'decided_by' => null,
                'decided_at' => null,
            ]);
            ($this->audit)(
                'registration',
                $series,
                $by,
                new Said('audit.decision_undone', ['name' => $r->typed_name]),
            );
            ($this->refresh)($series->sectionIds());
        });
    }

    /**
     * The student does not come after all, or the school takes it back: the link dies, and the next of the waiting list
     * moves up.
     */
    public function withdraw(Registration $registration, Person $by): void
    {
        $this->locked($registration, function (Registration $r, Series $series) use ($by): void {
            $this->needs($r, RegistrationState::CURRENT);
            $this->letters->takeBack($r->id);
            $r->update(['state' => RegistrationState::Withdrawn, 'before' => null]);
            $this->retire($r);
            ($this->audit)(
                'registration',
                $series,
                $by,
                new Said('audit.withdrawn', [
                    'name' => $r->typed_name ?? $r->person->name(),
                ]),
            );
            $this->moveUp($series, $r->session_id);
            ($this->refresh)($series->sectionIds());
        });
    }

    /**
     * Seats held: accepted, or waiting for a decision. Who has left every section of the series holds none from that
     * day on, whether their registration has been ended by now or not.
     *
     * @param  int|null  $session  the one session that they are for; null where they are for the series
     * @param  list<RegistrationState>  $states
     */
    public static function held(int $series, ?int $session, array $states = RegistrationState::SEATED): int
    {
        return Registration::query()
            ->where('series_id', $series)
            ->where('session_id', $session)
            ->whereIn('state', $states)
            ->whereRaw(
                "(exists (select from memberships p join series_sections t using (section_id) where t.series_id = ? and
                    p.person_id = registrations.person_id and coalesce(p.ends_on, 'infinity') >= ?)
                or not exists (select from memberships p join series_sections t using (section_id)
                    where t.series_id = ? and
                    p.person_id = registrations.person_id))",
                [$series, app(Clock::class)->schoolDay()->iso(), $series],
            )
            ->count();
    }

    /**
     * Those of the waiting list who have a seat now wait for a decision, in order of arrival; who is certain is
     * accepted where that is done on its own. Who has left every section of the series is passed over.
     */
    public function moveUp(Series $series, ?int $session): void
    {
        $registering = Registering::from($series->registering ?? []);
        $held = self::held($series->id, $session);
        $today = $series->section->term->calendar()->zone->dateAt($this->clock->seconds())->day;
        $belonging = Belongings::ofSeries([$series->id])[$series->id] ?? [];
        $moved = [];
        foreach (
            Registration::query()
                ->where('series_id', $series->id)
                ->where('session_id', $session)
                ->where('state', RegistrationState::Queued)
                ->with(['series.section', 'person'])
                ->orderBy('arrived_at')
                ->orderBy('id')
                ->get() as $next
        ) {
            $part = $belonging[$next->person->sourced_id] ?? null;
            if ($part !== null && $part->on($today) === SessionRole::Left) {
                continue;
            }
            if (! $registering->hasSeat($held++)) {
                break;
            }
            $next->update(['state' => RegistrationState::Waiting]);
            $moved[] = $next;
        }
        $this->acceptCertain($registering, $moved);
    }

    /**
     * Accepts those who are certain, where the series does so on its own. They are looked at beside all who wait for
     * it: a student is given to one of them only.
     *
     * @param  list<Registration>  $registrations  of one series
     */
    public function acceptCertain(Registering $registering, array $registrations): void
    {
        $waiting = array_values(
            array_filter($registrations, fn (Registration $r): bool => $r->state === RegistrationState::Waiting),
        );
        if (! $registering->acceptsCertain || $waiting === []) {
            return;
        }
        $queue = Registration::query()
            ->where('series_id', $waiting[0]->series_id)
            ->where('state', RegistrationState::Waiting)
            ->with(['series.section', 'person'])
            ->get();
        foreach ($this->checks->findings($queue) as $id => $finding) {
            foreach ($waiting as $registration) {
                if ($registration->id === $id && RegistrationChecks::isSafe($finding, $registration)) {
                    $this->accept($registration, null);
                }
            }
        }
    }

    /**
     * Locks the registration's series (and the one that it goes to) in the order of their ids, so that two who send to
     * each other's do not wait for each other.
     *
     * @param  callable(Registration, Series): void  $do
     */
    private function locked(Registration $registration, callable $do, ?int $target = null): void
    {
        DB::transaction(function () use ($registration, $do, $target): void {
            DB::table('series')
                ->whereIn('id', [$registration->series_id, $target ?? $registration->series_id])
                ->orderBy('id')
                ->lock('for no key update')
                ->get(['id']);
            $fresh = Registration::query()
                ->with(['series.section.term.school', 'series.section.term.closures', 'series.sessions', 'person'])
                ->lock('for no key update')
                ->findOrFail($registration->id);
            $do($fresh, $fresh->series);
        });
        $registration->refresh();
    }

    /** @param  list<RegistrationState>  $states */
    private function needs(Registration $r, array $states): void
    {
        if (! in_array($r->state, $states, true)) {
            throw new Fault('desk.meanwhile', 'registration', [
                'person' => $r->typed_name ?? $r->person->name(),
                'state' => $r->state->value,
            ]);
        }
    }

    private function settle(Registration $r, RegistrationState $state, ?string $reason, ?Person $by): void
    {
        $r->update([
            'before' => ['state' => $r->state->value, 'series_id' => $r->series_id],
            'state' => $state,
            'reason' => $reason,
            'decided_by' => $by?->id,
            'decided_at' => $this->now(),
        ]);
    }

    /** The personal link dies with the last registration that it was for. */
    private function retire(Registration $r): void
    {
        $others = Registration::query()
            ->where('series_id', $r->series_id)
            ->where('person_id', $r->person_id)
            ->whereKeyNot($r->id)
            ->where('state', RegistrationState::Accepted)
            ->exists();
        if (! $others) {
            JoinLink::query()
                ->inForce()
                ->where('series_id', $r->series_id)
                ->where('person_id', $r->person_id)
                ->update(['retired_at' => $this->now()]);
        }
    }

    private function now(): Carbon
    {
        return Carbon::createFromTimestamp($this->clock->seconds());
    }
}
