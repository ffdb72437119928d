<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Actions\Publishing\SectionFeed;
use Symfony\Component\Console\Output\OutputInterface;

final class CalendarCommand extends Sections
{
    protected $signature = 'nomada:calendar {--section=* : sourcedId}';

    protected $description = 'Writes a section\'s calendar feed (iCalendar) to standard output';

    public function handle(SectionFeed $feed): int
    {
        $sections = $this->sections();
        if ($sections === null) {
            return self::FAILURE;
        }
        foreach ($sections as $section) {
            $this->output->write($feed($section), false, OutputInterface::OUTPUT_RAW);
        }

        return self::SUCCESS;
    }
}
