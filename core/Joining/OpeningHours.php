<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Fault;
use Nomada\Core\Language\Phrases;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\TypedTime;

/**
 * The open hours of a drop-in room: spans of weekdays on the school's clock, on open days of the term only. Outside
 * them the room is shut, so that nobody finds an empty one that is always open.
 */
final readonly class OpeningHours
{
    private const DAYS = [1 => 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

    /** How a day's name begins in the languages of the pages; 1 is Monday. */
    private const BEGIN = [
        1 => 'mon|lun',
        'tue|mar',
        'wed|mi[eé]',
        'thu|jue',
        'fri|vie',
        'sat|s[aá]b',
        'sun|dom',
    ];

    /** A room that is open for longer than this without a break is a slip, or no drop-in room. */
    private const LONGEST = 6 * 60;

    /**
     * @var list<array{int, int, int}> weekday (1 is Monday), start and end in minutes from midnight; ascending, none
     *   overlaps
     */
    public array $spans;

    /**
     * @param  list<array{int, int, int}>  $spans
     *
     * @throws Fault if there is none, one ends before it starts, or two overlap
     */
    public function __construct(array $spans)
    {
        if ($spans === []) {
            throw new Fault('hours.none', 'hours');
        }
        sort($spans);
        foreach ($spans as $i => [$weekday, $start, $end]) {
            $is = self::span($weekday, $start, $end);
            if ($end <= $start) {
                throw new Fault('hours.backwards', 'hours', ['is' => $is]);
            }
            if ($end - $start > self::LONGEST) {
                throw new Fault('hours.long', 'hours', ['is' => $is]);
            }
            if ($i > 0 && $spans[$i - 1][0] === $weekday && $spans[$i - 1][2] > $start) {
                throw new Fault('hours.overlap', 'hours', ['is' => $is, 'other' => self::span(...$spans[$i - 1])]);
            }
        }
        $this->spans = $spans;
    }

    /**
     * Reads hours as people type them: "Tue 15:00-16:00, Thursday 9 to 10", in Spanish too: "mar 15:00-16:00,
     * jueves 9 a 10".
     *
     * @throws Fault that names the part which does not read
     */
    public static function read(string $typed): self
    {
        $spans = [];
        foreach (preg_split('/[,;\n]+/', $typed) ?: [] as $part) {
            $part = trim($part);
            if ($part === '') {
                continue;
            }
            if (
                preg_match(
                    '/^('.implode('|', self::BEGIN).')\p{L}*\.?\s+(.+?)\s*(?:-|–|\bto\b|\ba\b)\s*(.+)$/iu',
                    $part,
                    $m,
                ) !== 1
            ) {
                throw new Fault('hours.unread', 'hours', ['part' => $part]);
            }
            $weekday = 1;
            while (preg_match('/^('.self::BEGIN[$weekday].')$/iu', $m[1]) !== 1) {
                $weekday++;
            }
            $spans[] = [$weekday, TypedTime::read($m[2], 'hours')->minute, TypedTime::read($m[3], 'hours')->minute];
        }

        return new self($spans);
    }

    /**
     * "Tue 15:00–16:00, Thu 09:00–10:00"
     *
     * @param  Phrases|null  $phrases  in whose language the weekdays are; as they are typed where null
     */
    public function words(?Phrases $phrases = null): string
    {
        return $phrases?->this($this->said()) ??
            implode(', ', array_map(fn (array $s): string => self::say(...$s), $this->spans));
    }

    /** The same, for anybody who reads it. */
    public function said(): Said
    {
        return Said::list(array_map(fn (array $s): Said => self::span(...$s), $this->spans));
    }

    /**
     * The hours that hold at a moment, or the next ones of the term.
     *
     * @return array{int, int}|null UTC start and end; null where none is left
     */
    public function at(Term $term, int $now): ?array
    {
        [$today] = $term->zone->wall($now);
        for ($day = max($today, $term->first->day); $day <= $term->last->day; $day++) {
            if (! $term->isOpen($day)) {
                continue;
            }
            foreach ($this->spans as [$weekday, $start, $end]) {
                $until = $term->zone->instant($day, $end);
                if ($weekday === LocalDate::weekdayOf($day) && $until > $now) {
                    return [$term->zone->instant($day, $start), $until];
                }
            }
        }

        return null;
    }

    private static function span(int $weekday, int $start, int $end): Said
    {
        return Said::row([
            Said::weekday($weekday),
            new Said('span', ['from' => TypedTime::format($start), 'until' => TypedTime::format($end)]),
        ]);
    }

    /** As it is typed. */
    private static function say(int $weekday, int $start, int $end): string
    {
        return self::DAYS[$weekday].' '.TypedTime::format($start).'–'.TypedTime::format($end);
    }
}
