<?php

declare(strict_types=1);

namespace Nomada\Core\Term;

use DateTimeImmutable;
use DateTimeZone;
use IntlDateFormatter;
use Nomada\Core\Fault;

/**
 * An IANA time zone, and the two questions asked of it: which instant is this wall time, and what does the wall clock
 * show at this instant.
 *
 * A wall time that the clocks skip moves forward by the gap; one that comes twice means the first (docs/rules.md,
 * Time; RFC 5545 3.3.5 says the same). Offsets are learnt once a day number and kept, since a term asks for the same
 * days many thousand times.
 */
final class Zone
{
    /** @var array<string, self> */
    private static array $known = [];

    /** @var array<string, array<string, string>> by language and name of the zone */
    private static array $places = [];

    /**
     * Seconds east of UTC that hold on the whole of a day, or null on a day with a change.
     *
     * @var array<int, int|null>
     */
    private array $offsets = [];

    /** @var array<string, array<int, int|null>> */
    private array $spans = [];

    private readonly DateTimeZone $zone;

    private function __construct(public readonly string $name)
    {
        $this->zone = new DateTimeZone($name);
    }

    /** @throws Fault where the name is not one of the IANA database */
    public static function named(string $name): self
    {
        $name = trim($name);
        if (! isset(self::$known[$name])) {
            if (! in_array($name, DateTimeZone::listIdentifiers(DateTimeZone::ALL_WITH_BC), true)) {
                throw new Fault('zone.none', '', ['name' => $name]);
            }
            self::$known[$name] = new self($name);
        }

        return self::$known[$name];
    }

    /**
     * Seconds east of UTC for every day of a span, null on a day on which the clock changes. Learnt once.
     *
     * @return array<int, int|null>
     */
    public function offsets(int $first, int $last): array
    {
        if (! isset($this->spans["$first $last"])) {
            $span = [];
            for ($day = $first; $day <= $last; $day++) {
                $span[$day] = array_key_exists($day, $this->offsets) ? $this->offsets[$day] : $this->learn($day);
            }
            $this->spans["$first $last"] = $span;
        }

        return $this->spans["$first $last"];
    }

    /** UTC seconds of a wall time; `minute` counts from midnight and may run past 1440 into the next day. */
    public function instant(int $day, int $minute): int
    {
        $wall = $day * 86400 + $minute * 60;
        $offset = array_key_exists($day, $this->offsets) ? $this->offsets[$day] : $this->learn($day);

        return $offset === null || $minute < 0 || $minute >= 1440 ? $this->instantByRule($wall) : $wall - $offset;
    }

    /**
     * The wall clock at an instant: `[day, minute of day, seconds east of UTC]`.
     *
     * @return array{int, int, int}
     */
    public function wall(int $instant): array
    {
        $offset = $this->offsetAt($instant);
        $wall = $instant + $offset;
        $day = (int) floor($wall / 86400);

        return [$day, intdiv($wall - $day * 86400, 60), $offset];
    }

    public function dateAt(int $instant): LocalDate
    {
        return new LocalDate($this->wall($instant)[0]);
    }

    /** `09:52` on this zone's clock. */
    public function clock(int $instant): string
    {
        $minute = $this->wall($instant)[1];

        return sprintf('%02d:%02d', intdiv($minute, 60), $minute % 60);
    }

    /** ISO 8601 with offset, as in `2027-02-09T09:52:00+01:00`. */
    public function iso(int $instant): string
    {
        return (new DateTimeImmutable('@'.$instant))->setTimezone($this->zone)->format('Y-m-d\TH:i:sP');
    }

    /**
     * Its place as people of a language write it, from CLDR: `Madrid`; `Canarias` in Spanish, `Canary` in English. A
     * zone that is no place (`UTC`, `CET`) is called by its name.
     *
     * @param  string  $language  BCP 47
     */
    public function place(string $language): string
    {
        return self::$places[$language][$this->name] ??= str_contains($this->name, '/')
            ? (string) (new IntlDateFormatter($language, 0, 0, $this->name, null, 'VVV'))->format(0)
            : $this->name;
    }

    public function offsetAt(int $instant): int
    {
        return $this->zone->getOffset(new DateTimeImmutable('@'.$instant));
    }

    /**
     * The changes of the clock within a span, with the state that holds at its start as the first row.
     *
     * @return list<array{at: int, offset: int, before: int, name: string, summer: bool}>
     */
    public function changes(int $from, int $to): array
    {
        $rows = $this->zone->getTransitions($from, $to) ?: [];
        $before = $this->offsetAt($from - 1);
        $out = [];
        foreach ($rows as $row) {
            $out[] = [
                'at' => $row['ts'],
                'offset' => $row['offset'],
                'before' => $before,
                'name' => $row['abbr'],
                'summer' => $row['isdst'],
            ];
            $before = $row['offset'];
        }

        return $out;
    }

    private function learn(int $day): ?int
    {
        // A day of the wall calendar lies within these 50 hours of UTC, whatever the zone.
        $from = $day * 86400 - 14 * 3600;
        $first = $this->offsetAt($from);

        return $this->offsets[$day] =
            count($this->zone->getTransitions($from, $from + 52 * 3600) ?: []) > 1 ? null : $first;
    }

    private function instantByRule(int $wall): int
    {
        $before = $this->offsetAt($wall - 86400);
        $after = $this->offsetAt($wall + 86400);
        // The earlier instant that shows this wall time is the one by the offset from before the change, where it still
        // holds then.
        if ($this->offsetAt($wall - $before) === $before) {
            return $wall - $before;
        }
        if ($this->offsetAt($wall - $after) === $after) {
            return $wall - $after;
        }

        // Skipped: reading it by the old offset lands as far behind the gap as the wall time lay inside it.
        return $wall - $before;
    }
}
