<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\DatesPattern;
use Nomada\Core\Timetable\Patterns;
use Nomada\Core\Timetable\RecurrenceRule;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SeriesPlan;

/**
 * Reads timetable.csv, one series a row: class_sourced_id, title, dtstart (local), minutes, tzid, rrule; in files that
 * Nomada wrote, series_uid too, by which a series is known whatever it is called.
 *
 * COUNT counts as RFC 5545 counts it, closed days are taken out afterwards. A rule without COUNT or UNTIL ends with the
 * term, since there is no series without an end. An empty rrule is one session on the day of dtstart; with `per_week`
 * beside it, it is a series that has no time yet: so many sessions a week on different days, from the date in dtstart
 * until the date in `until` (empty: the end of the term).
 *
 * @phpstan-import-type SeriesRow from SchoolData
 * @phpstan-import-type ToPlaceRow from SchoolData
 */
final class TimetableReader
{
    private const COLUMNS = ['class_sourced_id', 'title', 'dtstart', 'minutes', 'tzid', 'rrule'];

    /** @return array{list<SeriesRow>, list<ImportFault>} */
    public static function read(string $text, string $file, SchoolData $school, Zone $default): array
    {
        $csv = new Csv($file, $text, self::COLUMNS);
        $faults = $csv->faults;
        $series = [];
        $seen = [];
        foreach ($csv->rows as $row) {
            $isToPlace = $row->get('rrule') === '' && $row->get('per_week') !== '';
            $found = $isToPlace
                ? self::toPlace($row, $school, $default, $faults)
                : self::row($row, $school, $default, $faults);
            if ($found === null) {
                continue;
            }
            $key = $found['section'].' '.mb_strtolower($found['title']);
            if (isset($seen[$key])) {
                $faults[] = $row->fault('title', new Fault('table.title', '', ['line' => $seen[$key]]));

                continue;
            }
            $seen[$key] = $row->line;
            if (isset($found['plan'])) {
                $series[] = $found;
            } else {
                $school->toPlace[] = $found;
            }
        }

        return [$series, $faults];
    }

    /**
     * @param  list<ImportFault>  $faults
     * @return ToPlaceRow|null
     */
    private static function toPlace(CsvRow $row, SchoolData $school, Zone $default, array &$faults): ?array
    {
        $before = count($faults);
        $section = $school->sections[$row->get('class_sourced_id')] ?? null;
        if ($section === null) {
            $faults[] = $row->fault(
                'class_sourced_id',
                new Fault('roster.reference', '', ['file' => 'classes.csv']),
            );
        }
        if (mb_strlen($row->get('title')) > 120) {
            $faults[] = $row->fault('title', new Fault('roster.long', '', ['n' => 120]));
        }
        $number = fn (string $column, int $most): ?int => preg_match('/^\d{1,3}$/D', $row->get($column)) === 1 &&
        (int) $row->get($column) >= 1 &&
        (int) $row->get($column) <= $most
            ? (int) $row->get($column)
            : null;
        $dates = [];
        foreach (['dtstart', 'until'] as $column) {
            try {
                $text = preg_replace('/[T ].*$/D', '', $row->get($column));
                $dates[$column] = $text === '' && $column === 'until' ? null : LocalDate::parse((string) $text);
            } catch (Fault $e) {
                $faults[] = $row->fault($column, $e);
            }
        }
        $days = $section === null ? 7 : count(self::term($school, $section, $default)->weekdays());
        $perWeek = $number('per_week', $days);
        $minutes = $number('minutes', SeriesPlan::LONGEST);
        if ($perWeek === null) {
            $faults[] = $row->fault('per_week', new Fault('to_place.per_week', '', ['n' => $days]));
        }
        if ($minutes === null) {
            $faults[] = $row->fault('minutes', new Fault('table.minutes', '', ['n' => SeriesPlan::LONGEST]));
        }
        $until = $dates['until'] ?? null;
        if ($until !== null && isset($dates['dtstart']) && $until->day < $dates['dtstart']->day) {
            $faults[] = $row->fault('until', 'to_place.until');
        }
        if ($section === null || $perWeek === null || $minutes === null || count($faults) > $before) {
            return null;
        }
        assert(isset($dates['dtstart']));

        return [
            'section' => $section['sourced_id'],
            'title' => $row->get('title') === '' ? $section['title'] : $row->get('title'),
            'per_week' => $perWeek,
            'minutes' => $minutes,
            'from' => $dates['dtstart']->iso(),
            'until' => $until?->iso(),
        ];
    }

    /** @param  array{term: string, ...}  $section */
    private static function term(SchoolData $school, array $section, Zone $zone): Term
    {
        $row = $school->terms[$section['term']];

        return new Term(
            $row['title'],
            LocalDate::parse($row['starts_on']),
            LocalDate::parse($row['ends_on']),
            $zone,
        );
    }

    /**
     * @param  list<ImportFault>  $faults
     * @return SeriesRow|null
     */
    private static function row(CsvRow $row, SchoolData $school, Zone $default, array &$faults): ?array
    {
        $before = count($faults);
        $section = $school->sections[$row->get('class_sourced_id')] ?? null;
        if ($section === null) {
            $faults[] = $row->fault(
                'class_sourced_id',
                new Fault('roster.reference', '', ['file' => 'classes.csv']),
            );
        }
        foreach (['title' => 120, 'series_uid' => 250] as $column => $n) {
            if (mb_strlen($row->get($column)) > $n) {
                $faults[] = $row->fault($column, new Fault('roster.long', '', ['n' => $n]));
            }
        }
        try {
            $zone = $row->get('tzid') === '' ? $default : Zone::named($row->get('tzid'));
        } catch (Fault) {
            $faults[] = $row->fault('tzid', 'roster.zone');
            $zone = null;
        }
        $start = null;
        if (
            ! preg_match('/^(\d{4}-?\d{2}-?\d{2})[T ](\d{2}):?(\d{2})(?::?00)?$/D', $row->get('dtstart'), $m) ||
            (int) $m[2] > 23 ||
            (int) $m[3] > 59
        ) {
            $faults[] = $row->fault('dtstart', 'table.start');
        } else {
            try {
                $start = LocalDate::parse($m[1]);
            } catch (Fault $e) {
                $faults[] = $row->fault('dtstart', $e);
            }
        }
        if (
            ! preg_match('/^\d{1,3}$/D', $row->get('minutes')) ||
            (int) $row->get('minutes') < 1 ||
            (int) $row->get('minutes') > SeriesPlan::LONGEST
        ) {
            $faults[] = $row->fault('minutes', new Fault('table.minutes', '', ['n' => SeriesPlan::LONGEST]));
        }
        $rule = null;
        if ($zone !== null) {
            try {
                $rule = RecurrenceRule::parse(
                    $row->get('rrule') === '' ? 'FREQ=DAILY;COUNT=1' : $row->get('rrule'),
                    $zone,
                );
            } catch (Fault $e) {
                $faults[] = $row->fault('rrule', $e);
            }
        }
        if ($section === null || $zone === null || $start === null || $rule === null || count($faults) > $before) {
            return null;
        }
        $minute = (int) $m[2] * 60 + (int) $m[3];
        $term = self::term($school, $section, $default);
        try {
            $plan = new SeriesPlan(
                // Without a rule it is that date, and is said as one.
                $row->get('rrule') === '' ? new DatesPattern([$start->day]) : Patterns::fromRule($rule, $start),
                $start,
                self::end($rule, $zone, $minute),
                $minute,
                (int) $row->get('minutes'),
                $zone,
            );
        } catch (Fault $e) {
            $faults[] = $row->fault('rrule', $e);

            return null;
        }
        foreach (self::warnings($plan, $term, $rule) as [$column, $words]) {
            $faults[] = $row->fault($column, $words, true);
        }

        if ($plan->sessions($term) === []) {
            $faults[] = $row->fault('rrule', 'table.no_session');

            return null;
        }

        return [
            'section' => $section['sourced_id'],
            'title' => $row->get('title'),
            'plan' => $plan,
            'uid' => $row->get('series_uid'),
            'cells' => array_map($row->get(...), TimetableWriter::HEADER),
        ];
    }

    private static function end(RecurrenceRule $rule, Zone $zone, int $minute): SeriesEnd
    {
        if ($rule->count !== null) {
            return SeriesEnd::afterCounted($rule->count);
        }
        if ($rule->until === null) {
            return SeriesEnd::withTerm();
        }
        // A session that would start after the moment of UNTIL is not in the set.
        $past = $rule->untilInstant !== null && $zone->instant($rule->until->day, $minute) > $rule->untilInstant;

        return SeriesEnd::onDate($past ? $rule->until->plus(-1) : $rule->until);
    }

    /** @return iterable<array{string, Fault}> column, what is likely a slip */
    private static function warnings(SeriesPlan $plan, Term $term, RecurrenceRule $rule): iterable
    {
        if (($doubt = TypedTime::doubt($plan->startMinute)) !== null) {
            yield ['dtstart', $doubt];
        }
        $outside = $plan->outside($term);
        if ($outside > 0) {
            yield ['rrule', new Fault('table.outside', '', ['n' => $outside])];
        }
        if ($rule->count === null && $rule->until === null) {
            yield ['rrule', new Fault('table.endless')];
        }
        foreach ($plan->pattern->days($plan->from, $plan->from->plus(400), $term) as $day) {
            if ($day !== $plan->from->day) {
                yield ['dtstart', new Fault('table.first', '', ['day' => (new LocalDate($day))->iso()])];
            }
            break;
        }
    }
}
