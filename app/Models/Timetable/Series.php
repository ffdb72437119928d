<?php

declare(strict_types=1);

namespace Nomada\App\Models\Timetable;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\Patterns;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SeriesPlan;

/**
 * @property int $id
 * @property int $section_id
 * @property string $uid
 * @property string $title
 * @property array<string, mixed> $pattern
 * @property array<string, mixed> $ends
 * @property string $starts_on
 * @property int $start_minute
 * @property int $minutes
 * @property string $time_zone
 * @property int $sequence
 * @property Carbon $changed_at
 * @property string|null $import_print
 * @property Section $section
 */
final class Series extends Model
{
    protected $table = 'series';

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['pattern' => 'array', 'ends' => 'array', 'changed_at' => 'datetime'];

    /** @return BelongsTo<Section, $this> */
    public function section(): BelongsTo
    {
        return $this->belongsTo(Section::class);
    }

    /** @return HasMany<Session, $this> */
    public function sessions(): HasMany
    {
        return $this->hasMany(Session::class)->orderBy('starts_at');
    }

    /** @return HasMany<JoinLink, $this> */
    public function links(): HasMany
    {
        return $this->hasMany(JoinLink::class);
    }

    /** @return HasMany<Registration, $this> */
    public function registrations(): HasMany
    {
        return $this->hasMany(Registration::class);
    }

    public function plan(): SeriesPlan
    {
        return new SeriesPlan(Patterns::from($this->pattern), LocalDate::parse($this->starts_on), SeriesEnd::from($this->ends), $this->start_minute, $this->minutes, Zone::named($this->time_zone));
    }

    /**
     * A plan as this table keeps it.
     *
     * @return array<string, mixed>
     */
    public static function columns(SeriesPlan $plan): array
    {
        return [
            'pattern' => $plan->pattern->toArray(), 'ends' => $plan->end->toArray(), 'starts_on' => $plan->from->iso(),
            'start_minute' => $plan->startMinute, 'minutes' => $plan->minutes, 'time_zone' => $plan->zone->name,
        ];
    }
}
