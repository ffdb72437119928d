<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Models\Term\ClosedRange;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Term\Closure;

/** Closes a range of days, or opens one again: the sessions of every series follow, but for those that have begun. */
final readonly class CloseDays
{
    public function __construct(private Clock $clock, private FollowCalendar $follow)
    {
    }

    /** @throws Fault where the range is outside the term or closed already */
    public function __invoke(Term $term, Closure $closure): void
    {
        $this->check($term, $closure);
        DB::transaction(function () use ($term, $closure): void {
            ClosedRange::query()->create([
                'term_id' => $term->id,
                'uid' => (string) Str::uuid(),
                'starts_on' => $closure->first->iso(),
                'ends_on' => $closure->last->iso(),
                'reason' => $closure->reason,
            ]);
            ($this->follow)($term);
        });
    }

    public function open(ClosedRange $range, Term $term): void
    {
        DB::transaction(function () use ($range, $term): void {
            $range->delete();
            ($this->follow)($term);
        });
    }

    /**
     * What falls on a range, before it is closed: coming sessions and the sections they are of.
     *
     * @return array{sessions: int, sections: int, begun: int}
     *
     * @throws Fault
     */
    public function effect(Term $term, Closure $closure): array
    {
        $this->check($term, $closure);
        $now = $this->clock->seconds();
        $row = DB::table('sessions')
            ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->where('state', '!=', 'lost')
            ->whereBetween('day', [$closure->first->iso(), $closure->last->iso()])
            ->first([
                DB::raw("count(distinct sessions.id) filter (where starts_at > to_timestamp($now)) as sessions"),
                DB::raw("count(distinct section_id) filter (where starts_at > to_timestamp($now)) as sections"),
                DB::raw("count(distinct sessions.id) filter (where starts_at <= to_timestamp($now)) as begun"),
            ]);

        return [
            'sessions' => (int) ($row->sessions ?? 0),
            'sections' => (int) ($row->sections ?? 0),
            'begun' => (int) ($row->begun ?? 0),
        ];
    }

    private function check(Term $term, Closure $closure): void
    {
        $calendar = $term->calendar();
        if (! $calendar->contains($closure->first->day) || ! $calendar->contains($closure->last->day)) {
            throw new Fault(
                "These days are not all in the term. Choose days from {$calendar->first->short()} to ".
                    "{$calendar->last->short()}.",
                'first',
            );
        }
        foreach ($calendar->closures as $known) {
            if ($known->first->day <= $closure->last->day && $known->last->day >= $closure->first->day) {
                throw new Fault(
                    "{$known->reason} ({$known->first->short()} to {$known->last->short()}) is closed already. Choose ".
                        'days beside it, or open it first.',
                    'first',
                );
            }
        }
    }
}
