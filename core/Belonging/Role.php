<?php

declare(strict_types=1);

namespace Nomada\Core\Belonging;

/** What somebody is at the school. What they are in a section is their MembershipRole. */
enum Role: string
{
    case Coordinator = 'coordinator';
    case Teacher = 'teacher';
    case Student = 'student';
    case Guardian = 'guardian';

    public function isStaff(): bool
    {
        return $this === self::Coordinator || $this === self::Teacher;
    }
}
