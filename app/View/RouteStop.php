<?php

declare(strict_types=1);

namespace Nomada\App\View;

/** One stop of the route across the top. */
final readonly class RouteStop
{
    public const DONE = 'done';

    public const TODO = 'todo';

    public const WRONG = 'wrong';

    /**
     * @param  string  $name  its route; its title is among the words under it
     * @param  'done'|'todo'|'wrong'  $state
     * @param  string  $says  the code of what is said of it
     * @param  int  $n  how many, where that is counted
     */
    public function __construct(
        public string $name,
        public string $state,
        public string $says,
        public int $n = 0,
    ) {
    }

    /** Where exactly the rows are that its number counts; null where that is the stop's own page. */
    public function leadsTo(): ?string
    {
        return match ($this->says) {
            'clashes' => route('clashes'),
            'no_timetable' => route('board', ['show' => 'issues']),
            'no_link' => route('joining', ['show' => 'missing']),
            'to_register' => route('registration', ['show' => 'left']),
            default => null,
        };
    }
}
