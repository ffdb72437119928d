<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Interchange\SchoolData;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Sabre\VObject\DateTimeParser;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property\ICalendar\DateTime as DateTimeProperty;

/**
 * Reads closed days from iCalendar: each event is a closed range, its SUMMARY the reason. DTEND is exclusive (RFC 5545
 * 3.6.1). An event of some hours (not from midnight to midnight) closes no day: it carries its `hours`,
 * "09:00–12:00", and anybody who reads decides.
 *
 * @phpstan-import-type ClosureRow from SchoolData
 */
final class ClosureReader
{
    /** @return array{list<ClosureRow>, list<ImportFault>} */
    public static function read(string $text, string $file, Zone $zone): array
    {
        return Quietly::do(fn (): array => self::closures($text, $file, $zone));
    }

    /** @return array{list<ClosureRow>, list<ImportFault>} */
    private static function closures(string $text, string $file, Zone $zone): array
    {
        try {
            $calendar = IcsText::read($text);
        } catch (ParseException $e) {
            return [[], [new ImportFault($file, IcsText::lineOf($e), '', 'calendar.file', IcsText::words($e))]];
        }
        $rows = [];
        $faults = [];
        $lines = IcsText::eventLines($text);
        foreach ($calendar->select('VEVENT') as $n => $event) {
            $line = $lines[$n] ?? 0;
            $reason = trim((string) ($event->SUMMARY ?? ''));
            $uid = trim((string) ($event->UID ?? ''));
            if (($event->DTSTART ?? null) === null || ! ($event->DTSTART instanceof DateTimeProperty)) {
                $faults[] = new ImportFault($file, $line, 'DTSTART', 'calendar.closed_start');

                continue;
            }
            if ($reason === '') {
                $faults[] = new ImportFault($file, $line, 'SUMMARY', 'calendar.closed_summary');

                continue;
            }
            if (isset($event->RRULE)) {
                $faults[] = new ImportFault(
                    $file,
                    $line,
                    'RRULE',
                    'calendar.closed_recurring',
                    (string) $event->RRULE,
                );

                continue;
            }
            try {
                $first = IcsText::dayOf($event->DTSTART, $zone);
                $end = $event->DTEND ?? null;
                $last = match (true) {
                    $end instanceof DateTimeProperty => IcsText::dayOf($end, $zone, true),
                    isset($event->DURATION) => self::lastOf($event->DTSTART, (string) $event->DURATION, $zone),
                    default => $first,
                };
            } catch (\Throwable $e) {
                $faults[] = new ImportFault($file, $line, 'DTSTART', 'calendar.closed_date', $e->getMessage());

                continue;
            }
            if ($last->day < $first->day) {
                $faults[] = new ImportFault($file, $line, 'DTEND', 'calendar.closed_end', (string) $event->DTEND);

                continue;
            }
            $rows[] = [
                'uid' => $uid === '' ? $first->iso().' '.$reason : $uid,
                'first' => $first->iso(),
                'last' => $last->iso(),
                'reason' => $reason,
                'hours' => self::hours(
                    $event->DTSTART,
                    $event->DTEND ?? null,
                    isset($event->DURATION) ? (string) $event->DURATION : null,
                    $zone,
                ),
            ];
        }

        return [$rows, $faults];
    }

    /** When an event of some hours begins and ends, on the school's clock; null where it is of whole days. */
    private static function hours(DateTimeProperty $from, mixed $to, ?string $duration, Zone $zone): ?string
    {
        if (! $from->hasTime()) {
            return null;
        }
        $start = self::at($from, $zone);
        $length = $duration === null ? null : DateTimeParser::parseDuration($duration);
        $end = match (true) {
            $to instanceof DateTimeProperty => self::at($to, $zone),
            $length instanceof \DateInterval => $start->add($length),
            default => $start,
        };
        $hours = [$start->format('H:i'), $end->format('H:i')];

        return $hours === ['00:00', '00:00'] ? null : implode('–', $hours);
    }

    private static function at(DateTimeProperty $property, Zone $zone): \DateTimeImmutable
    {
        $own = new \DateTimeZone($zone->name);

        return \DateTimeImmutable::createFromInterface($property->getDateTime($own))->setTimezone($own);
    }

    /** The last day of an event that says how long it lasts (RFC 5545 3.3.6) instead of when it ends. */
    private static function lastOf(DateTimeProperty $start, string $duration, Zone $zone): LocalDate
    {
        $at = self::at($start, $zone);
        $length = DateTimeParser::parseDuration($duration);
        $end = $length instanceof \DateInterval ? $at->add($length) : $at;
        $last = $end > $at ? $end->modify('-1 second') : $at;

        return LocalDate::parse($last->setTimezone(new \DateTimeZone($zone->name))->format('Y-m-d'));
    }
}
