<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use RuntimeException;

/** An import that nobody looks at would remove more than a tenth of something: it is taken back and done without. */
final class TooManyRemovals extends RuntimeException
{
    /** @param  list<string>  $kinds */
    public function __construct(public readonly array $kinds)
    {
        parent::__construct('removals: '.implode(', ', $kinds));
    }
}
