<?php

declare(strict_types=1);

namespace Nomada\App\Models\Concerns;

use Nomada\App\Models\Term\Term;

/** Rows of one term's calendar: another term's row is not found. */
trait FoundInTerm
{
    public static function inTerm(Term $term, int $id): static
    {
        return static::query()->where('term_id', $term->id)->findOrFail($id);
    }
}
