<?php

declare(strict_types=1);

namespace Nomada\App\Models\Timetable;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\Solver\TimetabledSeries;
use Nomada\Core\Timetable\WeeklyPattern;

/**
 * A series that a section needs, and that has no time yet: no sessions and no join link. With its time it becomes a
 * {@see Series}.
 *
 * @property int $id
 * @property int $section_id
 * @property string $title
 * @property int $per_week sessions a week, on different days
 * @property int $minutes of a session
 * @property string $starts_on from when
 * @property string|null $ends_on null for the end of the term
 * @property bool $is_imported whether timetable.csv brought it
 * @property Section $section
 */
final class SeriesToPlace extends Model
{
    public $timestamps = false;

    protected $table = 'series_to_place';

    protected $guarded = ['id'];

    /** @return BelongsTo<Section, $this> */
    public function section(): BelongsTo
    {
        return $this->belongsTo(Section::class);
    }

    /** @return Builder<self> */
    public static function ofTerm(Term $term): Builder
    {
        return self::query()
            ->with('section')
            ->whereRelation('section', 'term_id', $term->id)
            ->orderBy('section_id')
            ->orderBy('id');
    }

    /** A section's own; not found where it is another's. */
    public static function ofSection(Section $section, int $id): self
    {
        return self::query()->where('section_id', $section->id)->findOrFail($id);
    }

    /** The number that it has in the solver's problem. */
    public function number(): int
    {
        return TimetabledSeries::WITHOUT_TIME + $this->id;
    }

    /**
     * What it has of a plan: the number of weekdays, the length, from when and until. The days and the time are the
     * first that there are.
     */
    public function plan(Term $term): SeriesPlan
    {
        $calendar = $term->calendar();
        $weekdays = array_slice($calendar->weekdays(), 0, $this->per_week);

        return new SeriesPlan(
            new WeeklyPattern($weekdays),
            LocalDate::parse($this->starts_on),
            $this->ends_on === null ? SeriesEnd::withTerm() : SeriesEnd::onDate(LocalDate::parse($this->ends_on)),
            $calendar->hours[0],
            $this->minutes,
            $calendar->zone,
        );
    }
}
