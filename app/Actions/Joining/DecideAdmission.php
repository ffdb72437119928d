<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\Cache;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\App\Queries\Belongings;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Secrets;
use Nomada\Core\Belonging\Belonging;
use Nomada\Core\Joining\Admission;
use Nomada\Core\Joining\AdmissionDecision;
use Nomada\Core\Joining\JoinAttempt;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\RoomState;
use Nomada\Core\Joining\Visitor;
use Nomada\Core\Registration\RegistrationState;
use Nomada\Core\Term\LocalDate;

/**
 * Decides whether a link admits somebody at a moment. The page behind the link, the console and the student check all
 * ask here. Two hundred ask at once, so it asks little itself.
 */
final readonly class DecideAdmission
{
    /** Seconds for which everybody who waits shares one look. */
    private const SHARED = 3;

    public function __construct(private Clock $clock, private RoomLook $look)
    {
    }

    /**
     * What the rules say to somebody (null for a guest without an account), and the room that the link leads to.
     *
     * @param  string  $secret  by which they came: a drop-in room's may be a replaced one
     */
    public function __invoke(
        JoinLink|DropInRoom $link,
        string $secret,
        ?Person $person,
        PassAt $pass = new PassAt(),
        ?int $at = null,
        bool $askBridge = true,
    ): AdmissionAnswer {
        $now = $at ?? $this->clock->seconds();

        return $link instanceof DropInRoom
            ? $this->atRoom($link, $secret, $person, $now, $askBridge)
            : $this->atSeries(
                $link,
                $person,
                $now,
                $askBridge,
                AdmissionFacts::of($link->series_id, $person?->id, $now),
                $pass,
            );
    }

    public function atSeries(
        JoinLink $link,
        ?Person $person,
        int $now,
        bool $askBridge,
        AdmissionFacts $facts,
        PassAt $pass,
    ): AdmissionAnswer {
        $only = $link->onlyDay();
        $ends = $link->endsAt();
        $visitor = self::visitor($person, $this->registration($facts, $now));
        $knock = fn (RoomState $room): JoinAttempt => new JoinAttempt(
            $link->kind,
            $facts->sessions,
            $visitor,
            $link->person_id,
            $link->retired_at !== null,
            $link->is_hidden,
            $ends,
            $only === null ? null : LocalDate::parse($only)->day,
            $room,
            belonging: $facts->belonging,
            isHeldElsewhere: $pass->isElsewhere,
        );
        $door = new Admission($facts->way()->door);
        // The bridge is asked only where all else would let somebody in.
        $answer = $door->answer($knock(new RoomState(hostInside: true)), $facts->zone, $now);
        $way = $facts->way($answer->session);
        $meeting = Doorway::meeting($answer->session?->start);
        if ($answer->reply->opens() && $askBridge) {
            $answer = $door->answer(
                $knock($this->look->at($way, $meeting, self::whom($answer, $link, $person, $pass))),
                $facts->zone,
                $now,
            );
        }

        return new AdmissionAnswer($answer, $way, $meeting, $facts->zone);
    }

    private function atRoom(
        DropInRoom $room,
        string $secret,
        ?Person $person,
        int $now,
        bool $askBridge,
    ): AdmissionAnswer {
        $term = $room->section->term->calendar();
        $visitor = self::visitor($person, null);
        $belonging = $person === null ? new Belonging(null) : Belongings::of($person->id, [$room->section_id]);
        $hours = $room->openHours()->at($term, $now);
        $knock = fn (RoomState $state): JoinAttempt => new JoinAttempt(
            LinkKind::DropIn,
            [],
            $visitor,
            null,
            ! hash_equals($room->secret_hash, Secrets::sum($secret)),
            $room->is_hidden,
            room: $state,
            openHours: $hours,
            belonging: $belonging,
        );
        $way = Doorway::ofDropIn($room);
        $door = new Admission($way->door);
        $answer = $door->answer($knock(new RoomState(hostInside: true)), $term->zone, $now);
        $meeting = Doorway::meeting($hours[0] ?? null);
        if ($answer->reply->opens() && $askBridge) {
            $answer = $door->answer(
                $knock($this->look->at($way, $meeting, $person->sourced_id ?? self::guest($room))),
                $term->zone,
                $now,
            );
        }

        return new AdmissionAnswer($answer, $way, $meeting, $term->zone);
    }

    /** What they are to a session is asked of their parts. */
    private static function visitor(?Person $person, ?RegistrationState $registration): Visitor
    {
        return new Visitor($person?->id, false, false, $registration, $person !== null);
    }

    /**
     * How the visitor's registration stands: for the series, or, where it is for each session, for the one at the door.
     */
    private function registration(AdmissionFacts $facts, int $now): ?RegistrationState
    {
        [$today] = $facts->zone->wall($now);
        $at = null;
        foreach ($facts->theirs() as $session) {
            $at ??= $session->end > $now || $session->day === $today ? $session->id : null;
        }
        $fits = array_column(
            array_filter($facts->registrations, fn (array $r): bool => $r[0] === null || $r[0] === $at),
            1,
        );
        $states = array_map(RegistrationState::from(...), $fits);

        return match (true) {
            in_array(RegistrationState::Accepted, $states, true) => RegistrationState::Accepted,
            // At the door, being on the waiting list and waiting for a decision read the same.
            in_array(RegistrationState::Waiting, $states, true) ||
                in_array(RegistrationState::Queued, $states, true) => RegistrationState::Waiting,
            default => $states[0] ?? null,
        };
    }

    /**
     * Changes whenever the answer may be another one: a host has come, it has opened, was hidden or shown, is full or
     * over, or somebody's registration was decided. Hundreds ask for it: they share one look.
     *
     * @param  int|null  $person  whose registration for the series counts
     */
    public function version(JoinLink|DropInRoom $link, ?int $person): string
    {
        $series = $link instanceof JoinLink ? $link->series_id : null;
        $key = $series === null ? "door room $link->id" : "door series $series";
        $shared = Cache::remember($key, self::SHARED, function () use ($link): string {
            // As a host sees it: how the hours and the room are, no matter who asks.
            $now = $this->clock->seconds();
            if ($link instanceof DropInRoom) {
                $hours = $link->openHours()->at($link->section->term->calendar(), $now);
                $room = $this->look->at(Doorway::ofDropIn($link), Doorway::meeting($hours[0] ?? null), '');

                return json_encode([$hours, ($hours[0] ?? 0) <= $now, ...self::seen($room)], JSON_THROW_ON_ERROR);
            }
            $facts = AdmissionFacts::of($link->series_id, null, $now);
            $next = null;
            foreach ($facts->sessions as $session) {
                $next ??= $session->end > $now ? $session : null;
            }
            $way = $facts->way($next);
            $opens = $next === null ? 0 : $next->start - 60 * $way->door->opensBefore;

            return json_encode(
                [
                    $next?->start,
                    $next?->state,
                    $now >= $opens,
                    ...$next === null ? [] : self::seen($this->look->at($way, Doorway::meeting($next->start), '')),
                ],
                JSON_THROW_ON_ERROR,
            );
        });
        $own =
            $link instanceof JoinLink
                ? [$link->retired_at, $link->is_hidden, $link->expires_at, self::decided($link->series_id, $person)]
                : [$link->is_hidden];

        return substr(hash('sha256', $shared.json_encode($own)), 0, 16);
    }

    /**
     * What others wait for; not how many are inside, or every page would reload with each entry.
     *
     * @return array{bool, bool, bool}
     */
    private static function seen(RoomState $room): array
    {
        return [$room->hostInside, $room->isOver, $room->seats !== null && $room->inside >= $room->seats];
    }

    /** How somebody's registrations for a series stand; empty if there is none. */
    private static function decided(int $series, ?int $person): string
    {
        return $person === null
            ? ''
            : Registration::query()
                ->where('series_id', $series)
                ->where('person_id', $person)
                ->orderBy('id')
                ->toBase()
                ->pluck('state')
                ->implode(',');
    }

    /** The bridge's id for somebody. A guest is known by the browser, no matter who is signed in. */
    public static function whom(
        AdmissionDecision $answer,
        JoinLink|DropInRoom $link,
        ?Person $person,
        PassAt $pass = new PassAt(),
    ): string {
        return $person === null || $answer->asGuest ? $pass->who ?? self::guest($link) : $person->sourced_id;
    }

    /** A guest whose browser never came in by a pass. */
    public static function guest(JoinLink|DropInRoom $link): string
    {
        return "guest-$link->id";
    }
}
