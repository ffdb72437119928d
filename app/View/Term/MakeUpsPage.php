<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

/** Lost and cancelled sessions that nothing makes up, a few at a time. */
final readonly class MakeUpsPage
{
    /**
     * @param  list<MakeUpRow>  $rows
     * @param  int  $count  of how many all together
     * @param  string  $reason  whose alone are shown; empty for all
     * @param  list<string>  $reasons
     * @param  string  $place  whose clock the times are of
     */
    public function __construct(
        public array $rows,
        public int $count,
        public int $page,
        public int $pages,
        public string $reason,
        public array $reasons,
        public string $place,
    ) {
    }

    /** @return array<string, int|string> what leads to another page of the same */
    public function at(int $page): array
    {
        return array_filter(['reason' => $this->reason, 'page' => $page]);
    }
}
