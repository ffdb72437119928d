<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Today;

/** Whether people can join a session at this moment, and how many have. */
final readonly class DoorNow
{
    /**
     * @param  string  $said  when it opens, or why it is not held
     * @param  int|null  $here  students who are inside, or attended; null where it is not known
     * @param  bool  $lacksTeacher  it is running, and nobody who teaches is inside
     */
    public function __construct(
        public DoorState $state,
        public string $said,
        public int $registered,
        public ?int $here,
        public bool $lacksTeacher,
    ) {
    }

    public function tone(): string
    {
        return $this->lacksTeacher ? 'bad' : $this->state->tone();
    }

    public function words(): string
    {
        return $this->lacksTeacher
            ? (string) __('presence.today.no_teacher')
            : (string) __("presence.today.states.{$this->state->value}", ['said' => $this->said]);
    }

    /** "19 of 22 inside", "20 of 22 attended"; before it opens how many are registered. */
    public function count(): string
    {
        $what = match (true) {
            $this->here === null => 'expected',
            in_array($this->state, [DoorState::Over, DoorState::Ended], true) => 'attended',
            default => 'inside',
        };

        return trans_choice("presence.today.count.$what", $this->registered, ['n' => $this->here]);
    }
}
