<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Desk;

/** The registration desk: one of its four lists. */
final readonly class DeskPage
{
    /**
     * @param  'queue'|'list'|'decided'|'changes'  $show
     * @param  int  $waiting  for a decision; $queued on waiting lists
     * @param  DeskQueue|null  $queue  null where another list is shown
     * @param  list<QueuedRow>  $list
     * @param  list<DecidedRow>  $decided
     * @param  list<ChangedRow>  $changes
     */
    public function __construct(
        public string $show,
        public int $waiting,
        public int $queued,
        public ?DeskQueue $queue,
        public array $list,
        public array $decided,
        public array $changes,
    ) {
    }
}
