<?php

declare(strict_types=1);

namespace Nomada\App\Post;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use LogicException;
use Nomada\App\Models\Account\AccountPass;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Letter;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\MembershipRow;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\Registered;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Post\LetterKind;
use Nomada\Core\Post\QuietHours;
use Nomada\Core\Registration\RegistrationState;

/**
 * Puts letters into the outbox, in the same transaction as what they tell of: none is lost where that was kept, none
 * goes out where it was not. No secret of a link is in the outbox; it is put in when the letter goes.
 */
final readonly class Letters
{
    /** Seconds for which a decision can be undone. */
    public const GRACE = 60;

    public function __construct(private Clock $clock)
    {
    }

    /** To anybody who registered, by the account's own address; of an acceptance their guardians hear too. */
    public function write(LetterKind $kind, Registration $registration, bool $canUndo): void
    {
        // One after the other for each registration: its series is locked by the person who decides.
        $n = 1 + Letter::query()->where('registration_id', $registration->id)->count();
        $this->put(
            "registration $registration->id, $n",
            $kind,
            $registration->series_id,
            $registration->person,
            $canUndo,
            ['reason' => (string) $registration->reason],
            $registration->id,
        );
        if ($kind === LetterKind::Accepted) {
            foreach ($registration->person->guardians()->get() as $guardian) {
                $this->put(
                    "registration $registration->id, $n, guardian $guardian->id",
                    LetterKind::Guardian,
                    $registration->series_id,
                    $guardian,
                    $canUndo,
                    ['child' => $registration->person->name()],
                    $registration->id,
                );
            }
        }
    }

    /** The link by which somebody sets a password; no letter goes to whom the school has no address of. */
    public function account(AccountPass $pass, LetterKind $kind): void
    {
        $this->put("account $pass->id", $kind, null, $pass->person, false, ['account' => (string) $pass->id], null);
    }

    /** To the guardians of somebody who has not come: once a session. */
    public function notHere(Session $session, Person $student): int
    {
        return $this->toGuardians(LetterKind::NotHere, "not here $session->id", $session->series_id, $student, [
            'session' => (string) $session->id,
        ]);
    }

    /**
     * To the guardians of somebody who was absent on a day: one letter with all that was missed.
     *
     * @param  list<int>  $sessions  ids
     */
    public function missed(Person $student, string $day, array $sessions): int
    {
        return $this->toGuardians(LetterKind::Missed, "missed $day", null, $student, [
            'sessions' => implode(' ', $sessions),
        ]);
    }

    /**
     * To somebody who may see a recording of what they missed, and to guardians who were told that it was missed:
     * once a session.
     */
    public function recorded(Session $session, int $recording, Person $student): int
    {
        $key = "recording $recording, person $student->id";
        $values = [
            'session' => (string) $session->id,
            'student' => (string) $student->id,
            'recording' => (string) $recording,
        ];
        $n = $this->put($key, LetterKind::Recording, $session->series_id, $student, false, $values, null);
        $told = Letter::query()
            ->whereIn('kind', [LetterKind::Missed, LetterKind::NotHere])
            ->where('values->student', (string) $student->id)
            ->get()
            ->filter(fn (Letter $l): bool => in_array($session->id, $l->sessions(), true))
            ->map(fn (Letter $l): ?Person => $l->person)
            ->filter()
            ->unique('id');
        foreach ($told as $guardian) {
            $n += $this->put(
                "$key, guardian $guardian->id",
                LetterKind::Recording,
                $session->series_id,
                $guardian,
                false,
                $values,
                null,
            );
        }

        return $n;
    }

    /** @param  array<string, string>  $values */
    private function toGuardians(LetterKind $kind, string $key, ?int $series, Person $student, array $values): int
    {
        $n = 0;
        foreach ($student->guardians as $guardian) {
            $n += $this->put(
                "$key, person $student->id, guardian $guardian->id",
                $kind,
                $series,
                $guardian,
                false,
                $values + ['student' => (string) $student->id],
                null,
            );
        }

        return $n;
    }

    public function replaced(JoinLink $new): void
    {
        if ($new->person !== null) {
            $this->put("link $new->id", LetterKind::Replaced, $new->series_id, $new->person, false, [], null);
        }
    }

    public function guest(JoinLink $pass): void
    {
        if ($pass->guest_email !== null) {
            $this->insert(
                "link $pass->id",
                LetterKind::Guest,
                $pass->series_id,
                null,
                (string) $pass->guest_name,
                $pass->guest_email,
                false,
                ['pass' => (string) $pass->id],
                null,
            );
        }
    }

    /**
     * Writes to everybody who is registered, their guardians and the teachers: link and timetable. Anybody who has been
     * written to since their link was made is not written to again.
     *
     * @return int how many letters
     */
    public function invite(Series $series): int
    {
        $n = 0;
        $links = JoinLink::query()
            ->inForce()
            ->where('series_id', $series->id)
            ->whereIn('kind', [LinkKind::Personal, LinkKind::Host])
            ->with('person.guardians')
            ->get();
        $registrations = Registration::query()
            ->where('series_id', $series->id)
            ->whereRaw(Registered::on('registrations', $this->clock->schoolDay()))
            ->orderBy('id')
            ->pluck('id', 'person_id');
        $written = DB::table('emails')
            ->where('series_id', $series->id)
            ->whereIn('kind', [LetterKind::Accepted, LetterKind::Replaced])
            ->groupBy('person_id')
            ->pluck(DB::raw('max(created_at) as at'), 'person_id');
        $told = DB::table('emails')
            ->where('series_id', $series->id)
            ->where('kind', LetterKind::Guardian)
            ->get(['registration_id', 'person_id'])
            ->groupBy('registration_id')
            ->map(fn (Collection $of): array => array_map(intval(...), $of->pluck('person_id')->all()))
            ->all();
        foreach ($links as $link) {
            if ($link->kind === LinkKind::Host) {
                foreach (
                    Person::query()
                        ->whereIn(
                            'id',
                            MembershipRow::query()
                                ->whereIn('section_id', $series->sectionIds())
                                ->teaching()
                                ->stillOn($this->clock->schoolDay()->iso())
                                ->select('person_id'),
                        )
                        ->orderBy('id')
                        ->get() as $teacher
                ) {
                    $n += $this->put(
                        "host link $link->id, person $teacher->id",
                        LetterKind::Teacher,
                        $series->id,
                        $teacher,
                        false,
                        [],
                        null,
                    );
                }
            } elseif ($link->person !== null && isset($registrations[$link->person_id])) {
                $registration = (int) $registrations[$link->person_id];
                $key = "link $link->id, invitation";
                // A student who was sent a new link has been written to; a guardian may not have been yet.
                $n +=
                    (string) ($written[$link->person_id] ?? '') < (string) $link->created_at
                        ? $this->confirm($link, $registration, $key)
                        : $this->guardians(
                            $link->person,
                            $series->id,
                            $registration,
                            $key,
                            $told[$registration] ?? [],
                        );
            }
        }

        return $n;
    }

    /** Sends one student's confirmation once more, with the link in force. */
    public function again(JoinLink $link): int
    {
        $registration = Registration::query()
            ->where('series_id', $link->series_id)
            ->where('person_id', $link->person_id)
            ->where('state', RegistrationState::Accepted)
            ->orderBy('id')
            ->value('id');

        return $registration === null
            ? 0
            : $this->confirm(
                $link->load('person.guardians'),
                (int) $registration,
                "link $link->id, again ".
                    (1 +
                        DB::table('emails')
                            ->where('series_id', $link->series_id)
                            ->where('person_id', $link->person_id)
                            ->count()),
            );
    }

    private function confirm(JoinLink $link, int $registration, string $key): int
    {
        $person = $link->person ?? throw new LogicException('A personal link without its person');

        return $this->put($key, LetterKind::Accepted, $link->series_id, $person, false, [], $registration) +
            $this->guardians($person, $link->series_id, $registration, $key);
    }

    /** @param  array<int>  $told  guardians who have been written to */
    private function guardians(Person $student, int $series, int $registration, string $key, array $told = []): int
    {
        $n = 0;
        foreach ($student->guardians->whereNotIn('id', $told) as $guardian) {
            $n += $this->put(
                "$key, guardian $guardian->id",
                LetterKind::Guardian,
                $series,
                $guardian,
                false,
                ['child' => $student->name()],
                $registration,
            );
        }

        return $n;
    }

    /**
     * Tells everybody of a deleted series that it is not held any more, from what the history has kept of it.
     *
     * @return int how many letters
     */
    public function cancelled(SeriesChange $change): int
    {
        $of = fn (string $table): array => $change->before[$table] ?? [];
        $registered = array_column(
            array_filter(
                $of('registrations'),
                fn (array $r): bool => $r['state'] === RegistrationState::Accepted->value,
            ),
            'person_id',
        );
        $sections = array_column($of('series_sections'), 'section_id');
        $n = 0;
        foreach (
            $this->concerned(DB::table('people')->whereIn('id', $registered)->select('id'), $sections) as $person
        ) {
            $n += $this->put(
                "change $change->id, person $person->id",
                LetterKind::Cancelled,
                null,
                $person,
                false,
                ['gone' => (string) $change->id],
                null,
            );
        }

        return $n;
    }

    /**
     * Anybody who is registered, their guardians, and who teaches.
     *
     * @param  array<mixed>  $sections
     * @return Collection<int, Person>
     */
    private function concerned(Builder $registered, array $sections): Collection
    {
        return Person::query()
            ->where(
                fn ($q) => $q
                    ->whereIn('id', $registered)
                    ->orWhereIn(
                        'id',
                        MembershipRow::query()
                            ->whereIn('section_id', $sections)
                            ->whereIn('role', MembershipRole::HOSTING)
                            ->stillOn($this->clock->schoolDay()->iso())
                            ->select('person_id'),
                    )
                    ->orWhereIn(
                        'id',
                        DB::table('guardianships')->whereIn('student_id', clone $registered)->select('guardian_id'),
                    ),
            )
            ->orderBy('id')
            ->get();
    }

    /**
     * Tells everybody of a series what changed: its teachers, who is registered, and their guardians.
     *
     * @return int how many letters; those that were written before are not written again
     */
    public function changed(Series $series, SeriesChange $change): int
    {
        $people = $this->concerned(
            DB::table('registrations')
                ->where('series_id', $series->id)
                ->whereRaw(Registered::on('registrations', $this->clock->schoolDay()))
                ->select('person_id'),
            $series->sectionIds(),
        );
        $n = 0;
        foreach ($people as $person) {
            $n += $this->put(
                "change $change->id, person $person->id",
                LetterKind::Changed,
                $series->id,
                $person,
                false,
                ['change' => $change->line()],
                null,
            );
        }

        return $n;
    }

    /**
     * Sessions that are soon.
     *
     * @param  list<int>  $sessions  ids
     */
    public function reminder(Person $to, array $sessions): int
    {
        $ids = implode(' ', $sessions);

        return $this->put(
            "reminder $ids, ".$this->clock->seconds().", person $to->id",
            LetterKind::Reminder,
            null,
            $to,
            false,
            ['sessions' => $ids],
            null,
        );
    }

    /**
     * Changes that were published: one letter to everybody of the section, whatever of it has changed; by day on their
     * own clock.
     *
     * @param  list<int>|null  $only  the people whom it concerns; null for everybody of the section
     */
    public function told(int $telling, int $section, ?array $only = null): int
    {
        $series = DB::table('series_sections')
            ->where('section_id', $section)
            ->orderBy('series_id')
            ->pluck('series_id');
        $people = $this->concerned(
            DB::table('registrations')
                ->whereIn('series_id', $series)
                ->whereRaw(Registered::on('registrations', $this->clock->schoolDay()))
                ->select('person_id'),
            [$section],
        );
        $n = 0;
        foreach ($series->isEmpty() ? [] : $people as $person) {
            if ($only !== null && ! in_array($person->id, $only, true)) {
                continue;
            }
            $n += $this->put(
                "telling $telling, person $person->id",
                LetterKind::Changed,
                (int) $series->first(),
                $person,
                false,
                ['telling' => (string) $telling],
                null,
            );
        }

        return $n;
    }

    /**
     * Whether nothing of a registration's last decision has gone yet; what has not is taken out. Letters that somebody
     * asked for later are of no decision: one that still waits says nothing of whether the decision's own has gone.
     */
    public function takeBack(int $registration): bool
    {
        $letters = Letter::query()
            ->ofDecision()
            ->where('registration_id', $registration)
            ->where('kind', '!=', LetterKind::Received)
            ->orderByDesc('id')
            ->lock('for no key update')
            ->get();
        // The registrant's own letter counts: a guardian's may be stuck when that one has gone.
        $own = $letters->first(fn (Letter $l): bool => $l->kind !== LetterKind::Guardian);
        if ($own === null || $own->sent_at !== null) {
            return false;
        }
        Letter::query()
            ->whereKey($letters->whereNull('sent_at')->modelKeys())
            ->delete();

        return true;
    }

    /** @param  array<string, string>  $values */
    private function put(
        string $key,
        LetterKind $kind,
        ?int $series,
        Person $to,
        bool $canUndo,
        array $values,
        ?int $registration,
    ): int {
        // Anybody who has no address reads it on their own page.
        if ($to->email === null || ($kind->mayBeStopped() && $to->letters_stopped_at !== null)) {
            return 0;
        }

        return $this->insert(
            $key,
            $kind,
            $series,
            $to->id,
            $to->name(),
            $to->email,
            $canUndo,
            $values,
            $registration,
            $kind->keepsQuiet() ? (new QuietHours())->next((int) now()->timestamp, $to->zone()) : null,
        );
    }

    /** @param  array<string, string>  $values */
    private function insert(
        string $key,
        LetterKind $kind,
        ?int $series,
        ?int $person,
        string $name,
        string $address,
        bool $canUndo,
        array $values,
        ?int $registration,
        ?int $from = null,
    ): int {
        $at = $from === null ? now()->addSeconds($canUndo ? self::GRACE : 0) : Carbon::createFromTimestamp($from);
        $made = DB::table('emails')->insertOrIgnore([
            'key' => $key,
            'kind' => $kind->value,
            'person_id' => $person,
            'series_id' => $series,
            'registration_id' => $registration,
            'to_name' => $name,
            'to_address' => $address,
            'values' => (string) json_encode((object) $values),
            'not_before' => $at,
            'created_at' => now(),
            'updated_at' => now(),
        ]);
        if ($made === 1) {
            SendLetter::dispatch((int) DB::table('emails')->where('key', $key)->value('id'))
                ->delay($at)
                ->afterCommit();
        }

        return $made;
    }
}
