<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Actions\Publishing\ExecuteRun;
use Nomada\App\Actions\Publishing\StartRun;
use Nomada\App\Models\Timetable\Series;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\LinkKind;

final class LinksCommand extends Sections
{
    protected $signature = 'nomada:links {--section=* : sourcedId; all where none is given} {--json}';

    protected $description = 'Create missing join links, and list all';

    public function handle(StartRun $start, ExecuteRun $carryOut): int
    {
        $sections = $this->sections();
        if ($sections === null) {
            return self::FAILURE;
        }
        $run = $start->links(array_values($sections->modelKeys()), null, false);
        $result = ExecuteRun::result($run === null ? null : $carryOut($run));
        $links = [];
        foreach (
            Series::query()
                ->whereHas('sections', fn ($q) => $q->whereKey($sections->modelKeys()))
                ->with(['section', 'links' => fn ($q) => $q->whereNull('retired_at')])
                ->orderBy('section_id')
                ->get() as $series
        ) {
            $link = $series->links->firstWhere('kind', LinkKind::Series);
            $links[] = [
                'section' => $series->section->sourced_id,
                'series' => $series->title,
                'link' => $link?->address(),
                'join_code' => $link === null ? null : JoinCode::show((string) $link->join_code),
                'dial_in' => $link?->dial_in,
                'pin' => $link?->pin,
            ];
        }
        if ($this->option('json')) {
            $this->asJson(['made' => $result['done'], 'failed' => $result['failed'], 'links' => $links]);
        } else {
            $this->table(['Section', 'Series', 'Link', 'Join code', 'Dial-in', 'PIN'], $links);
            $this->output->writeln(trans_choice('console.links', $result['done'], [
                'done' => $result['done'],
                'failed' => count($result['failed']),
            ]));
        }

        return $result['failed'] === [] ? self::SUCCESS : self::FAILURE;
    }
}
