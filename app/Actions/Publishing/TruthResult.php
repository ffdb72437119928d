<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

/** What the comparison of all doors with all places came to. */
final readonly class TruthResult
{
    /**
     * @param  int  $people  whose calendars were compared
     * @param  int  $sessions  that they have ahead, each person's counted
     * @param  int  $pages  pages and streams of sections
     * @param  list<TruthLine>  $lines
     */
    public function __construct(public int $people, public int $sessions, public int $pages, public array $lines)
    {
    }

    /** How many people see something else; a page of a section counts its readers as one. */
    public function differing(): int
    {
        $people = [];
        foreach ($this->lines as $line) {
            foreach ($line->people === [] ? ["$line->section/"] : $line->people as $one) {
                $people[$one] = true;
            }
        }

        return count($people);
    }

    /** @return array{people: int, sessions: int, pages: int, differences: list<array<string, string|list<string>>>} */
    public function asArray(): array
    {
        return [
            'people' => $this->people,
            'sessions' => $this->sessions,
            'pages' => $this->pages,
            'differences' => array_map(fn (TruthLine $l): array => $l->asArray(), $this->lines),
        ];
    }
}
