<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** The services outside that a school brings along; each has a place of its own (`PlaceSettings`). */
enum ExternalService: string
{
    case Bridge = 'bridge';
    case Course = 'course';
    case Calendar = 'calendar';
    case Stream = 'stream';
    case Post = 'post';

    /** @return list<PlaceKind> what can stand behind it; the first is the usual one */
    public function kinds(): array
    {
        return match ($this) {
            self::Bridge => [PlaceKind::StandIn, PlaceKind::OwnService, PlaceKind::KnownRooms],
            self::Course, self::Stream => [PlaceKind::StandIn, PlaceKind::OwnService, PlaceKind::OurPage],
            self::Calendar => [PlaceKind::StandIn, PlaceKind::CalDav, PlaceKind::CalDavInvites, PlaceKind::OurPage],
            self::Post => [PlaceKind::StandIn, PlaceKind::Smtp],
        };
    }

    /** The destination that is published to there; null for a service that nothing is published to. */
    public function destination(): ?Place
    {
        return match ($this) {
            self::Course => Place::CoursePage,
            self::Calendar => Place::Calendar,
            self::Stream => Place::ClassStream,
            default => null,
        };
    }

    public static function of(Place $place): self
    {
        return match ($place) {
            Place::CoursePage => self::Course,
            Place::Calendar => self::Calendar,
            Place::ClassStream => self::Stream,
        };
    }
}
