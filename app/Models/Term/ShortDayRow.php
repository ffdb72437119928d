<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;

/**
 * A date that goes by another day plan, as it is kept.
 *
 * @property int $id
 * @property int $term_id
 * @property int $day_plan_id
 * @property string $day
 * @property string $reason
 */
final class ShortDayRow extends Model
{
    protected $table = 'short_days';

    protected $guarded = ['id'];
}
