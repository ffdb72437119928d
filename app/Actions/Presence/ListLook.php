<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Presence;

use Nomada\App\Models\Timetable\Session;
use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Interchange\PresenceRow;

/** What a list says, and of whom nobody can be certain. */
final readonly class ListLook
{
    /**
     * @param  list<Session>  $sessions  of the section on that day
     * @param  list<PresenceRow>  $rows
     * @param  list<ImportFault>  $faults  warnings among them
     * @param  array<string, string>  $certain  sourcedIds by what the list knows them by
     * @param  array<string, array{int, list<string>}>  $open  line, and who it may be
     */
    public function __construct(
        public array $sessions,
        public array $rows,
        public array $faults,
        public array $certain,
        public array $open,
    ) {
    }

    /** @return list<ImportFault> */
    public function graves(): array
    {
        return array_values(array_filter($this->faults, fn (ImportFault $f): bool => ! $f->warning));
    }
}
