<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** What became of a session (or of a way to come in) since it was last told. */
enum ChangeKind: string
{
    case Cancelled = 'cancelled';
    case HeldAfterAll = 'held-after-all';
    case Moved = 'moved';
    case MakesUp = 'makes-up';
    case Added = 'added';
    case Gone = 'gone';
    case OtherTeacher = 'other-teacher';
    case OtherTitle = 'other-title';
    case NewSeries = 'new-series';
    case NoMoreSeries = 'no-more-series';
    case OtherLink = 'other-link';
    case OtherDoor = 'other-door';
}
