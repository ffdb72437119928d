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
 * @property array<string, int>|null $attendance from when on somebody is late, present, absent; null for the usual
 * @property int $recordings_days for which a recording is kept
 */
final class School extends Model
{
    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['attendance' => 'array'];

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
