<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Nomada\App\Support\Say;
use Nomada\Core\Language\Said;

/**
 * Everybody of a year, or of a course, observes a section. Observing is always optional for them.
 *
 * @property int $id
 * @property int $section_id
 * @property string|null $year
 * @property int|null $course_id
 * @property Course|null $course
 * @property Section $section
 */
final class ObserverRule extends Model
{
    protected $guarded = ['id'];

    /** @return BelongsTo<Course, $this> */
    public function course(): BelongsTo
    {
        return $this->belongsTo(Course::class);
    }

    /** @return BelongsTo<Section, $this> */
    public function section(): BelongsTo
    {
        return $this->belongsTo(Section::class);
    }

    public function words(): string
    {
        return Say::this(
            $this->year !== null
                ? new Said('observers.year', ['year' => $this->year])
                : new Said('observers.course', ['course' => $this->course->title ?? '']),
        );
    }
}
