<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\Core\Interchange\CartridgeFolder;
use Nomada\Core\Interchange\CartridgeLink;
use Nomada\Core\Interchange\CommonCartridge;
use Nomada\Core\Publishing\CoursePagePlacements;
use Nomada\Core\Publishing\MaterialFacts;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Timetable\SessionState;

/** A section's weeks as a Common Cartridge: each session leads to its join link, or to its recording once released. */
final readonly class SectionCartridge
{
    public function __construct(private SectionFactsQuery $facts)
    {
    }

    /** @return array<string, string> files by name */
    public function __invoke(Section $section): array
    {
        $facts = $this->facts->for([$section->id], true)[$section->id];

        return CommonCartridge::files(
            $section->sourced_id,
            $facts->title,
            app()->getLocale(),
            $this->folders($facts),
        );
    }

    /** @return list<CartridgeFolder> */
    private function folders(SectionFacts $facts): array
    {
        $weeks = [];
        foreach ($facts->series as $series) {
            foreach ($series->forAll(true) as $session) {
                $recording = $series->recordings[$session->start] ?? null;
                // What is hidden outside the door's hours stands nowhere; a cancelled session leads nowhere.
                $address = $recording ?? ($session->state === SessionState::Planned ? $series->link : '');
                if ($address === '' || ($recording === null && $series->isHidden)) {
                    continue;
                }
                $line = CoursePagePlacements::line($facts, $series, $session);
                $weeks[$facts->term->weekOf($session->day)][] = [
                    $session->start,
                    new CartridgeLink(
                        $recording === null
                            ? $line
                            : (string) __('publishing.cartridge.recording', ['line' => $line]),
                        $address,
                    ),
                ];
            }
        }
        foreach ($facts->materials as $material) {
            if ($material->day !== null) {
                // Behind the sessions of its day.
                $weeks[$facts->term->weekOf($material->day)][] = [
                    $facts->term->zone->instant($material->day, 1439),
                    new CartridgeLink($material->title, $material->address),
                ];
            }
        }
        ksort($weeks);
        $general = array_filter($facts->materials, fn (MaterialFacts $m): bool => $m->day === null);
        $out =
            $general === []
                ? []
                : [
                    new CartridgeFolder(
                        (string) __('publishing.materials.folder'),
                        array_values(
                            array_map(
                                fn (MaterialFacts $m): CartridgeLink => new CartridgeLink($m->title, $m->address),
                                $general,
                            ),
                        ),
                    ),
                ];
        foreach ($weeks as $week => $links) {
            usort($links, fn (array $a, array $b): int => $a[0] <=> $b[0]);
            $out[] = new CartridgeFolder(
                (string) __('publishing.cartridge.week', [
                    'week' => $week,
                    'day' => $facts->term->monday($week)->short(),
                ]),
                array_column($links, 1),
            );
        }

        return $out;
    }
}
