<?php

declare(strict_types=1);

namespace Nomada\App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Nomada\App\Queries\CurrentTerm;
use Nomada\App\Support\Clock;
use Nomada\App\Support\FaultWords;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedDate;
use Symfony\Component\HttpFoundation\Response;

/**
 * Dates are typed in one way everywhere: what is in a date's field is read before anything else looks at the form,
 * so that all that follows sees `2027-02-18`. What cannot be read is told beside its field.
 */
final class ReadsDates
{
    /** Every field of a form or an address that holds one date. A new one is entered here. */
    public const FIELDS = [
        'starts_on',
        'ends_on',
        'from_day',
        'move_day',
        'first',
        'last',
        'short_day',
        'open_day',
        'pin_day',
        'until',
        'only_day',
        'opens_on',
        'closes_on',
        'term_first',
        'term_last',
        'date',
    ];

    /** Days on which a new term may lie, from today. */
    private const AHEAD = 540;

    public function __construct(private readonly CurrentTerm $term, private readonly Clock $clock)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $read = $faults = [];
        foreach (self::FIELDS as $field) {
            $typed = $request->input($field);
            if (! is_string($typed) || trim($typed) === '') {
                continue;
            }
            try {
                [$first, $last] = $this->likely($field);
                $read[$field] = TypedDate::read($typed, $first, $last, $field)->iso();
            } catch (Fault $e) {
                $faults[$field] = FaultWords::of($e);
            }
        }
        // A day in the address of a page that only looks is said on that page.
        if ($request->isMethodSafe()) {
            unset($faults['date']);
        }
        if ($faults !== []) {
            throw ValidationException::withMessages($faults);
        }
        $request->merge($read);

        return $next($request);
    }

    /** @return array{LocalDate, LocalDate} the days among which a date without a year is looked for */
    private function likely(string $field): array
    {
        $term = $this->term->find()?->calendar();
        $today = new LocalDate(intdiv($this->clock->seconds(), 86400));

        return $term === null || str_starts_with($field, 'term_')
            ? [$today, $today->plus(self::AHEAD)]
            : [$term->first, $term->last];
    }
}
