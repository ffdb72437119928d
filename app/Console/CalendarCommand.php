<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Actions\Publishing\PersonFeed;
use Nomada\App\Actions\Publishing\SectionFeed;
use Nomada\App\Models\Term\Person;
use Symfony\Component\Console\Output\OutputInterface;

final class CalendarCommand extends Sections
{
    protected $signature =
        'nomada:calendar {--section=* : sourcedId} {--person= : sourcedId; one person\'s, as the '.
        'calendar server gets it}';

    protected $description = 'Write the calendar of a section or person to standard output (iCalendar)';

    public function handle(SectionFeed $feed, PersonFeed $own): int
    {
        if ($this->option('person') !== null) {
            $person = Person::query()->where('sourced_id', (string) $this->option('person'))->first();
            if ($person === null) {
                $this->error((string) __('console.no_person', ['person' => (string) $this->option('person')]));

                return self::FAILURE;
            }
            $this->output->write($own($person), false, OutputInterface::OUTPUT_RAW);

            return self::SUCCESS;
        }
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
