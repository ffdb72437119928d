<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Week;

/** One session as it is drawn in a row. */
final readonly class WeekBlock
{
    /** Its height, in px. */
    public const HEIGHT = WeekRow::HEIGHT - 8;

    /** How many letters stand upright as they are; longer labels are squeezed. */
    private const UPRIGHT = 6;

    /**
     * @param  float  $x  in px beside the names of the rows; $width likewise
     * @param  string  $code  its short label
     * @param  string  $section  its section's sourcedId
     * @param  string  $day  ISO
     * @param  int  $minute  its start, in minutes of the school's clock; $minutes its length
     * @param  string|null  $wrong  what clashes
     * @param  'makeup'|'extra'|''  $kind
     * @param  int  $lane  blocks of a row that overlap are put below each other
     */
    public function __construct(
        public float $x,
        public float $width,
        public string $code,
        public string $name,
        public string $section,
        public int $session,
        public int $series,
        public string $day,
        public string $dayShort,
        public int $minute,
        public int $minutes,
        public string $times,
        public string $note,
        public bool $isPast,
        public ?string $wrong,
        public string $kind,
        public bool $isMovable,
        public int $lane = 0,
    ) {
    }

    public function inLane(int $lane): self
    {
        return new self(...[...get_object_vars($this), 'lane' => $lane]);
    }

    /** Its upper edge within its row, in px. */
    public function y(): int
    {
        return $this->lane * WeekRow::HEIGHT;
    }

    /** What a screen reader hears of it. */
    public function says(): string
    {
        return "$this->name, $this->dayShort, $this->times".
            ($this->note === '' ? '' : ", $this->note").
            ($this->wrong === null ? '' : "; $this->wrong");
    }

    /**
     * What moves: section and series, and from where: day, minute, minutes; as resources/js/week.js reads it. The
     * session is at the end of where it leads to.
     */
    public function moves(): string
    {
        return rawurlencode($this->section).
            " $this->series $this->day $this->minute $this->minutes";
    }

    /** As much of its label as fits upright. */
    public function label(): string
    {
        return mb_substr($this->code, 0, 8);
    }

    public function isSqueezed(): bool
    {
        return mb_strlen($this->code) > self::UPRIGHT;
    }

    /** As many letters of its name as fit across a block of the day's view. */
    public function letters(): int
    {
        return (int) max(3, ($this->width - 10) / 6.6);
    }

    /** Likewise of the smaller line below it. */
    public function smallLetters(): int
    {
        return (int) max(11, ($this->width - 10) / 5.4);
    }

    /** @param  int  $chosen  the session that is open */
    public function classes(int $chosen): string
    {
        return implode(
            ' ',
            array_filter([
                $this->session === $chosen ? 'is-chosen' : '',
                $this->isPast ? 'is-past' : '',
                $this->wrong === null ? '' : 'is-wrong',
                $this->kind === '' ? '' : 'is-extra',
            ]),
        );
    }
}
