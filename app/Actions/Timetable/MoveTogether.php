<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\CheckedAtEnd;
use Nomada\App\Support\Locks;
use Nomada\Core\Fault;
use Nomada\Core\Timetable\Move;
use Nomada\Core\Timetable\MoveSet;
use Nomada\Core\Timetable\SessionState;

/**
 * Makes a set of moves in one step: nobody sees a state in between, and one undo takes all of them back.
 */
final readonly class MoveTogether
{
    public function __construct(private MoveSessions $move, private SeriesHistory $history)
    {
    }

    /**
     * @throws Fault where one of them cannot be made, with its number in the set as the field: `moves.2`; nothing is
     *   moved then
     */
    public function __invoke(Term $term, MoveSet $set, Person $by): void
    {
        DB::transaction(function () use ($term, $set, $by): void {
            Locks::timetable($term->id);
            CheckedAtEnd::of(function () use ($term, $set, $by): void {
                $this->history->asOneStep($term->id, function () use ($term, $set, $by): void {
                    foreach ($set->moves as $i => $move) {
                        try {
                            $this->make($term, $move, $set->besides($move), $by);
                        } catch (Fault $e) {
                            throw $e->at("moves.$i");
                        }
                    }
                });
                $this->checkOverlaps($set);
            });
        });
    }

    /** @param  list<int>  $besides */
    private function make(Term $term, Move $move, array $besides, Person $by): void
    {
        $session = Session::query()
            ->with(['series.section.term.school', 'series.section.term.closures'])
            ->whereRelation('series.section', 'term_id', $term->id)
            ->findOrFail($move->session);
        ($this->move)($session, $move->day, $move->start, $move->minutes, $move->reach, $by, $besides);
    }

    /**
     * Sessions of one series that moved were not in each other's way on the road: at the end they must not be either.
     */
    private function checkOverlaps(MoveSet $set): void
    {
        foreach ($set->moves as $i => $move) {
            $meets = DB::table('sessions as own')
                ->join('sessions as other', 'other.series_id', '=', 'own.series_id')
                ->where('own.id', $move->session)
                ->whereColumn('other.id', '!=', 'own.id')
                ->where('own.state', SessionState::Planned->value)
                ->where('other.state', SessionState::Planned->value)
                ->whereColumn('other.starts_at', '<', 'own.ends_at')
                ->whereColumn('other.ends_at', '>', 'own.starts_at')
                ->exists();
            if ($meets) {
                throw new Fault('moves.meet', "moves.$i");
            }
        }
    }
}
