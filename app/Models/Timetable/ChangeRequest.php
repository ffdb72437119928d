<?php

declare(strict_types=1);

namespace Nomada\App\Models\Timetable;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\HistoryLine;
use Nomada\Core\Timetable\SessionChangeForm;

/**
 * A change that a teacher asks a coordinator for.
 *
 * @property int $id
 * @property int $section_id
 * @property int $series_id
 * @property int|null $session_id which session; null where one is added, or topics are pasted
 * @property int $person_id who asks
 * @property array<string, mixed> $form  what was filled in (SessionChangeForm)
 * @property string $words  what would be changed, in English
 * @property array<string, mixed> $said  the same as a code
 * @property string $why
 * @property RequestState $state
 * @property Carbon $asked_at on the application's clock
 * @property Carbon|null $decided_at
 * @property int|null $decided_by
 * @property string $answer what the coordinator writes back
 * @property Person $person
 * @property Person|null $decider
 * @property Section $section
 * @property Series $series
 */
final class ChangeRequest extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = [
        'form' => 'array',
        'said' => 'array',
        'state' => RequestState::class,
        'asked_at' => 'datetime',
        'decided_at' => 'datetime',
    ];

    public function change(): SessionChangeForm
    {
        return SessionChangeForm::fromArray($this->form);
    }

    /** What would be changed, in the reader's language. */
    public function line(): string
    {
        return HistoryLine::read($this->words, $this->said);
    }

    /** @param  Builder<self>  $query */
    public function scopeOpen(Builder $query): void
    {
        $query->where('state', RequestState::Open);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function decider(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'decided_by');
    }

    /** @return BelongsTo<Section, $this> */
    public function section(): BelongsTo
    {
        return $this->belongsTo(Section::class);
    }

    /** @return BelongsTo<Series, $this> */
    public function series(): BelongsTo
    {
        return $this->belongsTo(Series::class);
    }
}
