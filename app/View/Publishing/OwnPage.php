<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing;

use Nomada\App\Actions\Publishing\SectionFeed;
use Nomada\App\Destinations\FieldWords;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\App\Support\Clock;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\Placement;
use Nomada\Core\Publishing\WantedPlacements;

/**
 * The course page of ours: what should be on a course page, made of the facts whenever somebody looks, so that it
 * is always right. It can be shown within a course site's own page.
 */
final readonly class OwnPage
{
    /**
     * @param  array<string, string|list<string>>  $pinned  by the words that are there
     * @param  string|null  $next  the session whose turn it is
     * @param  list<OwnWeek>  $weeks  from this week on
     * @param  list<OwnWeek>  $past  the latest first
     */
    private function __construct(
        public string $title,
        public string $language,
        public array $pinned,
        public ?string $next,
        public array $weeks,
        public array $past,
    ) {
    }

    public static function of(Section $section, SectionFactsQuery $query, Clock $clock): self
    {
        $facts = SectionFeed::forManyReaders($query->for([$section->id])[$section->id]);
        $now = $clock->seconds();
        $pinned = [];
        $next = null;
        $ahead = $past = [];
        $current = $facts->term->weekOf($facts->term->zone->dateAt($now)->day);
        foreach (WantedPlacements::at(Place::CoursePage, $facts) as $placement) {
            if (! isset($placement->fields['week'])) {
                $pinned += self::words($placement, ['title', 'sessions']);
                $next ??= self::turn((array) ($placement->fields['sessions'] ?? []), $now);

                continue;
            }
            if (! self::isShown($placement, $now)) {
                continue;
            }
            $week = new OwnWeek(
                (int) $placement->fields['week'],
                (array) ($placement->fields['sessions'] ?? []),
                // An item of a course site stands on its own; here the link of every week is on top already.
                array_filter(
                    self::words($placement, ['title', 'week', 'begins', 'sessions']),
                    fn (mixed $value, string $label): bool => ($pinned[$label] ?? null) !== $value,
                    ARRAY_FILTER_USE_BOTH,
                ),
            );
            if ($week->number < $current) {
                array_unshift($past, $week);
            } else {
                $ahead[] = $week;
            }
        }

        return new self($facts->title, $facts->words()->phrases->language, $pinned, $next, $ahead, $past);
    }

    /** From when till when the school lets it be seen. */
    private static function isShown(Placement $placement, int $now): bool
    {
        [$from, $till] = [$placement->fields['from'] ?? null, $placement->fields['till'] ?? null];

        return (! is_string($from) || strtotime($from) <= $now) && (! is_string($till) || strtotime($till) > $now);
    }

    /**
     * @param  list<string>  $without
     * @return array<string, string|list<string>>
     */
    private static function words(Placement $placement, array $without): array
    {
        $out = [];
        foreach ($placement->read() as $code => $value) {
            if (! in_array($code, $without, true)) {
                $out[FieldWords::of($code, $placement->of, $placement->language)] = $value;
            }
        }

        return $out;
    }

    /** @param  array<mixed>  $lines  that begin with the moment at which they give way */
    private static function turn(array $lines, int $now): ?string
    {
        foreach ($lines as $line) {
            [$until, $text] = explode(' ', (string) $line, 2) + ['', ''];
            if (strtotime($until) > $now) {
                return $text;
            }
        }

        return null;
    }
}
