<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Nomada\App\Support\SnapshotRows;

/**
 * One import that was taken.
 *
 * @phpstan-type ImportedOthers array{
 *   guardianships: array{added: list<array<string, int>>, removed: list<array<string, int>>},
 *   series: array{added: list<int>, restored: list<int>},
 *   zone: array{string, string}|null,
 * }
 *
 * @property int $id
 * @property int|null $person_id
 * @property Carbon $at
 * @property array<string, array<string, int>> $tally by kind of thing, how many were `added`, `changed`, `removed`
 * @property array<string, array{added: list<int>, changed: list<array<string, mixed>>, now: list<array<string,
 *   mixed>>}> $log by table: ids of the rows that came, and those that changed as they were and as the import left them
 * @property ImportedOthers|null $others what has no row of its own in the log; null for an import of before
 * @property int $shape of the rows in the log (SnapshotShape)
 * @property Carbon|null $undone_at
 * @property int|null $undone_by
 * @property Person|null $person
 */
final class SchoolImport extends Model
{
    public $timestamps = false;

    protected $table = 'imports';

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = [
        'tally' => 'array',
        'log' => SnapshotRows::class.':log',
        'others' => 'array',
        'at' => 'datetime',
        'undone_at' => 'datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
