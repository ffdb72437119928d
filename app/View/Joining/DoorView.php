<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

/** What a visitor reads at the door, and what they can do there. */
final readonly class DoorView
{
    /**
     * @param  array{string, string, string}  $words  what it is, what follows, what the button says
     * @param  bool  $isOpen  they can come in
     * @param  bool  $isRecorded  anybody who comes in is told before
     * @param  list<array{x: float, time: string, words: string, kind: string}>  $stops  moments on a line
     * @param  DoorHelp|null  $help  null for anybody who has no part in it: they are told nothing of it
     * @param  string|null  $asks  where a pass that is held elsewhere is asked for; $asked what came of asking
     * @param  string|null  $look  where it is asked whether the answer has changed
     * @param  int  $opens  in how many seconds the doors open; $longest the longest pause between two looks
     * @param  string|null  $register  where they can register
     */
    public function __construct(
        public array $words,
        public bool $isOpen,
        public bool $isRecorded,
        public array $stops,
        public ?DoorHelp $help,
        public string $enter,
        public ?string $asks,
        public ?string $asked,
        public ?string $look,
        public string $version,
        public int $opens,
        public int $longest,
        public ?string $register,
    ) {
    }
}
