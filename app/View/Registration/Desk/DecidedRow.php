<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Desk;

/** One decision, and whether it can still be taken back. */
final readonly class DecidedRow
{
    public const NONE = 'none';

    public const GONE = 'gone';

    public const GOES = 'goes';

    /**
     * @param  string  $state  accepted, declined, withdrawn, queued, waiting, or sent: it came from another section
     * @param  'none'|'gone'|'goes'  $letter
     * @param  string|null  $trouble  why the letter has not gone
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $for,
        public string $state,
        public ?string $reason,
        public string $letter,
        public ?string $trouble,
        public bool $mayUndo,
        public bool $mayWithdraw,
    ) {
    }

    public function tone(): string
    {
        return ['accepted' => 'ok', 'declined' => 'bad'][$this->state] ?? 'todo';
    }
}
