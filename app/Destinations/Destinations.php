<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\PlaceKind;

/** Which adapter serves which place. */
class Destinations
{
    public function __construct(private readonly Places $places)
    {
    }

    public function at(Place $place): Destination
    {
        if ($this->places->of(ExternalService::of($place))->kind === PlaceKind::OurPage) {
            return new OurPageDestination();
        }

        return match ($place) {
            Place::CoursePage => new CoursePageDestination(),
            Place::Calendar => new CalendarDestination(),
            Place::ClassStream => new ClassStreamDestination(),
        };
    }
}
