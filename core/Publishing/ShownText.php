<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Post\Wording;

/** What is at a destination in words that a school may choose. */
enum ShownText: string implements Wording
{
    case CourseNext = 'course-next';
    case CourseWeek = 'course-week';
    case CalendarEvent = 'calendar-event';
    case StreamOpening = 'stream-opening';
    case StreamChanged = 'stream-changed';

    public function code(): string
    {
        return $this->value;
    }

    public function placeholders(): array
    {
        return [
            ...['class', 'teacher', 'school'],
            ...match ($this) {
                self::CourseNext, self::StreamOpening => ['meets', 'doors'],
                self::CourseWeek => ['week'],
                self::CalendarEvent => ['series', 'link', 'code', 'phone', 'doors'],
                self::StreamChanged => [],
            },
        ];
    }

    public function needs(): array
    {
        return $this === self::CalendarEvent ? ['link'] : [];
    }

    public function needsText(): bool
    {
        return $this === self::CalendarEvent;
    }

    /** Where it is. */
    public function place(): Place
    {
        return match ($this) {
            self::CourseNext, self::CourseWeek => Place::CoursePage,
            self::CalendarEvent => Place::Calendar,
            self::StreamOpening, self::StreamChanged => Place::ClassStream,
        };
    }
}
