<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Say;

final class SessionsCommand extends Sections
{
    protected $signature = 'nomada:sessions {--section=* : sourcedId} {--json}';

    protected $description = 'List the sessions of sections, and why lost ones are lost';

    public function handle(): int
    {
        $sections = $this->sections();
        if ($sections === null) {
            return self::FAILURE;
        }
        $rows = [];
        foreach (
            Series::query()
                ->whereHas('sections', fn ($q) => $q->whereKey($sections->modelKeys()))
                ->with(['sessions', 'section'])
                ->orderBy('section_id')
                ->get() as $series
        ) {
            $zone = $series->plan()->zone;
            foreach ($series->sessions as $session) {
                /** @var Session $session */
                $rows[] = [
                    'section' => $series->section->sourced_id,
                    'series' => $series->title,
                    'start' => $zone->iso((int) $session->starts_at->timestamp),
                    'end' => $zone->iso((int) $session->ends_at->timestamp),
                    'state' => $session->state->value,
                    'reason' => $session->reason === null ? null : Say::because($session->reason),
                ];
            }
        }
        usort(
            $rows,
            fn (array $a, array $b): int => [$a['section'], strtotime($a['start'])] <=> [
                $b['section'],
                strtotime($b['start']),
            ],
        );
        $this->option('json')
            ? $this->asJson($rows)
            : $this->drawTable(['section', 'series', 'start', 'end', 'state', 'reason'], $rows);

        return self::SUCCESS;
    }
}
