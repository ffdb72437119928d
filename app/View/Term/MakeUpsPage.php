<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

/** Lost and cancelled sessions that nothing makes up, with times at which each could be. */
final readonly class MakeUpsPage
{
    /** @var int how many have a time at which everybody is free, chosen from the start */
    public int $chosen;

    /**
     * @param  list<MakeUpRow>|null  $rows  null while the times are being worked out
     * @param  int  $count  of how many all together; $listed of them on this page, $done worked out so far
     * @param  string  $reason  whose alone are shown; empty for all
     * @param  list<string>  $reasons
     * @param  string  $place  whose clock the times are of
     */
    public function __construct(
        public ?array $rows,
        public int $count,
        public int $listed,
        public int $done,
        public string $reason,
        public array $reasons,
        public string $place,
    ) {
        $this->chosen = count(array_filter($rows ?? [], fn (MakeUpRow $r): bool => $r->hasGood()));
    }
}
