<?php

declare(strict_types=1);

namespace Nomada\App\Actions;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Queries\CurrentTerm;
use Nomada\App\Queries\Presets;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\SessionState;
use stdClass;

/**
 * Moves the demo's clock: by a step in minutes, to the next session's doors, or to a date and time on the clock that
 * the person sees.
 */
final readonly class MoveClock
{
    private const STEPS = [-1440, -60, -10, 10, 60, 1440];

    public function __construct(private Clock $clock, private CurrentTerm $term)
    {
    }

    /** @throws Fault */
    public function __invoke(Person $person, string $step, string $date, string $time): void
    {
        $now = $this->clock->seconds();
        if ($step === 'next') {
            $this->clock->set($this->nextSession($person, $now));
        } elseif ($step !== '') {
            if (! in_array((int) $step, self::STEPS, true)) {
                throw new Fault('clock.step', 'step');
            }
            $this->clock->set($now + 60 * (int) $step);
        } else {
            $zone = $person->isStaff()
                ? $this->term->find()?->calendar()->zone ?? $person->zone()
                : $person->zone();
            [$day, $minute] = $zone->wall($now);
            // A demo clock may well be set to the middle of the night: no questions here.
            $typed = $time === '' ? $minute : TypedTime::read($time, 'time');
            $this->clock->set(
                $zone->instant(
                    $date === '' ? $day : LocalDate::parse($date)->day,
                    is_int($typed) ? $typed : $typed->or ?? $typed->minute,
                ),
            );
        }
    }

    /** The opening of the next session's doors, of what the person has a part in. */
    private function nextSession(Person $person, int $now): int
    {
        $presets = Presets::all();
        // The next to start need not be the next to open: some series open their doors long before.
        $opens = DB::table('sessions')
            ->join('series', 'series.id', '=', 'sessions.series_id')
            ->where('state', SessionState::Planned)
            ->whereRaw('starts_at > to_timestamp(?)', [$now])
            ->whereIn(
                'series.id',
                DB::table('series_sections')
                    ->when(
                        ! $person->isCoordinator(),
                        fn ($q) => $q->whereIn(
                            'section_id',
                            $person
                                ->memberships()
                                ->stillOn($this->clock->schoolDay()->iso())
                                ->select('section_id'),
                        ),
                    )
                    ->select('series_id'),
            )
            ->orderBy('starts_at')
            ->limit(200)
            ->get([
                DB::raw('extract(epoch from starts_at)::bigint as starts'),
                'preset',
                'series.door',
                'sessions.door as own',
            ])
            ->map(
                fn (stdClass $s): int => (int) $s->starts -
                    60 * Presets::door($s->preset, $s->door, $presets, $s->own)->opensBefore,
            )
            ->filter(fn (int $at): bool => $at > $now);

        return $opens->isEmpty() ? throw new Fault('clock.after', 'step') : (int) $opens->min();
    }
}
