<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

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
