<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Nomada\Core\Publishing\DiscrepancyCause;
use Nomada\Core\Publishing\DiscrepancyKind;
use Nomada\Core\Publishing\Place;

/** What some people see differently from how the door would say, for one cause at one place of one section. */
final readonly class TruthLine
{
    /**
     * @param  string  $section  sourcedId
     * @param  list<string>  $people  sourcedIds; empty for everybody of the section
     * @param  list<string>  $sessions  starts in UTC, ISO 8601; empty where it is about none
     */
    public function __construct(
        public DiscrepancyCause $cause,
        public DiscrepancyKind $seen,
        public Place $place,
        public string $section,
        public array $people,
        public array $sessions,
    ) {
    }

    /** @return array<string, string|list<string>> */
    public function asArray(): array
    {
        return [
            'cause' => $this->cause->value,
            'seen' => $this->seen->value,
            'place' => $this->place->value,
            'section' => $this->section,
            'people' => $this->people,
            'sessions' => $this->sessions,
        ];
    }
}
