<?php

declare(strict_types=1);

namespace Nomada\Core\Presence;

use Nomada\Core\Fault;

/** One part of a participation score: what is measured, how much it weighs, and from where on more counts no more. */
final readonly class ScorePart
{
    /**
     * @param  int  $cap  per cent of the sessions for a share, else so many over the whole term
     *
     * @throws Fault
     */
    public function __construct(public Measure $measure, public int $weight, public int $cap)
    {
        if ($weight < 1 || $weight > 100) {
            throw new Fault('score.weight', $measure->value);
        }
        if ($cap < 1 || $cap > ($measure->isShare() ? 100 : 1000)) {
            throw new Fault($measure->isShare() ? 'score.full_share' : 'score.full', $measure->value);
        }
    }
}
