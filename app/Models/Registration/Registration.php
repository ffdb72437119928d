<?php

declare(strict_types=1);

namespace Nomada\App\Models\Registration;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\Core\Registration\RegistrationState;

/**
 * @property int $id
 * @property int $series_id
 * @property int $person_id
 * @property RegistrationState $state
 * @property string $came_by roster, or own where the student registered
 * @property int|null $session_id the one session that it is for, wherever that is moved
 * @property string|null $only_day the day on which that is held, which people read; follows the session on its own
 * @property string|null $typed_name
 * @property string|null $typed_email
 * @property string|null $reason why it was declined
 * @property int|null $decided_by
 * @property Carbon|null $decided_at
 * @property Carbon|null $arrived_at when it came into the queue
 * @property array{state: string, series_id: int, session_id?: int|null}|null $before how it stood before the last
 *   decision
 * @property Series $series
 * @property Person $person
 */
final class Registration extends Model
{
    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = [
        'decided_at' => 'datetime',
        'arrived_at' => 'datetime',
        'before' => 'array',
        'state' => RegistrationState::class,
    ];

    /**
     * The days of this student's registrations for the same series that stand as this one does.
     *
     * @return list<string> ISO
     */
    public function daysAlike(): array
    {
        return array_values(
            self::query()
                ->where([
                    'series_id' => $this->series_id,
                    'person_id' => $this->person_id,
                    'state' => $this->state,
                ])
                ->whereNotNull('only_day')
                ->orderBy('only_day')
                ->get(['only_day'])
                ->map(fn (self $r): string => (string) $r->only_day)
                ->all(),
        );
    }

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
