<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
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
 * @property bool $is_local closed here, not by an import
 * @property Term $term
 */
final class ClosedRange extends Model
{
    protected $table = 'closures';

    protected $guarded = ['id'];

    /** @return BelongsTo<Term, $this> */
    public function term(): BelongsTo
    {
        return $this->belongsTo(Term::class);
    }

    public function toCore(): Closure
    {
        return new Closure(LocalDate::parse($this->starts_on), LocalDate::parse($this->ends_on), $this->reason);
    }
}
