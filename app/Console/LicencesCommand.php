<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Nomada\App\Queries\CurrentTerm;
use Nomada\App\Queries\HostAccounts;
use Nomada\App\Queries\Licences\LicenceLoad;
use Nomada\App\Queries\RunningSeries;
use Nomada\Core\Timetable\Licences;

final class LicencesCommand extends Command
{
    use HasTables;

    protected $signature = 'nomada:licences {--json}';

    protected $description = 'Show how many sessions run at once, how many host accounts they need, and which series '
        .'use which';

    public function handle(LicenceLoad $load, CurrentTerm $current): int
    {
        $term = $current->find();
        if ($term === null) {
            $this->components->error((string) __('console.no_term'));

            return self::FAILURE;
        }
        $running = RunningSeries::of($term);
        $licences = new Licences($running);
        $accounts = array_values(HostAccounts::all());
        $peak = $licences->peak();
        $assignment = $licences->assign($accounts);
        $zone = $term->calendar()->zone;
        $out = [
            'peak' => $peak['n'],
            'peak_from' => $peak['n'] === 0 ? null : $zone->iso($peak['from']),
            'peak_times' => $peak['times'],
            'accounts' => count($accounts),
            'fewest' => array_sum($fewest = $load->fewest($running)),
            'fewest_by_plan' => (object) $fewest,
            'assignment' => (object) $assignment->accounts,
            'split' => count($assignment->split),
            'sessions_without_account' => $assignment->leftOver(),
            'changed' => $assignment->changed,
        ];
        if ($this->option('json')) {
            $this->output->writeln((string) json_encode($out));
        } else {
            $this->drawTable(
                ['what', 'many'],
                [
                    [(string) __('console.licences.peak'), $out['peak']],
                    [(string) __('console.licences.from'), $out['peak_from']],
                    [(string) __('console.licences.accounts'), $out['accounts']],
                    [(string) __('console.licences.fewest'), $out['fewest']],
                    [(string) __('console.licences.split'), $out['split']],
                    [(string) __('console.licences.without'), $out['sessions_without_account']],
                    [(string) __('console.licences.standing'), $out['changed']],
                ],
            );
        }

        return self::SUCCESS;
    }
}
