<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

use Nomada\App\Actions\Term\CloseDays;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\KeptText;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\Calendar\ClosureReader;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\LocalDate;

/** Closed days read from an uploaded calendar: which are new, what falls on them, and why others cannot be taken. */
final readonly class ClosureImport
{
    public function __construct(private CloseDays $close)
    {
    }

    /** @return array<string, mixed> */
    public function data(KeptText $kept, Term $term): array
    {
        [$rows, $faults] = ClosureReader::read($kept->text, $kept->name, $term->calendar()->zone);
        $out = [];
        foreach (array_slice($rows, 0, 400) as $row) {
            $closure = new Closure(LocalDate::parse($row['first']), LocalDate::parse($row['last']), $row['reason']);
            $one = ['closure' => $closure, 'effect' => null, 'why' => null];
            try {
                $one['effect'] = $this->close->effect($term, $closure);
            } catch (Fault $e) {
                $one['why'] = $this->isKnown($term, $closure) ? 'closed already' : $e->getMessage();
            }
            $out[] = $one;
        }

        return [
            'key' => $kept->key,
            'name' => $kept->name,
            'rows' => $out,
            'faults' => $faults,
            'new' => count(array_filter($out, fn (array $r): bool => $r['effect'] !== null)),
        ];
    }

    /** Closes those that can be, as one change. Returns how many. */
    public function take(KeptText $kept, Term $term, Person $by): int
    {
        $new = [];
        foreach ($this->data($kept, $term)['rows'] as $row) {
            if ($row['effect'] !== null) {
                $new[] = $row['closure'];
            }
        }
        if ($new !== []) {
            $this->close->all($term, $new, $by, "closed days read from $kept->name");
        }

        return count($new);
    }

    private function isKnown(Term $term, Closure $closure): bool
    {
        foreach ($term->calendar()->closures as $known) {
            if ($known->first->day === $closure->first->day && $known->last->day === $closure->last->day) {
                return true;
            }
        }

        return false;
    }
}
