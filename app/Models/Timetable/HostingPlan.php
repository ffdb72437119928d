<?php

declare(strict_types=1);

namespace Nomada\App\Models\Timetable;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What an account at the conference bridge allows.
 *
 * @property int $id
 * @property string $name
 * @property int $seats
 * @property int $minutes of one session
 * @property int $at_once sessions at once
 */
final class HostingPlan extends Model
{
    protected $guarded = ['id'];

    /** @return HasMany<HostAccountRow, $this> */
    public function accounts(): HasMany
    {
        return $this->hasMany(HostAccountRow::class)->orderBy('id');
    }
}
