<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Register;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;

/**
 * A student's registration for one series: what is asked, what will be checked, and how it is. The address can be
 * kept.
 */
final readonly class RegisterPage
{
    /**
     * @param  string  $place  whose clock the times are on
     * @param  bool  $each  it is for each session
     * @param  string|null  $how  the rules in words; null where the roster is followed
     * @param  bool  $isAtOnce  who certainly is on the roster is accepted straight away
     * @param  string|null  $shut  why nobody can register now
     * @param  list<OwnRegistration>  $own  that were not withdrawn
     * @param  string|null  $link  the student's own
     * @param  array<string, string>  $days  sessions that can be chosen, in words, by ISO day
     * @param  list<string>  $when  the next sessions
     * @param  int  $left  sessions that are left
     * @param  int|null  $seatsLeft  null where there is no bound, or one a session
     */
    public function __construct(
        public Series $series,
        public Person $person,
        public string $teacher,
        public string $place,
        public bool $each,
        public ?string $how,
        public bool $isAtOnce,
        public ?string $shut,
        public bool $canRegister,
        public array $own,
        public ?string $link,
        public array $days,
        public array $when,
        public int $left,
        public ?int $seatsLeft,
    ) {
    }

    /** The one registration for all sessions, where there is one. */
    public function once(): ?OwnRegistration
    {
        return $this->each ? null : $this->own[0] ?? null;
    }

    /** @return string the code of the page's heading */
    public function head(): string
    {
        return match (true) {
            $this->once() !== null => $this->once()->state->value,
            $this->canRegister => 'may',
            $this->each && $this->own !== [] => 'own',
            default => 'shut',
        };
    }
}
