<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/** Says what it was and what it is, on a reader's clock. */
final class ChangeWords
{
    /** Lines of one telling; what is more is in the calendar. */
    private const MOST = 12;

    /**
     * @param  list<SessionChange>  $changes
     * @param  bool  $withSeries  names the series of each, where a section has several
     * @return list<string>
     */
    public static function lines(array $changes, Zone $zone, bool $withSeries = false): array
    {
        $lines = array_map(
            fn (SessionChange $c): string => ($withSeries ? "$c->series: " : '').self::line($c, $zone),
            array_slice($changes, 0, self::MOST),
        );
        $more = count($changes) - count($lines);

        return $more === 0 ? $lines : [...$lines, "and $more more changes; the calendar has all of them"];
    }

    private static function line(SessionChange $change, Zone $zone): string
    {
        $was = $change->was === null ? '' : self::when($change->was, $zone);
        $is = $change->is === null ? '' : self::when($change->is, $zone);

        return match ($change->kind) {
            ChangeKind::Cancelled => "$was is cancelled".($change->is?->reason ? ": {$change->is->reason}" : ''),
            ChangeKind::Gone => "$was is not held",
            ChangeKind::HeldAfterAll => "$is is held after all",
            ChangeKind::Moved => "$was is now $is",
            ChangeKind::MakesUp => "$is makes up ".self::day((string) $change->is?->makesUp),
            ChangeKind::Added => "$is is new",
            ChangeKind::OtherTeacher => $change->is?->teacher
                ? "$is is with {$change->is->teacher}"
                : "$is is with the usual teacher again",
            ChangeKind::OtherTitle => $change->is?->title
                ? "$is: {$change->is->title}"
                : "$is has no topic any more",
            ChangeKind::NewSeries => "$change->series begins on $is",
            ChangeKind::NoMoreSeries => "$change->series is not held any more",
            ChangeKind::OtherLink => 'There is a new link; the old one opens nothing any more',
            ChangeKind::OtherDoor => 'The doors open at another time before the start',
        };
    }

    private static function when(ToldSession $session, Zone $zone): string
    {
        return $zone->dateAt($session->start)->short().
            ', '.
            $zone->clock($session->start).
            '–'.
            $zone->clock($session->end);
    }

    private static function day(string $iso): string
    {
        return $iso === '' ? '' : LocalDate::parse($iso)->short();
    }
}
