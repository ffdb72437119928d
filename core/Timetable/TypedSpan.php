<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;
use Nomada\Core\Term\TypedTime;

/**
 * From when to when, as people type it into two fields: two times ("9", "9:45"), a time and a length ("45 min", "+45"),
 * or both times in the first field ("12:00–12:45", "1200-1245", "12–1").
 *
 * A start that reads two ways is asked about. An end that does is not, where only one of its readings comes after the
 * start on that day. Answers belong to the text that they were given for: another text is asked about again.
 */
final readonly class TypedSpan
{
    private const DASH = '/^(.*\d.*?)\s*(?:-|–|—|\bto\b|\buntil\b)\s*(.*\d.*)$/uD';

    private const LENGTH = '/^(?:\+\s*(\d{1,3})|(\d{1,3})\s*(?:min|mins|minute|minutes|m|\'))\.?$/uD';

    /**
     * @param  int  $start  minutes from midnight
     * @param  int  $end  the same
     * @param  list<Fault>  $doubts  what is not refused, but likely a slip
     */
    private function __construct(public int $start, public int $end, public array $doubts)
    {
    }

    /**
     * @param  array{string, string}  $fields  the names of the two, for the fault
     * @param  array{string, string}  $sure  the answers given, each as answer() writes it; empty if there is none
     * @param  bool  $asks  whether a time before 07:00 or after 21:00 is asked about, or only noted
     *
     * @throws Fault that is the question, or says how to write it
     */
    public static function read(
        string $start,
        string $end,
        array $fields = ['', ''],
        array $sure = ['', ''],
        bool $asks = true,
    ): self {
        $start = trim($start);
        $end = trim($end);
        if (preg_match(self::DASH, $start, $m)) {
            [$start, $end] = [trim($m[1]), trim($m[2])];
        }
        $doubts = [];
        $from = self::settled(TypedTime::read($start, $fields[0]), $start, $fields[0], $sure[0], $asks, $doubts);
        if (preg_match(self::LENGTH, mb_strtolower($end), $m)) {
            $to = $from + (int) ($m[1] !== '' ? $m[1] : $m[2]);
        } else {
            $time = TypedTime::read($end, $fields[1]);
            $to = $time->isEither
                ? self::after($from, $time)
                : self::settled($time, $end, $fields[1], $sure[1], $asks, $doubts);
        }
        if ($to <= $from || $to > 1440) {
            throw $to > 1440
                ? new Fault('span.midnight', $fields[1])
                : new Fault('span.backwards', $fields[1], [
                    'to' => TypedTime::format($to),
                    'from' => TypedTime::format($from),
                ]);
        }

        return new self($from, $to, $doubts);
    }

    public function minutes(): int
    {
        return $this->end - $this->start;
    }

    /** The answer to a question about a text: which minute it means. */
    public static function answer(int $minute, string $typed): string
    {
        return "$minute ".trim($typed);
    }

    /** @param  list<Fault>  $doubts */
    private static function settled(
        TypedTime $time,
        string $typed,
        string $field,
        string $sure,
        bool $asks,
        array &$doubts,
    ): int {
        if ($time->question === null) {
            return $time->minute;
        }
        foreach ([$time->minute, $time->or] as $minute) {
            if ($minute !== null && $sure === self::answer($minute, $typed)) {
                return $minute;
            }
        }
        if ($time->isEither || $asks) {
            throw ($asks ? $time->question : new Fault('time.figures', $field, ['why' => $time->question]))->at(
                $field,
            );
        }
        $doubts[] = $time->question;

        return $time->minute;
    }

    /** The one reading that comes after the start; the earlier of two, which is the shorter lesson. */
    private static function after(int $from, TypedTime $time): int
    {
        $readings = array_filter([$time->or, $time->minute], fn (?int $m): bool => $m !== null && $m > $from);

        return $readings === [] ? $time->minute : min($readings);
    }
}
