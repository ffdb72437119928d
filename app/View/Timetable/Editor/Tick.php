<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Editor;

/** One of several things that can be chosen: a weekday, a label of the rotation. */
final readonly class Tick
{
    public function __construct(public string $value, public string $label, public bool $isChosen)
    {
    }
}
