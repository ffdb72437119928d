<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Database\Eloquent\Builder;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\App\Support\Secrets;
use Nomada\Core\Interchange\Calendar\CalendarWriter;
use Nomada\Core\Joining\LinkSecret;
use Nomada\Core\Publishing\CalendarPlacements;

/**
 * The calendar of one teacher or student: every session that is theirs, over all terms. Their own links are in it only
 * at their own secret address.
 */
final readonly class PersonFeed
{
    public function __construct(private SectionFactsQuery $facts)
    {
    }

    public function __invoke(Person $person): string
    {
        return $this->write($person, $this->sections($person)->pluck('id')->all(), true);
    }

    /**
     * What somebody else may read of it, without anybody's own links: the coordinator all of it, a teacher what is of
     * the sections that they look after. Null where that is nothing.
     */
    public function seenBy(Person $person, Person $for): ?string
    {
        $sections = $this->sections($person)
            ->when($for->id !== $person->id, fn ($q) => $q->seenBy($for))
            ->pluck('id')
            ->all();

        return $sections === [] && $for->id !== $person->id && ! $for->isCoordinator()
            ? null
            : $this->write($person, $sections, false);
    }

    /**
     * Over all terms: the next one begins to be seen before this one ends, and what was stays.
     *
     * @return Builder<Section>
     */
    private function sections(Person $person): Builder
    {
        return Section::query()->whereHas('memberships', fn ($q) => $q->where('person_id', $person->id))->orderBy('id');
    }

    /** @param  array<mixed>  $sections */
    private function write(Person $person, array $sections, bool $withOwnLinks): string
    {
        $events = [];
        foreach ($this->facts->for(array_values(array_map(intval(...), $sections)), true) as $facts) {
            foreach (CalendarPlacements::feed($facts, $person->sourced_id, $withOwnLinks) as $event) {
                // A series that two of the person's sections share is in it once.
                $events[$event->uid] ??= $event;
            }
        }

        return CalendarWriter::write(
            array_values($events),
            $person->name(),
            'PT1H',
            $withOwnLinks ? $person->reminder()?->alarm() : null,
        );
    }

    /** The feed's secret address, made on the first asking. Only the person sees it. */
    public static function address(Person $person): string
    {
        if ($person->feed_secret === null) {
            self::renew($person);
        }

        return route('feed', (string) $person->feed_secret);
    }

    /** Where it is told when somebody is busy, and nothing else of it. */
    public static function busy(Person $person): string
    {
        self::address($person);

        return route('feed.busy', (string) $person->feed_secret);
    }

    /** Another address; the old one finds nothing any more. */
    public static function renew(Person $person): void
    {
        $secret = LinkSecret::make(Secrets::random());
        $person->forceFill(['feed_secret' => $secret, 'feed_hash' => Secrets::sum($secret, 'feed')])->save();
    }
}
