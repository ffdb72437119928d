<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Webhooks;

/** One message of the log. */
final readonly class MessageLine
{
    /** @param  'arrived'|'waiting'|'given-up'  $state */
    public function __construct(
        public int $id,
        public string $when,
        public string $kind,
        public string $about,
        public string $address,
        public string $state,
        public int $tries,
        public string $answer,
        public bool $mayGo,
    ) {
    }
}
