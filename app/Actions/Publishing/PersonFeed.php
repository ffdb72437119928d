<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Secrets;
use Nomada\Core\Interchange\Calendar\CalendarWriter;
use Nomada\Core\Joining\LinkSecret;
use Nomada\Core\Publishing\WantedPlacements;

/**
 * The calendar of one teacher or student: every series of their sections in the current term. Their own links are in it
 * only at their own secret address.
 */
final readonly class PersonFeed
{
    public function __construct(private SectionFactsQuery $facts)
    {
    }

    public function __invoke(Person $person, Term $term, bool $withOwnLinks): string
    {
        $sections = Section::query()
            ->where('term_id', $term->id)
            ->whereHas('enrolments', fn ($q) => $q->where('person_id', $person->id))
            ->orderBy('id')
            ->pluck('id')
            ->all();
        $events = [];
        foreach ($this->facts->for(array_values(array_map(intval(...), $sections)), true) as $facts) {
            foreach (WantedPlacements::feed($facts, $withOwnLinks ? $person->sourced_id : null) as $event) {
                // A series that two of the person's sections share stands in it once.
                $events[$event->uid] ??= $event;
            }
        }

        return CalendarWriter::write(array_values($events), $person->name(), 'PT1H');
    }

    /** The feed's secret address, made on the first asking. Only the person sees it. */
    public static function address(Person $person): string
    {
        if ($person->feed_secret === null) {
            self::renew($person);
        }

        return route('feed', (string) $person->feed_secret);
    }

    /** Another address; the old one finds nothing any more. */
    public static function renew(Person $person): void
    {
        $secret = LinkSecret::make(Secrets::random());
        $person->forceFill(['feed_secret' => $secret, 'feed_sum' => Secrets::sum($secret, 'feed')])->save();
    }
}
