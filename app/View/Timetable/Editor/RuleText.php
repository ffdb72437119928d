<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Editor;

use Nomada\Core\Timetable\WeeklyPattern;

/** Which choice of the editor says the same as a rule (RFC 5545, RECUR); an imported one may say more than any. */
final readonly class RuleText
{
    /** @param  string  $kind  every-days, month-weekday, month-day, or keep for what no choice says */
    private function __construct(
        public string $kind,
        public string $days = '',
        public string $nth = '1',
        public string $weekday = '',
        public string $monthDay = '',
    ) {
    }

    public static function read(string $rule): self
    {
        return match (1) {
            preg_match('/^FREQ=DAILY(?:;INTERVAL=(\d+))?$/', $rule, $m) => new self('every-days', $m[1] ?? ''),
            preg_match('/^FREQ=MONTHLY;BYDAY=(-?\d)(MO|TU|WE|TH|FR|SA|SU)$/', $rule, $m) => new self(
                'month-weekday',
                nth: $m[1],
                weekday: (string) WeeklyPattern::weekday($m[2]),
            ),
            preg_match('/^FREQ=MONTHLY;BYMONTHDAY=(\d+)$/', $rule, $m) => new self('month-day', monthDay: $m[1]),
            default => new self('keep'),
        };
    }
}
