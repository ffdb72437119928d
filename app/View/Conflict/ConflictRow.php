<?php

declare(strict_types=1);

namespace Nomada\App\View\Conflict;

/** One field of a form that somebody else has changed since it was drawn, or that was changed in it. */
final readonly class ConflictRow
{
    /**
     * @param  string  $field  its name in the form
     * @param  bool  $byThem  changed by somebody else
     * @param  bool  $byMe  changed in the form that was sent
     */
    public function __construct(
        public string $field,
        public string $theirs,
        public string $mine,
        public bool $byThem,
        public bool $byMe,
    ) {
    }
}
