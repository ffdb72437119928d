<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Belonging\Role;
use Nomada\Core\Interchange\Calendar\CalendarWriter;
use Nomada\Core\Interchange\Calendar\EventSeries;
use Nomada\Core\Interchange\Calendar\SharedEvent;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\PlannedSession;

/** A section's events: one a series, in the calendar of everybody who is part of it, and in the feeds. */
final class CalendarPlacements
{
    /**
     * One event a series, in the calendar of everybody who is part of it.
     *
     * @return list<Placement>
     */
    public static function events(SectionFacts $section): array
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
                $link = $reader->links[$series->id] ?? ($series->isHidden ? '' : $series->link);
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
            fn (PlannedSession $s): string => CommonFields::when($section, $s, $words).
                CommonFields::told($s, $words),
            $sessions,
        );
    }

    /** What everybody but students reads about their role. */
    private static function note(MembershipRole $role, PublishedWords $words): string
    {
        return $role === MembershipRole::Student ? '' : "\n".$words->phrases->say("roles.$role->value");
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
            fn (PlannedSession $s): array => [$s->start, $s->end, $s->slot(), CommonFields::told($s, $words)],
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
                    $series->isHidden,
                    $sessions,
                ],
                JSON_UNESCAPED_UNICODE,
            ),
        );
    }

    /**
     * The section's series as a calendar shows them to anybody who subscribes to its feed; of one person only those
     * sessions that are theirs.
     *
     * @param  bool  $withLinks  with the person's own links
     * @param  string|null  $language  of the person who reads it; the section's where null
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
                $own[$s->id] ?? ($s->isHidden ? '' : $s->link),
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
                $told = ltrim(CommonFields::told($s, $words), ': ,.');

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
            $link === '' && ! $series->isHidden ? '' : $description.$note,
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

    /** @return array{string, string} what is over an event, and what is in it but for a reader's own */
    public static function heading(
        SectionFacts $section,
        SeriesFacts $series,
        PublishedWords $words,
        string $link = '',
    ): array {
        $isHidden = $link === '';

        return $words->write(
            ShownText::CalendarEvent,
            CommonFields::named($section) + [
                'series' => self::summary($section, $series),
                'link' => $isHidden ? $words->phrases->say('hidden') : $link,
                'code' => $isHidden ? '' : CommonFields::code($words, $series->joinCode, $section),
                'phone' => $isHidden ? '' : CommonFields::phone($words, $series->dialIn, $series->pin),
                'doors' => CommonFields::doors($section, $words),
            ],
        );
    }

    /** What an event is called: the section, and the series where it is another thing. */
    private static function summary(SectionFacts $section, SeriesFacts $series): string
    {
        return $series->title === $section->title || count($section->series) === 1
            ? $section->title
            : "$section->title: $series->title";
    }
}
