<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

/** One series of a section, with its sessions and what can be done to all of them. */
final readonly class SeriesCard
{
    /**
     * @param  string  $sentence  when it meets
     * @param  string  $place  whose clock it follows, where that is not the school's
     * @param  int  $planned  sessions that are or were held, $minutes long together
     * @param  list<SessionLine>  $sessions
     * @param  string  $start  its usual time, as typed; $end likewise
     * @param  list<string>  $topics
     * @param  bool  $topicsMove  topics behind a lost session move along
     * @param  bool  $topicsFromFirst  the first topic is the first session's of the term
     * @param  array<string, string>  $sharedWith  names of the other sections by sourcedId
     * @param  array<string, string>  $mayShareWith  likewise
     */
    public function __construct(
        public int $id,
        public string $title,
        public string $sentence,
        public string $place,
        public int $planned,
        public int $minutes,
        public int $lost,
        public array $sessions,
        public string $start,
        public string $end,
        public array $topics,
        public bool $topicsMove,
        public bool $topicsFromFirst,
        public array $sharedWith,
        public array $mayShareWith,
        public JoiningLine $joining,
    ) {
    }
}
