<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\App\Support\Secrets;
use Nomada\Core\Interchange\Calendar\CalendarWriter;
use Nomada\Core\Joining\LinkSecret;
use Nomada\Core\Publishing\CalendarPlacements;
use Nomada\Core\Publishing\SectionFacts;

/**
 * A section's calendar for anybody who knows its secret address. It has every planned session, whether a link is made
 * yet or not. No link, code or number is at any of a section's secret addresses: a reader keeps the address after
 * they left, and each is asked who they are before they are led on.
 */
final readonly class SectionFeed
{
    public function __construct(private SectionFactsQuery $facts)
    {
    }

    public function __invoke(Section $section): string
    {
        $facts = self::forManyReaders($this->facts->for([$section->id], true)[$section->id]);

        return CalendarWriter::write(CalendarPlacements::feed($facts), $facts->title, 'PT1H');
    }

    public static function forManyReaders(SectionFacts $facts): SectionFacts
    {
        return $facts->forManyReaders(
            fn (int $series): string => route('enter', $series),
            fn (int $room): string => route('enter.room', $room),
        );
    }

    /** Other addresses of the calendar, the page and the stream; the old ones find nothing any more. */
    public static function renew(Section $section): void
    {
        $secret = LinkSecret::make(Secrets::random());
        $section->forceFill(['feed_secret' => $secret, 'feed_hash' => Secrets::sum($secret, 'feed')])->save();
    }

    /** The feed's address, made on the first asking. */
    public static function address(Section $section): string
    {
        if ($section->feed_secret === null) {
            self::renew($section);
        }

        return route('feed', (string) $section->feed_secret);
    }

    /** Where the course page of ours is. */
    public static function page(Section $section): string
    {
        self::address($section);

        return route('feed.page', (string) $section->feed_secret);
    }

    /** Where the class stream of ours is. */
    public static function stream(Section $section): string
    {
        self::address($section);

        return route('feed.stream', (string) $section->feed_secret);
    }
}
