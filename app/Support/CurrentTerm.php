<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;

/**
 * The term that the screens are about: the one that somebody of staff has chosen to look at, else the one that the
 * clock stands in, else the next one, else the last. Students are always in the clock's.
 */
final class CurrentTerm
{
    private ?Term $term = null;

    public function __construct(private readonly Clock $clock)
    {
    }

    public function find(): ?Term
    {
        if ($this->term === null) {
            $today = $this->clock->now()->format('Y-m-d');
            $terms = Term::query()
                ->with(['school', 'closures'])
                ->orderBy('starts_on')
                ->get();
            $person = auth()->user();
            $chosen =
                $person instanceof Person && $person->isStaff() && request()->hasSession()
                    ? (int) request()->session()->get('term')
                    : 0;
            $this->term =
                $terms->firstWhere('id', $chosen) ??
                ($terms->first(fn (Term $t): bool => $t->ends_on >= $today) ?? $terms->last());
        }

        return $this->term;
    }

    public function forget(): void
    {
        $this->term = null;
    }
}
