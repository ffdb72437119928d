<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

/** What a class is called, and the other ways into it. */
final readonly class DoorHelp
{
    /**
     * @param  string|null  $hours  of a drop-in room
     * @param  bool  $byPhone  the phone rings in the room now
     * @param  list<string>  $next  the sessions after this one
     */
    public function __construct(
        public string $name,
        public string $teacher,
        public ?string $hours,
        public ?string $phone,
        public ?string $pin,
        public ?string $code,
        public bool $byPhone,
        public array $next,
    ) {
    }

    /** Whom to write to in trouble: by which words. */
    public function trouble(): string
    {
        return ($this->byPhone ? 'by_phone' : 'by_stream').($this->teacher === '' ? '' : '_or');
    }
}
