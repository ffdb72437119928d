<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Cache;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;

/**
 * Compares a long queue of registrants with the rosters, where that takes longer than a page may. What is found is kept
 * until any of it changes.
 */
final class CompareQueue implements ShouldQueue
{
    use Queueable;

    /** Seconds for which one request to compare stands for all. */
    private const ASKED = 60;

    public int $tries = 1;

    /** No limit: the larger the school, the longer it takes. */
    public int $timeout = 0;

    public function __construct(public readonly int $term, public readonly int $person)
    {
    }

    /** Asks for it once, however many look at the page meanwhile. */
    public static function ask(Term $term, Person $for): void
    {
        if (Cache::add("desk $term->id $for->id asked", true, self::ASKED)) {
            self::dispatch($term->id, $for->id);
        }
    }

    public function handle(CompareRegistrants $compare): void
    {
        $compare->look(
            Term::query()
                ->with(['school', 'closures'])
                ->findOrFail($this->term),
            Person::query()->findOrFail($this->person),
            true,
        );
    }
}
