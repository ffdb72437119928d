<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Panel;

/** What can be done to one session; each is a template of the panel. */
enum PanelPart: string
{
    case Nothing = 'nothing';
    case Change = 'change';
    case MakeUp = 'make-up';
    case Restore = 'restore';
}
