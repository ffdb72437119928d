<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Nomada\App\Models\Concerns\FoundInTerm;
use Nomada\App\Support\HistoryLine;
use Nomada\App\Support\SnapshotRows;

/**
 * One change of a term's calendar, with the calendar's rows before and after it.
 *
 * @property int $id
 * @property int $term_id
 * @property int|null $person_id
 * @property Carbon $at
 * @property string $words  in English
 * @property array<string, mixed>|null $said  what it says, as a code; null of older lines
 * @property array<string, list<array<string, mixed>>> $before rows by table
 * @property array<string, list<array<string, mixed>>> $after
 * @property int $shape of those rows (SnapshotShape)
 * @property Carbon|null $undone_at
 * @property int|null $undone_by
 * @property int|null $import_id by which import it came
 * @property Person|null $person
 * @property Term $term
 */
final class TermChange extends Model
{
    use FoundInTerm;

    public $timestamps = false;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = [
        'at' => 'datetime',
        'undone_at' => 'datetime',
        'before' => SnapshotRows::class,
        'after' => SnapshotRows::class,
        'said' => 'array',
    ];

    /** What it says, in the reader's language. */
    public function line(): string
    {
        return HistoryLine::read($this->words, $this->said);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Term, $this> */
    public function term(): BelongsTo
    {
        return $this->belongsTo(Term::class);
    }
}
