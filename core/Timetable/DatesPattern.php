<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\TypedDate;

/** Listed dates, whatever days they are. */
final readonly class DatesPattern implements Pattern
{
    /** @var list<int> day numbers, ascending */
    public array $days;

    /** @param  array<int>  $days  day numbers */
    public function __construct(array $days)
    {
        $days = array_values(array_unique($days));
        sort($days);
        if ($days === []) {
            throw new Fault('dates.none', 'dates');
        }
        if (count($days) > 400) {
            throw new Fault('dates.most', 'dates');
        }
        $this->days = $days;
    }

    /**
     * Reads dates as they are typed or pasted: one a line, or parted by commas or semicolons; those written in figures
     * ("18/2 4/3") by blanks too.
     *
     * @param  LocalDate  $first  of the days that are likely: the term's
     *
     * @throws Fault naming the first that is none
     */
    public static function read(string $typed, LocalDate $first, LocalDate $last): self
    {
        $days = [];
        foreach (preg_split('/\s*[,;\r\n]+\s*/', trim($typed), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            $texts = preg_match('/^[\d\/.\s-]+$/D', $part)
                ? preg_split('/\s+/', $part, -1, PREG_SPLIT_NO_EMPTY)
                : [$part];
            foreach ($texts ?: [] as $text) {
                $days[] = TypedDate::read($text, $first, $last, 'dates')->day;
            }
        }

        return new self($days);
    }

    public function days(LocalDate $from, LocalDate $to, Term $term): iterable
    {
        return array_values(array_filter($this->days, fn (int $d): bool => $d >= $from->day && $d <= $to->day));
    }

    public function said(): Said
    {
        return count($this->days) === 1
            ? new Said('patterns.date', ['day' => new LocalDate($this->days[0])])
            : new Said('patterns.dates', ['count' => count($this->days)]);
    }

    public function spoken(): Said
    {
        $some = array_map(fn (int $d): LocalDate => new LocalDate($d), array_slice($this->days, 0, 4));
        $more = count($this->days) - count($some);

        return $more > 0
            ? new Said('spoken.dates_and_more', ['some' => $some, 'more' => $more])
            : new Said('spoken.dates', ['some' => $some]);
    }

    public function rule(): ?string
    {
        return null;
    }

    public function toArray(): array
    {
        return [
            'kind' => 'dates',
            'dates' => array_map(fn (int $d): string => (new LocalDate($d))->iso(), $this->days),
        ];
    }
}
