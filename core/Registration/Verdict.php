<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

/** What the comparison of a registrant with the roster says. Only what is certain is ever accepted in bulk. */
enum Verdict: string
{
    case Certain = 'certain';
    case CheckName = 'check-name';
    case CheckAddress = 'check-address';
    case AnotherSection = 'another-section';
    case Already = 'already';
    case Unknown = 'unknown';

    public function words(): string
    {
        return match ($this) {
            self::Certain => 'certain',
            self::CheckName => 'check the name',
            self::CheckAddress => 'check the address',
            self::AnotherSection => 'another section',
            self::Already => 'already registered',
            self::Unknown => 'unknown',
        };
    }
}
