<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Closure;
use Illuminate\Support\Facades\DB;
use Nomada\App\Destinations\ConcurrentRequests;
use Nomada\App\Destinations\Destination;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Destinations\Destinations;
use Nomada\App\Destinations\Found;
use Nomada\App\Destinations\Places;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\App\Support\Clock;
use Nomada\Core\Interchange\Calendar\ServedEvent;
use Nomada\Core\Interchange\Calendar\ServedEvents;
use Nomada\Core\Publishing\DiscrepancyCause;
use Nomada\Core\Publishing\DiscrepancyKind;
use Nomada\Core\Publishing\DoorSession;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\Placement as WantedPlacement;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Publishing\SeriesFacts;
use Nomada\Core\Publishing\Truth;
use Nomada\Core\Publishing\WantedPlacements;
use Nomada\Core\Term\Zone;
use stdClass;
use Throwable;

/**
 * The truth: for every person and every session of the coming days, what the door would say beside what each place
 * serves, read back from the place itself. Where the version there is the one that we left, and that is what should
 * stand, the place serves it; anything else is read and compared session by session.
 *
 * @phpstan-type Expected array{section: string, uid: string, row: stdClass|null, door: list<array{int, int}>,
 *   link: string, zone: string}
 */
final class TellTruth
{
    private const AT_ONCE = 16;

    /** How many people's calendars are one part. */
    private const PEOPLE = 64;

    /** @var array<string, TruthLine> folded */
    private array $lines = [];

    private int $sessions = 0;

    public function __construct(
        private readonly SectionFactsQuery $facts,
        private readonly Destinations $destinations,
        private readonly Places $places,
        private readonly Clock $clock,
    ) {
    }

    /**
     * @param  list<int>  $sections
     * @param  list<string>|null  $only  of these people only (sourcedIds); null for everybody
     * @param  Closure(): bool|null  $goesOn  asked before each part; false ends the check without a result
     * @return ($goesOn is null ? TruthResult : TruthResult|null)
     */
    public function __invoke(
        array $sections,
        int $days = 7,
        ?array $only = null,
        ?Closure $goesOn = null,
    ): ?TruthResult {
        $this->lines = [];
        $this->sessions = 0;
        $from = $this->clock->seconds();
        $to = $from + 86400 * $days;
        $ours = $this->places->ofOurs();
        $pages = 0;
        $people = [];
        foreach (array_chunk($sections, 20) as $some) {
            if ($goesOn !== null && ! $goesOn()) {
                return null;
            }
            $pages += $this->sections($some, $from, $to, $ours, $people, $only);
        }
        if (! in_array(Place::Calendar->value, $ours, true)) {
            foreach (array_chunk($people, self::PEOPLE, true) as $part) {
                if ($goesOn !== null && ! $goesOn()) {
                    return null;
                }
                $this->calendars($part, $from, $to);
            }
        }

        return new TruthResult(count($people), $this->sessions, $pages, array_values($this->lines));
    }

    /**
     * Compares pages and streams, and collects what each person's calendar should serve.
     *
     * @param  list<int>  $ids
     * @param  list<string>  $ours
     * @param  array<string, list<Expected>>  $people  by sourcedId
     * @param  list<string>|null  $only
     * @return int pages and streams
     */
    private function sections(array $ids, int $from, int $to, array $ours, array &$people, ?array $only): int
    {
        $rows = [];
        foreach (
            DB::table('published_items')
                ->whereIntegerInRaw('section_id', $ids)
                ->get([
                    'section_id',
                    'place',
                    'key',
                    'person',
                    'desired_hash',
                    'published_hash',
                    'etag',
                    'left_alone',
                ]) as $row
        ) {
            $rows[(int) $row->section_id][$row->place][$row->key] = $row;
        }
        $pages = [];
        foreach ($this->facts->for($ids) as $id => $facts) {
            $wanted = [];
            foreach (WantedPlacements::of($facts) as $placement) {
                $wanted[$placement->place->value][$placement->key] = $placement;
            }
            foreach ([Place::CoursePage, Place::ClassStream] as $place) {
                $mine = [$wanted[$place->value] ?? [], $rows[$id][$place->value] ?? []];
                if ($mine !== [[], []] && ! in_array($place->value, $ours, true)) {
                    $pages["$place->value $facts->id"] = [$place, $facts->id, ...$mine];
                }
            }
            $this->gather(
                $facts,
                $wanted[Place::Calendar->value] ?? [],
                $rows[$id][Place::Calendar->value] ?? [],
                $from,
                $to,
                $people,
                $only,
            );
        }
        $tasks = [];
        foreach ($pages as $key => [$place, $section]) {
            $destination = $this->destinations->at($place);
            $tasks[$key] = fn (): array => $destination->read($section);
        }
        foreach (ConcurrentRequests::run($tasks, self::AT_ONCE) as $key => $there) {
            [$place, $section, $wanted, $standing] = $pages[$key];
            if (! is_array($there)) {
                $this->silent($there, $place, $section, []);

                continue;
            }
            $this->page($place, $section, $wanted, $standing, $there);
        }

        return count($pages);
    }

    /**
     * @param  array<string, WantedPlacement>  $wanted
     * @param  array<string, stdClass>  $rows
     * @param  array<string, Found>  $there
     */
    private function page(Place $place, string $section, array $wanted, array $rows, array $there): void
    {
        $destination = $this->destinations->at($place);
        foreach (array_keys($wanted + $rows) as $key) {
            $row = $rows[$key] ?? null;
            $found = $there[$key] ?? null;
            $ought = $wanted[$key] ?? null;
            $isSame = $found === null ? $ought === null : $ought !== null && $destination->means($found, $ought);
            if (! $isSame) {
                $this->add(
                    self::cause($row, $found),
                    match (true) {
                        $found === null => DiscrepancyKind::Missing,
                        $ought === null => DiscrepancyKind::Extra,
                        default => DiscrepancyKind::OtherWords,
                    },
                    $place,
                    $section,
                );
            }
        }
    }

    /**
     * What the calendar of each reader of a section should serve in the span.
     *
     * @param  array<string, WantedPlacement>  $wanted
     * @param  array<string, stdClass>  $rows
     * @param  array<string, list<Expected>>  $people
     * @param  list<string>|null  $only
     */
    private function gather(
        SectionFacts $facts,
        array $wanted,
        array $rows,
        int $from,
        int $to,
        array &$people,
        ?array $only,
    ): void {
        $series = array_column($facts->series, null, 'uid');
        $readers = array_column($facts->readers, null, 'person');
        foreach (array_keys($wanted + $rows) as $key) {
            [$person, $uid] = explode('/', $key, 2);
            if ($only !== null && ! in_array($person, $only, true)) {
                continue;
            }
            $one = $series[$uid] ?? null;
            $door = $one === null || ! isset($wanted[$key]) ? [] : self::door($one, $person, $from, $to);
            $this->sessions += count($door);
            $row = $rows[$key] ?? null;
            // Nine thousand people's are kept at once: nothing that is not asked for.
            if ($row !== null) {
                unset($row->key, $row->person, $row->place, $row->section_id);
            }
            $people[$person][] = [
                'section' => $facts->id,
                'uid' => $uid,
                'row' => $row,
                'door' => $door,
                'link' => $one === null ? '' : $readers[$person]->links[$one->id] ?? ($one->isHidden ? '' : $one->link),
                'zone' => $facts->term->zone->name,
            ];
        }
    }

    /** @return list<array{int, int}> start and end */
    private static function door(SeriesFacts $series, string $person, int $from, int $to): array
    {
        $out = [];
        foreach ($series->sessionsOf($person) as $session) {
            if ($session->end > $from && $session->start < $to) {
                $out[] = [$session->start, $session->end];
            }
        }

        return $out;
    }

    /** @param  array<string, list<Expected>>  $people */
    private function calendars(array $people, int $from, int $to): void
    {
        $destination = $this->destinations->at(Place::Calendar);
        $tasks = [];
        foreach ($people as $person => $expected) {
            $person = (string) $person;
            $tasks[$person] = fn (): array => $this->calendar($destination, $person, $expected);
        }
        foreach (ConcurrentRequests::run($tasks, self::AT_ONCE) as $person => $differ) {
            $person = (string) $person;
            if (! is_array($differ)) {
                foreach (array_unique(array_column($people[$person], 'section')) as $section) {
                    $this->silent($differ, Place::Calendar, $section, [$person]);
                }

                continue;
            }
            foreach ($differ as [$expected, $found]) {
                $this->compare($person, $expected, $found, $from, $to);
            }
        }
    }

    /**
     * What has to be compared: where the version is not the one that we left, or that is not what should be.
     *
     * @param  list<Expected>  $expected
     * @return list<array{Expected, Found|null}>
     *
     * @throws DestinationFailure
     */
    private function calendar(Destination $destination, string $person, array $expected): array
    {
        $there = $destination->read($person);
        $out = [];
        foreach ($expected as $one) {
            $found = $there["$person/{$one['uid']}"] ?? null;
            $row = $one['row'];
            if (
                $row === null ||
                $found === null ||
                $found->etag !== $row->etag ||
                $row->published_hash !== $row->desired_hash
            ) {
                $out[] = [$one, $found === null ? null : $destination->whole($found)];
            }
        }

        return $out;
    }

    /** @param  Expected  $expected */
    private function compare(string $person, array $expected, ?Found $found, int $from, int $to): void
    {
        $served = $found === null ? [] : ServedEvents::of((string) $found->body, $from, $to) ?? [];
        $door = array_map(
            fn (array $s): DoorSession => new DoorSession($s[0], $s[1], $expected['link']),
            $expected['door'],
        );
        // A session that runs at this moment counts, on both sides.
        $served = array_values(
            array_filter($served, fn (ServedEvent $e): bool => $e->end > $from && $e->start < $to),
        );
        foreach (Truth::ofCalendar($door, $served, Zone::named($expected['zone'])) as $difference) {
            $this->add(
                self::cause($expected['row'], $found),
                $difference->seen,
                Place::Calendar,
                $expected['section'],
                [$person],
                [gmdate('Y-m-d\TH:i:s\Z', $difference->start ?? (int) $difference->there)],
            );
        }
    }

    private static function cause(?stdClass $row, ?Found $found): DiscrepancyCause
    {
        return DiscrepancyCause::of(
            (bool) $row?->left_alone,
            $row?->desired_hash,
            $row?->published_hash,
            $row?->etag,
            $found?->etag,
        );
    }

    /** @param  list<string>  $people */
    private function silent(mixed $came, Place $place, string $section, array $people): void
    {
        if (! ($came instanceof DestinationFailure) && $came instanceof Throwable) {
            throw $came;
        }
        $this->add(DiscrepancyCause::NoAnswer, DiscrepancyKind::Missing, $place, $section, $people);
    }

    /**
     * @param  list<string>  $people
     * @param  list<string>  $sessions
     */
    private function add(
        DiscrepancyCause $cause,
        DiscrepancyKind $seen,
        Place $place,
        string $section,
        array $people = [],
        array $sessions = [],
    ): void {
        $key = "$cause->value $seen->value $place->value $section";
        $line = $this->lines[$key] ?? new TruthLine($cause, $seen, $place, $section, [], []);
        $this->lines[$key] = new TruthLine(
            $cause,
            $seen,
            $place,
            $section,
            array_values(array_unique([...$line->people, ...$people])),
            array_values(array_unique([...$line->sessions, ...$sessions])),
        );
    }
}
