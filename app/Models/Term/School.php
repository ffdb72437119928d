<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nomada\Core\Term\Zone;

/**
 * @property int $id
 * @property string $name
 * @property string $time_zone
 */
final class School extends Model
{
    protected $guarded = ['id'];

    /** @return HasMany<Term, $this> */
    public function terms(): HasMany
    {
        return $this->hasMany(Term::class);
    }

    public function zone(): Zone
    {
        return Zone::named($this->time_zone);
    }
}
