<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;

/**
 * What should be on a section's course page: its pinned place, its drop-in rooms, and an item a week. The pinned
 * place carries each session with the moment at which it gives way to the next, and the course site shows the one whose
 * turn it is.
 */
final class CoursePagePlacements
{
    /** What the label of a drop-in room begins with; its name follows. */
    public const ROOM = 'Drop-in room: ';

    /**
     * The drop-in rooms, beside the pinned place.
     *
     * @return list<Placement>
     */
    public static function rooms(SectionFacts $section): array
    {
        return array_map(
            fn (DropInFacts $room): Placement => new Placement(
                Place::CoursePage,
                "$section->id/drop-in-$room->id",
                self::ROOM.$room->name,
                array_filter([
                    'title' => $room->name,
                    'open' => $room->hours->words($section->words()->phrases).
                        ' '.
                        $room->zone->place($section->words()->phrases->language),
                    'link' => $room->link,
                    'code' => CommonFields::code($section->words(), $room->joinCode, $section),
                    'phone' => CommonFields::phone($section->words(), $room->dialIn, $room->pin),
                ]),
                language: $section->showing->language,
            ),
            $section->rooms,
        );
    }

    /** The place on top: what comes next, when the series meet, and how to come in. */
    public static function pinned(SectionFacts $section): Placement
    {
        $words = $section->words();
        $turns = [];
        foreach (CommonFields::dated($section) as [$series, $session]) {
            $turns[] = gmdate('Y-m-d\TH:i:s\Z', $session->end).' '.self::line($section, $series, $session);
        }
        [$title, $text] = $words->write(
            ShownText::CourseNext,
            CommonFields::named($section) + [
                'meets' => CommonFields::meets($section),
                'doors' => CommonFields::doors($section, $words),
            ],
        );
        $fields =
            ['title' => $title] +
            ($text === '' ? [] : ['text' => $text]) + [
                'meets' => CommonFields::meets($section),
                'doors' => CommonFields::doors($section, $words),
            ] +
            CommonFields::ways($section) +
            ($section->showing->amount === DetailLevel::Nothing ? [] : ['sessions' => $turns]) +
            self::materials($section, null) +
            $section->showing->ofNext();

        return new Placement(
            Place::CoursePage,
            "$section->id/pinned",
            'Pinned: next session',
            $fields,
            of: CommonFields::titles($section),
            language: $section->showing->language,
        );
    }

    /**
     * One item a week, in that week's block.
     *
     * @return list<Placement>
     */
    public static function weeks(SectionFacts $section): array
    {
        $weeks = $recordings = $open = [];
        // A cancelled session is still told of where students look for it, with its reason.
        foreach (CommonFields::dated($section, true) as [$series, $session]) {
            $week = $section->term->weekOf($session->day);
            // Once a session's recording is released it takes the place of the join link.
            $recording = $series->recordings[$session->start] ?? null;
            if ($recording !== null) {
                $recordings[$week][] = CommonFields::when($section, $session, $section->words())." $recording";
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
                ->write(ShownText::CourseWeek, CommonFields::named($section) + ['week' => (string) $week]);
            $fields =
                ['title' => $title] +
                ($text === '' ? [] : ['text' => $text]) + [
                    'week' => (string) $week,
                    'begins' => $section->term->monday($week)->iso(),
                ] +
                ($section->showing->amount === DetailLevel::Nothing ? [] : ['sessions' => $lines]);
            if (isset($recordings[$week])) {
                $fields['recordings'] = $recordings[$week];
            }
            foreach ($section->series as $series) {
                if (isset($open[$week][$series->id]) || ! isset($recordings[$week])) {
                    $fields[CommonFields::field($section, $series, 'link')] = $series->isHidden
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
                of: CommonFields::titles($section),
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
        $isAll = $section->showing->amount === DetailLevel::All;
        $line =
            CommonFields::when($section, $session, $words).
            ($isAll ? CommonFields::told($session, $words) : '').
            (count($section->series) > 1 ? " · $series->title" : '');

        return match (true) {
            $session->state !== SessionState::Cancelled => $line,
            $isAll => $line.$words->phrases->say('own.cancelled', ['reason' => (string) $session->reason]),
            default => $line.$words->phrases->say('own.is_cancelled'),
        };
    }
}
