<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Post\Letters;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Post\LetterKind;
use Nomada\Core\Registration\Registering;
use Nomada\Core\Registration\RegistrationState;
use Nomada\Core\Timetable\SessionState;

/**
 * A student registers for a series, or for some of its sessions. The series is locked meanwhile: no seat is given
 * twice, and pressing twice registers once.
 */
final readonly class TakeRegistration
{
    public function __construct(
        private Clock $clock,
        private Audit $audit,
        private Letters $letters,
        private DecideRegistration $decide,
    ) {
    }

    /**
     * @param  list<string>  $days  ISO; of the sessions, where it is for each session
     * @return list<Registration>
     *
     * @throws Fault where registration is shut, a day has no session, or it is there already
     */
    public function __invoke(Series $series, Person $person, string $name, string $email, array $days): array
    {
        return DB::transaction(function () use ($series, $person, $name, $email, $days): array {
            DB::table('series')->where('id', $series->id)->lock('for no key update')->first();
            $registering = Registering::from(
                $series->registering ?? throw new Fault('registration.follows', 'name'),
            );
            $shut = $registering->shut($series->section->term->calendar()->zone->dateAt($this->clock->seconds()));
            if ($shut !== null) {
                throw new Fault("registration.$shut->why", 'name', ['day' => Say::day($shut->on)]);
            }
            $open = $this->open($series);
            if ($open === []) {
                throw new Fault('registration.none_left', 'name');
            }
            if ($registering->each && $days === []) {
                throw new Fault('registration.choose', 'days');
            }
            foreach ($registering->each ? $days : [] as $day) {
                if (! in_array($day, $open, true)) {
                    throw new Fault('registration.moved', 'days');
                }
            }
            $out = [];
            foreach ($registering->each ? array_values(array_unique($days)) : [null] as $day) {
                $session = $day === null ? null : $this->session($series, $day);
                $out[] = $this->one($series, $registering, $person, $name, $email, $session);
            }
            $out = array_values(array_filter($out));
            if ($out === []) {
                throw new Fault('registration.already', 'name');
            }
            ($this->audit)(
                'registration',
                $series,
                $person,
                new Said($registering->each ? 'audit.registered_for' : 'audit.registered', [
                    'name' => $name,
                    'n' => count($out),
                ]),
            );
            $this->decide->acceptCertain($registering, $out);

            return $out;
        });
    }

    /**
     * Days with a session that one can still come to.
     *
     * @return list<string>
     */
    public function open(Series $series): array
    {
        return array_values(
            array_unique(
                $series->sessions
                    ->filter(
                        fn (Session $s): bool => $s->state === SessionState::Planned &&
                            (int) $s->ends_at->timestamp > $this->clock->seconds(),
                    )
                    ->map(fn (Session $s): string => $s->day)
                    ->all(),
            ),
        );
    }

    private function session(Series $series, string $day): ?Session
    {
        return $series->sessions
            ->where('day', $day)
            ->where('state', SessionState::Planned)
            ->sortBy('starts_at')
            ->first();
    }

    private function one(
        Series $series,
        Registering $registering,
        Person $person,
        string $name,
        string $email,
        ?Session $session,
    ): ?Registration {
        $which = ['series_id' => $series->id, 'person_id' => $person->id, 'session_id' => $session?->id];
        $known = Registration::query()->where($which)->first();
        if ($known?->state->isCurrent() === true) {
            return null;
        }
        $hasSeat = $registering->hasSeat(DecideRegistration::held($series->id, $session?->id));
        $registration = Registration::query()->updateOrCreate(
            $which,
            [
                'only_day' => $session?->day,
                'state' => $hasSeat ? RegistrationState::Waiting : RegistrationState::Queued,
                'came_by' => 'own',
                'typed_name' => $name,
                'typed_email' => $email,
                'reason' => null,
                'decided_by' => null,
                'decided_at' => null,
                'before' => null,
                'arrived_at' => Carbon::createFromTimestamp($this->clock->seconds()),
            ],
        );
        $this->letters->write(
            LetterKind::Received,
            $registration->setRelation('series', $series)->setRelation('person', $person),
            false,
        );

        return $registration;
    }
}
