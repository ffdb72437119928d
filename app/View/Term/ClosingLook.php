<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

use Nomada\App\Actions\Term\CalendarEffect;
use Nomada\Core\Term\Closure;

/** What closing days would take, and from whom, before it is saved. */
final readonly class ClosingLook
{
    /** Of how many changes of single sessions each is named; the rest is counted. */
    private const NAMED = 12;

    public int $lost;

    public int $sections;

    /** @var list<array{section: string, what: string}> */
    public array $waiting;

    public int $more;

    /** @param  int  $begun  sessions on these days that have begun, and stay */
    public function __construct(public Closure $closure, CalendarEffect $effect, public int $begun)
    {
        $this->lost = $effect->lost;
        $this->sections = $effect->sections;
        $this->waiting = array_slice($effect->waiting, 0, self::NAMED);
        $this->more = count($effect->waiting) - count($this->waiting);
    }
}
