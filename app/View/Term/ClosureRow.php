<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

use Nomada\App\Actions\Term\CalendarEffect;
use Nomada\Core\Term\Closure;

/** One range of closed days in a calendar that is read: what it would do, or why it cannot be taken. */
final readonly class ClosureRow
{
    /** It lies in no day of the term. */
    public const OUTSIDE = 'outside';

    /** These days are closed already. */
    public const KNOWN = 'known';

    /**
     * @param  string  $code  names it in the form
     * @param  CalendarEffect|null  $effect  null where it cannot be taken
     * @param  bool  $isCut  reaches over the term's first or last day, and is cut to it
     * @param  string|null  $hours  "09:00–12:00" where it is of some hours: it is not chosen beforehand
     * @param  string|null  $why  a code of above, or a sentence, where it cannot be taken
     */
    public function __construct(
        public string $code,
        public Closure $closure,
        public ?CalendarEffect $effect = null,
        public bool $isCut = false,
        public ?string $hours = null,
        public ?string $why = null,
    ) {
    }

    public function canBeTaken(): bool
    {
        return $this->effect !== null;
    }
}
