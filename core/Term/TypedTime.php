<?php

declare(strict_types=1);

namespace Nomada\Core\Term;

use Nomada\Core\Fault;

/**
 * A time of day as people type it: `9`, `9:05`, `9,05`, `0905`, `9.05am`, `half past 9`, `11:47`. `minute` counts from
 * midnight.
 *
 * What reads two ways, or falls before 07:00 or after 21:00, carries a question instead of a guess; `or` is then the
 * other reading.
 */
final readonly class TypedTime
{
    public const EARLIEST = 7 * 60;

    public const LATEST = 21 * 60;

    private const PAST = '/^(half|quarter)(past|to)(\d{1,2})((?:am|pm|a\.m\.|p\.m\.)?)$/D';

    /** @param  bool  $isEither  reads two ways, rather than being only unlikely */
    private function __construct(
        public int $minute,
        public ?Fault $question = null,
        public ?int $or = null,
        public bool $isEither = false,
    ) {
    }

    /** @throws Fault where it is no time of day at all */
    public static function read(string $typed, string $field = ''): self
    {
        $text = strtolower(preg_replace('/\s+/', '', $typed) ?? '');
        if ($text === 'noon') {
            $text = '12pm';
        }
        if (preg_match(self::PAST, $text, $m) && ($m[1] === 'quarter' || $m[2] === 'past')) {
            $text =
                $m[2] === 'to'
                    ? self::quarterTo((int) $m[3], $m[4])
                    : "$m[3]:".($m[1] === 'half' ? '30' : '15').$m[4];
        }
        if (! preg_match('/^(\d{1,2})(?:[:.,h]?([0-5]\d))?h?(am|pm|a\.m\.|p\.m\.)?$/D', $text, $m)) {
            throw new Fault('time.unread', $field, ['typed' => $typed]);
        }
        $hour = (int) $m[1];
        $minute = ($m[2] ?? '') === '' ? 0 : (int) $m[2];
        $half = str_replace('.', '', $m[3] ?? '');
        if ($hour > 23 || ($half !== '' && ($hour > 12 || $hour === 0))) {
            throw new Fault('time.hour', $field, ['typed' => $typed, 'hour' => trim("$hour $half")]);
        }
        if ($half !== '') {
            return self::checked(($hour % 12) * 60 + $minute + ($half === 'pm' ? 720 : 0));
        }
        // A leading zero or an hour from 7 on says the 24-hour clock; a bare 1 to 6 is as often an afternoon.
        if ($hour >= 1 && $hour < 7 && $m[1][0] !== '0') {
            $early = $hour * 60 + $minute;

            return new self(
                $early + 720,
                new Fault('time.or', '', ['one' => self::format($early + 720), 'other' => self::format($early)]),
                $early,
                true,
            );
        }

        return self::checked($hour * 60 + $minute);
    }

    /** "quarter to 1pm" is 12:45 pm, and "quarter to 12pm" 11:45 am. */
    private static function quarterTo(int $hour, string $half): string
    {
        if ($half !== '' && $hour === 12) {
            $half = str_starts_with($half, 'a') ? 'pm' : 'am';
        }

        return ($hour === 1 ? 12 : ($hour + 23) % 24).":45$half";
    }

    /** `09:05`; from 24:00 on it begins at 00:00 again. */
    public static function format(int $minute): string
    {
        return sprintf('%02d:%02d', intdiv($minute, 60) % 24, $minute % 60);
    }

    /** A question about a start that is likely a slip, or null. */
    public static function doubt(int $minute): ?Fault
    {
        return match (true) {
            $minute < self::EARLIEST => new Fault('time.early', '', ['time' => self::format($minute)]),
            $minute > self::LATEST => new Fault('time.late', '', ['time' => self::format($minute)]),
            default => null,
        };
    }

    private static function checked(int $minute): self
    {
        $doubt = self::doubt($minute);

        return new self($minute, $doubt, $doubt === null ? null : ($minute + 720) % 1440);
    }
}
