<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use DateTimeImmutable;
use DateTimeZone;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Property\ICalendar\DateTime as Moments;
use Sabre\VObject\Reader;
use Throwable;

/** What a calendar shows somebody who looks at it: the events of a span, one by one, as any reader expands them. */
final class ServedEvents
{
    /**
     * @param  int  $from  UTC seconds
     * @param  int  $to  UTC seconds; events that begin before it
     * @return list<ServedEvent>|null in the order of time; null where it is no calendar
     */
    public static function of(string $text, int $from, int $to): ?array
    {
        return Quietly::do(function () use ($text, $from, $to): ?array {
            try {
                $calendar = Reader::read($text);
                if (! ($calendar instanceof VCalendar)) {
                    return null;
                }
                $utc = new DateTimeZone('UTC');
                $expanded = $calendar->expand(new DateTimeImmutable("@$from"), new DateTimeImmutable("@$to"), $utc);
                $out = [];
                foreach ($expanded->select('VEVENT') as $event) {
                    [$start, $end] = [$event->DTSTART ?? null, $event->DTEND ?? null];
                    if (! ($start instanceof Moments) || (string) ($event->STATUS ?? '') === 'CANCELLED') {
                        continue;
                    }
                    $at = $start->getDateTime($utc)->getTimestamp();
                    $length =
                        isset($event->DURATION) &&
                        $event->DURATION instanceof \Sabre\VObject\Property\ICalendar\Duration
                            ? $start->getDateTime($utc)->add($event->DURATION->getDateInterval())->getTimestamp()
                            : $at;
                    $out[] = new ServedEvent(
                        (string) ($event->UID ?? ''),
                        $at,
                        $end instanceof Moments ? $end->getDateTime($utc)->getTimestamp() : $length,
                        (string) ($event->SUMMARY ?? ''),
                        (string) ($event->URL ?? ''),
                    );
                }
            } catch (Throwable) {
                return null;
            }
            usort($out, fn (ServedEvent $a, ServedEvent $b): int => [$a->start, $a->uid] <=> [$b->start, $b->uid]);

            return $out;
        });
    }
}
