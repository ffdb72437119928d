<?php

declare(strict_types=1);

namespace Nomada\App\Models\Timetable;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\HistoryLine;
use Nomada\App\Support\SnapshotRows;

/**
 * One change of a series: who, when, in words, and the rows as they were before.
 *
 * @property int $id
 * @property int $section_id
 * @property int $series_id the series may be gone
 * @property int|null $person_id
 * @property Carbon $at on the application's clock
 * @property string $words  in English
 * @property array<string, mixed>|null $said  what it says, as a code; null of older lines
 * @property array<string, list<array<string, mixed>>>|null $before rows by table
 * @property int $shape of those rows (SnapshotShape)
 * @property Carbon|null $undone_at
 * @property int|null $undone_by
 * @property int|null $term_change_id the change of the calendar that it follows
 * @property int|null $import_id by which import it came
 * @property string|null $batch UUID shared by the changes of several series that were saved in one step
 * @property Person|null $person
 * @property Person|null $undoer
 * @property Section $section
 */
final class SeriesChange extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = [
        'at' => 'datetime',
        'before' => SnapshotRows::class,
        'undone_at' => 'datetime',
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

    /** @return BelongsTo<Person, $this> */
    public function undoer(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'undone_by');
    }

    /** @return BelongsTo<Section, $this> */
    public function section(): BelongsTo
    {
        return $this->belongsTo(Section::class);
    }
}
