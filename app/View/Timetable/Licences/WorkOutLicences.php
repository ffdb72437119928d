<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Licences;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Nomada\App\Models\Term\Term;

/**
 * Works out which series runs on which account where that takes longer than a page may. What is found is kept until the
 * timetable changes.
 */
final class WorkOutLicences implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    /** No limit: the larger the school, the longer it takes. */
    public int $timeout = 0;

    public function __construct(public readonly int $term)
    {
    }

    public function handle(LicencesQuery $page): void
    {
        $page->workOut(
            Term::query()
                ->with(['school', 'closures'])
                ->findOrFail($this->term),
        );
    }
}
