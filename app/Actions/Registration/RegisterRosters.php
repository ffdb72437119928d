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
        $chosen = Section::query()
            ->whereKey($sections)
            ->with(['term.school', 'term.closures', 'series'])
            ->orderBy('id')
            ->get();
        $sums = $this->register->many($chosen->all());
        foreach ($chosen as $section) {
            $joined += $sums[$section->id]['joined'];
            $left += $sums[$section->id]['left'];
            if ($section->series->isEmpty()) {
                $bare[] = $section->name();
            }
        }

        return new RosterResult($joined, $left, $bare);
    }
}
