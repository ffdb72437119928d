<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use LogicException;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\DayPlan;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Rotation;
use Nomada\Core\Term\ShortDay;
use Nomada\Core\Term\Term as TermCalendar;

/**
 * @property int $id
 * @property int $school_id
 * @property string $sourced_id
 * @property string $title
 * @property string $starts_on
 * @property string $ends_on
 * @property array<string, mixed>|null $rotation
 * @property int $opens_minute
 * @property int $closes_minute
 * @property array<string, mixed>|null $solver_rules of {@see \Nomada\Core\Timetable\Solver\SolverRules}
 * @property School $school
 */
final class Term extends Model
{
    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['rotation' => 'array', 'solver_rules' => 'array'];

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

    /** @return HasMany<DayPlanRow, $this> */
    public function dayPlans(): HasMany
    {
        return $this->hasMany(DayPlanRow::class)->orderByDesc('is_usual')->orderBy('name');
    }

    /** @return HasMany<ShortDayRow, $this> */
    public function shortDays(): HasMany
    {
        return $this->hasMany(ShortDayRow::class)->orderBy('day');
    }

    /** @return HasMany<OpenedDay, $this> */
    public function openedDays(): HasMany
    {
        return $this->hasMany(OpenedDay::class)->orderBy('day');
    }

    /** @return HasMany<Section, $this> */
    public function sections(): HasMany
    {
        return $this->hasMany(Section::class);
    }

    /** The term as core/ computes with it: days open, closed and short, on the school's clock. */
    public function calendar(): TermCalendar
    {
        return $this->calendar ??= $this->loadMissing([
            'school',
            'closures',
            'dayPlans',
            'shortDays',
            'openedDays',
        ])->toCore();
    }

    private function toCore(): TermCalendar
    {
        $plans = $this->dayPlans->keyBy('id')->map(fn (DayPlanRow $p): DayPlan => $p->toCore());
        $usual = $this->dayPlans->first(fn (DayPlanRow $p): bool => $p->is_usual);

        return new TermCalendar(
            $this->title,
            LocalDate::parse($this->starts_on),
            LocalDate::parse($this->ends_on),
            $this->school->zone(),
            array_values($this->closures->map(fn (ClosedRange $c): Closure => $c->toCore())->all()),
            array_values($this->openedDays->map(fn (OpenedDay $d): LocalDate => LocalDate::parse($d->day))->all()),
            $usual === null ? null : $plans->get($usual->id),
            array_values(
                $this->shortDays
                    ->map(
                        fn (ShortDayRow $d): ShortDay => new ShortDay(
                            LocalDate::parse($d->day),
                            $plans->get($d->day_plan_id) ??
                                throw new LogicException('A short day without its plan'),
                            $d->reason,
                        ),
                    )
                    ->all(),
            ),
            $this->rotation === null ? null : Rotation::from($this->rotation),
            [$this->opens_minute, $this->closes_minute],
        );
    }
}
