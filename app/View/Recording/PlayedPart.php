<?php

declare(strict_types=1);

namespace Nomada\App\View\Recording;

/** One part of a recording, from its own beginning. */
final readonly class PlayedPart
{
    /**
     * @param  int  $from  milliseconds in the whole; $to likewise
     * @param  string  $sound  an address that is one person's, as $words is
     * @param  list<PlayedCue>  $cues
     */
    public function __construct(
        public int $n,
        public int $from,
        public int $to,
        public string $sound,
        public string $words,
        public bool $isReleased,
        public array $cues,
    ) {
    }

    public function minutes(): int
    {
        return max(1, (int) round(($this->to - $this->from) / 60_000));
    }

    /** `12:05`, of the whole */
    public static function clock(int $ms): string
    {
        $s = intdiv($ms, 1000);

        return $s >= 3600
            ? sprintf('%d:%02d:%02d', intdiv($s, 3600), intdiv($s, 60) % 60, $s % 60)
            : sprintf('%d:%02d', intdiv($s, 60), $s % 60);
    }
}
