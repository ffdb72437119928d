<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Destinations\Destinations;
use Nomada\App\Destinations\FieldWords;
use Nomada\App\Destinations\Places;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\App\Queries\Showings;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Order;
use Nomada\App\Support\Say;
use Nomada\App\View\Publishing\Showing\PersonChoice;
use Nomada\App\View\Publishing\Showing\StandingRow;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Publishing\ItemName;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\Placement;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Publishing\WantedPlacements;
use stdClass;

/** Puts together the display settings of the school or of one section. */
final readonly class ShowingQuery
{
    /** Weeks of the course page that are shown from this one on. */
    private const WEEKS = 3;

    public function __construct(
        private SectionFactsQuery $facts,
        private Destinations $destinations,
        private Places $places,
        private Clock $clock,
    ) {
    }

    public function ofSchool(): ShowingPage
    {
        return new ShowingPage(
            Showings::ofSchool(),
            different: DB::table('publishing_options')->whereNotNull('section_id')->count(),
            startedTold: (string) DB::table('schools')->orderBy('id')->value('started_told'),
        );
    }

    public function ofSection(Section $section): ShowingPage
    {
        $facts = $this->facts->for([$section->id])[$section->id];

        return new ShowingPage(
            $facts->showing,
            $section,
            array_keys(Showings::own($section->id) ?? []),
            $this->items($section),
            array_values(
                DB::table('memberships')
                    ->join('people', 'people.id', '=', 'person_id')
                    ->where('section_id', $section->id)
                    ->where('memberships.role', MembershipRole::Student)
                    ->orderBy('family_name')
                    ->orderBy('given_name')
                    ->get(['people.sourced_id', 'given_name', 'family_name'])
                    ->map(
                        fn (stdClass $p): PersonChoice => new PersonChoice(
                            $p->sourced_id,
                            "$p->given_name $p->family_name",
                        ),
                    )
                    ->all(),
            ),
            $this->standing($facts),
        );
    }

    /** @return array<string, string>|null */
    private function items(Section $section): ?array
    {
        if (in_array(Place::CoursePage->value, $this->places->ofOurs(), true)) {
            return [];
        }
        $destination = $this->destinations->at(Place::CoursePage);
        try {
            $there = $destination->read($section->sourced_id);
        } catch (DestinationFailure) {
            return null;
        }
        $ours = DB::table('published_items')
            ->where('section_id', $section->id)
            ->where('place', Place::CoursePage)
            ->pluck('key')
            ->all();
        $out = [];
        foreach (array_diff_key($there, array_flip($ours)) as $id => $found) {
            $title = $destination->words($found)['title'] ?? '';
            $out[$id] = is_string($title) && $title !== '' ? $title : $id;
        }
        uasort($out, fn (string $a, string $b): int => Order::key($a) <=> Order::key($b));

        return $out;
    }

    /**
     * What should be there, from this week on.
     *
     * @return list<StandingRow>
     */
    private function standing(SectionFacts $facts): array
    {
        $week = $facts->term->weekOf($facts->term->zone->dateAt($this->clock->seconds())->day);
        $weeks = 0;
        $rows = [];
        foreach (WantedPlacements::of($facts) as $placement) {
            $of = (int) ($placement->fields['week'] ?? $week);
            if ($placement->place === Place::Calendar || $of < $week) {
                continue;
            }
            if (isset($placement->fields['week']) && ++$weeks > self::WEEKS) {
                continue;
            }
            $rows[] = self::row($placement);
        }

        return $rows;
    }

    private static function row(Placement $placement): StandingRow
    {
        $said = function (string $code) use ($placement): ?string {
            $value = $placement->fields[$code] ?? null;
            $words = $value === null ? null : FieldWords::value($code, $value);

            return is_string($words) ? $words : null;
        };
        $isPinned = $placement->place === Place::CoursePage && ! isset($placement->fields['week']);
        $readers = array_filter([$said('for'), $said('answers')], is_string(...));

        return new StandingRow(
            $placement->place,
            Say::this(ItemName::of($placement->place, $placement->key, $placement->label)),
            $placement->place === Place::ClassStream
                ? null
                : $said('position') ?? (string) __('published.settings.position.'.($isPinned ? 'top' : 'week')),
            $said('from'),
            $said('till'),
            $readers === [] ? null : implode(', ', $readers),
        );
    }
}
