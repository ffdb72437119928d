<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** What is behind a place. */
enum PlaceKind: string
{
    /** The simulated service that ships with the application. */
    case StandIn = 'stand-in';
    /** A service of the school's that speaks what our stand-in speaks. */
    case OwnService = 'own-service';
    /** A calendar server (RFC 4791). */
    case CalDav = 'caldav';
    /** A calendar server that invites (RFC 6638): it brings each person's sessions into their own calendar. */
    case CalDavInvites = 'caldav-invites';
    /** A mail server (RFC 5321). */
    case Smtp = 'smtp';
    /** Rooms that are known from a list; nothing is asked of the conference service. */
    case KnownRooms = 'known-rooms';
    /** Nothing is sent: a page or feed of ours is looked at, at a secret address. */
    case OurPage = 'our-page';

    /** Whether there is a server that we speak to. */
    public function isAsked(): bool
    {
        return $this !== self::KnownRooms && $this !== self::OurPage;
    }

    /** @return list<string> the schemes that its address may have */
    public function schemes(): array
    {
        return $this === self::Smtp ? ['smtp', 'smtps'] : ['https', 'http'];
    }
}
