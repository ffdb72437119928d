<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration;

use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\App\View\Timetable\Teachers;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Registration\Registering;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SessionState;

/**
 * A student's registration for one series: what is asked, what will be checked, and how it stands. The address can be
 * kept.
 */
final readonly class RegisterPage
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return array<string, mixed> */
    public function data(Series $series, Person $person): array
    {
        $now = $this->clock->seconds();
        $zone = $person->zone();
        $school = $series->section->term->calendar()->zone;
        $registering = $series->registering === null ? null : Registering::from($series->registering);
        $own = Registration::query()
            ->where('series_id', $series->id)
            ->where('person_id', $person->id)
            ->orderBy('only_day')
            ->get();
        $taken = $own->whereIn('state', ['accepted', 'waiting', 'queued']);
        $ahead = $series->sessions->filter(
            fn (Session $s): bool => $s->state === SessionState::Planned &&
                $s->chosen === null &&
                (int) $s->ends_at->timestamp > $now,
        );
        $each = $registering !== null && $registering->each;
        $shut =
            $registering === null
                ? (string) __('register.follows')
                : ($ahead->isEmpty()
                    ? (string) __('register.none_left')
                    : $registering->shut($school->dateAt($now)));
        $days = $ahead->unique('day')->filter(fn (Session $s): bool => ! $taken->contains('only_day', $s->day));

        $isFree = $each ? $days->isNotEmpty() : $taken->isEmpty();
        $canRegister = $shut === null && $person->can('study') && $isFree;

        $first = $own->first();

        return [
            // The one registration for all sessions, where there is one that holds.
            'once' => $each || $first === null || $first->state === 'withdrawn' ? null : $this->line($first),
            'series' => $series,
            'section' => $series->section,
            'teacher' => Teachers::of([$series->section_id])[$series->section_id] ?? '',
            'person' => $person,
            'zone' => $zone,
            'registering' => $registering,
            'each' => $each,
            'shut' => $shut,
            'own' => $own->map($this->line(...))->all(),
            'link' => $own->contains('state', 'accepted')
                ? JoinLink::query()
                    ->inForce()
                    ->where('series_id', $series->id)
                    ->where('kind', LinkKind::Personal)
                    ->where('person_id', $person->id)
                    ->first()
                    ?->address()
                : null,
            'canRegister' => $canRegister,
            'days' => $each
                ? $days
                    ->map(
                        fn (Session $s): array => [
                            'day' => $s->day,
                            'words' => Say::day($zone->dateAt((int) $s->starts_at->timestamp)).
                                ' '.
                                $zone->clock((int) $s->starts_at->timestamp).
                                '–'.
                                $zone->clock((int) $s->ends_at->timestamp),
                            'topic' => $s->title ?? $s->topic,
                        ],
                    )
                    ->values()
                    ->all()
                : [],
            'when' => $ahead
                ->take(3)
                ->map(
                    fn (Session $s): string => Say::day($zone->dateAt((int) $s->starts_at->timestamp)).
                        ' '.
                        $zone->clock((int) $s->starts_at->timestamp).
                        '–'.
                        $zone->clock((int) $s->ends_at->timestamp),
                )
                ->values()
                ->all(),
            'left' => $ahead->count(),
            'seatsLeft' => $registering?->seats === null || $each
                    ? null
                    : max(
                        0,
                        $registering->seats -
                            \Nomada\App\Actions\Registration\DecideRegistration::held($series->id, null),
                    ),
        ];
    }

    /** @return array{id: int, state: string, day: string, reason: string|null, place: int} */
    private function line(Registration $r): array
    {
        return [
            'id' => $r->id,
            'state' => $r->state,
            'day' => $r->only_day === null ? '' : Say::day(LocalDate::parse($r->only_day)),
            'reason' => $r->reason,
            'place' => $r->state === 'queued' ? $this->place($r) : 0,
        ];
    }

    /** Which one on the waiting list, from 1. */
    private function place(Registration $r): int
    {
        return 1 +
            Registration::query()
                ->where('series_id', $r->series_id)
                ->where('only_day', $r->only_day)
                ->where('state', 'queued')
                ->where(
                    fn ($q) => $q
                        ->where('arrived_at', '<', $r->arrived_at)
                        ->orWhere(fn ($w) => $w->where('arrived_at', $r->arrived_at)->where('id', '<', $r->id)),
                )
                ->count();
    }
}
