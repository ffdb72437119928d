<?php

declare(strict_types=1);

namespace Nomada\App\Models\Timetable;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;

/**
 * One dated member of a series.
 *
 * @property int $id
 * @property int $series_id
 * @property string $day the day it is held on
 * @property string|null $moved_from the day of the pattern, where it was moved
 * @property Carbon $starts_at
 * @property Carbon $ends_at
 * @property SessionState $state
 * @property string|null $reason
 * @property Series $series
 */
final class Session extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['starts_at' => 'datetime', 'ends_at' => 'datetime', 'state' => SessionState::class];

    /** @return BelongsTo<Series, $this> */
    public function series(): BelongsTo
    {
        return $this->belongsTo(Series::class);
    }

    public function toCore(): PlannedSession
    {
        return new PlannedSession(LocalDate::parse($this->day)->day, (int) $this->starts_at->timestamp, (int) $this->ends_at->timestamp, $this->state, $this->reason);
    }
}
