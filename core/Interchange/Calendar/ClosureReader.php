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
 * 3.6.1); an event with clock times closes every day that it touches.
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
            return [
                [],
                [
                    new ImportFault(
                        $file,
                        IcsText::lineOf($e),
                        '',
                        'An iCalendar file (RFC 5545) was expected.',
                        IcsText::words($e),
                    ),
                ],
            ];
        }
        $rows = [];
        $faults = [];
        $lines = IcsText::eventLines($text);
        foreach ($calendar->select('VEVENT') as $n => $event) {
            $line = $lines[$n] ?? 0;
            $reason = trim((string) ($event->SUMMARY ?? ''));
            $uid = trim((string) ($event->UID ?? ''));
            if (($event->DTSTART ?? null) === null || ! ($event->DTSTART instanceof DateTimeProperty)) {
                $faults[] = new ImportFault($file, $line, 'DTSTART', 'Every closed day needs a DTSTART.');

                continue;
            }
            if ($reason === '') {
                $faults[] = new ImportFault(
                    $file,
                    $line,
                    'SUMMARY',
                    'Every closed day needs a SUMMARY that says why.',
                );

                continue;
            }
            if (isset($event->RRULE)) {
                $faults[] = new ImportFault(
                    $file,
                    $line,
                    'RRULE',
                    'Closed days are listed one by one; a recurring one is not read.',
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
                $faults[] = new ImportFault(
                    $file,
                    $line,
                    'DTSTART',
                    'A date or a date-time with a known time zone was expected.',
                    $e->getMessage(),
                );

                continue;
            }
            if ($last->day < $first->day) {
                $faults[] = new ImportFault(
                    $file,
                    $line,
                    'DTEND',
                    'A date after DTSTART was expected.',
                    (string) $event->DTEND,
                );

                continue;
            }
            $rows[] = [
                'uid' => $uid === '' ? $first->iso().' '.$reason : $uid,
                'first' => $first->iso(),
                'last' => $last->iso(),
                'reason' => $reason,
            ];
        }

        return [$rows, $faults];
    }

    /** The last day of an event that says how long it lasts (RFC 5545 3.3.6) instead of when it ends. */
    private static function lastOf(DateTimeProperty $start, string $duration, Zone $zone): LocalDate
    {
        $at = \DateTimeImmutable::createFromInterface($start->getDateTime(new \DateTimeZone($zone->name)));
        $length = DateTimeParser::parseDuration($duration);
        $end = $length instanceof \DateInterval ? $at->add($length) : $at;
        $last = $end > $at ? $end->modify('-1 second') : $at;

        return LocalDate::parse($last->setTimezone(new \DateTimeZone($zone->name))->format('Y-m-d'));
    }
}
