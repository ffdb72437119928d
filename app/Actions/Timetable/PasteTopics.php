<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Locks;
use Nomada\Core\Language\Said;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\Topics;

/** Lays a pasted list of topics over a series' sessions in order. */
final readonly class PasteTopics
{
    public function __construct(
        private LaySessions $lay,
        private FollowSeries $follow,
        private SeriesHistory $history,
    ) {
    }

    /**
     * @param  bool  $move  whether the topics behind a session that is lost, moved or added move along; otherwise
     *   they stay with their dates
     * @param  bool  $fromFirst  whether the list begins with the first session of the term instead of the next
     * @return int how many topics found no session
     *
     * @throws \Nomada\Core\Fault
     */
    public function __invoke(Series $series, string $pasted, bool $move, bool $fromFirst, ?Person $by): int
    {
        $topics = Topics::read($pasted);

        return DB::transaction(function () use ($series, $topics, $move, $fromFirst, $by): int {
            Locks::timetableOf($series->id);
            Locks::series($series->id);
            $before = $this->history->snapshot($series->id);
            $series->update(['topics' => $topics, 'topics_move' => $move]);
            $this->lay->write($series, $this->lay->standing($series->id), true, $fromFirst);
            $this->history->record(
                $series,
                $by,
                $topics === [] ? new Said('history.no_topics') : new Said('history.topics', ['n' => count($topics)]),
                $before,
            );
            ($this->follow)($series);
            $laid = DB::table('sessions')
                ->where('series_id', $series->id)
                ->whereNotNull('topic')
                ->where('state', SessionState::Planned)
                ->count();

            return max(0, count($topics) - $laid);
        });
    }
}
