<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Interchange\Calendar\ServedEvent;
use Nomada\Core\Term\Zone;

/** Compares what the door would say to somebody with what their calendar serves, session by session. */
final class Truth
{
    /**
     * @param  list<DoorSession>  $door  of one series, in any order
     * @param  list<ServedEvent>  $served  of the same series and span
     * @param  Zone  $zone  whose days tell a moved session from a missing one
     * @return list<Difference> in the order of time
     */
    public static function ofCalendar(array $door, array $served, Zone $zone): array
    {
        $out = $open = [];
        $there = [];
        foreach ($served as $event) {
            $there[$event->start][] = $event;
        }
        foreach ($door as $session) {
            $event = isset($there[$session->start]) ? array_shift($there[$session->start]) : null;
            if ($event === null) {
                $open[] = $session;
            } elseif ($event->end !== $session->end) {
                $out[] = new Difference(DiscrepancyKind::OtherTime, $session->start, $event->start);
            } elseif ($event->link !== $session->link) {
                $out[] = new Difference(DiscrepancyKind::OtherLink, $session->start, $event->start);
            }
        }
        $left = array_merge(...array_values($there));
        usort($left, fn (ServedEvent $a, ServedEvent $b): int => $a->start <=> $b->start);
        usort($open, fn (DoorSession $a, DoorSession $b): int => $a->start <=> $b->start);
        // What is missing, and what is there instead on the same day, is one session at another time.
        foreach ($open as $session) {
            $instead = self::onDay($left, $zone->wall($session->start)[0], $zone);
            $out[] = new Difference(
                $instead === null ? DiscrepancyKind::Missing : DiscrepancyKind::OtherTime,
                $session->start,
                $instead === null ? null : $left[$instead]->start,
            );
            if ($instead !== null) {
                unset($left[$instead]);
            }
        }
        foreach ($left as $event) {
            $out[] = new Difference(DiscrepancyKind::Extra, null, $event->start);
        }
        usort($out, fn (Difference $a, Difference $b): int => ($a->start ?? $a->there) <=> ($b->start ?? $b->there));

        return $out;
    }

    /** @param  array<int, ServedEvent>  $events */
    private static function onDay(array $events, int $day, Zone $zone): ?int
    {
        foreach ($events as $n => $event) {
            if ($zone->wall($event->start)[0] === $day) {
                return $n;
            }
        }

        return null;
    }
}
