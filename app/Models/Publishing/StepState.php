<?php

declare(strict_types=1);

namespace Nomada\App\Models\Publishing;

/** Where one step of a run has got to. */
enum StepState: string
{
    case Waiting = 'waiting';
    case Done = 'done';
    /** Given up after its tries; can be tried again. */
    case Failed = 'failed';
    /** Somebody has to decide, because the item was changed at the destination. */
    case Asked = 'asked';
}
