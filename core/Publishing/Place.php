<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** The destinations that we publish to, in the order in which students are sent to look. */
enum Place: string
{
    case CoursePage = 'course-page';
    case Calendar = 'calendar';
    case ClassStream = 'class-stream';

    public function title(): string
    {
        return ['course-page' => 'Course page', 'calendar' => 'Calendar', 'class-stream' => 'Class stream'][
            $this->value
        ];
    }
}
