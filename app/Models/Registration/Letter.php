<?php

declare(strict_types=1);

namespace Nomada\App\Models\Registration;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\Core\Post\LetterKind;

/**
 * A letter to one person, until it has gone and afterwards.
 *
 * @property int $id
 * @property string $key what it is about; nobody gets the same twice
 * @property LetterKind $kind
 * @property int|null $person_id null for a guest
 * @property int|null $series_id null where it tells of a series that is gone
 * @property int|null $registration_id
 * @property string $to_name
 * @property string $to_address
 * @property array<string, string> $values by placeholder, beside those that are computed when it goes
 * @property Carbon $not_before
 * @property Carbon|null $sent_at
 * @property string|null $trouble why it did not go
 * @property Series|null $series
 * @property Person|null $person
 */
final class Letter extends Model
{
    protected $table = 'emails';

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = [
        'kind' => LetterKind::class,
        'values' => 'array',
        'not_before' => 'datetime',
        'sent_at' => 'datetime',
    ];

    /**
     * Those that a decision (or an arrival) at the desk has written, by their keys; not those that were asked for
     * later.
     *
     * @param  Builder<Letter>  $query
     */
    public function scopeOfDecision(Builder $query): void
    {
        $query->where('key', 'like', 'registration %');
    }

    /** @return list<int> the sessions that a letter of an absence is about, by id */
    public function sessions(): array
    {
        $ids = $this->values['sessions'] ?? ($this->values['session'] ?? '');

        return $ids === '' ? [] : array_map(intval(...), explode(' ', $ids));
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
