<?php

declare(strict_types=1);

namespace Nomada\App\Models\Timetable;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\Patterns;
use Nomada\Core\Timetable\PlanHistory;
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
 * @property string|null $import_hash
 * @property string|null $import_title what its row of a timetable was called
 * @property list<array<string, mixed>> $earlier the plans that held before, oldest first
 * @property string|null $period
 * @property int|null $host_account_id
 * @property list<string> $topics
 * @property bool $topics_move
 * @property string $preset
 * @property array<string, mixed>|null $door what differs from the preset
 * @property array<string, mixed>|null $floor
 * @property array<string, mixed>|null $registering how students register; null where the roster is followed
 * @property Section $section
 */
final class Series extends Model
{
    protected $table = 'series';

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = [
        'pattern' => 'array',
        'ends' => 'array',
        'changed_at' => 'datetime',
        'earlier' => 'array',
        'topics' => 'array',
        'topics_move' => 'boolean',
        'door' => 'array',
        'floor' => 'array',
        'registering' => 'array',
    ];

    /** @var array<string, mixed> */
    protected $attributes = [
        'earlier' => '[]',
        'topics' => '[]',
        'topics_move' => true,
        'period' => null,
        'host_account_id' => null,
        'sequence' => 0,
        'import_hash' => null,
        'import_title' => null,
        'preset' => 'lesson',
        'door' => null,
        'floor' => null,
        'registering' => null,
    ];

    protected static function booted(): void
    {
        self::created(
            fn (self $series) => DB::table('series_sections')->insertOrIgnore([
                'series_id' => $series->id,
                'section_id' => $series->section_id,
            ]),
        );
    }

    /**
     * A new series and the row that puts it into its own section come together: the database asks for both.
     *
     * @param  array<string, mixed>  $options
     */
    public function save(array $options = []): bool
    {
        return $this->exists ? parent::save($options) : DB::transaction(fn (): bool => parent::save($options));
    }

    /** @return BelongsTo<Section, $this> */
    public function section(): BelongsTo
    {
        return $this->belongsTo(Section::class);
    }

    /**
     * Every section that meets in it, its own among them.
     *
     * @return BelongsToMany<Section, $this>
     */
    public function sections(): BelongsToMany
    {
        return $this->belongsToMany(Section::class, 'series_sections')->orderBy('sections.title');
    }

    /** @return list<int> */
    public function sectionIds(): array
    {
        return array_values(
            array_map(
                intval(...),
                DB::table('series_sections')
                    ->where('series_id', $this->id)
                    ->orderBy('section_id')
                    ->pluck('section_id')
                    ->all(),
            ),
        );
    }

    /** @return BelongsTo<HostAccountRow, $this> */
    public function hostAccount(): BelongsTo
    {
        return $this->belongsTo(HostAccountRow::class);
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

    /** The plan that holds now, or will at last. */
    public function plan(): SeriesPlan
    {
        return new SeriesPlan(
            Patterns::from($this->pattern),
            LocalDate::parse($this->starts_on),
            SeriesEnd::from($this->ends),
            $this->start_minute,
            $this->minutes,
            Zone::named($this->time_zone),
            $this->period,
        );
    }

    /** All its plans, one after the other. */
    public function stretches(): PlanHistory
    {
        return new PlanHistory([...array_map(SeriesPlan::from(...), $this->earlier), $this->plan()]);
    }

    /**
     * A plan as this table keeps it.
     *
     * @return array<string, mixed>
     */
    public static function columns(SeriesPlan $plan): array
    {
        return $plan->toArray();
    }

    /** Takes over the stretches, the last one as its plan. */
    public function follow(PlanHistory $stretches): void
    {
        $this->fill([
            ...self::columns($stretches->last()),
            'earlier' => array_map(
                fn (SeriesPlan $p): array => $p->toArray(),
                array_slice($stretches->plans, 0, -1),
            ),
        ]);
    }

    /**
     * @param  array<mixed>  $ids
     * @return Collection<int, self> in the order of their ids
     */
    public static function chosen(array $ids): Collection
    {
        return self::query()->whereKey($ids)->with('section')->orderBy('id')->get();
    }

    /** Whether somebody has ever registered for it, whatever came of that. */
    public function hasRegistrationOf(Person $person): bool
    {
        return $this->registrations()->where('person_id', $person->id)->exists();
    }
}
