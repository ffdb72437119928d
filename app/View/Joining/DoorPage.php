<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Illuminate\Support\Facades\URL;
use Nomada\App\Actions\Joining\AdmissionFacts;
use Nomada\App\Actions\Joining\DecideAdmission;
use Nomada\App\Actions\Joining\PassAt;
use Nomada\App\Actions\Joining\RoomLook;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Queries\Templates;
use Nomada\App\Support\AdmissionWords;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\App\View\Timetable\Teachers;
use Nomada\Core\Joining\AdmissionDecision;
use Nomada\Core\Joining\DoorReply;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\Visitor;
use Nomada\Core\Term\Zone;

/**
 * The page behind every link and code: what was decided for somebody at a moment, in words.
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

    public function __construct(private Clock $clock, private DecideAdmission $decide, private RoomLook $look)
    {
    }

    /** Where a page asks for the version: it starts no session, so its address says for whom, and is signed. */
    private static function lookAt(string $secret, ?Person $person): string
    {
        return URL::signedRoute(
            'door.look',
            array_filter(['secret' => $secret, 'person' => $person?->id, 'v' => $person?->links_version]),
        );
    }

    public function view(
        JoinLink|DropInRoom $link,
        string $secret,
        ?Person $person,
        PassAt $pass = new PassAt(),
    ): DoorView {
        $now = $this->clock->seconds();
        // Before the answer: what changes between the two is seen at the next look, rather than never.
        $version = $this->decide->version($link, $person?->id);
        $facts = $link instanceof DropInRoom ? null : AdmissionFacts::of($link->series_id, $person?->id, $now);
        $admission =
            $link instanceof DropInRoom || $facts === null
                ? ($this->decide)($link, $secret, $person)
                : $this->decide->atSeries($link, $person, $now, true, $facts, $pass);
        $answer = $admission->decision;
        $school = $admission->zone;
        $zone = $person?->zone() ?? $school;
        $words = new AdmissionWords($zone, $school, $now);
        $line = new DoorLine($zone, $now);
        // Anybody who has no part in it is told nothing of it.
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
            $answer->reply->opens() &&
                $this->look->at($admission->way, $admission->meeting, '')->recordingSince !== null,
            $line->stops($answer),
            $known
                ? $this->help(
                    $link,
                    $facts,
                    $answer,
                    $school,
                    $byPhone,
                    $line->next($facts?->theirs() ?? [], $answer),
                )
                : null,
            route('door.enter', $secret),
            $answer->reply === DoorReply::PassElsewhere ? route('door.ask', $secret) : null,
            $pass->asked,
            // Anybody who waits for something to change looks again on their own.
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
        ?AdmissionFacts $facts,
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
