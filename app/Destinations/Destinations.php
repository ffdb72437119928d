<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Nomada\Core\Publishing\Place;

/** Which adapter serves which place. */
class Destinations
{
    public function at(Place $place): Destination
    {
        return match ($place) {
            Place::CoursePage => new CoursePageDestination(),
            Place::Calendar => new CalendarDestination(),
            Place::ClassStream => new ClassStreamDestination(),
        };
    }
}
