<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term as TermCalendar;

/**
 * @property int $id
 * @property int $school_id
 * @property string $sourced_id
 * @property string $title
 * @property string $starts_on
 * @property string $ends_on
 * @property School $school
 */
final class Term extends Model
{
    protected $guarded = ['id'];

    private ?TermCalendar $calendar = null;

    /** @return BelongsTo<School, $this> */
    public function school(): BelongsTo
    {
        return $this->belongsTo(School::class);
    }

    /** @return HasMany<ClosedRange, $this> */
    public function closures(): HasMany
    {
        return $this->hasMany(ClosedRange::class)->orderBy('starts_on');
    }

    /** @return HasMany<Section, $this> */
    public function sections(): HasMany
    {
        return $this->hasMany(Section::class);
    }

    /** The term as core/ computes with it: days open and closed, on the school's clock. */
    public function calendar(): TermCalendar
    {
        return $this->calendar ??= new TermCalendar(
            $this->title,
            LocalDate::parse($this->starts_on),
            LocalDate::parse($this->ends_on),
            $this->school->zone(),
            array_values($this->closures->map(fn (ClosedRange $c): Closure => $c->toCore())->all()),
        );
    }
}
