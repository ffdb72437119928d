<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/** What is done to one session, or to the sessions of one series. */
enum SessionVerb: string
{
    case Cancel = 'cancel';
    case Restore = 'restore';
    case Move = 'move';
    case Describe = 'describe';
    case Add = 'add';
    case Remove = 'remove';
    case PasteTopics = 'topics';
}
