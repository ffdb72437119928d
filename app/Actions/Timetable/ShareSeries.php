<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Registration\RegisterRoster;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Locks;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;

/**
 * Lets another section meet in a series: one session, all rosters. Where the series is registered as a roster, the
 * newcomers are registered too.
 */
final readonly class ShareSeries
{
    public function __construct(
        private FollowSeries $follow,
        private SeriesHistory $history,
        private RegisterRoster $register,
    ) {
    }

    /** @throws Fault where the section is of another term, or meets in it already */
    public function __invoke(Series $series, Section $section, ?Person $by): void
    {
        if ($section->term_id !== $series->section->term_id) {
            throw new Fault('share.term', 'share');
        }
        if (in_array($section->id, $series->sectionIds(), true)) {
            throw new Fault('share.twice', 'share', ['section' => $section->name()]);
        }
        DB::transaction(function () use ($series, $section, $by): void {
            Locks::timetableOf($series->id);
            Locks::series($series->id);
            $before = $this->history->snapshot($series->id);
            $isNew = DB::table('series_sections')->insertOrIgnore([
                'series_id' => $series->id,
                'section_id' => $section->id,
            ]);
            if ($isNew === 0) {
                throw new Fault('share.twice', 'share', ['section' => $section->name()]);
            }
            $this->history->record($series, $by, new Said('history.shared', ['section' => $section->name()]), $before);
            $this->register->follow($series);
            ($this->follow)($series);
        });
    }

    /** @throws Fault where it is the series' own section */
    public function leave(Series $series, Section $section, ?Person $by): void
    {
        if ($section->id === $series->section_id) {
            throw new Fault('share.own', 'share', ['section' => $section->name()]);
        }
        DB::transaction(function () use ($series, $section, $by): void {
            Locks::timetableOf($series->id);
            Locks::series($series->id);
            $before = $this->history->snapshot($series->id);
            DB::table('series_sections')
                ->where('series_id', $series->id)
                ->where('section_id', $section->id)
                ->delete();
            $this->history->record($series, $by, new Said('history.not_shared', [
                'section' => $section->name(),
            ]), $before);
            $this->register->follow($series);
            ($this->follow)($series, true, [$section->id]);
        });
    }
}
