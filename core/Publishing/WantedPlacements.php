<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Belonging\PartRole;
use Nomada\Core\Interchange\Calendar\CalendarWriter;
use Nomada\Core\Interchange\Calendar\EventSeries;
use Nomada\Core\Interchange\Calendar\SharedEvent;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;

/**
 * What ought to stand at every destination for one section. A pure function of the facts: no clock is asked, so nothing
 * becomes stale by the passing of time alone. The pinned place carries each session with the moment at which it gives
 * way to the next, and the course site shows the one whose turn it is.
 */
final class WantedPlacements
{
    /** @return list<Placement> in the order in which they are carried out */
    public static function of(SectionFacts $section): array
    {
        return array_merge(
            self::at(Place::CoursePage, $section),
            self::at(Place::Calendar, $section),
            self::at(Place::ClassStream, $section),
        );
    }

    /** @return list<Placement> of one place, in the order in which they are carried out */
    public static function at(Place $place, SectionFacts $section): array
    {
        $series = array_values(array_filter($section->series, fn (SeriesFacts $s): bool => $s->sessions !== []));
        if ($series === []) {
            return $place === Place::CoursePage ? self::rooms($section) : [];
        }
        $section = $section->withSeries($series);

        return match ($place) {
            Place::CoursePage => [self::pinned($section), ...self::rooms($section), ...self::weeks($section)],
            Place::Calendar => self::events($section),
            Place::ClassStream => [self::opening($section), ...self::tellings($section)],
        };
    }

    /**
     * The drop-in rooms, beside the pinned place.
     *
     * @return list<Placement>
     */
    private static function rooms(SectionFacts $section): array
    {
        return array_map(
            fn (DropInFacts $room): Placement => new Placement(
                Place::CoursePage,
                "$section->id/drop-in-$room->id",
                "Drop-in room: $room->name",
                [
                    'title' => $room->name,
                    'open' => $room->hours->words($section->words()->phrases).' '.$room->place,
                    'link' => $room->link,
                    'code' => self::code($section->words(), $room->joinCode, $section),
                    'phone' => self::phone($section->words(), $room->dialIn, $room->pin),
                ],
                language: $section->showing->language,
            ),
            $section->rooms,
        );
    }

    private static function pinned(SectionFacts $section): Placement
    {
        $words = $section->words();
        $turns = [];
        foreach (self::dated($section) as [$series, $session]) {
            $turns[] = gmdate('Y-m-d\TH:i:s\Z', $session->end).' '.self::line($section, $series, $session);
        }
        [$title, $text] = $words->write(
            ShownText::CourseNext,
            self::named($section) + ['meets' => self::meets($section), 'doors' => self::doors($section, $words)],
        );
        $fields =
            ['title' => $title] +
            ($text === '' ? [] : ['text' => $text]) + [
                'meets' => self::meets($section),
                'doors' => self::doors($section, $words),
            ] +
            self::ways($section) +
            ($section->showing->amount === Amount::Nothing ? [] : ['sessions' => $turns]) +
            self::materials($section, null) +
            $section->showing->ofNext();

        return new Placement(
            Place::CoursePage,
            "$section->id/pinned",
            'Pinned: next session',
            $fields,
            of: self::titles($section),
            language: $section->showing->language,
        );
    }

    /**
     * One item a week, in that week's block.
     *
     * @return list<Placement>
     */
    private static function weeks(SectionFacts $section): array
    {
        $weeks = $recordings = $open = [];
        // A cancelled session is still told of where students look for it, with its reason.
        foreach (self::dated($section, true) as [$series, $session]) {
            $week = $section->term->weekOf($session->day);
            // Once a session's recording is released it takes the place of the join link.
            $recording = $series->recordings[$session->start] ?? null;
            if ($recording !== null) {
                $recordings[$week][] = self::when($section, $session, $section->words())." $recording";
            } elseif ($session->state === SessionState::Planned) {
                $open[$week][$series->id] = true;
            }
            $weeks[$week][] = self::line($section, $series, $session);
        }
        ksort($weeks);
        $out = [];
        foreach ($weeks as $week => $lines) {
            [$title, $text] = $section
                ->words()
                ->write(ShownText::CourseWeek, self::named($section) + ['week' => (string) $week]);
            $fields =
                ['title' => $title] +
                ($text === '' ? [] : ['text' => $text]) + [
                    'week' => (string) $week,
                    'begins' => $section->term->monday($week)->iso(),
                ] +
                ($section->showing->amount === Amount::Nothing ? [] : ['sessions' => $lines]);
            if (isset($recordings[$week])) {
                $fields['recordings'] = $recordings[$week];
            }
            foreach ($section->series as $series) {
                if (isset($open[$week][$series->id]) || ! isset($recordings[$week])) {
                    $fields[self::field($section, $series, 'link')] = $series->hiddenOutside
                        ? $section->words()->phrases->say('hidden')
                        : $series->link;
                }
            }
            $fields += self::materials($section, $week) + $section->showing->ofWeek($section->term, $week);
            $out[] = new Placement(
                Place::CoursePage,
                "$section->id/week-$week",
                "Week $week",
                $fields,
                of: self::titles($section),
                language: $section->showing->language,
            );
        }

        return $out;
    }

    /**
     * The field of what students need in a week, or all the time; none where they need nothing.
     *
     * @param  int|null  $week  null for what is for the whole section
     * @return array<string, list<string>>
     */
    private static function materials(SectionFacts $section, ?int $week): array
    {
        $own = array_filter(
            $section->materials,
            fn (MaterialFacts $m): bool => $week === null
                ? $m->day === null
                : $m->day !== null && $section->term->weekOf($m->day) === $week,
        );

        return $own === []
            ? []
            : [
                'materials' => array_values(
                    array_map(fn (MaterialFacts $m): string => $m->line($section->words()->phrases), $own),
                ),
            ];
    }

    /** What a week's item says of one session; a cancelled one with its reason, where all is shown. */
    public static function line(SectionFacts $section, SeriesFacts $series, PlannedSession $session): string
    {
        $words = $section->words();
        $isAll = $section->showing->amount === Amount::All;
        $line =
            self::when($section, $session, $words).
            ($isAll ? self::told($session, $words) : '').
            (count($section->series) > 1 ? " · $series->title" : '');

        return match (true) {
            $session->state !== SessionState::Cancelled => $line,
            $isAll => $line.$words->phrases->say('own.cancelled', ['reason' => (string) $session->reason]),
            default => $line.$words->phrases->say('own.is_cancelled'),
        };
    }

    /**
     * One event a series, in the calendar of everybody who is part of it.
     *
     * @return list<Placement>
     */
    private static function events(SectionFacts $section): array
    {
        $out = [];
        foreach ($section->series as $series) {
            // Most readers share what is said: it is made once a language.
            $said = [];
            foreach ($section->readers as $reader) {
                $own = isset($series->elsewhere[$reader->person]) ? [] : $series->sessionsOf($reader->person);
                if ($own === []) {
                    continue;
                }
                $words = $section->words($reader->language);
                $language = $words->phrases->language;
                $said[$language] ??= [
                    'event' => self::heading($section, $series, $words)[0],
                    'time' => $series->meets($words->phrases),
                    'sessions' => self::dates($section, $series->sessions, $words),
                    'essence' => self::essence($section, $series, $words),
                    'object' => new SharedEvent(
                        fn (string $link, string $note): string => CalendarWriter::write([
                            self::event($section, $series, $words, $link, $note, $series->sessions),
                        ]),
                    ),
                ];
                $common = $said[$language];
                $isAll = count($own) === count($series->sessions);
                $link = $reader->links[$series->id] ?? ($series->hiddenOutside ? '' : $series->link);
                $note = self::note($reader->role, $words);
                $out[] = new Placement(
                    Place::Calendar,
                    "$reader->person/$series->uid",
                    $reader->name,
                    [
                        'event' => $common['event'],
                        'time' => $common['time'],
                        'sessions' => $isAll ? $common['sessions'] : self::dates($section, $own, $words),
                        'link' => $link === '' ? $words->phrases->say('hidden') : $link,
                    ],
                    $isAll
                        ? fn (): string => $common['object']->for($link, $note)
                        : fn (): string => CalendarWriter::write([
                            self::event($section, $series, $words, $link, $note, $own),
                        ]),
                    $reader->person,
                    ($isAll ? $common['essence'] : self::essence($section, $series, $words, $own))." $note",
                    language: $language,
                );
            }
        }

        return $out;
    }

    /**
     * @param  list<PlannedSession>  $sessions
     * @return list<string>
     */
    private static function dates(SectionFacts $section, array $sessions, PublishedWords $words): array
    {
        return array_map(
            fn (PlannedSession $s): string => self::when($section, $s, $words).self::told($s, $words),
            $sessions,
        );
    }

    /** What whoever is no student reads of their part. */
    private static function note(string $role, PublishedWords $words): string
    {
        return PartRole::from($role) === PartRole::Student ? '' : "\n".$words->phrases->say("roles.$role");
    }

    /**
     * What the event of a series is made of, but for the reader's own link and role.
     *
     * @param  list<PlannedSession>|null  $own  the reader's sessions, where they are not all
     */
    private static function essence(
        SectionFacts $section,
        SeriesFacts $series,
        PublishedWords $words,
        ?array $own = null,
    ): string {
        $sessions = array_map(
            fn (PlannedSession $s): array => [$s->start, $s->end, $s->slot(), self::told($s, $words)],
            $own ?? $series->sessions,
        );

        return hash(
            'sha256',
            (string) json_encode(
                [
                    CalendarWriter::PRODUCT,
                    $section->id,
                    $section->teacher,
                    $section->school,
                    $words->print,
                    $section->door->opensBefore,
                    $section->joinPage,
                    $series->uid,
                    $series->sequence,
                    $series->changedAt,
                    $series->plan->zone->name,
                    $series->plan->startMinute,
                    $series->plan->minutes,
                    $series->plan->pattern->rule(),
                    $series->joinCode,
                    $series->dialIn,
                    $series->pin,
                    $series->hiddenOutside,
                    $sessions,
                ],
                JSON_UNESCAPED_UNICODE,
            ),
        );
    }

    private static function opening(SectionFacts $section): Placement
    {
        $words = $section->words();
        $common = ['meets' => self::meets($section), 'doors' => self::doors($section, $words)];
        [$title, $text] = $words->write(ShownText::StreamOpening, self::named($section) + $common);

        return new Placement(
            Place::ClassStream,
            "$section->id/opening",
            'Opening post',
            ['title' => $title] +
                $common +
                self::ways($section) +
                ($text === '' ? [] : ['text' => $text]) +
                $section->showing->ofPost(),
            of: self::titles($section),
            language: $section->showing->language,
        );
    }

    /**
     * A post each time that changes were told; on the school's clock.
     *
     * @return list<Placement>
     */
    private static function tellings(SectionFacts $section): array
    {
        $zone = $section->term->zone;
        $words = $section->words();
        [$title, $text] = $words->write(ShownText::StreamChanged, self::named($section));
        $changes = new ChangeWords($words->phrases);

        return array_map(
            fn (TellingFacts $t): Placement => new Placement(
                Place::ClassStream,
                "$section->id/change-$t->id",
                'Changes, post '.$t->id,
                ['title' => $title] +
                    ($text === '' ? [] : ['text' => $text]) + [
                        'changes' => $changes->lines($t->changes, $zone, count($section->series) > 1),
                        'clock' => $zone->place(),
                    ] +
                    $section->showing->ofPost(),
                language: $section->showing->language,
            ),
            $section->tellings,
        );
    }

    /**
     * How a text reads for a section, in given words; an event's is the section's own, by the link of its series.
     *
     * @return array{string, string} what stands over it, and the text
     */
    public static function written(SectionFacts $section, ShownText $text, PublishedWords $words): array
    {
        $series = $section->series[0] ?? null;
        if ($text === ShownText::CalendarEvent) {
            return $series === null ? ['', ''] : self::heading($section, $series, $words, $series->link);
        }

        return $words->write(
            $text,
            self::named($section) + [
                'meets' => $series === null
                        ? ''
                        : "{$words->phrases->this($series->plan->said())} {$series->plan->zone->place()}",
                'doors' => self::doors($section, $words),
                'week' => $series === null ? '' : (string) $section->term->weekOf($series->sessions[0]->day),
            ],
        );
    }

    /**
     * The section's series as a calendar shows them to anybody who subscribes to its feed; of one person only those
     * sessions that are theirs.
     *
     * @param  bool  $withLinks  with the person's own links
     * @param  string|null  $language  of whoever reads it; the section's where null
     * @return list<EventSeries>
     */
    public static function feed(
        SectionFacts $section,
        ?string $person = null,
        bool $withLinks = true,
        ?string $language = null,
    ): array {
        $own = [];
        foreach ($section->readers as $reader) {
            $own = $withLinks && $reader->person === $person ? $reader->links : $own;
        }

        return array_map(
            fn (SeriesFacts $s): EventSeries => self::event(
                $section,
                $s,
                $section->words($language),
                $own[$s->id] ?? ($s->hiddenOutside ? '' : $s->link),
                sessions: $person === null ? null : $s->sessionsOf($person),
            ),
            $section->series,
        );
    }

    /** @param  list<PlannedSession>|null  $sessions  of one reader; all where null */
    private static function event(
        SectionFacts $section,
        SeriesFacts $series,
        PublishedWords $words,
        string $link,
        string $note = '',
        ?array $sessions = null,
    ): EventSeries {
        $sessions ??= $series->forAll();
        $topics = array_filter(
            array_map(function (PlannedSession $s) use ($words): string {
                $told = ltrim(self::told($s, $words), ': ,.');

                return $told === '' ? '' : $words->phrases->day(new LocalDate($s->day)).": $told";
            }, $sessions),
        );
        $note .= $topics === [] ? '' : "\n".implode("\n", $topics);
        [$summary, $description] = self::heading($section, $series, $words, $link);

        return new EventSeries(
            $series->uid,
            $series->sequence,
            $series->changedAt,
            $summary,
            $link === '' && ! $series->hiddenOutside ? '' : $description.$note,
            $link,
            $series->plan->zone,
            $series->plan->startMinute,
            $series->plan->minutes,
            $series->plan->pattern->rule(),
            $sessions,
            $section->id,
            $words->phrases->say('come_in'),
        );
    }

    /** @return array<string, string> link, code and phone of each series */
    private static function ways(SectionFacts $section): array
    {
        $words = $section->words();
        $out = [];
        foreach ($section->series as $series) {
            if ($series->hiddenOutside) {
                $out[self::field($section, $series, 'link')] = $words->phrases->say('hidden');

                continue;
            }
            $out[self::field($section, $series, 'link')] = $series->link;
            $out[self::field($section, $series, 'code')] = self::code($words, $series->joinCode, $section);
            $out[self::field($section, $series, 'phone')] = self::phone($words, $series->dialIn, $series->pin);
        }

        return $out;
    }

    /** @return array<int, string> by series */
    private static function titles(SectionFacts $section): array
    {
        return array_column($section->series, 'title', 'id');
    }

    /** The field's code; of one of several series with its id, whose title a reader sees. */
    private static function field(SectionFacts $section, SeriesFacts $series, string $field): string
    {
        return count($section->series) > 1 ? "$field $series->id" : $field;
    }

    /** @return array<string, string> what any template may name */
    private static function named(SectionFacts $section): array
    {
        return ['class' => $section->title, 'teacher' => $section->teacher, 'school' => $section->school];
    }

    private static function meets(SectionFacts $section): string
    {
        $phrases = $section->words()->phrases;

        return implode(
            '; ',
            array_map(
                fn (SeriesFacts $s): string => $s->meets($phrases).
                    (count($section->series) > 1 ? " ($s->title)" : ''),
                $section->series,
            ),
        );
    }

    private static function doors(SectionFacts $section, PublishedWords $words): string
    {
        return $words->phrases->say('doors', ['minutes' => $section->door->opensBefore]);
    }

    private static function code(PublishedWords $words, string $code, SectionFacts $section): string
    {
        return $words->phrases->say('code', ['code' => JoinCode::show($code), 'address' => $section->joinPage]);
    }

    private static function phone(PublishedWords $words, string $number, string $pin): string
    {
        return $words->phrases->say('phone', ['number' => $number, 'pin' => $pin]);
    }

    /** @return array{string, string} what stands over an event, and what stands in it but for a reader's own */
    private static function heading(
        SectionFacts $section,
        SeriesFacts $series,
        PublishedWords $words,
        string $link = '',
    ): array {
        $isHidden = $link === '';

        return $words->write(
            ShownText::CalendarEvent,
            self::named($section) + [
                'series' => self::summary($section, $series),
                'link' => $isHidden ? $words->phrases->say('hidden') : $link,
                'code' => $isHidden ? '' : self::code($words, $series->joinCode, $section),
                'phone' => $isHidden ? '' : self::phone($words, $series->dialIn, $series->pin),
                'doors' => self::doors($section, $words),
            ],
        );
    }

    private static function summary(SectionFacts $section, SeriesFacts $series): string
    {
        return $series->title === $section->title || count($section->series) === 1
            ? $section->title
            : "$section->title: $series->title";
    }

    /** ": Tides, with N. Haddad": what one session has of its own. */
    private static function told(PlannedSession $session, PublishedWords $words): string
    {
        $own = $session->own;
        if ($own === null) {
            return '';
        }
        $phrases = $words->phrases;
        $say = fn (string $code, ?string $value): string => $value === null
            ? ''
            : $phrases->say("own.$code", [$code => $value]);

        return $say('title', $own->title ?? $own->topic).
            $say('teacher', $own->teacherName).
            ($session->isForAll() ? '' : $phrases->say('own.chosen')).
            ($own->makesUp === null
                ? ''
                : $phrases->say('own.makes_up', ['day' => $phrases->day(new LocalDate($own->makesUp))])).
            $say('note', $own->note);
    }

    private static function when(SectionFacts $section, PlannedSession $session, PublishedWords $words): string
    {
        $zone = $section->term->zone;

        return $words->phrases->day(new LocalDate($zone->wall($session->start)[0])).
            ', '.
            $zone->clock($session->start).
            '–'.
            $zone->clock($session->end).
            ' '.
            $zone->place();
    }

    /**
     * Every session of every series, in the order of time.
     *
     * @return list<array{SeriesFacts, PlannedSession}>
     */
    private static function dated(SectionFacts $section, bool $withCancelled = false): array
    {
        $out = [];
        foreach ($section->series as $series) {
            foreach ($series->forAll($withCancelled) as $session) {
                $out[] = [$series, $session];
            }
        }
        usort($out, fn (array $a, array $b): int => [$a[1]->start, $a[0]->id] <=> [$b[1]->start, $b[0]->id]);

        return $out;
    }
}
