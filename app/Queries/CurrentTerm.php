<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Database\Eloquent\Collection;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;

/**
 * The term that a screen is about: the one that is in its address (or in the form that was sent from it), else the
 * one that the clock is in, else the next one, else the last. Students are always in the clock's.
 */
final class CurrentTerm
{
    /** The request's attribute that has the sourcedId of the term in its address. */
    public const IN_ADDRESS = 'term in address';

    private ?Term $term = null;

    /** The request that it was found for. */
    private ?object $of = null;

    public function __construct(private readonly Clock $clock)
    {
    }

    public function find(): ?Term
    {
        $request = app()->bound('request') ? request() : null;
        if ($this->term === null || $this->of !== $request) {
            $this->of = $request;
            $today = $this->clock->now()->format('Y-m-d');
            $terms = Term::query()
                ->with(['school', 'closures'])
                ->orderBy('starts_on')
                ->get();
            $this->term =
                $this->named($terms) ??
                ($terms->first(fn (Term $t): bool => $t->ends_on >= $today) ?? $terms->last());
        }

        return $this->term;
    }

    /**
     * The one that a form was drawn in, that is in the page's address, or whose section the page is about.
     *
     * @param  Collection<int, Term>  $terms
     */
    private function named(Collection $terms): ?Term
    {
        if (! app()->bound('request') || ! (auth()->user() instanceof Person) || ! auth()->user()->isStaff()) {
            return null;
        }
        $request = request();
        $drawn = $request->isMethodSafe() ? null : $request->input('_term');
        $section = $request->route('section');

        return (is_string($drawn) ? $terms->firstWhere('sourced_id', $drawn) : null) ??
            ($terms->firstWhere('sourced_id', $request->attributes->get(self::IN_ADDRESS)) ??
                ($section instanceof Section ? $terms->firstWhere('id', $section->term_id) : null));
    }

    public function forget(): void
    {
        $this->term = null;
    }
}
