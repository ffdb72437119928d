<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Enrolment;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Joining\Door;
use Nomada\Core\Joining\DoorAnswer;
use Nomada\Core\Joining\DoorReply;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\Visitor;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;

/** The page behind every link and code: the door's answer in words, on the visitor's own clock. */
final readonly class DoorPage
{
    public function __construct(private Clock $clock)
    {
    }

    public function link(string $secret): JoinLink
    {
        return JoinLink::query()->withSecret($secret)->with(['series.section.term.school', 'series.section.term.closures', 'series.sessions'])->firstOrFail();
    }

    /** @throws Fault where the code is mistyped or nobody's */
    public function secretOf(string $typed): string
    {
        $code = JoinCode::read($typed) ?? throw new Fault('This join code has a slip in it. Compare it character by character; there are no vowels in it.', 'code');

        return JoinLink::query()->inForce()->where('join_code', $code)->first()->secret ?? throw new Fault('No class has this join code. Look it up on the course page again.', 'code');
    }

    /** @return array{link: JoinLink, answer: DoorAnswer, zone: Zone, school: Zone, now: int, words: array{string, string, string}, known: bool, stops: list<array{x: float, time: string, words: string, kind: string}>, next: list<string>, phone: string|null, pin: string|null, code: string|null, teacher: string} */
    public function data(JoinLink $link, Person $person): array
    {
        $series = $link->series;
        $school = $series->section->term->calendar()->zone;
        $now = $this->clock->seconds();
        $roles = Enrolment::query()->where('section_id', $series->section_id)->where('person_id', $person->id)->pluck('role')->all();
        $visitor = new Visitor($person->id, array_intersect($roles, ['teacher', 'co-teacher']) !== [], in_array('student', $roles, true),
            $series->registrations()->where('person_id', $person->id)->value('state'));
        $sessions = array_values($series->sessions->map(fn (Session $s): PlannedSession => $s->toCore())->all());
        $answer = (new Door)->answer($link->kind, $link->person_id, $link->retired_at !== null, $link->is_hidden, $sessions, $visitor, $school, $now);
        $known = $answer->session !== null || $answer->next !== null || in_array($answer->reply, [DoorReply::Over, DoorReply::RegisterFirst], true);
        $zone = $person->zone();
        $shown = $link->kind === LinkKind::Series ? $link : ($known ? JoinLink::query()->inForce()->where('series_id', $series->id)->where('kind', LinkKind::Series)->first() : null);
        $teacher = $known ? Enrolment::query()->where('section_id', $series->section_id)->where('role', 'teacher')->orderByDesc('is_primary')->with('person')->first()?->person->shortName() : null;

        return [
            'link' => $link, 'answer' => $answer, 'zone' => $zone, 'school' => $school, 'now' => $now, 'words' => $this->words($answer, $zone, $school, $now), 'known' => $known,
            'stops' => $answer->session === null || $answer->opensAt === null || ! in_array($answer->reply, [DoorReply::TooEarly, DoorReply::ComeIn], true) ? [] : $this->stops($answer->session, $answer->opensAt, $zone, $now),
            'next' => $known ? $this->next($sessions, $answer, $zone, $now) : [], 'phone' => $known ? $shown?->dial_in : null, 'pin' => $known ? $shown?->pin : null,
            'code' => $known && $shown?->join_code !== null ? JoinCode::show($shown->join_code) : null, 'teacher' => (string) $teacher,
        ];
    }

    /** @return array{string, string, string} what it is, what follows, what the button says */
    private function words(DoorAnswer $answer, Zone $zone, Zone $school, int $now): array
    {
        $opens = $answer->opensAt === null ? '' : $this->moment($answer->opensAt, $zone, $school, $now);
        $next = $answer->next === null ? 'There is no further session this term.' : 'The next one is '.$this->moment($answer->next->start, $zone, $school, $now).'.';

        return match ($answer->reply) {
            DoorReply::ComeIn => ['Come in', $answer->session !== null && $answer->session->start > $now ? 'It starts '.$this->moment($answer->session->start, $zone, $school, $now).'.' : 'It has begun; come in now.', 'Come in'],
            DoorReply::TooEarly => ['You are early', "The doors open $opens.", 'Come in at '.($answer->opensAt === null ? '' : $zone->clock($answer->opensAt))],
            DoorReply::Over => ['This one is over', $next, ''],
            DoorReply::Cancelled => ['No class today', 'Because: '.($answer->session->reason ?? 'cancelled').'. '.$next, ''],
            DoorReply::Replaced => ['This link was replaced', 'Your new link stands on your own page, on the course page and in your calendar.', ''],
            DoorReply::Hidden => ['The door is shut', 'It is shown again when the teacher opens it. Look at the class stream.', ''],
            DoorReply::NotYours => ['This is somebody else\'s link', 'A personal link lets in one person only. Yours stands on your own page.', ''],
            DoorReply::NotOnRoster => ['This class is not one of yours', 'If it should be, ask your school to enrol you.', ''],
            DoorReply::RegisterFirst => ['You are not registered yet', 'Your school has to register you for this class first. Ask your teacher.', ''],
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
