<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\URL;
use Nomada\App\Actions\Joining\Doorway;
use Nomada\App\Actions\Joining\PassAt;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\App\Queries\Belongings;
use Nomada\App\Queries\Templates;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\App\Support\Secrets;
use Nomada\App\View\Timetable\Teachers;
use Nomada\Core\Belonging\Belonging;
use Nomada\Core\Fault;
use Nomada\Core\Joining\Admission;
use Nomada\Core\Joining\AdmissionDecision;
use Nomada\Core\Joining\DoorReply;
use Nomada\Core\Joining\JoinAttempt;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\RoomState;
use Nomada\Core\Joining\Visitor;
use Nomada\Core\Registration\RegistrationState;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/**
 * The page behind every link and code: the door's answer for somebody at a moment. Two hundred ask at once, so it asks
 * little itself.
 */
final readonly class DoorPage
{
    /** Answers that something else than the visitor changes. */
    private const WAITS = [
        DoorReply::NoHost,
        DoorReply::TooEarly,
        DoorReply::Shut,
        DoorReply::Waiting,
        DoorReply::Full,
    ];

    /** Answers that shut the room's window only: the phone still rings in it. */
    private const BY_PHONE = [DoorReply::NoHost, DoorReply::Full];

    /** Seconds before the doors open, from when on a page looks often; and the longest pauses before and from then. */
    private const SOON = 1800;

    private const SELDOM = 300;

    private const OFTEN = 30;

    /** Seconds for which everybody who waits shares one look. */
    private const SHARED = 3;

    public function __construct(private Clock $clock, private RoomLook $look)
    {
    }

    /** The link, or the drop-in room, that a secret is of; 404 where it is of none. */
    public function find(string $secret): JoinLink|DropInRoom
    {
        return JoinLink::query()->withSecret($secret)->first() ??
            DropInRoom::query()
                ->withSecret($secret)
                ->with(['section.term.school', 'section.term.closures'])
                ->firstOrFail();
    }

    public function short(string $address): JoinLink
    {
        return JoinLink::query()->inForce()->where('short_address', mb_strtolower($address))->firstOrFail();
    }

    /** @throws Fault where the code is mistyped or nobody's */
    public function secretOf(string $typed): string
    {
        $code = JoinCode::read($typed) ?? throw new Fault('code.slip', 'code');

        return JoinLink::query()->inForce()->withCode($code)->first()->secret ??
            (DropInRoom::query()->withCode($code)->first()->secret ?? throw new Fault('code.none', 'code'));
    }

    /**
     * The door's answer for somebody (null for a guest without an account), and the room that it leads to.
     *
     * @param  string  $secret  by which they came: a drop-in room's may be a replaced one
     * @return array{AdmissionDecision, Doorway, string, Zone} the third is the meeting, the last the school's zone
     */
    public function answer(
        JoinLink|DropInRoom $link,
        string $secret,
        ?Person $person,
        PassAt $pass = new PassAt(),
        ?int $at = null,
        bool $askBridge = true,
    ): array {
        $now = $at ?? $this->clock->seconds();

        return $link instanceof DropInRoom
            ? $this->atRoom($link, $secret, $person, $now, $askBridge)
            : $this->atSeries(
                $link,
                $person,
                $now,
                $askBridge,
                DoorFacts::of($link->series_id, $person?->id, $now),
                $pass,
            );
    }

    /** @return array{AdmissionDecision, Doorway, string, Zone} */
    private function atSeries(
        JoinLink $link,
        ?Person $person,
        int $now,
        bool $askBridge,
        DoorFacts $facts,
        PassAt $pass,
    ): array {
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

        return [$answer, $way, $meeting, $facts->zone];
    }

    /** @return array{AdmissionDecision, Doorway, string, Zone} */
    private function atRoom(DropInRoom $room, string $secret, ?Person $person, int $now, bool $askBridge): array
    {
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

        return [$answer, $way, $meeting, $term->zone];
    }

    /** What they are to a session is asked of their parts. */
    private static function visitor(?Person $person, ?RegistrationState $registration): Visitor
    {
        return new Visitor($person?->id, false, false, $registration, $person !== null);
    }

    /**
     * How the visitor's registration stands: for the series, or, where it is for each session, for the one at the door.
     */
    private function registration(DoorFacts $facts, int $now): ?RegistrationState
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
     * Changes whenever the door may answer otherwise: a host has come, it has opened, was hidden or shown, is full or
     * over, or somebody's registration was decided. Hundreds ask for it: they share one look.
     *
     * @param  int|null  $person  whose registration for the series counts
     */
    public function version(JoinLink|DropInRoom $link, ?int $person): string
    {
        $series = $link instanceof JoinLink ? $link->series_id : null;
        $key = $series === null ? "door room $link->id" : "door series $series";
        $shared = Cache::remember($key, self::SHARED, function () use ($link): string {
            // As a host sees it: how the hours and the room are, whoever asks.
            $now = $this->clock->seconds();
            if ($link instanceof DropInRoom) {
                $hours = $link->openHours()->at($link->section->term->calendar(), $now);
                $room = $this->look->at(Doorway::ofDropIn($link), Doorway::meeting($hours[0] ?? null), '');

                return json_encode([$hours, ($hours[0] ?? 0) <= $now, ...self::seen($room)], JSON_THROW_ON_ERROR);
            }
            $facts = DoorFacts::of($link->series_id, null, $now);
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
     * What of a room others wait for; not how many are inside, or all would read their pages anew with each who enters.
     *
     * @return array{bool, bool, bool}
     */
    private static function seen(RoomState $room): array
    {
        return [$room->hostInside, $room->isOver, $room->seats !== null && $room->inside >= $room->seats];
    }

    /** How somebody's registrations for a series stand; empty where there is none. */
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

    /** Where a page asks for the version: it starts no session, so its address says for whom, and is signed. */
    private static function lookAt(string $secret, ?Person $person): string
    {
        return URL::signedRoute(
            'door.look',
            array_filter(['secret' => $secret, 'person' => $person?->id, 'v' => $person?->links_version]),
        );
    }

    /** Whom the bridge knows somebody by: a guest by the browser, whoever is signed in. */
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

    public function view(
        JoinLink|DropInRoom $link,
        string $secret,
        ?Person $person,
        PassAt $pass = new PassAt(),
    ): DoorView {
        $now = $this->clock->seconds();
        // Before the answer: what changes between the two is seen at the next look, rather than never.
        $version = $this->version($link, $person?->id);
        $facts = $link instanceof DropInRoom ? null : DoorFacts::of($link->series_id, $person?->id, $now);
        [$answer, $way, $meeting, $school] =
            $link instanceof DropInRoom || $facts === null
                ? $this->answer($link, $secret, $person)
                : $this->atSeries($link, $person, $now, true, $facts, $pass);
        $words = new DoorWords($person?->zone() ?? $school, $school, $now);
        // Whoever has no part in it is told nothing of it.
        $known =
            $answer->session !== null ||
            $answer->next !== null ||
            $answer->opensAt !== null ||
            in_array($answer->reply, [DoorReply::Over, DoorReply::RegisterFirst], true) ||
            ($facts === null && $answer->reply->opens());
        $takes =
            $facts !== null &&
            $facts->registers &&
            in_array(
                $answer->reply,
                [DoorReply::RegisterFirst, DoorReply::Waiting, DoorReply::Declined, DoorReply::NotOnRoster],
                true,
            );
        // Nobody comes in by phone where the door is shut, over or not open yet.
        $byPhone = $answer->reply->opens() || in_array($answer->reply, self::BY_PHONE, true);

        return new DoorView(
            $words->of($answer),
            $answer->reply->opens(),
            $answer->reply->opens() && $this->look->at($way, $meeting, '')->recordingSince !== null,
            $words->stops($answer),
            $known
                ? $this->help(
                    $link,
                    $facts,
                    $answer,
                    $school,
                    $byPhone,
                    $words->next($facts?->theirs() ?? [], $answer),
                )
                : null,
            route('door.enter', $secret),
            $answer->reply === DoorReply::PassElsewhere ? route('door.ask', $secret) : null,
            $pass->asked,
            // Whoever waits for something to change looks again by themselves.
            in_array($answer->reply, self::WAITS, true) ? self::lookAt($secret, $person) : null,
            $version,
            $answer->opensAt === null ? 0 : $answer->opensAt - $now,
            ($answer->opensAt ?? $now) > $now + self::SOON ? self::SELDOM : self::OFTEN,
            $takes ? route('register', $facts->series) : null,
        );
    }

    /** @param  list<string>  $next */
    private function help(
        JoinLink|DropInRoom $link,
        ?DoorFacts $facts,
        AdmissionDecision $answer,
        Zone $school,
        bool $byPhone,
        array $next,
    ): ?DoorHelp {
        $code = fn (?string $code): ?string => $code === null ? null : JoinCode::show($code);

        return match (true) {
            $facts !== null => new DoorHelp(
                $facts->name,
                $answer->session->own->teacherName ?? $facts->teacher,
                null,
                $facts->phone,
                $facts->pin,
                $code($facts->code),
                $byPhone,
                $next,
            ),
            $link instanceof DropInRoom => new DoorHelp(
                "$link->name, {$link->section->name()}",
                Teachers::of([$link->section_id])[$link->section_id] ?? '',
                (string) __('door.hours_in', [
                    'hours' => $link->openHours()->words(Templates::phrases(app()->getLocale())),
                    'place' => Say::place($school),
                ]),
                $link->dial_in,
                $link->pin,
                $code($link->join_code),
                $byPhone,
                $next,
            ),
            default => null,
        };
    }
}
