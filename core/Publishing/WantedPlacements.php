<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/**
 * What should be at every destination for one section. A pure function of the facts: no clock is asked, so nothing
 * becomes stale by the passing of time alone.
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
            return $place === Place::CoursePage ? CoursePagePlacements::rooms($section) : [];
        }
        $section = $section->withSeries($series);

        return match ($place) {
            Place::CoursePage => [
                CoursePagePlacements::pinned($section),
                ...CoursePagePlacements::rooms($section),
                ...CoursePagePlacements::weeks($section),
            ],
            Place::Calendar => CalendarPlacements::events($section),
            Place::ClassStream => [StreamPlacements::opening($section), ...StreamPlacements::tellings($section)],
        };
    }

    /**
     * How a text reads for a section, in given words; an event's is the section's own, by the link of its series.
     *
     * @return array{string, string} what is over it, and the text
     */
    public static function written(SectionFacts $section, ShownText $text, PublishedWords $words): array
    {
        $series = $section->series[0] ?? null;
        if ($text === ShownText::CalendarEvent) {
            return $series === null
                ? ['', '']
                : CalendarPlacements::heading($section, $series, $words, $series->link);
        }

        return $words->write(
            $text,
            CommonFields::named($section) + [
                'meets' => $series === null
                        ? ''
                        : "{$words->phrases->this($series->plan->said())} ".
                            $series->plan->zone->place($words->phrases->language),
                'doors' => CommonFields::doors($section, $words),
                'week' => $series === null ? '' : (string) $section->term->weekOf($series->sessions[0]->day),
            ],
        );
    }
}
