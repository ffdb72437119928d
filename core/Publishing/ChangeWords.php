<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Language\Phrases;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/** Says what it was and what it is, on a reader's clock and in their language. */
final readonly class ChangeWords
{
    /** Lines of one telling; what is more is in the calendar. */
    private const MOST = 12;

    public function __construct(private Phrases $phrases)
    {
    }

    /**
     * @param  list<SessionChange>  $changes
     * @param  bool  $withSeries  names the series of each, where a section has several
     * @return list<string>
     */
    public function lines(array $changes, Zone $zone, bool $withSeries = false): array
    {
        $lines = array_map(
            fn (SessionChange $c): string => $withSeries
                ? $this->say('of_series', ['series' => $c->series, 'change' => $this->line($c, $zone)])
                : $this->line($c, $zone),
            array_slice($changes, 0, self::MOST),
        );
        $more = count($changes) - count($lines);

        return $more === 0 ? $lines : [...$lines, $this->say('more', ['n' => $more])];
    }

    private function line(SessionChange $change, Zone $zone): string
    {
        $is = $change->is;
        $day = (string) $is?->makesUp;
        $said = $this->say(
            match (true) {
                $change->kind === ChangeKind::OtherTeacher && (string) $is?->teacher === '' => 'usual-teacher',
                $change->kind === ChangeKind::OtherTitle && (string) $is?->title === '' => 'no-title',
                default => $change->kind->value,
            },
            [
                'was' => $change->was === null ? '' : $this->when($change->was, $zone),
                'is' => $is === null ? '' : $this->when($is, $zone),
                'day' => $day === '' ? '' : $this->phrases->day(LocalDate::parse($day)),
                'series' => $change->series,
                'teacher' => (string) $is?->teacher,
                'title' => (string) $is?->title,
            ],
        );
        $reason = $change->kind === ChangeKind::Cancelled ? (string) $is?->reason : '';

        return $reason === '' ? $said : $this->say('because', ['change' => $said, 'reason' => $reason]);
    }

    private function when(ToldSession $session, Zone $zone): string
    {
        return $this->phrases->day($zone->dateAt($session->start)).
            ', '.
            $zone->clock($session->start).
            '–'.
            $zone->clock($session->end);
    }

    /** @param  array<string, string|int>  $with */
    private function say(string $code, array $with): string
    {
        return $this->phrases->say("changes.$code", $with);
    }
}
