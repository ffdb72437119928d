<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Nomada\App\Models\Term\Section;

/** Registers the rosters of several sections, and says what came of it. */
final readonly class RegisterRosters
{
    public function __construct(private RegisterRoster $register)
    {
    }

    /** @param  array<int>  $sections */
    public function __invoke(array $sections): RosterResult
    {
        $joined = $left = 0;
        $bare = [];
        foreach (
            Section::query()
                ->whereKey($sections)
                ->with(['term.school', 'term.closures', 'series'])
                ->orderBy('id')
                ->get() as $section
        ) {
            $sum = ($this->register)($section);
            $joined += $sum['joined'];
            $left += $sum['left'];
            if ($section->series->isEmpty()) {
                $bare[] = $section->name();
            }
        }

        return new RosterResult($joined, $left, $bare);
    }
}
