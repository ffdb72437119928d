<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** What should be in a section's class stream: the opening post, and a post each time that changes were told. */
final class StreamPlacements
{
    /** The post that tells a section how to come in. */
    public static function opening(SectionFacts $section): Placement
    {
        $words = $section->words();
        $common = ['meets' => CommonFields::meets($section), 'doors' => CommonFields::doors($section, $words)];
        [$title, $text] = $words->write(ShownText::StreamOpening, CommonFields::named($section) + $common);

        return new Placement(
            Place::ClassStream,
            "$section->id/opening",
            'Opening post',
            ['title' => $title] +
                $common +
                CommonFields::ways($section) +
                ($text === '' ? [] : ['text' => $text]) +
                $section->showing->ofPost(),
            of: CommonFields::titles($section),
            language: $section->showing->language,
        );
    }

    /**
     * A post each time that changes were told; on the school's clock.
     *
     * @return list<Placement>
     */
    public static function tellings(SectionFacts $section): array
    {
        $zone = $section->term->zone;
        $words = $section->words();
        [$title, $text] = $words->write(ShownText::StreamChanged, CommonFields::named($section));
        $changes = new ChangeWords($words->phrases);

        return array_map(
            fn (TellingFacts $t): Placement => new Placement(
                Place::ClassStream,
                "$section->id/change-$t->id",
                'Changes, post '.$t->id,
                ['title' => $title] +
                    ($text === '' ? [] : ['text' => $text]) + [
                        'changes' => $changes->lines($t->changes, $zone, count($section->series) > 1),
                        'clock' => $zone->place($section->words()->phrases->language),
                    ] +
                    $section->showing->ofPost(),
                language: $section->showing->language,
            ),
            $section->tellings,
        );
    }
}
