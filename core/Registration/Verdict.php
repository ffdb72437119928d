<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

/** What the comparison of a registrant with the roster says. Only what is certain is ever accepted in bulk. */
enum Verdict: string
{
    case Certain = 'certain';
    case CheckName = 'check-name';
    case CheckAddress = 'check-address';
    /** Address and name of a student, typed by somebody signed in as somebody else. */
    case AnotherAccount = 'another-account';
    case AnotherSection = 'another-section';
    case Already = 'already';
    case Unknown = 'unknown';

    public function words(): string
    {
        return match ($this) {
            self::Certain => 'certain',
            self::CheckName => 'check the name',
            self::CheckAddress => 'check the address',
            self::AnotherAccount => 'another account',
            self::AnotherSection => 'another section',
            self::Already => 'already registered',
            self::Unknown => 'unknown',
        };
    }
}
