<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Desk;

/** Those who wait for a decision. */
final readonly class DeskQueue
{
    /**
     * @param  bool  $isComparing  a long queue is being compared behind the page
     * @param  string  $verdict  the verdict whose lines alone are shown, or empty
     * @param  array<string, int>  $counts  by verdict
     * @param  int  $safe  how many can be accepted without a look
     * @param  list<DeskLine>  $lines
     * @param  array<string, string>  $sections  to which one can be sent: names by sourcedId
     */
    public function __construct(
        public bool $isComparing,
        public string $verdict,
        public array $counts,
        public int $safe,
        public array $lines,
        public array $sections,
    ) {
    }

    public function all(): int
    {
        return array_sum($this->counts);
    }

    /** How many there are of those that are shown. */
    public function total(): int
    {
        return $this->verdict === '' ? $this->all() : $this->counts[$this->verdict] ?? 0;
    }
}
