<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Belonging\PartRole;
use Nomada\Core\Interchange\Calendar\CalendarWriter;
use Nomada\Core\Interchange\Calendar\EventSeries;
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
    /** Where a link would stand that is hidden outside the door's hours. */
    private const HIDDEN = 'on your own page, while the doors are open';

    /** @return list<Placement> in the order in which they are carried out */
    public static function of(SectionFacts $section): array
    {
        $series = array_values(array_filter($section->series, fn (SeriesFacts $s): bool => $s->sessions !== []));
        if ($series === []) {
            return self::rooms($section);
        }
        $section = new SectionFacts(
            $section->id,
            $section->title,
            $section->teacher,
            $section->term,
            $section->door,
            $series,
            $section->readers,
            $section->joinPage,
            $section->rooms,
            $section->tellings,
            $section->materials,
        );

        return [
            self::pinned($section),
            ...self::rooms($section),
            ...self::weeks($section),
            ...self::events($section),
            self::opening($section),
            ...self::tellings($section),
        ];
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
                    'open' => $room->hours,
                    'link' => $room->link,
                    'code' => JoinCode::show($room->joinCode)." at $section->joinPage",
                    'phone' => "$room->dialIn, PIN $room->pin",
                ],
            ),
            $section->rooms,
        );
    }

    private static function pinned(SectionFacts $section): Placement
    {
        $turns = [];
        foreach (self::dated($section) as [$series, $session]) {
            $turns[] =
                gmdate('Y-m-d\TH:i:s\Z', $session->end).
                ' '.
                self::when($section, $session).
                self::told($session).
                (count($section->series) > 1 ? " · $series->title" : '');
        }
        $fields = ['title' => 'Next session', 'meets' => self::meets($section), 'doors' => self::doors($section)];

        return new Placement(
            Place::CoursePage,
            "$section->id/pinned",
            'Pinned: next session',
            $fields + self::ways($section) + ['sessions' => $turns] + self::materials($section, null),
            of: self::titles($section),
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
                $recordings[$week][] = self::when($section, $session)." $recording";
            } elseif ($session->state === SessionState::Planned) {
                $open[$week][$series->id] = true;
            }
            $weeks[$week][] = self::line($section, $series, $session);
        }
        ksort($weeks);
        $out = [];
        foreach ($weeks as $week => $lines) {
            $fields = [
                'title' => count($lines) === 1 ? 'Live session' : 'Live sessions',
                'week' => (string) $week,
                'begins' => $section->term->monday($week)->iso(),
                'sessions' => $lines,
            ];
            if (isset($recordings[$week])) {
                $fields['recordings'] = $recordings[$week];
            }
            foreach ($section->series as $series) {
                if (isset($open[$week][$series->id]) || ! isset($recordings[$week])) {
                    $fields[self::named($section, $series, 'link')] = $series->hiddenOutside
                        ? self::HIDDEN
                        : $series->link;
                }
            }
            $fields += self::materials($section, $week);
            $out[] = new Placement(
                Place::CoursePage,
                "$section->id/week-$week",
                "Week $week",
                $fields,
                of: self::titles($section),
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
            : ['materials' => array_values(array_map(fn (MaterialFacts $m): string => $m->line(), $own))];
    }

    /** What a week's item says of one session; a cancelled one with its reason. */
    public static function line(SectionFacts $section, SeriesFacts $series, PlannedSession $session): string
    {
        return self::when($section, $session).
            self::told($session).
            (count($section->series) > 1 ? " · $series->title" : '').
            ($session->state === SessionState::Cancelled ? ": cancelled, $session->reason" : '');
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
            $dates = self::dates($section, $series->sessions);
            $time = $series->meets();
            $common = self::essence($section, $series);
            foreach ($section->readers as $reader) {
                if (isset($series->elsewhere[$reader->person])) {
                    continue;
                }
                $own = $series->sessionsOf($reader->person);
                if ($own === []) {
                    continue;
                }
                $isAll = count($own) === count($series->sessions);
                $link = $reader->links[$series->id] ?? ($series->hiddenOutside ? '' : $series->link);
                $note = self::note($reader->role);
                $out[] = new Placement(
                    Place::Calendar,
                    "$reader->person/$series->uid",
                    $reader->name,
                    [
                        'event' => self::summary($section, $series),
                        'time' => $time,
                        'sessions' => $isAll ? $dates : self::dates($section, $own),
                        'link' => $link === '' ? self::HIDDEN : $link,
                    ],
                    fn (): string => CalendarWriter::write([self::event($section, $series, $link, $note, $own)]),
                    $reader->person,
                    ($isAll ? $common : self::essence($section, $series, $own))." $note",
                );
            }
        }

        return $out;
    }

    /**
     * @param  list<PlannedSession>  $sessions
     * @return list<string>
     */
    private static function dates(SectionFacts $section, array $sessions): array
    {
        return array_map(fn (PlannedSession $s): string => self::when($section, $s).self::told($s), $sessions);
    }

    /** What whoever is no student reads of their part. */
    private static function note(string $role): string
    {
        return match (PartRole::from($role)) {
            PartRole::Student => '',
            PartRole::Substitute => "\nYou take this instead of the section's teacher.",
            default => "\nYou are ".PartRole::from($role)->words().' of this section.',
        };
    }

    /**
     * What the event of a series is made of, but for the reader's own link and role.
     *
     * @param  list<PlannedSession>|null  $own  the reader's sessions, where they are not all
     */
    private static function essence(SectionFacts $section, SeriesFacts $series, ?array $own = null): string
    {
        $sessions = array_map(
            fn (PlannedSession $s): array => [$s->start, $s->end, $s->slot(), self::told($s)],
            $own ?? $series->sessions,
        );

        return hash(
            'sha256',
            (string) json_encode(
                [
                    CalendarWriter::PRODUCT,
                    $section->id,
                    self::doors($section),
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
        $fields =
            [
                'title' => "$section->title: how to come in",
                'meets' => self::meets($section),
                'doors' => self::doors($section),
            ] + self::ways($section);
        $fields['text'] =
            'Your own link stands in your calendar and on your page. Do not pass it on: it lets in only you.';

        return new Placement(
            Place::ClassStream,
            "$section->id/opening",
            'Opening post',
            $fields,
            of: self::titles($section),
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

        return array_map(
            fn (TellingFacts $t): Placement => new Placement(
                Place::ClassStream,
                "$section->id/change-$t->id",
                'Changes, post '.$t->id,
                [
                    'title' => "$section->title: changed",
                    'changes' => ChangeWords::lines($t->changes, $zone, count($section->series) > 1),
                    'clock' => $zone->place(),
                ],
            ),
            $section->tellings,
        );
    }

    /**
     * The section's series as a calendar shows them to anybody who subscribes to its feed; of one person only those
     * sessions that are theirs.
     *
     * @param  bool  $withLinks  with the person's own links
     * @return list<EventSeries>
     */
    public static function feed(SectionFacts $section, ?string $person = null, bool $withLinks = true): array
    {
        $own = [];
        foreach ($section->readers as $reader) {
            $own = $withLinks && $reader->person === $person ? $reader->links : $own;
        }

        return array_map(
            fn (SeriesFacts $s): EventSeries => self::event(
                $section,
                $s,
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
        string $link,
        string $note = '',
        ?array $sessions = null,
    ): EventSeries {
        $sessions ??= $series->forAll();
        $topics = array_filter(
            array_map(
                fn (PlannedSession $s): string => ltrim(self::told($s), ': ,.') === ''
                    ? ''
                    : (new LocalDate($s->day))->short().': '.ltrim(self::told($s), ': ,.'),
                $sessions,
            ),
        );
        $note .= $topics === [] ? '' : "\n".implode("\n", $topics);
        $description =
            $link === ''
                ? ($series->hiddenOutside
                    ? 'Come in '.self::HIDDEN.".\n".self::doors($section).$note
                    : '')
                : "Come in: $link\nJoin code: ".
                    JoinCode::show($series->joinCode).
                    " at $section->joinPage\nBy phone: $series->dialIn, PIN $series->pin\n".
                    self::doors($section).
                    $note;

        return new EventSeries(
            $series->uid,
            $series->sequence,
            $series->changedAt,
            self::summary($section, $series),
            $description,
            $link,
            $series->plan->zone,
            $series->plan->startMinute,
            $series->plan->minutes,
            $series->plan->pattern->rule(),
            $sessions,
            $section->id,
        );
    }

    /** @return array<string, string> link, code and phone of each series */
    private static function ways(SectionFacts $section): array
    {
        $out = [];
        foreach ($section->series as $series) {
            if ($series->hiddenOutside) {
                $out[self::named($section, $series, 'link')] = self::HIDDEN;

                continue;
            }
            $out[self::named($section, $series, 'link')] = $series->link;
            $out[self::named($section, $series, 'code')] =
                JoinCode::show($series->joinCode)." at $section->joinPage";
            $out[self::named($section, $series, 'phone')] = "$series->dialIn, PIN $series->pin";
        }

        return $out;
    }

    /** @return array<int, string> by series */
    private static function titles(SectionFacts $section): array
    {
        return array_column($section->series, 'title', 'id');
    }

    /** The field's code; of one of several series with its id, whose title a reader sees. */
    private static function named(SectionFacts $section, SeriesFacts $series, string $field): string
    {
        return count($section->series) > 1 ? "$field $series->id" : $field;
    }

    private static function meets(SectionFacts $section): string
    {
        return implode(
            '; ',
            array_map(
                fn (SeriesFacts $s): string => $s->meets().(count($section->series) > 1 ? " ($s->title)" : ''),
                $section->series,
            ),
        );
    }

    private static function doors(SectionFacts $section): string
    {
        return "The doors open {$section->door->opensBefore} minutes before the start.";
    }

    private static function summary(SectionFacts $section, SeriesFacts $series): string
    {
        return $series->title === $section->title || count($section->series) === 1
            ? $section->title
            : "$section->title: $series->title";
    }

    /** ": Tides, with N. Haddad": what one session has of its own. */
    private static function told(PlannedSession $session): string
    {
        $own = $session->own;
        $title = $own->title ?? $own?->topic;

        return ($title === null ? '' : ": $title").
            ($own?->teacherName === null ? '' : ", with {$own->teacherName}").
            ($session->isForAll() ? '' : ', for chosen students').
            ($own?->makesUp === null ? '' : ', makes up '.(new LocalDate($own->makesUp))->short()).
            ($own?->note === null ? '' : ". $own->note");
    }

    private static function when(SectionFacts $section, PlannedSession $session): string
    {
        $zone = $section->term->zone;

        return (new LocalDate($zone->wall($session->start)[0]))->short().
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
