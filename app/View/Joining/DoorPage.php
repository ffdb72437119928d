<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Illuminate\Support\Facades\Cache;
use Nomada\App\Actions\Joining\ComeIn;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Enrolment;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Presets;
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
use Nomada\Core\Timetable\SessionState;

/**
 * The page behind every link and code: the door's answer in words, on the visitor's own clock.
 *
 * @phpstan-import-type State from ConferenceBridge
 */
final readonly class DoorPage
{
    public function __construct(private Clock $clock, private ConferenceBridge $bridge)
    {
    }

    public function link(string $secret): JoinLink
    {
        return JoinLink::query()->withSecret($secret)->with(['series.section.term.school', 'series.section.term.closures', 'series.sessions', 'series.hostAccount.plan'])->firstOrFail();
    }

    public function short(string $address): JoinLink
    {
        return JoinLink::query()->inForce()->where('short_address', mb_strtolower($address))->firstOrFail();
    }

    /** @throws Fault where the code is mistyped or nobody's */
    public function secretOf(string $typed): string
    {
        $code = JoinCode::read($typed) ?? throw new Fault('This join code has a slip in it. Compare it character by character; there are no vowels in it.', 'code');

        return JoinLink::query()->inForce()->where('join_code', $code)->first()->secret ?? throw new Fault('No class has this join code. Look it up on the course page again.', 'code');
    }

    /** The door's answer for somebody (null for a guest without an account) at a moment. */
    public function answer(JoinLink $link, ?Person $person, ?int $at = null, bool $askBridge = true): DoorAnswer
    {
        $series = $link->series;
        $now = $at ?? $this->clock->seconds();
        [$rules] = Presets::rules($series, Presets::all());
        $roles = $person === null ? [] : Enrolment::query()->whereIn('section_id', $series->sectionIds())->where('person_id', $person->id)->pluck('role')->all();
        $sessions = array_values($series->sessions->map(fn (Session $s): PlannedSession => $s->toCore())->all());
        $zone = $series->section->term->calendar()->zone;
        $isHost = array_intersect($roles, ['teacher', 'co-teacher']) !== [];
        $visitor = new Visitor($person?->id, $isHost, in_array('student', $roles, true), $person === null ? null : $this->registration($series, $person, $sessions, $zone, $now), $person !== null);
        $knock = fn (RoomState $room): Knock => new Knock($link->kind, $sessions, $visitor, $link->person_id, $link->retired_at !== null, $link->is_hidden, $link->expires_at === null ? null : (int) $link->expires_at->timestamp,
            $link->only_day === null ? null : LocalDate::parse($link->only_day)->day, $room);
        $door = new Door($rules);
        // The bridge is asked only where all else would let somebody in.
        $answer = $door->answer($knock(new RoomState(hostInside: true)), $zone, $now);
        if (! $answer->reply->opens() || ! $askBridge) {
            return $answer;
        }

        return $door->answer($knock($this->room($link, $answer->session, $person->sourced_id ?? self::guest($link))), $zone, $now);
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
    public static function guest(JoinLink $link): string
    {
        return "guest-$link->id";
    }

    private function room(JoinLink $link, ?PlannedSession $session, string $person): RoomState
    {
        $meeting = ComeIn::meeting($session);
        try {
            // Two hundred arrive at once: for a second they share one look.
            /** @var State $state */
            $state = Cache::remember(ComeIn::look($link->series_id, $meeting), 1, fn (): array => $this->bridge->state(ComeIn::room($link->series_id), $meeting));
        } catch (DestinationFailure) {
            // Without the bridge nobody comes in anyway; what it says then stands beside the button.
            return new RoomState(hostInside: true);
        }
        $inside = array_column($state['inside'], 'person');

        return new RoomState($state['host_inside'], $state['state'] === 'over', count($state['inside']), $link->series->hostAccount?->plan->seats, in_array($person, $inside, true), in_array($person, $state['sent_out'], true));
    }

    /** @return array{link: JoinLink, answer: DoorAnswer, zone: Zone, school: Zone, now: int, words: array{string, string, string}, known: bool, stops: list<array{x: float, time: string, words: string, kind: string}>, next: list<string>, phone: string|null, pin: string|null, code: string|null, teacher: string} */
    public function data(JoinLink $link, ?Person $person): array
    {
        $series = $link->series;
        $school = $series->section->term->calendar()->zone;
        $now = $this->clock->seconds();
        $answer = $this->answer($link, $person);
        $sessions = array_values($series->sessions->map(fn (Session $s): PlannedSession => $s->toCore())->all());
        $known = $answer->session !== null || $answer->next !== null || in_array($answer->reply, [DoorReply::Over, DoorReply::RegisterFirst], true);
        $zone = $person?->zone() ?? $school;
        $shown = $link->kind === LinkKind::Series ? $link : ($known ? JoinLink::query()->inForce()->where('series_id', $series->id)->where('kind', LinkKind::Series)->first() : null);
        $teacher = $known ? Enrolment::query()->whereIn('section_id', $series->sectionIds())->where('role', 'teacher')->orderByDesc('is_primary')->with('person')->first()?->person->shortName() : null;

        return [
            'link' => $link, 'answer' => $answer, 'zone' => $zone, 'school' => $school, 'now' => $now, 'words' => $this->words($answer, $zone, $school, $now), 'known' => $known,
            'stops' => $answer->session === null || $answer->opensAt === null || ! in_array($answer->reply, [DoorReply::TooEarly, DoorReply::ComeIn, DoorReply::NoHost, DoorReply::WaitOutside], true) ? [] : $this->stops($answer->session, $answer->opensAt, $zone, $now),
            'next' => $known ? $this->next($sessions, $answer, $zone, $now) : [], 'phone' => $known ? $shown?->dial_in : null, 'pin' => $known ? $shown?->pin : null,
            'code' => $known && $shown?->join_code !== null ? JoinCode::show($shown->join_code) : null, 'teacher' => (string) $teacher,
        ];
    }

    /** The answer in words, on a zone's clock. */
    public function why(DoorAnswer $answer, Zone $zone, int $now): string
    {
        [$what, $follows] = $this->words($answer, $zone, $zone, $now);

        return "$what. $follows";
    }

    /** @return array{string, string, string} what it is, what follows, what the button says */
    private function words(DoorAnswer $answer, Zone $zone, Zone $school, int $now): array
    {
        $opens = $answer->opensAt === null ? '' : $this->moment($answer->opensAt, $zone, $school, $now);
        $next = $answer->next === null ? 'There is no further session this term.' : 'The next one is '.$this->moment($answer->next->start, $zone, $school, $now).'.';
        $session = $answer->session;

        return match ($answer->reply) {
            DoorReply::ComeIn => ['Come in', $session !== null && $session->start > $now ? 'It starts '.$this->moment($session->start, $zone, $school, $now).'.' : 'It has begun; come in now.', 'Come in'],
            DoorReply::WaitOutside => ['You wait outside first', 'Press the button; the teacher sees that you are there and lets you in.', 'Wait outside'],
            DoorReply::Elsewhere => ['You are already inside on another device', 'Come in here, and this device takes over from the other one.', 'Come in here instead'],
            DoorReply::TooEarly => ['You are early', "The doors open $opens.", 'Come in at '.($answer->opensAt === null ? '' : $zone->clock($answer->opensAt))],
            DoorReply::NoHost => ['The teacher is not here yet', 'The doors are open, and you come in as soon as a teacher is inside. Look again in a minute.', 'Come in when the teacher is here'],
            DoorReply::Full => ['The room is full', 'All its seats are taken. Tell your teacher through the class stream, or come in by phone.', 'Full'],
            DoorReply::SentOut => ['You were sent out', 'For this session you stay out. Talk to your teacher afterwards. '.$next, ''],
            DoorReply::Over => ['This one is over', $next, ''],
            DoorReply::Moved => ['Moved to another day', $session === null ? $next : 'It is held '.$this->moment($session->start, $zone, $school, $now).'.', ''],
            DoorReply::Cancelled => ['No class today', 'Because: '.($session->reason ?? 'cancelled').'. '.$next, ''],
            DoorReply::Replaced => ['This link was replaced', 'Your new link stands on your own page, on the course page and in your calendar.', ''],
            DoorReply::Shut => ['The door is shut', 'It is shown again when the teacher opens it. Look at the class stream.', ''],
            DoorReply::Expired => ['This pass is no longer good', 'Ask whoever invited you for a new one.', ''],
            DoorReply::NotYours => ['This is somebody else\'s link', 'A personal link lets in one person only: the account that was registered. Yours stands on your own page.', ''],
            DoorReply::NotOnRoster => ['This class is not one of yours', 'If it should be, ask your school to enrol you.', ''],
            DoorReply::RegisterFirst => ['You are not registered yet', 'You have to be registered for this class first. Where your class takes registrations, do it on its registration page; else ask your teacher.', ''],
            DoorReply::Waiting => ['Your registration is waiting', 'Somebody compares it with the roster. Come back later.', ''],
            DoorReply::Declined => ['You are not registered for this class', 'Your registration was declined. Ask your teacher why.', ''],
        };
    }

    /** `at 08:50 your time, 09:50 in Madrid`; another day is named first. */
    private function moment(int $at, Zone $zone, Zone $school, int $now): string
    {
        $day = $zone->dateAt($at);
        $date = $day->day === $zone->dateAt($now)->day ? '' : $day->short().' ';
        $differs = $zone->offsetAt($at) !== $school->offsetAt($at);

        return $date.'at '.$zone->clock($at).($differs ? ' your time, '.$school->clock($at).' in '.$school->place() : '');
    }

    /**
     * Now, the doors, the start and the end as stops on a line 354 wide.
     *
     * @return list<array{x: float, time: string, words: string, kind: string}>
     */
    private function stops(PlannedSession $session, int $opens, Zone $zone, int $now): array
    {
        $points = [[$opens, 'doors open', 'open'], [$session->start, 'starts', 'start'], [$session->end, 'over', 'end']];
        $x = [140.0, 232.0, 324.0];
        $nowX = match (true) {
            $now < $opens => max(24.0, 140.0 - max(44.0, min(112.0, ($opens - $now) / 60 * 1.2))),
            $now < $session->start => $x[0] + ($now - $opens) / max(1, $session->start - $opens) * 92,
            default => $x[1] + ($now - $session->start) / max(1, $session->end - $session->start) * 92,
        };
        // On another day the weekdays are named, so that nobody reads 09:50 as this morning's.
        $name = fn (int $at): string => $zone->dateAt($opens)->day === $zone->dateAt($now)->day ? '' : substr($zone->dateAt($at)->short(), 0, 4);
        $out = [['x' => round($nowX, 1), 'time' => $name($now).$zone->clock($now), 'words' => 'now', 'kind' => 'now']];
        foreach ($points as $i => [$at, $words, $kind]) {
            $out[] = ['x' => $x[$i], 'time' => $name($at).$zone->clock($at), 'words' => $words, 'kind' => $kind];
        }

        return $out;
    }

    /**
     * @param  list<PlannedSession>  $sessions
     * @return list<string> the sessions after this one, on the visitor's clock
     */
    private function next(array $sessions, DoorAnswer $answer, Zone $zone, int $now): array
    {
        $coming = array_filter($sessions, fn (PlannedSession $s): bool => $s->state === SessionState::Planned && $s->start > max($now, $answer->session->start ?? 0));

        return array_map(fn (PlannedSession $s): string => $zone->dateAt($s->start)->short().' '.$zone->clock($s->start), array_slice(array_values($coming), 0, 3));
    }
}
