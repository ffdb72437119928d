<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Desk;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;

/**
 * Compares a long queue of registrants with the rosters, where that takes longer than a page may. What is found is kept
 * until any of it changes.
 */
final class CompareQueue implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    /** No limit: the larger the school, the longer it takes. */
    public int $timeout = 0;

    public function __construct(public readonly int $term, public readonly int $person)
    {
    }

    public function handle(DeskQuery $desk): void
    {
        $desk->compare(
            Term::query()
                ->with(['school', 'closures'])
                ->findOrFail($this->term),
            Person::query()->findOrFail($this->person),
        );
    }
}
