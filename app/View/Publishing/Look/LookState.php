<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Look;

/** How what a place serves stands to what the door would say. */
enum LookState: string
{
    case Same = 'same';
    case Other = 'other';
    case Missing = 'missing';
    /** A page or feed of ours: it is made of the facts. */
    case Ours = 'ours';
    /** The place does not answer. */
    case Silent = 'silent';
    /** Absent there, as expected. */
    case None = 'none';
}
