<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing;

use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\Templates;
use Nomada\App\Support\Say;
use Nomada\App\View\Publishing\Showing\PersonChoice;
use Nomada\App\View\Publishing\Showing\StandingRow;
use Nomada\Core\Publishing\PublishingOptions;
use Nomada\Core\Term\Zone;

/** Display settings: the rules of the school or of one section, and their result. */
final readonly class ShowingPage
{
    /**
     * @param  Section|null  $section  null for the school
     * @param  list<string>  $own  in which rules a section differs from the school
     * @param  array<string, string>|null  $items  titles of what others have put on the course page, by the id there;
     *   null where the course site does not answer
     * @param  list<PersonChoice>  $students
     * @param  list<StandingRow>  $rows
     * @param  int  $different  how many sections have rules of their own
     * @param  string  $startedTold  of the school: how students are told of a session that begins now
     */
    public function __construct(
        public PublishingOptions $showing,
        public ?Section $section = null,
        public array $own = [],
        public ?array $items = [],
        public array $students = [],
        public array $rows = [],
        public int $different = 0,
        public string $startedTold = '',
    ) {
    }

    /** @return array<string, string> by tag, each in itself */
    public function languages(): array
    {
        $tags = Templates::languages();

        return array_combine($tags, array_map(Say::language(...), $tags));
    }

    /**
     * Where it may be on the course page; where the site does not answer, where it is now is kept.
     *
     * @param  string  $field  `next` or `weeks`
     * @return array<string, string> words by position
     */
    public function positions(string $field): array
    {
        $now = $field === 'next' ? $this->showing->next : $this->showing->weeks;
        $out = [];
        foreach ($field === 'next' ? ['top'] : ['week', 'top'] as $kind) {
            $out[$kind] = (string) __("showing.position.$kind");
        }
        foreach ($this->items ?? [] as $id => $title) {
            $out["after $id"] = (string) __('showing.position.after', ['item' => $title]);
        }

        return $out + [$now => (string) __('showing.position.after', ['item' => substr($now, 6)])];
    }

    /** The key of what is said of positions. */
    public function positionHint(): string
    {
        return match (true) {
            $this->section === null => 'showing.school_items',
            $this->items === null => 'showing.site_silent',
            $this->items === [] => 'showing.no_items',
            default => 'showing.item_hint',
        };
    }

    /** "Mon 1 Feb", in the section's zone. */
    public function day(string $moment): string
    {
        $zone = $this->section?->term->calendar()->zone ?? Zone::named('UTC');

        return Say::day($zone->dateAt((int) strtotime($moment)));
    }
}
