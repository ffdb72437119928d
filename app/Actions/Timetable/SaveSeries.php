<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Timetable\SeriesPlan;

/** Creates a series of a section, or changes one: its sessions follow, and what stands at the destinations becomes stale where it differs. */
final readonly class SaveSeries
{
    public function __construct(private Clock $clock, private LaySessions $lay, private RefreshClashes $clashes, private RefreshPlacements $refresh)
    {
    }

    /** @throws Fault where the section has another series of that title, or the plan makes no session */
    public function __invoke(Section $section, SeriesPlan $plan, string $title, ?Series $series = null): Series
    {
        $title = trim($title) === '' ? $section->title : trim($title);
        $taken = Series::query()->where('section_id', $section->id)->where('title', $title)->when($series, fn ($q) => $q->whereKeyNot($series?->id))->exists();
        if ($taken) {
            throw new Fault("This section has a series called \"$title\" already. Give this one a title of its own.", 'title');
        }
        $term = $section->term->calendar();
        if ($plan->sessions($term) === []) {
            throw new Fault('This pattern makes no session in the term. Choose other weekdays or dates.', 'weekdays');
        }

        return DB::transaction(function () use ($section, $plan, $title, $series, $term): Series {
            $columns = Series::columns($plan);
            $now = Carbon::createFromTimestamp($this->clock->seconds());
            if ($series === null) {
                $series = Series::query()->create([...$columns, 'section_id' => $section->id, 'title' => $title, 'uid' => (string) Str::uuid(), 'changed_at' => $now]);
            } else {
                // Compared as plans: the database keeps the keys of a pattern in an order of its own.
                $differs = $title !== $series->title || Series::columns($series->plan()) !== $columns;
                if ($differs) {
                    $series->fill([...$columns, 'title' => $title, 'sequence' => $series->sequence + 1, 'changed_at' => $now])->save();
                }
            }
            ($this->lay)($series, $term);
            ($this->clashes)($section->term, [$section->id]);
            ($this->refresh)([$section->id]);

            return $series;
        });
    }
}
