<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Fix;

use Nomada\App\Models\Timetable\SeriesToPlace;

/** Why a series is not at a time that somebody points at. */
final readonly class WhyNotPage
{
    /**
     * @param  array<int, string>  $series  names by number
     * @param  int  $chosen  number, 0 where none is chosen yet
     * @param  SeriesToPlace|null  $toPlace  the chosen one, where it has no time yet
     * @param  array<int, string>  $weekdays  of the term
     * @param  list<int>  $on  the chosen ones
     * @param  string  $when  the time that was asked about; '' where none was
     * @param  list<string>  $obstacles  in words
     * @param  list<FixMove>|null  $chain  what would have to move first; null where nothing makes room
     * @param  string  $fault  why it cannot be asked; '' where it can
     */
    public function __construct(
        public array $series,
        public int $chosen,
        public ?SeriesToPlace $toPlace,
        public array $weekdays,
        public array $on,
        public string $start,
        public string $when,
        public array $obstacles,
        public ?array $chain,
        public bool $isComplete,
        public string $fault,
    ) {
    }

    public function name(): string
    {
        return $this->series[$this->chosen] ?? '';
    }

    /** `S. Haddad cannot have it at …`, in one line. */
    public function verdict(): string
    {
        $with = ['series' => $this->name(), 'when' => $this->when];

        return match (true) {
            $this->obstacles === [] => (string) __('fix.why.free', $with),
            $this->chain !== null => trans_choice('fix.why.chain', count($this->chain), $with),
            $this->isComplete => (string) __('fix.why.none', $with),
            default => (string) __('fix.why.not_found', $with),
        };
    }
}
