<?php

declare(strict_types=1);

namespace Nomada\App\Post;

use Illuminate\Support\Facades\DB;
use LogicException;
use Nomada\App\Destinations\Places;
use Nomada\App\Models\Account\AccountPass;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Presence\Recording;
use Nomada\App\Models\Registration\Letter;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\School;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\Belongings;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\App\Queries\Templates;
use Nomada\App\Support\Clock;
use Nomada\Core\Interchange\Calendar\CalendarWriter;
use Nomada\Core\Interchange\Calendar\EventSeries;
use Nomada\Core\Interchange\Calendar\Invitee;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Language\Phrases;
use Nomada\Core\Post\LetterKind;
use Nomada\Core\Post\Template;
use Nomada\Core\Publishing\CalendarPlacements;
use Nomada\Core\Publishing\ChangeWords;
use Nomada\Core\Publishing\SessionChange;
use Nomada\Core\Registration\RegistrationState;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\SessionState;

/**
 * Writes a letter as it is true at the moment when it goes: the link in force, the sessions ahead on the reader's
 * clock, the timetable attached.
 */
final readonly class LetterWriter
{
    public function __construct(private Clock $clock, private SectionFactsQuery $facts)
    {
    }

    /** Null where what it would say is not true any more. */
    public function write(Letter $letter): ?LetterMail
    {
        $registration =
            $letter->registration_id === null ? null : Registration::query()->find($letter->registration_id);
        if (
            in_array($letter->kind, [LetterKind::Accepted, LetterKind::Guardian, LetterKind::Declined], true) &&
            $registration?->state !==
                ($letter->kind === LetterKind::Declined ? RegistrationState::Declined : RegistrationState::Accepted)
        ) {
            return null;
        }
        // Anybody who has stopped such letters meanwhile gets none.
        if ($letter->kind->mayBeStopped() && $letter->person?->letters_stopped_at !== null) {
            return null;
        }
        if ($letter->kind->isOfAccount()) {
            return $this->account($letter);
        }
        if ($letter->kind->isOfAbsence()) {
            return $this->absence($letter);
        }
        if ($letter->kind === LetterKind::Cancelled) {
            return $this->cancelled($letter);
        }
        if ($letter->kind === LetterKind::Reminder) {
            return $this->reminder($letter);
        }
        $letter->load(['series.section.term.school', 'series.section.term.closures', 'series.sessions', 'person']);
        $pass = isset($letter->values['pass'])
            ? JoinLink::query()->inForce()->find((int) $letter->values['pass'])
            : null;
        $series = $letter->series ?? throw new LogicException('A letter of no series');
        $link =
            $letter->kind === LetterKind::Guest
                ? $pass
                : $this->own($letter, $letter->kind === LetterKind::Teacher ? LinkKind::Host : LinkKind::Personal);
        if ($letter->kind->needs() === ['link'] && $link === null) {
            return null;
        }
        $section = $series->section;
        $school = $section->term->school;
        $phone = $this->own($letter, LinkKind::Series);
        [$subject, $text] = $this->template($letter)->write(
            $letter->values + [
                'name' => $letter->to_name,
                'class' => $section->name(),
                'school' => $school->name,
                'when' => $this->when(
                    $letter,
                    $series,
                    $registration,
                    $registration?->only_day === null
                        ? array_filter([$pass?->onlyDay()])
                        : $registration->daysAlike(),
                ),
                'link' => (string) $link?->address(),
                'phone' => $phone === null
                        ? $this->say($letter, 'no_phone')
                        : $this->phrases($letter)->say('phone', [
                            'number' => (string) $phone->dial_in,
                            'pin' => (string) $phone->pin,
                        ]),
                'page' => route('register', $letter->series_id),
                'child' => '',
                'change' => $this->changes($letter, $series),
                'until' => $pass?->endsAt() === null
                        ? ''
                        : $this->phrases($letter)->day(
                            $section->term->calendar()->zone->dateAt((int) $pass->endsAt() - 1),
                        ),
            ],
        );

        return new LetterMail(
            $letter,
            $subject,
            $text,
            $school->name,
            $this->calendar($letter, $series, $registration),
        );
    }

    /** Null where the link has been used, or has ended. */
    private function account(Letter $letter): ?LetterMail
    {
        $pass = AccountPass::query()->with('person')->find((int) ($letter->values['account'] ?? 0));
        if ($pass === null || ! $pass->isOpen()) {
            return null;
        }
        $person = $pass->person;
        $school = (string) School::query()->orderBy('id')->value('name');
        $until = (int) $pass->expires_at->timestamp;
        [$subject, $text] = $this->template($letter)->write([
            'name' => $letter->to_name,
            'school' => $school,
            'link' => $pass->address(),
            'until' => $this->at($letter, $person->zone(), $until),
            'sign_in' => $person->signsInBy(),
        ]);

        return new LetterMail($letter, $subject, $text, $school, null);
    }

    /** What a child missed, has not come to, or can see now; on the reader's clock. */
    private function absence(Letter $letter): ?LetterMail
    {
        $student = Person::query()->find((int) ($letter->values['student'] ?? 0));
        $reader = $letter->person;
        $sessions = Session::query()
            ->whereIn('id', $letter->sessions())
            ->with('series.section.term.school')
            ->orderBy('starts_at')
            ->get();
        $first = $sessions->first();
        if ($student === null || $reader === null || $first === null) {
            return null;
        }
        $recording = Recording::query()->find((int) ($letter->values['recording'] ?? 0));
        if (
            $letter->kind === LetterKind::Recording &&
            ($recording === null || ! $recording->isReleasedTo($student))
        ) {
            return null;
        }
        $zone = $reader->zone();
        $at = fn (Session $s): string => $this->at($letter, $zone, (int) $s->starts_at->timestamp);
        $released = DB::table('recordings')
            ->whereIn('session_id', $sessions->modelKeys())
            ->where('state', 'released')
            ->pluck('id', 'session_id');
        $school = $first->series->section->term->school->name;
        [$subject, $text] = $this->template($letter)->write([
            'name' => $letter->to_name,
            'child' => $student->name(),
            'school' => $school,
            'class' => $first->series->section->name(),
            'when' => $at($first),
            'missed' => $sessions
                ->map(function (Session $s) use ($at, $released, $letter): string {
                    $topic = $s->title ?? $s->topic;

                    return "{$s->series->section->name()}, {$at($s)}".
                        ($topic === null ? '' : ": $topic").
                        (isset($released[$s->id]) ? $this->say($letter, 'recorded') : '');
                })
                ->implode("\n"),
            'page' => match (true) {
                ! $reader->is($student) => $reader->childrenPage(),
                $recording === null => route('me'),
                default => route('recording', $recording->id),
            },
        ]);

        return new LetterMail($letter, $subject, $text, $school, null);
    }

    /** What was told, on the reader's clock. */
    private function changes(Letter $letter, Series $series): string
    {
        $told = DB::table('announcements')->find((int) ($letter->values['telling'] ?? 0));
        $zone = $letter->person?->zone() ?? $series->section->term->calendar()->zone;
        $changes = array_map(SessionChange::from(...), (array) json_decode($told->changes ?? '[]', true));

        return implode("\n", (new ChangeWords($this->phrases($letter)))->lines(array_values($changes), $zone));
    }

    /** Null where all of them have begun, or are not held any more. */
    private function reminder(Letter $letter): ?LetterMail
    {
        $reader = $letter->person;
        $sessions = Session::query()
            ->whereIn('id', $letter->sessions())
            ->where('state', SessionState::Planned)
            ->with('series.section.term.school')
            ->orderBy('starts_at')
            ->get()
            ->filter(fn (Session $s): bool => (int) $s->starts_at->timestamp > $this->clock->seconds());
        $first = $sessions->first();
        if ($reader === null || $first === null) {
            return null;
        }
        $zone = $reader->zone();
        $lines = $sessions->map(
            fn (Session $s): string => $s->series->section->name().
                ', '.
                $this->at($letter, $zone, (int) $s->starts_at->timestamp).
                '–'.
                $zone->clock((int) $s->ends_at->timestamp),
        );
        $school = $first->series->section->term->school->name;
        [$subject, $text] = $this->template($letter)->write([
            'name' => $letter->to_name,
            'school' => $school,
            'sessions' => $lines->implode("\n"),
            'page' => route('me'),
        ]);

        // A subject has one line.
        return new LetterMail($letter, strtok($subject, "\n") ?: $subject, $text, $school, null);
    }

    /** In the language of the person who gets it; a guest's is not known, and is the school's. */
    private function template(Letter $letter): Template
    {
        return Templates::of($letter->kind, Templates::languageOf($letter->person));
    }

    private function phrases(Letter $letter): Phrases
    {
        return Templates::phrases(Templates::languageOf($letter->person));
    }

    /** "Thu 18 Feb 09:00", in the letter's language. */
    private function at(Letter $letter, Zone $zone, int $instant): string
    {
        return $this->phrases($letter)->day($zone->dateAt($instant)).' '.$zone->clock($instant);
    }

    /** @param  array<string, string>  $with */
    private function say(Letter $letter, string $part, array $with = []): string
    {
        return (string) __("letters.parts.$part", $with, Templates::languageOf($letter->person));
    }

    private function own(Letter $letter, LinkKind $kind): ?JoinLink
    {
        return JoinLink::query()
            ->inForce()
            ->where('series_id', $letter->series_id)
            ->where('kind', $kind)
            ->when($kind === LinkKind::Personal, fn ($q) => $q->where('person_id', $letter->person_id))
            ->first();
    }

    /** @param  array<string>  $days  ISO; of those that it is about, none where it is about all */
    private function when(Letter $letter, Series $series, ?Registration $registration, array $days): string
    {
        $whose = $letter->kind === LetterKind::Guardian ? $registration?->person_id : $letter->person_id;
        $belonging = $whose === null ? null : Belongings::of($whose, $series->sectionIds());
        $isTheirs = fn (Session $s): bool => $belonging === null ||
            ! $belonging->isAny() ||
            $belonging->on(LocalDate::parse($s->day)->day, $s->teacher_id, $s->chosen)->isTheirs();
        $zone = $letter->person?->zone() ?? $series->section->term->calendar()->zone;
        $ahead = $series->sessions
            ->filter(
                fn (Session $s): bool => $s->state === SessionState::Planned &&
                    (int) $s->ends_at->timestamp > $this->clock->seconds() &&
                    ($days === [] || in_array($s->day, $days, true)) &&
                    $isTheirs($s),
            )
            ->take(max(3, count($days)));

        return $ahead->isEmpty()
            ? $this->say($letter, 'none_left')
            : $this->say($letter, 'when', [
                'sessions' => $ahead
                    ->map(
                        fn (Session $s): string => $this->at($letter, $zone, (int) $s->starts_at->timestamp).
                            '–'.
                            $zone->clock((int) $s->ends_at->timestamp),
                    )
                    ->implode('; '),
                'place' => $zone->place(Templates::languageOf($letter->person)),
            ]);
    }

    /** The timetable as an iTIP message; null where the letter is of no timetable. */
    private function calendar(Letter $letter, Series $series, ?Registration $registration): ?string
    {
        if (! $letter->kind->bringsSessions()) {
            return null;
        }
        // Where the calendar server invites, a second invitation by letter would be one too many.
        if ($letter->kind !== LetterKind::Guardian && app(Places::class)->invites()) {
            return null;
        }
        // A guardian's has the child's sessions.
        $student = $letter->kind === LetterKind::Guardian ? $registration?->person : null;
        $facts = $this->facts->for([$series->section_id], true)[$series->section_id];
        // Guardians get no link of the child's; everybody else has their own in it.
        $events = array_filter(
            CalendarPlacements::feed(
                $facts,
                ($student ?? $letter->person)?->sourced_id,
                $student === null,
                Templates::languageOf($letter->person),
            ),
            fn (EventSeries $e): bool => $e->uid === $series->uid,
        );
        // Under the calendar's own UID and with all of their sessions, so that the two are one event there.
        $isGuardian = $letter->kind === LetterKind::Guardian;
        $events = array_map(
            fn (EventSeries $e): EventSeries => $isGuardian ? $e->withoutLink() : $e,
            array_values($events),
        );

        return CalendarWriter::invite(
            $events,
            new Invitee(
                $series->section->term->school->name,
                (string) config('mail.from.address'),
                $letter->to_name,
                $letter->to_address,
            ),
        );
    }

    /** Of a series that was deleted, from what the history has kept; null where it was put back since. */
    private function cancelled(Letter $letter): ?LetterMail
    {
        $change = SeriesChange::query()->find((int) ($letter->values['gone'] ?? 0));
        $row = $change->before['series'][0] ?? null;
        $section =
            $change === null
                ? null
                : Section::query()
                    ->with(['term.school', 'term.closures'])
                    ->find($change->section_id);
        if (
            $change === null ||
            $row === null ||
            $section === null ||
            Series::query()->whereKey($change->series_id)->exists()
        ) {
            return null;
        }
        $series = (new Series())->newFromBuilder($row);
        $sessions = [];
        foreach ($change->before['sessions'] ?? [] as $one) {
            $session = Session::core(
                $one,
                (int) strtotime((string) $one['starts_at']),
                (int) strtotime((string) $one['ends_at']),
            );
            if ($session->state === SessionState::Planned) {
                $sessions[$session->start] = $session;
            }
        }
        ksort($sessions);
        $plan = $series->plan();
        $event = new EventSeries(
            $series->uid,
            $series->sequence + 1,
            (int) $change->at->timestamp,
            $section->name(),
            '',
            '',
            $plan->zone,
            $plan->startMinute,
            $plan->minutes,
            $plan->pattern->rule(),
            array_values($sessions),
            $section->sourced_id,
        );
        $school = $section->term->school->name;
        [$subject, $text] = $this->template($letter)->write(
            $letter->values + [
                'name' => $letter->to_name,
                'class' => $section->name(),
                'school' => $school,
                'title' => $series->title,
            ],
        );

        return new LetterMail(
            $letter,
            $subject,
            $text,
            $school,
            CalendarWriter::invite(
                [$event],
                new Invitee(
                    $school,
                    (string) config('mail.from.address'),
                    $letter->to_name,
                    $letter->to_address,
                    true,
                ),
            ),
            'CANCEL',
        );
    }
}
