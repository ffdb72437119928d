<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Series;

/** The whole invitation on one clock, in the section's language (BCP 47), and how many students live by that clock. */
final readonly class InvitationText
{
    public function __construct(
        public string $place,
        public int $students,
        public string $text,
        public string $language,
    ) {
    }
}
