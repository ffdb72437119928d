<?php

declare(strict_types=1);

namespace Nomada\App\Models\Publishing;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Nomada\App\Models\Term\Person;

/**
 * One carrying out of many steps on the queue: a publish run, or the making of links. It can be stopped at any step and
 * taken up again.
 *
 * @property string $id
 * @property string $kind publish or links
 * @property int|null $started_by
 * @property Carbon $app_time
 * @property Carbon $created_at
 * @property Carbon|null $ended_at
 * @property Carbon|null $due_at when it begins, on the school's clock, where that is later
 * @property array{sections: list<int>, places: list<string>}|null $scope what it is to publish once it begins
 * @property Carbon|null $halted_at
 * @property int|null $truth how many readers and pages told something else than the door after it; null until known
 * @property Person|null $starter
 */
final class Run extends Model
{
    use HasUlids;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'app_time' => 'datetime',
        'ended_at' => 'datetime',
        'due_at' => 'datetime',
        'halted_at' => 'datetime',
        'scope' => 'array',
    ];

    /** @return HasMany<RunStep, $this> */
    public function steps(): HasMany
    {
        return $this->hasMany(RunStep::class)->orderBy('id');
    }

    /** @return BelongsTo<Person, $this> */
    public function starter(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'started_by');
    }
}
