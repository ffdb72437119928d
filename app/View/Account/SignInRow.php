<?php

declare(strict_types=1);

namespace Nomada\App\View\Account;

use Nomada\App\Models\Account\SignIn;
use Nomada\Core\Term\Zone;

/** One browser in which somebody is signed in. */
final readonly class SignInRow
{
    /** Which programs and machines are told apart, by what they write of themselves. */
    private const BROWSERS = [
        'Edg/' => 'Edge',
        'OPR/' => 'Opera',
        'Firefox/' => 'Firefox',
        'Chrome/' => 'Chromium',
        'Safari/' => 'Safari',
    ];

    private const MACHINES = [
        'iPhone' => 'iPhone',
        'iPad' => 'iPad',
        'Android' => 'Android',
        'Windows' => 'Windows',
        'Mac OS' => 'Mac',
        'Linux' => 'Linux',
    ];

    private function __construct(
        public int $id,
        public string $browser,
        public string $address,
        public string $began,
        public string $seen,
        public bool $isThis,
    ) {
    }

    public static function of(SignIn $row, Zone $zone, bool $isThis): self
    {
        $words = array_filter([
            self::first(self::BROWSERS, $row->browser),
            self::first(self::MACHINES, $row->browser),
        ]);
        $at = fn (int $second): string => $zone->dateAt($second)->short().' '.$zone->clock($second);

        return new self(
            $row->id,
            implode(', ', $words),
            $row->address,
            $at((int) $row->began_at->timestamp),
            $at((int) $row->seen_at->timestamp),
            $isThis,
        );
    }

    /** @param  array<string, string>  $words */
    private static function first(array $words, string $text): string
    {
        foreach ($words as $mark => $word) {
            if (str_contains($text, $mark)) {
                return $word;
            }
        }

        return '';
    }
}
