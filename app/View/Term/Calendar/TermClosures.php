<?php

declare(strict_types=1);

namespace Nomada\App\View\Term\Calendar;

use Nomada\App\View\Term\ClosingLook;

/** The closed days of a term, and what they took. */
final readonly class TermClosures
{
    /**
     * @param  ClosingLook|null  $closing  what closing days would take, before it is saved
     * @param  list<ClosedRow>  $closed
     * @param  int  $toMakeUp  lost and cancelled sessions that nothing makes up
     */
    public function __construct(
        public ?ClosingLook $closing,
        public array $closed,
        public int $toMakeUp,
    ) {
    }
}
