<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

use Nomada\Core\Language\Said;

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

    public function said(): Said
    {
        return new Said("found.verdict.$this->value");
    }
}
