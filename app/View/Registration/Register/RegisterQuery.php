<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Register;

use Nomada\App\Actions\Registration\DecideRegistration;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\Templates;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\App\View\Timetable\Teachers;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Registration\Registering;
use Nomada\Core\Registration\RegistrationState;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SessionState;

/** Looks up a student's registration for one series. */
final readonly class RegisterQuery
{
    /** How many next sessions are listed. */
    private const NEXT = 3;

    public function __construct(private Clock $clock)
    {
    }

    public function page(Series $series, Person $person): RegisterPage
    {
        $now = $this->clock->seconds();
        $zone = $person->zone();
        $school = $series->section->term->calendar()->zone;
        $rules = $series->registering === null ? null : Registering::from($series->registering);
        $own = Registration::query()
            ->where('series_id', $series->id)
            ->where('person_id', $person->id)
            ->orderBy('only_day')
            ->get();
        $taken = $own->whereIn('state', RegistrationState::CURRENT);
        $ahead = $series->sessions->filter(
            fn (Session $s): bool => $s->state === SessionState::Planned &&
                $s->chosen === null &&
                (int) $s->ends_at->timestamp > $now,
        );
        $each = $rules !== null && $rules->each;
        $days = $each
            ? $ahead->unique('day')->filter(fn (Session $s): bool => ! $taken->contains('only_day', $s->day))
            : $ahead->take(0);
        $shut = $this->shut($rules, $ahead->isEmpty(), $school->dateAt($now));
        $isFree = $each ? $days->isNotEmpty() : $taken->isEmpty();
        $words = function (Session $s) use ($zone): string {
            $core = $s->toCore();

            return Say::day($zone->dateAt($core->start)).
                " {$zone->clock($core->start)}–{$zone->clock($core->end)}";
        };

        return new RegisterPage(
            $series,
            $person,
            Teachers::of([$series->section_id])[$series->section_id] ?? '',
            Say::place($zone),
            $each,
            $rules?->say(Templates::phrases(app()->getLocale())),
            $rules->acceptsCertain ?? false,
            $shut,
            $shut === null && $person->can('study') && $isFree,
            array_values($own->where('state', '!=', RegistrationState::Withdrawn)->map($this->line(...))->all()),
            $own->contains('state', RegistrationState::Accepted) ? $this->link($series, $person) : null,
            $days
                ->mapWithKeys(
                    fn (Session $s): array => [
                        $s->day => implode(' · ', array_filter([$words($s), $s->title ?? $s->topic])),
                    ],
                )
                ->all(),
            array_values($ahead->take(self::NEXT)->map($words)->all()),
            $ahead->count(),
            $rules?->seats === null || $each
                ? null
                : max(0, $rules->seats - DecideRegistration::held($series->id, null)),
        );
    }

    private function shut(?Registering $rules, bool $isOver, LocalDate $today): ?string
    {
        $shut = $rules?->shut($today);

        return match (true) {
            $rules === null => (string) __('register.follows'),
            $isOver => (string) __('register.none_left'),
            $shut === null => null,
            default => (string) __("faults.registration.$shut->why", ['day' => Say::day($shut->on)]),
        };
    }

    private function link(Series $series, Person $person): ?string
    {
        return JoinLink::query()
            ->inForce()
            ->where('series_id', $series->id)
            ->where('kind', LinkKind::Personal)
            ->where('person_id', $person->id)
            ->first()
            ?->address();
    }

    private function line(Registration $r): OwnRegistration
    {
        return new OwnRegistration(
            $r->id,
            $r->state,
            $r->only_day === null ? '' : Say::day(LocalDate::parse($r->only_day)),
            $r->reason,
            $r->state === RegistrationState::Queued ? $this->place($r) : 0,
        );
    }

    /** Which one on the waiting list, from 1. */
    private function place(Registration $r): int
    {
        return 1 +
            Registration::query()
                ->where('series_id', $r->series_id)
                ->where('session_id', $r->session_id)
                ->where('state', RegistrationState::Queued)
                ->where(
                    fn ($q) => $q
                        ->where('arrived_at', '<', $r->arrived_at)
                        ->orWhere(fn ($w) => $w->where('arrived_at', $r->arrived_at)->where('id', '<', $r->id)),
                )
                ->count();
    }
}
