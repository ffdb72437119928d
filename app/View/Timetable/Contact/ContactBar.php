<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Contact;

use Nomada\App\Support\Words;
use Nomada\Core\Timetable\ContactTime;

/** Contact time as a bar, with the words beside it. Positions are pixels. */
final readonly class ContactBar
{
    /**
     * @param  string  $short  how much is short of the target, or over it; $target, $lost, $madeUp empty where there
     *   is none
     */
    private function __construct(
        public int $width,
        public float $heldTo,
        public float $comingTo,
        public float $lostTo,
        public ?float $targetAt,
        public string $held,
        public string $coming,
        public string $lost,
        public string $madeUp,
        public string $target,
        public string $short,
        public ContactVerdict $verdict,
    ) {
    }

    public static function of(ContactTime $time, int $width): self
    {
        $bar = $time->bar($width - 2);
        $short = $time->short();
        $words = fn (int $minutes): string => $minutes === 0 ? '' : Words::minutes($minutes);

        return new self(
            $width,
            $bar['held'],
            $bar['coming'],
            $bar['lost'],
            $bar['target'],
            Words::minutes($time->held),
            Words::minutes($time->coming),
            $words($time->lost),
            $words($time->madeUp),
            $time->target === null ? '' : Words::minutes($time->target),
            $words(abs($short ?? 0)),
            ContactVerdict::of($short),
        );
    }
}
