<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Look;

use Nomada\Core\Post\LetterKind;

/** One letter that was sent to somebody. */
final readonly class LookLetter
{
    /** @param  bool|null  $isThere  in their mailbox; null where the post office cannot be read back */
    public function __construct(
        public LetterKind $kind,
        public string $of,
        public int $sentAt,
        public ?bool $isThere,
    ) {
    }
}
