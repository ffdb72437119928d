<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Series;

/** Sessions with joining rules of their own. */
final readonly class SessionRules
{
    /**
     * @param  list<OwnDoor>  $own
     * @param  array<int, string>  $coming  sessions that can have a door of their own, by id
     * @param  int|null  $chosen  the session whose own door the form is for; $chosenDay its day
     */
    public function __construct(
        public array $own,
        public array $coming,
        public ?int $chosen,
        public string $chosenDay,
    ) {
    }
}
