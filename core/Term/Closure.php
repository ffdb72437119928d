<?php

declare(strict_types=1);

namespace Nomada\Core\Term;

use Nomada\Core\Fault;

/** A closed range of the school calendar, both ends inclusive, and why: "Carnival", 15 to 17 February. */
final readonly class Closure
{
    public function __construct(public LocalDate $first, public LocalDate $last, public string $reason)
    {
        if ($last->day < $first->day) {
            throw new Fault('closure.backwards', '', [
                'reason' => $reason,
                'last' => $last->iso(),
                'first' => $first->iso(),
            ]);
        }
        if (trim($reason) === '') {
            throw new Fault('closure.reason');
        }
    }

    public function days(): int
    {
        return $this->last->day - $this->first->day + 1;
    }
}
