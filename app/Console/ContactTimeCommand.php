<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Queries\ContactTimes;

final class ContactTimeCommand extends Sections
{
    protected $signature = 'nomada:contact-time {--section=* : sourcedId; all where none is given} {--json}';

    protected $description =
        'Contact time of sections in minutes: planned, held, to come, lost and made up, against '.'the target';

    public function handle(ContactTimes $times): int
    {
        $sections = $this->sections();
        if ($sections === null) {
            return self::FAILURE;
        }
        $found = $times->of(
            array_values(array_map(intval(...), $sections->modelKeys())),
            $sections->pluck('target_minutes', 'id')->all(),
        );
        $rows = [];
        foreach ($sections as $section) {
            $time = $found[$section->id]['time'];
            $rows[] = [
                'section' => $section->sourced_id,
                'sessions' => $found[$section->id]['n'],
                'planned' => $time->planned,
                'held' => $time->held,
                'coming' => $time->coming,
                'lost' => $time->lost,
                'made_up' => $time->madeUp,
                'target' => $time->target,
                'short' => $time->short(),
            ];
        }
        $this->option('json')
            ? $this->asJson($rows)
            : $this->drawTable(array_keys($rows[0] ?? ['section' => '']), $rows);

        return self::SUCCESS;
    }
}
