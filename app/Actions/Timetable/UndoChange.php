<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Registration\RegisterRoster;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Locks;
use Nomada\Core\Fault;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\ScheduleReconciliation;

/**
 * Undoes the last change of a series that is not undone yet. What has begun since stays, and days that were closed
 * since stay closed: the plan and the exceptions of before are laid over the term as it is now.
 */
final readonly class UndoChange
{
    public function __construct(
        private Clock $clock,
        private LaySessions $lay,
        private FollowSeries $follow,
        private SeriesHistory $history,
        private DeleteSeries $delete,
        private RegisterRoster $register,
    ) {
    }

    /**
     * Undoes a change, and with it the others that were saved in the same step.
     *
     * @throws Fault where one of them is not the last of its series, or cannot be undone
     */
    public function __invoke(SeriesChange $change, Person $by): void
    {
        DB::transaction(function () use ($change, $by): void {
            Locks::timetable($change->section->term_id);
            $changes = SeriesChange::query()
                ->with('section')
                ->when(
                    $change->batch === null,
                    fn ($q) => $q->whereKey($change->id),
                    fn ($q) => $q->where('batch', $change->batch),
                )
                ->orderByDesc('id')
                ->lock('for no key update')
                ->get();
            $fault = $changes->count() > 1 ? 'history.last_together' : 'history.last';
            foreach ($changes as $one) {
                if ($one->undone_at !== null || ! $this->isLast($one) || $one->before === null) {
                    throw new Fault($fault, 'change');
                }
                $this->undo($one, $one->before);
                $one->update([
                    'undone_at' => Carbon::createFromTimestamp($this->clock->seconds()),
                    'undone_by' => $by->id,
                ]);
            }
        });
    }

    /** Whether nothing was changed in its series since. */
    private function isLast(SeriesChange $change): bool
    {
        return SeriesChange::query()
            ->where('series_id', $change->series_id)
            // What the calendar did is undone where it was done, in any order with these.
            ->whereNull('term_change_id')
            ->whereNull('undone_at')
            ->where('id', '>', $change->id)
            ->doesntExist();
    }

    /** @param  array<string, list<array<string, mixed>>>  $before */
    private function undo(SeriesChange $change, array $before): void
    {
        $series = Series::query()->lock('for no key update')->find($change->series_id);
        $was = $before['series'][0] ?? null;
        if ($was === null) {
            // It was new: undone, it is gone.
            if ($series !== null) {
                $this->delete->quietly($series);
            }
            $this->history->takeBackTime($before);

            return;
        }
        if ($series === null) {
            $this->history->putBack($before);
            $series = Series::query()->findOrFail($change->series_id);
        } else {
            $columns = array_intersect_key(
                $was,
                array_flip([
                    'title',
                    'pattern',
                    'ends',
                    'starts_on',
                    'start_minute',
                    'minutes',
                    'time_zone',
                    'period',
                    'earlier',
                    'topics',
                    'topics_move',
                    'import_hash',
                    'import_title',
                ]),
            );
            DB::table('series')->where('id', $series->id)->update($columns);
            $were = array_map(intval(...), array_column($before['series_sections'] ?? [], 'section_id'));
            $left = array_diff($series->sectionIds(), $were);
            $hasMoved = $left !== [] || array_diff($were, $series->sectionIds()) !== [];
            DB::table('series_sections')->where('series_id', $series->id)->whereIn('section_id', $left)->delete();
            DB::table('series_sections')->insertOrIgnore($before['series_sections'] ?? []);
            $series->refresh();
        }
        $series->load(['section.term.school', 'section.term.closures']);
        $term = $series->section->term->calendar();
        $now = $this->clock->seconds();
        $begun = array_values(
            array_filter($this->lay->standing($series->id), fn (PlannedSession $s): bool => $s->start <= $now),
        );
        $coming = array_map(
            fn (array $r): PlannedSession => Session::core(
                $r,
                (int) strtotime((string) $r['starts_at']),
                (int) strtotime((string) $r['ends_at']),
            ),
            $before['sessions'] ?? [],
        );
        $laying = ScheduleReconciliation::reconcile(
            $series->stretches()->sessions($term),
            [
                ...$begun,
                // What was moved since so that it has begun is there already.
                ...array_values(
                    array_filter(
                        $coming,
                        fn (PlannedSession $s): bool => $s->start > $now &&
                            ! in_array($s->id, array_map(fn (PlannedSession $b): ?int => $b->id, $begun), true),
                    ),
                ),
            ],
            $term,
            $now,
        );
        $this->lay->write($series, $laying->sessions);
        $this->restoreTopics($change, $before['sessions'] ?? []);
        // Who is registered follows who meets in it: anybody who comes back has a new link, since the old one is dead
        // for good.
        if ($hasMoved ?? false) {
            $this->register->follow($series);
        }
        ($this->follow)($series, true, array_values($left ?? []));
    }

    /**
     * A list of topics may begin with the first session of the term, and so change what is past: that had begun when
     * it was pasted, and gets back the topics that it had.
     *
     * @param  list<array<string, mixed>>  $before  rows of sessions
     */
    private function restoreTopics(SeriesChange $change, array $before): void
    {
        foreach ($before as $row) {
            if (strtotime((string) $row['starts_at']) <= $change->at->timestamp) {
                Session::query()
                    ->whereKey($row['id'])
                    ->whereRaw('topic is distinct from ?', [$row['topic']])
                    ->update(['topic' => $row['topic']]);
            }
        }
    }
}
