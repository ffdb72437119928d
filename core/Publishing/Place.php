<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Language\Said;

/** The destinations that we publish to, in the order in which students are sent to look. */
enum Place: string
{
    case CoursePage = 'course-page';
    case Calendar = 'calendar';
    case ClassStream = 'class-stream';

    public function said(): Said
    {
        return new Said("place.$this->value");
    }
}
