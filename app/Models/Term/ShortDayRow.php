<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;
use Nomada\App\Models\Concerns\FoundInTerm;

/**
 * A date that follows another day plan, as it is kept.
 *
 * @property int $id
 * @property int $term_id
 * @property int $day_plan_id
 * @property string $day
 * @property string $reason
 */
final class ShortDayRow extends Model
{
    use FoundInTerm;

    protected $table = 'short_days';

    protected $guarded = ['id'];
}
