<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing;

use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\App\Queries\Templates;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Post\Template;
use Nomada\Core\Publishing\PublishedWords;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Publishing\ShownText;
use Nomada\Core\Publishing\WantedPlacements;
use Nomada\Core\Timetable\PlannedSession;

/** Writes a template with the facts of a real section, whether it is kept or only typed. */
final readonly class WordsWritten
{
    private const SESSIONS = 3;

    public function __construct(private SectionFactsQuery $facts, private Clock $clock)
    {
    }

    /** @return array{string, string}|null null where the section has nothing to publish yet */
    public function ofSection(Template $template, Section $section, string $language): ?array
    {
        $facts = $this->facts->for([$section->id])[$section->id] ?? null;
        if ($facts === null || $facts->series === []) {
            return null;
        }
        $words = new PublishedWords(Templates::phrases($language), [$template->kind->code() => $template]);

        return $template->kind instanceof ShownText
            ? WantedPlacements::written($facts, $template->kind, $words)
            : $template->write($this->ofLetter($facts, $words) + Templates::examples($template->kind, $language));
    }

    /** @return array<string, string> what a letter of the section would have; the rest are examples */
    private function ofLetter(SectionFacts $facts, PublishedWords $words): array
    {
        $zone = $facts->term->zone;
        $series = $facts->series[0];
        $ahead = array_filter($series->forAll(), fn (PlannedSession $s): bool => $s->end > $this->clock->seconds());
        $when = array_map(
            fn (PlannedSession $s): string => $words->phrases->day($zone->dateAt($s->start)).
                " {$zone->clock($s->start)}–{$zone->clock($s->end)}",
            array_slice(array_values($ahead), 0, self::SESSIONS),
        );
        $students = array_filter($facts->readers, fn ($r): bool => $r->role === MembershipRole::Student);
        $student = array_values($students)[0] ?? null;

        return array_filter([
            'class' => $facts->title,
            'school' => $facts->school,
            'name' => $student->name ?? '',
            'title' => $series->title,
            'when' => $when === []
                    ? ''
                    : (string) __(
                        'letters.parts.when',
                        ['sessions' => implode('; ', $when), 'place' => $zone->place($words->phrases->language)],
                        $words->phrases->language,
                    ),
        ]);
    }
}
