<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Models\Term\ClosedRange;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SessionState;

/** Closes a range of days, or opens one again: the sessions of every series follow, but for those that have begun. */
final readonly class CloseDays
{
    public function __construct(private Clock $clock, private ChangeCalendar $change)
    {
    }

    /** @throws Fault where the range is outside the term or closed already */
    public function __invoke(Term $term, Closure $closure, ?Person $by = null): CalendarEffect
    {
        return $this->all($term, [$closure], $by, new Said('history.closed', [
            'days' => self::range($closure),
            'why' => $closure->reason,
        ]));
    }

    /**
     * Closes several ranges as one change.
     *
     * @param  list<Closure>  $closures
     *
     * @throws Fault
     */
    public function all(Term $term, array $closures, ?Person $by, Said $said): CalendarEffect
    {
        return ($this->change)($term, $said, $by, fn () => $this->write($term, $closures));
    }

    public function open(ClosedRange $range, Term $term, ?Person $by = null): CalendarEffect
    {
        $closure = $range->toCore();

        return ($this->change)(
            $term,
            new Said('history.opened_again', ['days' => self::range($closure), 'why' => $closure->reason]),
            $by,
            fn () => $range->delete(),
        );
    }

    /**
     * What closing a range would do.
     *
     * @throws Fault
     */
    public function effect(Term $term, Closure $closure): CalendarEffect
    {
        return $this->change->look($term, fn () => $this->write($term, [$closure]));
    }

    /** How many sessions on these days have begun, and stay whatever happens. */
    public function begun(Term $term, Closure $closure): int
    {
        return DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->where('state', SessionState::Planned)
            ->whereBetween('day', [$closure->first->iso(), $closure->last->iso()])
            ->whereRaw('starts_at <= to_timestamp(?)', [$this->clock->seconds()])
            ->count();
    }

    /** What opening it again would do. */
    public function openEffect(ClosedRange $range, Term $term): CalendarEffect
    {
        return $this->change->look($term, fn () => $range->newQuery()->whereKey($range->id)->delete());
    }

    /** @param  list<Closure>  $closures */
    private function write(Term $term, array $closures): void
    {
        foreach ($closures as $closure) {
            $this->check($term->fresh(['school', 'closures']) ?? $term, $closure);
            ClosedRange::query()->create([
                'term_id' => $term->id,
                'uid' => (string) Str::uuid(),
                'starts_on' => $closure->first->iso(),
                'ends_on' => $closure->last->iso(),
                'reason' => $closure->reason,
                'is_local' => true,
            ]);
        }
    }

    /** "Thu 25 Feb", "Mon 22 Mar to Fri 2 Apr" */
    private static function range(Closure $closure): LocalDate|Said
    {
        return $closure->last->day > $closure->first->day
            ? new Said('history.days', ['first' => $closure->first, 'last' => $closure->last])
            : $closure->first;
    }

    private function check(Term $term, Closure $closure): void
    {
        $calendar = $term->calendar();
        if (! $calendar->contains($closure->first->day) || ! $calendar->contains($closure->last->day)) {
            throw new Fault('closure.outside', 'first', ['first' => $calendar->first, 'last' => $calendar->last]);
        }
        foreach ($calendar->closures as $known) {
            if ($known->first->day <= $closure->last->day && $known->last->day >= $closure->first->day) {
                throw new Fault('closure.known', 'first', [
                    'reason' => $known->reason,
                    'first' => $known->first,
                    'last' => $known->last,
                ]);
            }
        }
    }
}
