<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

/** A guest's pass in the browser that is at the door with it. */
final readonly class PassAt
{
    /**
     * @param  bool  $isElsewhere  another browser keeps it
     * @param  string|null  $asked  whether this one has asked for it: null, 'asked' or 'kept'
     * @param  string|null  $who  the guest's name at the bridge: by browser, not by pass, so that anybody who was
     *   sent out stays out by whatever pass; null where this browser never came in by one
     */
    public function __construct(
        public bool $isElsewhere = false,
        public ?string $asked = null,
        public ?string $who = null,
    ) {
    }
}
