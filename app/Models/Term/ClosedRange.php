<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\LocalDate;

/**
 * A closed day or range of a term.
 *
 * @property int $id
 * @property string $uid
 * @property string $starts_on
 * @property string $ends_on
 * @property string $reason
 */
final class ClosedRange extends Model
{
    protected $table = 'closures';

    protected $guarded = ['id'];

    public function toCore(): Closure
    {
        return new Closure(LocalDate::parse($this->starts_on), LocalDate::parse($this->ends_on), $this->reason);
    }
}
