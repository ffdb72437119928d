<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Moves;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Timetable\MoveSessions;
use Nomada\App\Actions\Timetable\MoveTogether;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\FreeTimesQuery;
use Nomada\App\Support\Clock;
use Nomada\App\Support\DryRun;
use Nomada\App\Support\Say;
use Nomada\App\View\Timetable\Clashes\ClashList;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\Move;
use Nomada\Core\Timetable\MoveSet;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\Reach;
use Nomada\Core\Timetable\ScheduleReconciliation;
use Nomada\Core\Timetable\SessionState;

/** Looks up what is needed to move several sessions in one step, and what that would do. */
final readonly class MovesQuery
{
    /** The most series that are named as being at a time. */
    private const AT_TIME = 3;

    public function __construct(
        private Clock $clock,
        private MoveTogether $together,
        private MoveSessions $move,
        private FreeTimesQuery $free,
        private ClashList $clashes,
    ) {
    }

    /**
     * The lines of some sessions: as they are, or with what was typed for them.
     *
     * @param  list<int>  $sessions  ids
     * @param  array<int, array{day?: string, start?: string, end?: string, reach?: string}>  $typed  by id
     * @return list<MoveLine>
     */
    public function lines(Term $term, array $sessions, array $typed = []): array
    {
        $found = Session::query()
            ->with(['series.section.term.school', 'series.section.term.closures'])
            ->whereRelation('series.section', 'term_id', $term->id)
            ->findMany($sessions)
            ->keyBy('id');
        $zone = $term->calendar()->zone;
        $out = [];
        foreach ($sessions as $id) {
            $session = $found[$id] ?? null;
            if ($session === null) {
                continue;
            }
            $day = LocalDate::parse($session->day);
            [$start, $end] = array_map(fn (mixed $at): string => $zone->clock((int) $at?->timestamp), [
                $session->starts_at,
                $session->ends_at,
            ]);
            $section = $session->series->section;
            $own = $typed[$id] ?? [];
            $out[] = new MoveLine(
                $session,
                $section->name().
                    ($session->series->title === $section->title ? '' : ", {$session->series->title}"),
                Say::day($day)." {$start}–{$end}",
                $own['day'] ?? $day->iso(),
                $own['start'] ?? $start,
                $own['end'] ?? $end,
                Reach::tryFrom($own['reach'] ?? '') ?? ($session->is_extra ? Reach::This : Reach::Later),
            );
        }

        return $out;
    }

    /**
     * Two sessions each at the time of the other, as long as each is.
     *
     * @param  list<MoveLine>  $lines  two
     * @return array<int, array{day: string, start: string, end: string}> what is typed for each
     */
    public function exchanged(array $lines): array
    {
        [$a, $b] = $lines;
        $at = function (MoveLine $line, MoveLine $other): array {
            $length = (int) $line->session->starts_at->diffInMinutes($line->session->ends_at, true);

            return ['day' => $other->day, 'start' => $other->start, 'end' => "$length min"];
        };

        return [$a->session->id => $at($a, $b), $b->session->id => $at($b, $a)];
    }

    /**
     * The sessions that the page begins with: those named, and those of some series on a day.
     *
     * @param  array<int>  $sessions  ids
     * @param  array<int>  $series  ids
     * @param  string  $day  ISO; empty where no series are named
     * @return list<int>
     */
    public function first(array $sessions, array $series, string $day): array
    {
        return array_slice(
            array_values(array_unique([...$sessions, ...$this->on($series, $day)])),
            0,
            MoveSet::MOST,
        );
    }

    /**
     * The sessions of some series on a day.
     *
     * @param  array<int>  $series
     * @param  string  $day  ISO
     * @return list<int>
     */
    private function on(array $series, string $day): array
    {
        return $series === [] || $day === ''
            ? []
            : array_values(
                $this->coming()
                    ->whereIntegerInRaw('series_id', $series)
                    ->where('day', $day)
                    ->orderBy('id')
                    ->pluck('id')
                    ->map(intval(...))
                    ->all(),
            );
    }

    /**
     * The next session of the first series of a section, by the section's code.
     *
     * @throws Fault if there is none
     */
    public function nextOf(Term $term, string $code): int
    {
        $section = Section::query()
            ->where('term_id', $term->id)
            ->where(
                fn ($q) => $q
                    ->whereRaw('lower(sourced_id) = lower(?)', [$code])
                    ->orWhereRaw('lower(code) = '.'lower(?)', [$code]),
            )
            ->first();
        if ($section === null) {
            throw new Fault('moves.unknown', 'add', ['code' => $code]);
        }
        $id = $this->coming()
            ->whereIn('sessions.series_id', $section->series()->select('series.id'))
            ->orderBy('starts_at')
            ->value('sessions.id');

        return $id === null ? throw new Fault('moves.none', 'add', ['code' => $code]) : (int) $id;
    }

    /**
     * The sessions of other series at a time, that have people of this one.
     *
     * @param  int  $from  UTC seconds; $to likewise
     * @return array<int, string> name of the section, by id of the session
     */
    public function inTheWay(Session $session, int $from, int $to): array
    {
        $sections = $session->series->sectionIds();

        return $this->coming()
            ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
            ->join('sections', 'sections.id', '=', 'series_sections.section_id')
            ->where('sections.term_id', $session->series->section->term_id)
            ->where('sessions.series_id', '!=', $session->series_id)
            ->where('sessions.is_extra', false)
            ->whereRaw('starts_at < to_timestamp(?) and ends_at > to_timestamp(?)', [$to, $from])
            ->whereExists(
                fn ($q) => $q
                    ->from('memberships as own')
                    ->join('memberships as other', 'other.person_id', '=', 'own.person_id')
                    ->whereIn('own.section_id', $sections)
                    ->whereIn('own.role', MembershipRole::ATTENDING)
                    ->whereIn('other.role', MembershipRole::ATTENDING)
                    ->whereColumn('other.section_id', 'sections.id'),
            )
            ->orderBy('sections.id')
            ->limit(self::AT_TIME)
            ->get(['sessions.id', 'sections.year', 'sections.title'])
            ->mapWithKeys(fn (\stdClass $r): array => [(int) $r->id => Section::called($r->year, $r->title)])
            ->all();
    }

    /** @param  list<MoveLine>  $lines */
    public function preview(Term $term, MoveSet $set, array $lines, Person $by): MovesPreview
    {
        $sections = array_values(
            array_unique(
                array_merge(...array_map(fn (MoveLine $l): array => $l->session->series->sectionIds(), $lines)),
            ),
        );
        $before = $this->clashes->lines($sections);
        $effects = [];
        foreach ($set->moves as $i => $move) {
            try {
                $effects[$i] = $this->effect($lines[$i]->session, $move);
            } catch (Fault $e) {
                return MovesPreview::refused($e->at("moves.$i"));
            }
        }
        try {
            [$costs, $after] = DryRun::of(function () use ($term, $set, $lines, $by, $sections): array {
                ($this->together)($term, $set, $by);

                return [array_map($this->cost(...), $set->moves, $lines), $this->clashes->lines($sections)];
            });
        } catch (Fault $e) {
            return MovesPreview::refused($e);
        }

        return new MovesPreview(
            [],
            array_map(
                fn (array $effect, ?string $cost): array => array_values(array_filter([...$effect, $cost])),
                $effects,
                $costs,
            ),
            $before,
            $after,
        );
    }

    /**
     * What a move does to its own series.
     *
     * @return list<string>
     */
    private function effect(Session $session, Move $move): array
    {
        if ($move->reach === Reach::This) {
            return [];
        }
        $plans = $this->move->stretches($session, $move->day, $move->start, $move->minutes, $move->reach);
        $laying = $this->move->look($session, $move->day, $move->start, $move->minutes, $move->reach);

        return [
            Say::this($plans->said()),
            ...array_map(
                fn (PlannedSession $s): string => Say::this(ScheduleReconciliation::told($s)),
                $laying->fallen,
            ),
        ];
    }

    /** Who would be in two places, once all have moved. */
    private function cost(Move $move, MoveLine $line): ?string
    {
        $rows = $this->coming()
            ->where('sessions.series_id', $move->series)
            ->when($move->reach === Reach::This, fn ($q) => $q->where('sessions.id', $move->session))
            ->orderBy('starts_at')
            ->get([
                DB::raw("(day - date '1970-01-01') as n"),
                DB::raw('extract(epoch from starts_at)::bigint as s'),
                DB::raw('extract(epoch from ends_at)::bigint as e'),
            ]);
        $sessions = $rows->map(
            fn (\stdClass $r): PlannedSession => new PlannedSession((int) $r->n, (int) $r->s, (int) $r->e),
        );
        $cost = $this->free->costOf($line->session->series, array_values($sessions->all()));

        return $cost === null ? null : Say::this($cost->cost());
    }

    /** Sessions that are still to be held. */
    private function coming(): Builder
    {
        return DB::table('sessions')
            ->where('sessions.state', SessionState::Planned->value)
            ->whereRaw('starts_at > to_timestamp(?)', [$this->clock->seconds()]);
    }
}
