<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Week;

use Illuminate\Http\Request;
use Nomada\Core\Registration\PersonName;

/** What of a week is shown, as its address says: some teachers, sections or courses, a year, only what clashes. */
final readonly class WeekFilter
{
    public function __construct(
        public string $words = '',
        public string $year = '',
        public bool $clashes = false,
    ) {
    }

    public static function of(Request $request): self
    {
        return new self(
            mb_strimwidth(trim((string) $request->query('words', '')), 0, 80),
            mb_strimwidth((string) $request->query('year', ''), 0, 10),
            $request->boolean('clashes'),
        );
    }

    /** Whether what is taken is one year's. */
    public function isOfOne(): bool
    {
        return $this->year !== '';
    }

    public function isAny(): bool
    {
        return $this->words !== '' || $this->year !== '' || $this->clashes;
    }

    /** Whether every word typed begins one of the words of what a session is; case and marks say nothing. */
    public function takes(string $year, string ...$texts): bool
    {
        if ($this->year !== '' && $this->year !== $year) {
            return false;
        }
        if ($this->words === '') {
            return true;
        }
        $is = PersonName::words(implode(' ', $texts));
        foreach (PersonName::words($this->words) as $word) {
            if (array_filter($is, fn (string $one): bool => str_starts_with($one, $word)) === []) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, string> as it is in an address */
    public function query(): array
    {
        return array_filter([
            'words' => $this->words,
            'year' => $this->year,
            'clashes' => $this->clashes ? '1' : '',
        ]);
    }
}
