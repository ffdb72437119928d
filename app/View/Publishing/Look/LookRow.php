<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Look;

use Nomada\Core\Publishing\Place;

/** One session (or something that stands for one and is none), as the door and every place tell it. */
final readonly class LookRow
{
    /**
     * @param  int  $start  UTC seconds
     * @param  string  $section  sourcedId
     * @param  bool  $opens  the door would let in
     * @param  string  $door  what it says, on the reader's clock
     * @param  array<string, LookCell>  $cells  by place
     */
    public function __construct(
        public int $start,
        public int $end,
        public string $section,
        public string $name,
        public bool $opens,
        public string $door,
        public array $cells,
    ) {
    }

    public function cell(Place $place): LookCell
    {
        return $this->cells[$place->value] ?? new LookCell(LookState::None);
    }

    public function isWrong(): bool
    {
        return array_filter($this->cells, fn (LookCell $c): bool => $c->isWrong()) !== [];
    }
}
