<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

use Nomada\App\Actions\Term\CloseDays;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\FaultWords;
use Nomada\App\Support\StagedText;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\Calendar\ClosureReader;
use Nomada\Core\Interchange\SchoolData;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\LocalDate;

/**
 * Closed days read from an uploaded calendar: which are new, what falls on them, and why others cannot be taken. Each
 * is chosen on its own.
 *
 * @phpstan-import-type ClosureRow from SchoolData as ReadRow
 */
final readonly class ClosureImport
{
    /** How many are shown, and can be taken at once. */
    private const MOST = 400;

    public function __construct(private CloseDays $close)
    {
    }

    public function of(StagedText $kept, Term $term): ClosuresPage
    {
        [$rows, $faults] = ClosureReader::read($kept->text, $kept->name, $term->calendar()->zone);

        return new ClosuresPage(
            $kept->key,
            $kept->name,
            array_map(fn (array $row): ClosureRow => $this->row($row, $term), array_slice($rows, 0, self::MOST)),
            $faults,
        );
    }

    /**
     * Closes the chosen ones that can be, as one change. Returns how many.
     *
     * @param  array<mixed>  $chosen  codes of rows
     */
    public function take(StagedText $kept, Term $term, array $chosen, Person $by): int
    {
        $new = [];
        foreach ($this->of($kept, $term)->rows as $row) {
            if ($row->canBeTaken() && in_array($row->code, $chosen, true)) {
                $new[] = $row->closure;
            }
        }
        if ($new !== []) {
            $this->close->all($term, $new, $by, new Said('history.read_closed', ['file' => $kept->name]));
        }

        return count($new);
    }

    /** @param  ReadRow  $row */
    private function row(array $row, Term $term): ClosureRow
    {
        $calendar = $term->calendar();
        $first = LocalDate::parse($row['first']);
        $last = LocalDate::parse($row['last']);
        $code = substr(hash('sha256', "$row[uid] $row[first] $row[last]"), 0, 16);
        if ($last->day < $calendar->first->day || $first->day > $calendar->last->day) {
            return new ClosureRow($code, new Closure($first, $last, $row['reason']), why: ClosureRow::OUTSIDE);
        }
        $from = new LocalDate(max($first->day, $calendar->first->day));
        $to = new LocalDate(min($last->day, $calendar->last->day));
        $closure = new Closure($from, $to, $row['reason']);
        $isCut = $from->day !== $first->day || $to->day !== $last->day;
        try {
            return new ClosureRow($code, $closure, $this->close->effect($term, $closure), $isCut, $row['hours']);
        } catch (Fault $e) {
            $why = $this->isKnown($term, $closure) ? ClosureRow::KNOWN : FaultWords::of($e);

            return new ClosureRow($code, $closure, null, $isCut, $row['hours'], $why);
        }
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
