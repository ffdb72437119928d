<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Fix;

/** One answer of the solver, in words. */
final readonly class FixAnswer
{
    /**
     * @param  int  $n  its place among the answers, from 0
     * @param  string  $label  what it comes to, and how it differs from the first
     * @param  list<FixMove>  $moves
     * @param  list<array{words: string, before: int, after: int, tone: string}>  $sums
     * @param  list<string>  $left  clashes that stay, in words
     * @param  string  $verdict  whether fewer moves would do
     * @param  int  $moved  series that have a time and get another; $placed: that get their first one
     */
    public function __construct(
        public int $n,
        public string $label,
        public array $moves,
        public array $sums,
        public array $left,
        public string $verdict,
        public int $moved,
        public int $placed,
    ) {
    }

    /** `2 moves fix all of them`; `3 series placed, 1 move` */
    public function headline(): string
    {
        $moves = trans_choice('fix.moves', $this->moved);
        if ($this->placed > 0) {
            $placed = trans_choice('fix.placed', $this->placed);
            $does = $this->moved === 0 ? $placed : "$placed, $moves";

            return $this->isClear()
                ? $does
                : (string) __('fix.fixes_some', ['moves' => $does, 'left' => $this->stays()]);
        }

        return $this->isClear()
            ? (string) trans_choice('fix.fixes', $this->moved, ['moves' => $moves])
            : (string) __('fix.fixes_some', ['moves' => $moves, 'left' => $this->stays()]);
    }

    private function stays(): string
    {
        return trans_choice('fix.clashes_left', count($this->left));
    }

    public function isClear(): bool
    {
        return $this->left === [];
    }
}
