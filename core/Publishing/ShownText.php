<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Post\Wording;

/** What stands at a destination in words that a school may choose. */
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
        $all = ['class' => 'Y8 Marine Science', 'teacher' => 'N. Haddad', 'school' => 'Colegio Marisma'];
        $meets = [
            'meets' => 'Tue Thu 10:00–10:45 Madrid',
            'doors' => 'The doors open 10 minutes before the start.',
        ];

        return $all +
            match ($this) {
                self::CourseNext, self::StreamOpening => $meets,
                self::CourseWeek => ['week' => '5'],
                self::CalendarEvent => [
                    'series' => 'Y8 Marine Science: Practical',
                    'link' => 'https://nomada.example/join/…',
                    'code' => 'BCDF-HJKM-NP at https://nomada.example/join',
                    'phone' => '+34 910 555 010, PIN 204 118',
                    'doors' => $meets['doors'],
                ],
                self::StreamChanged => [],
            };
    }

    public function needs(): array
    {
        return $this === self::CalendarEvent ? ['link'] : [];
    }

    public function needsText(): bool
    {
        return $this === self::CalendarEvent;
    }

    /** Where it stands. */
    public function place(): Place
    {
        return match ($this) {
            self::CourseNext, self::CourseWeek => Place::CoursePage,
            self::CalendarEvent => Place::Calendar,
            self::StreamOpening, self::StreamChanged => Place::ClassStream,
        };
    }
}
