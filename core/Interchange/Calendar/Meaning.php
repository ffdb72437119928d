<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Property;
use Sabre\VObject\Property\ICalendar\DateTime as Moments;
use Sabre\VObject\Reader;
use Throwable;

/**
 * What an iCalendar object means, however a server has written it: RFC 4791, 5.3.4 lets a server write an object again.
 * Order, folding, zones' definitions, stamps, a reader's own alarms and answers and everything experimental say nothing
 * about whether it is ours.
 */
final class Meaning
{
    /** What changes without the event changing. */
    private const SILENT = [
        'DTSTAMP',
        'CREATED',
        'LAST-MODIFIED',
        'SEQUENCE',
        'ORGANIZER',
        'ATTENDEE',
        'DTEND',
        'DURATION',
        'EXDATE',
        'RDATE',
    ];

    /** What is meant where nothing is written (RFC 5545, 3.8.1.3, 3.8.1.9, 3.8.2.7). */
    private const USUAL = ['CLASS' => 'PUBLIC', 'TRANSP' => 'OPAQUE', 'PRIORITY' => '0', 'STATUS' => 'CONFIRMED'];

    public static function isSame(string $one, string $other): bool
    {
        $meaning = self::of($one);

        return $meaning !== null && $meaning === self::of($other);
    }

    /** @return string|null equal for an equal meaning; null where it is no calendar */
    public static function of(string $text): ?string
    {
        return Quietly::do(function () use ($text): ?string {
            try {
                $calendar = Reader::read($text);
                if (! ($calendar instanceof VCalendar)) {
                    return null;
                }
                $events = [];
                foreach ($calendar->select('VEVENT') as $event) {
                    if ($event instanceof VEvent) {
                        $events[] = self::event($event);
                    }
                }
            } catch (Throwable) {
                return null;
            }
            sort($events);

            return json_encode(
                $events,
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE,
            );
        });
    }

    /** @return list<string> */
    private static function event(VEvent $event): array
    {
        $out = [];
        foreach ($event->children() as $child) {
            if (
                ! ($child instanceof Property) ||
                in_array($child->name, self::SILENT, true) ||
                str_starts_with((string) $child->name, 'X-')
            ) {
                continue;
            }
            $value = match (true) {
                $child instanceof Moments => self::moments($child),
                $child->name === 'RRULE' => self::rule($child),
                default => $child->getValue(),
            };
            if ((self::USUAL[(string) $child->name] ?? null) !== $value) {
                $out[] = "$child->name $value";
            }
        }
        foreach (['EXDATE', 'RDATE'] as $name) {
            $all = [];
            foreach ($event->select($name) as $dates) {
                $all = [...$all, ...$dates instanceof Moments ? explode(',', self::moments($dates)) : []];
            }
            sort($all);
            if ($all !== []) {
                $out[] = "$name ".implode(',', $all);
            }
        }
        $out[] = 'ends '.self::end($event);
        sort($out);

        return $out;
    }

    /** Seconds from start to end, however they are written. */
    private static function end(VEvent $event): string
    {
        $start = $event->DTSTART ?? null;
        $end = $event->DTEND ?? null;
        if (! ($start instanceof Moments)) {
            return '';
        }
        $from = $start->getDateTime();
        if ($end instanceof Moments) {
            return (string) ($end->getDateTime()->getTimestamp() - $from->getTimestamp());
        }
        $duration = $event->DURATION ?? null;

        return $duration instanceof Property\ICalendar\Duration
            ? (string) ($from->add($duration->getDateInterval())->getTimestamp() - $from->getTimestamp())
            : '';
    }

    private static function moments(Moments $property): string
    {
        $out = array_map(
            fn ($at): string => $property->hasTime() ? (string) $at->getTimestamp() : $at->format('Ymd'),
            $property->getDateTimes(),
        );
        sort($out);

        return implode(',', $out);
    }

    private static function rule(Property $property): string
    {
        $parts = explode(';', strtoupper($property->getRawMimeDirValue()));
        // What is meant where nothing is written.
        $parts = array_diff($parts, ['INTERVAL=1', 'WKST=MO']);
        sort($parts);

        return implode(';', $parts);
    }
}
