<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Cache;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Licences\LicenceLoad;

/**
 * Works out which series runs on which account where that takes longer than a page may. What is found is kept until the
 * timetable changes.
 */
final class WorkOutLicences implements ShouldQueue
{
    use Queueable;

    /** Seconds for which one request to work it out stands for all. */
    private const ASKED = 60;

    public int $tries = 1;

    /** No limit: the larger the school, the longer it takes. */
    public int $timeout = 0;

    public function __construct(public readonly int $term)
    {
    }

    /** Asks for it once, however many look at the page meanwhile. */
    public static function ask(Term $term): void
    {
        if (Cache::add("licences $term->id asked", true, self::ASKED)) {
            self::dispatch($term->id);
        }
    }

    public function handle(LicenceLoad $load): void
    {
        $load->workOut(
            Term::query()
                ->with(['school', 'closures'])
                ->findOrFail($this->term),
        );
    }
}
