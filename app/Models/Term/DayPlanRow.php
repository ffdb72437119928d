<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;
use Nomada\App\Models\Concerns\FoundInTerm;
use Nomada\Core\Term\DayPlan;

/**
 * A day plan of a term, as it is kept.
 *
 * @property int $id
 * @property int $term_id
 * @property string $name
 * @property bool $is_usual the plan of every open day that has no other
 * @property list<array{name: string, start: int, end: int}> $periods
 */
final class DayPlanRow extends Model
{
    use FoundInTerm;

    protected $table = 'day_plans';

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['is_usual' => 'boolean', 'periods' => 'array'];

    public function toCore(): DayPlan
    {
        return DayPlan::from($this->name, $this->periods);
    }
}
