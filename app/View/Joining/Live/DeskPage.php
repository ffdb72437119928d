<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Live;

use Nomada\App\Actions\Joining\LiveRoom;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\View\Joining\PassClaim;

/**
 * The teacher's page while a session runs.
 *
 * @phpstan-import-type State from ConferenceBridge
 */
final readonly class DeskPage
{
    /**
     * @param  State  $room  as the bridge says it
     * @param  string|null  $trouble  in the bridge's own words
     * @param  list<Missing>  $missing  on the roster, and never came
     * @param  list<string>  $left  names of students who were inside and are not any more
     * @param  bool  $mayEnter  the session is not over, or people are still inside
     * @param  bool  $mayReopen  it was ended for everybody before its time was over
     * @param  bool  $mayTell  it has begun, so that somebody can be missing
     * @param  list<string>  $sentOut  names
     * @param  list<string>  $disagree  names of students who have not agreed to be recorded
     * @param  list<string>  $teachers  names of the others who may host it
     * @param  list<PassClaim>  $claims
     * @param  int  $late  minutes by which anybody who comes in now is late; 0 for nobody
     * @param  bool  $isHere  the teacher who looks is inside
     */
    public function __construct(
        public LiveRoom $live,
        public array $room,
        public ?string $trouble,
        public array $missing,
        public array $left,
        public bool $mayEnter,
        public bool $mayReopen,
        public bool $mayTell,
        public array $sentOut,
        public array $disagree,
        public array $teachers,
        public array $claims,
        public int $late,
        public bool $isHere,
        public string $note,
        public string $rules,
        public SessionLine $line,
    ) {
    }

    /** How many students are inside; teachers are not counted. */
    public function students(): int
    {
        return count(array_filter($this->room['inside'], fn (array $p): bool => ! $p['host']));
    }

    /** Until when what is shown is true: the same as long as nothing has changed. */
    public function version(): string
    {
        return $this->room['version'].
            '-'.
            count($this->claims).
            '-'.
            count($this->missing).
            '-'.
            count($this->left).
            '-'.
            intdiv($this->line->now, 60);
    }
}
