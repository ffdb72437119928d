<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Nomada\Core\Language\Said;

/** What a change would do. */
final readonly class ChangeLook
{
    /**
     * @param  Said  $line  as the history would say it
     * @param  int  $newClashes  on how many days somebody would be in two places who is not now
     * @param  bool  $isOpen  whether the school is open at the new time; true where there is none
     */
    public function __construct(public Said $line, public int $newClashes, public bool $isOpen)
    {
    }

    public function isClear(): bool
    {
        return $this->newClashes === 0 && $this->isOpen;
    }
}
