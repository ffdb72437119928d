<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Desk;

use Nomada\App\View\Registration\RegistrationTone;
use Nomada\Core\Registration\RegistrationState;

/** One decision, and whether it can still be taken back. */
final readonly class DecidedRow
{
    public const NONE = 'none';

    public const GONE = 'gone';

    public const GOES = 'goes';

    /**
     * @param  bool  $isSent  it came from another section
     * @param  'none'|'gone'|'goes'  $letter
     * @param  string|null  $trouble  why the letter has not gone
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $for,
        public RegistrationState $state,
        public bool $isSent,
        public ?string $reason,
        public string $letter,
        public ?string $trouble,
        public bool $mayUndo,
        public bool $mayWithdraw,
    ) {
    }

    public function tone(): string
    {
        return RegistrationTone::of($this->isSent ? null : $this->state);
    }
}
