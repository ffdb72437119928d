<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Doorway;
use Nomada\App\Actions\Timetable\LaySessions;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Presets;
use Nomada\App\Support\Secrets;
use Nomada\Core\Fault;
use Nomada\Core\Joining\Door;
use Nomada\Core\Joining\DoorAnswer;
use Nomada\Core\Joining\DoorReply;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\Knock;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\RoomState;
use Nomada\Core\Joining\Visitor;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;

/** The page behind every link and code: the door's answer for somebody at a moment. Two hundred ask at once, so it asks little itself. */
final readonly class DoorPage
{
    public function __construct(private Clock $clock, private RoomLook $look, private LaySessions $lay)
    {
    }

    /** The link, or the drop-in room, that a secret is of; 404 where it is of none. */
    public function find(string $secret): JoinLink|DropInRoom
    {
        return JoinLink::query()->withSecret($secret)->with(['series.section.term.school', 'series.hostAccount.plan'])->first()
            ?? DropInRoom::query()->withSecret($secret)->with(['section.term.school', 'section.term.closures'])->firstOrFail();
    }

    public function short(string $address): JoinLink
    {
        return JoinLink::query()->inForce()->where('short_address', mb_strtolower($address))->firstOrFail();
    }

    /** @throws Fault where the code is mistyped or nobody's */
    public function secretOf(string $typed): string
    {
        $code = JoinCode::read($typed) ?? throw new Fault('This join code has a slip in it. Compare it character by character; there are no vowels in it.', 'code');

        return JoinLink::query()->inForce()->where('join_code', $code)->first()->secret ?? DropInRoom::query()->where('join_code', $code)->first()->secret ?? throw new Fault('No class has this join code. Look it up on the course page again.', 'code');
    }

    /**
     * The door's answer for somebody (null for a guest without an account), and the room that it leads to.
     *
     * @param  string  $secret  by which they came: a drop-in room's may be a replaced one
     * @param  list<PlannedSession>|null  $sessions  where they have been read already
     * @return array{DoorAnswer, Doorway, string} the last is the meeting
     */
    public function answer(JoinLink|DropInRoom $link, string $secret, ?Person $person, ?int $at = null, bool $askBridge = true, ?array $sessions = null): array
    {
        $now = $at ?? $this->clock->seconds();
        [$knock, $zone] = $link instanceof DropInRoom ? $this->knockAtRoom($link, $secret, $person, $now) : $this->knock($link, $person, $now, $sessions ?? $this->lay->standing($link->series_id));
        $way = $link instanceof DropInRoom ? Doorway::ofDropIn($link) : Doorway::ofSeries($link->series, null, $link);
        $door = new Door($way->door);
        // The bridge is asked only where all else would let somebody in.
        $answer = $door->answer($knock(new RoomState(hostInside: true)), $zone, $now);
        $hours = $knock(new RoomState)->openHours;
        $meeting = Doorway::meeting($hours[0] ?? $answer->session?->start);
        if ($answer->session?->own !== null && ! $link instanceof DropInRoom) {
            $way = new Doorway($way->room, $way->seats, ...Presets::rules($link->series, Presets::known($link->series->preset), $answer->session));
        }

        return [$answer->reply->opens() && $askBridge ? $door->answer($knock($this->look->at($way, $meeting, $person->sourced_id ?? self::guest($link))), $zone, $now) : $answer, $way, $meeting];
    }

    /**
     * @param  list<PlannedSession>  $sessions
     * @return array{callable(RoomState): Knock, Zone}
     */
    private function knock(JoinLink $link, ?Person $person, int $now, array $sessions): array
    {
        $series = $link->series;
        $zone = $series->section->term->school->zone();
        $visitor = $this->visitor($person, DB::table('series_sections')->where('series_id', $series->id)->select('section_id'), $person === null ? null : $this->registration($series, $person, $sessions, $zone, $now));

        return [fn (RoomState $room): Knock => new Knock($link->kind, $sessions, $visitor, $link->person_id, $link->retired_at !== null, $link->is_hidden, $link->expires_at === null ? null : (int) $link->expires_at->timestamp,
            $link->only_day === null ? null : LocalDate::parse($link->only_day)->day, $room), $zone];
    }

    /** @return array{callable(RoomState): Knock, Zone} */
    private function knockAtRoom(DropInRoom $room, string $secret, ?Person $person, int $now): array
    {
        $term = $room->section->term->calendar();
        $visitor = $this->visitor($person, [$room->section_id], null);

        return [fn (RoomState $state): Knock => new Knock(LinkKind::DropIn, [], $visitor, null, ! hash_equals($room->secret_sum, Secrets::sum($secret)), $room->is_hidden, room: $state, openHours: $room->openHours()->at($term, $now)), $term->zone];
    }

    private function visitor(?Person $person, mixed $sections, ?string $registration): Visitor
    {
        $roles = $person === null ? [] : DB::table('enrolments')->whereIn('section_id', $sections)->where('person_id', $person->id)->pluck('role')->all();

        return new Visitor($person?->id, array_intersect($roles, ['teacher', 'co-teacher']) !== [], in_array('student', $roles, true), $registration, $person !== null);
    }

    /**
     * How somebody's registration stands: for the series, or, where it is for each session, for the one at the door.
     *
     * @param  list<PlannedSession>  $sessions
     */
    private function registration(Series $series, Person $person, array $sessions, Zone $zone, int $now): ?string
    {
        $own = Registration::query()->where('series_id', $series->id)->where('person_id', $person->id)->where('state', '!=', 'withdrawn')->get(['only_day', 'state']);
        [$today] = $zone->wall($now);
        $at = null;
        foreach ($sessions as $session) {
            $at ??= $session->end > $now || $session->day === $today ? (new LocalDate($session->day))->iso() : null;
        }
        $fits = $own->filter(fn (Registration $r): bool => $r->only_day === null || $r->only_day === $at)->sortBy(fn (Registration $r): int => ['accepted' => 0, 'waiting' => 1, 'queued' => 1][$r->state] ?? 2)->first();

        return $fits === null ? null : ($fits->state === 'queued' ? 'waiting' : $fits->state);
    }

    /** Whom the bridge knows a guest by. */
    public static function guest(JoinLink|DropInRoom $link): string
    {
        return "guest-$link->id";
    }

    /** @return array<string, mixed> */
    public function data(JoinLink|DropInRoom $link, string $secret, ?Person $person): array
    {
        $now = $this->clock->seconds();
        $sessions = $link instanceof DropInRoom ? [] : $this->lay->standing($link->series_id);
        [$answer, $way] = $this->answer($link, $secret, $person, null, true, $sessions);
        $section = $link instanceof DropInRoom ? $link->section : $link->series->section;
        $school = $section->term->school->zone();
        $words = new DoorWords($person?->zone() ?? $school, $school, $now);
        // Whoever has no part in it is told nothing of it.
        $known = $answer->session !== null || $answer->next !== null || $answer->opensAt !== null || in_array($answer->reply, [DoorReply::Over, DoorReply::RegisterFirst], true) || ($link instanceof DropInRoom && $answer->reply->opens());
        $shown = $link instanceof DropInRoom || $link->kind === LinkKind::Series ? $link : ($known ? JoinLink::query()->inForce()->where('series_id', $link->series_id)->where('kind', LinkKind::Series)->first() : null);
        $takes = $link instanceof JoinLink && $link->series->registering !== null && in_array($answer->reply, [DoorReply::RegisterFirst, DoorReply::Waiting, DoorReply::Declined, DoorReply::NotOnRoster], true);

        return [
            'answer' => $answer, 'words' => $words->of($answer), 'known' => $known, 'enter' => route('door.enter', $secret), 'register' => $takes ? route('register', $link->series_id) : null,
            'name' => $link instanceof DropInRoom ? "$link->name, {$section->name()}" : $section->name(), 'teacher' => $known ? $this->teacher($section->id) : '', 'hours' => $known && $link instanceof DropInRoom ? $link->openHours()->words().' in '.$school->place() : null,
            'stops' => $words->stops($answer), 'next' => $known ? $words->next($sessions, $answer) : [], 'phone' => $known ? $shown?->dial_in : null, 'pin' => $known ? $shown?->pin : null,
            'code' => $known && $shown?->join_code !== null ? JoinCode::show($shown->join_code) : null,
        ];
    }

    private function teacher(int $section): string
    {
        $row = DB::table('enrolments')->join('people', 'people.id', '=', 'person_id')->where('section_id', $section)->where('enrolments.role', 'teacher')->orderByDesc('is_primary')->orderBy('enrolments.id')->first(['given_name', 'family_name']);

        return $row === null ? '' : mb_substr($row->given_name, 0, 1).". $row->family_name";
    }
}
