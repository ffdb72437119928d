<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Actions\Registration\RegisterRoster;

final class RegisterCommand extends Sections
{
    protected $signature = 'nomada:register {--section=* : sourcedId; all where none is given}
        {--left : only those who have left lose theirs; nobody is registered} {--json}';

    protected $description = 'Register the whole roster of sections, with a personal link for each student';

    public function handle(RegisterRoster $register): int
    {
        $sections = $this->sections();
        if ($sections === null) {
            return self::FAILURE;
        }
        $sums = $register->many(
            $sections->load(['term.school', 'term.closures', 'series'])->all(),
            (bool) $this->option('left'),
        );
        $rows = [];
        foreach ($sections as $section) {
            $rows[] = ['section' => $section->sourced_id] + $sums[$section->id];
        }
        $this->option('json')
            ? $this->asJson($rows)
            : $this->drawTable(['section', 'registered', 'withdrawn'], $rows);

        return self::SUCCESS;
    }
}
