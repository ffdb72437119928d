<?php

declare(strict_types=1);

namespace Nomada\App\Models\Registration;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;

/**
 * @property int $id
 * @property int $series_id
 * @property int $person_id
 * @property string $state accepted, or withdrawn when the person left the roster
 * @property string $came_by roster
 * @property Series $series
 * @property Person $person
 */
final class Registration extends Model
{
    protected $guarded = ['id'];

    /** @return BelongsTo<Series, $this> */
    public function series(): BelongsTo
    {
        return $this->belongsTo(Series::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
