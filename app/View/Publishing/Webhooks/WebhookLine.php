<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Webhooks;

/** One program that is told. */
final readonly class WebhookLine
{
    /**
     * @param  int  $waiting  messages that should be tried yet
     * @param  int  $givenUp  messages that never arrived
     */
    public function __construct(
        public int $id,
        public string $address,
        public int $arrived,
        public int $waiting,
        public int $givenUp,
    ) {
    }
}
