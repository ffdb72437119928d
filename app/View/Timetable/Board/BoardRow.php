<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Board;

use Nomada\Core\Issue;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\SectionStatus;

/** One section on the board, as plain values: a large board has six hundred, and models are slow to ask. */
final readonly class BoardRow
{
    /** @param  list<int>  $clashDays  day numbers on which it has a clash that nobody has accepted */
    public function __construct(
        public int $id,
        public string $sourcedId,
        public string $name,
        public string $year,
        public string $meets,
        public string $teacher,
        public array $clashDays,
        public SectionStatus $status,
    ) {
    }

    public function url(): string
    {
        return url('/sections').'/'.rawurlencode($this->sourcedId);
    }

    /** When it meets, and who teaches it. */
    public function small(): string
    {
        return ($this->meets === '' ? __('board.no_timetable') : $this->meets).
            ($this->teacher === '' ? '' : " · $this->teacher");
    }

    /** @return 'none'|'linked'|'unlinked'|'some' */
    public function linkState(): string
    {
        return match (true) {
            $this->status->series === 0 => 'none',
            $this->status->linked >= $this->status->series => 'linked',
            $this->status->linked === 0 => 'unlinked',
            default => 'some',
        };
    }

    public function linkTone(): string
    {
        return ['none' => 'quiet', 'linked' => 'ok'][$this->linkState()] ?? 'todo';
    }

    public function isRegistered(): bool
    {
        return $this->status->series === 0 || $this->status->registered >= $this->status->roster;
    }

    /** @return list<PlaceCell> */
    public function places(): array
    {
        return array_map(fn (Place $p): PlaceCell => PlaceCell::of($p, $this->status), Place::cases());
    }

    /** @return list<Issue> those that have no column of their own */
    public function shown(): array
    {
        return array_values(array_filter($this->status->issues(), self::isShown(...)));
    }

    /** Where an issue of the section is dealt with. */
    public function leadsTo(Issue $issue): string
    {
        return match ($issue->kind) {
            'clash' => url('/timetable/clashes'),
            'no-account', 'beyond' => url('/timetable/licences'),
            'no-series' => $this->url().'?change=new',
            'absences' => url('/records/sections').'/'.rawurlencode($this->sourcedId),
            'changed-there' => url('/publishing/drift'),
            'refused', 'changed', 'to-tell', 'truth' => url('/publishing'),
            default => $this->url(),
        };
    }

    /** Issues that have a column of their own are not repeated in the column of issues. */
    public static function isShown(Issue $issue): bool
    {
        return ! in_array($issue->kind, ['no-link', 'not-registered', 'not-published'], true);
    }
}
