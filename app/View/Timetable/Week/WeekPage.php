<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Week;

use Nomada\App\View\Address;
use Nomada\App\View\Timetable\Panel\SessionPanel;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;

/**
 * A week or a day of the timetable: rows are teachers, sections or years; days run left to right, time inside them. A
 * closed day folds into a thin band and gives its width to the open ones.
 */
final readonly class WeekPage
{
    /**
     * @param  LocalDate|null  $one  the day, where one alone is shown
     * @param  'teacher'|'section'|'year'  $by
     * @param  SessionPanel|null  $panel  of the session that is open; $chosen its id
     * @param  list<string>  $years
     */
    public function __construct(
        public Term $term,
        public int $week,
        public LocalDate $monday,
        public ?LocalDate $one,
        public int $today,
        public WeekGrid $grid,
        public string $by,
        public ?SessionPanel $panel,
        public int $chosen,
        public WeekClock $other,
        public WeekFilter $filter,
        public array $years,
    ) {
    }

    /** @param  list<WeekRow>|null  $rows  all of them where null */
    public function drawing(?array $rows = null): WeekDrawing
    {
        return new WeekDrawing(
            $this->grid->days,
            $rows ?? $this->grid->rows,
            $this->grid->width,
            $this->one !== null,
            $this->other->clock,
        );
    }

    public function last(): LocalDate
    {
        return $this->grid->days[count($this->grid->days) - 1]->date;
    }

    public function weeks(): int
    {
        return $this->term->weeks();
    }

    /** How many sessions are shown: one that is in two rows is one. */
    public function count(): int
    {
        return count($this->sessions(fn (WeekBlock $b): bool => true));
    }

    public function clashes(): int
    {
        return count($this->sessions(fn (WeekBlock $b): bool => $b->wrong !== null));
    }

    /**
     * @param  callable(WeekBlock): bool  $is
     * @return array<int, true> by session
     */
    private function sessions(callable $is): array
    {
        $out = [];
        foreach ($this->grid->rows as $row) {
            foreach ($row->blocks as $block) {
                if ($is($block)) {
                    $out[$block->session] = true;
                }
            }
        }

        return $out;
    }

    /** @return list<string> why the days are closed, each once */
    public function closed(): array
    {
        return array_values(
            array_unique(
                array_filter(
                    array_map(fn (WeekDay $d): string => (string) $d->closed, $this->grid->days),
                    fn (string $why): bool => $why !== '',
                ),
            ),
        );
    }

    /** @return array<string, int|string> this view in an address, but for what is shown of it */
    public function here(): array
    {
        return array_filter([
            'by' => $this->by,
            'week' => $this->one === null ? $this->week : null,
            'day' => $this->one?->iso(),
            'clock' => $this->other->clockOf,
        ]);
    }

    /** @return array<string, int|string> */
    public function address(): array
    {
        return $this->here() + $this->filter->query();
    }

    /** Where one of its sessions opens, up to its id; within this page, whose address is the same but for that. */
    public function opens(): string
    {
        $usual = ['by' => 'teacher'];

        return '?'.http_build_query([...array_diff_assoc($this->address(), $usual), 'session' => '']);
    }

    /** Where one is moved, with stars for section, series and session. */
    public function moves(): string
    {
        return Address::of('session.move')->pattern();
    }

    /** @return array<string, int|string> another week of the same view */
    public function toWeek(int $week): array
    {
        return ['week' => $week, 'by' => $this->by] + $this->filter->query();
    }

    public function todayIso(): string
    {
        return (new LocalDate($this->today))->iso();
    }

    /** @return array<string, int|string> a day of the same view: so many from the one that is shown, or today's */
    public function toDay(int $from = 0): array
    {
        $day = $this->one ?? new LocalDate(max($this->monday->day, min($this->last()->day, $this->today)));

        return ['day' => $day->plus($from)->iso(), 'by' => $this->by] + $this->filter->query();
    }

    public function hasDay(int $from): bool
    {
        return $this->one !== null && $this->term->contains($this->one->day + $from);
    }

    /** @return array<string, int|string|null> hidden fields that lead back here after a move */
    public function back(): array
    {
        return [
            'back' => 'timetable',
            'week' => $this->week,
            'by' => $this->by,
            'shown_day' => $this->one?->iso(),
        ];
    }
}
