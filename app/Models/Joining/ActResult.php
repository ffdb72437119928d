<?php

declare(strict_types=1);

namespace Nomada\App\Models\Joining;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Nomada\App\Models\Term\Person;

/**
 * What came of an act on many series: a page of its own, that can be reloaded and sent to a colleague.
 *
 * @property int $id
 * @property int|null $person_id
 * @property int|null $term_id
 * @property string $act
 * @property string $value
 * @property list<array{id: int, section: string, name: string, words: string, does: bool, was: array<string,
 *   mixed>|null}> $lines
 *   `was` is what the act changed, as it stood
 * @property Carbon $at
 * @property Carbon|null $undone_at
 * @property int|null $undone_by
 * @property Person|null $person
 */
final class ActResult extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['lines' => 'array', 'at' => 'datetime', 'undone_at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
