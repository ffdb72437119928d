<?php

declare(strict_types=1);

namespace Nomada\App\Models\Timetable;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A host account of the school, as it is kept.
 *
 * @property int $id
 * @property int $hosting_plan_id
 * @property string $name
 * @property HostingPlan $plan
 */
final class HostAccountRow extends Model
{
    protected $table = 'host_accounts';

    protected $guarded = ['id'];

    /** @return BelongsTo<HostingPlan, $this> */
    public function plan(): BelongsTo
    {
        return $this->belongsTo(HostingPlan::class, 'hosting_plan_id');
    }
}
