<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Database\QueryException;
use Nomada\App\Actions\Publishing\ExecuteRun;
use Nomada\App\Actions\Publishing\PlanQuery;
use Nomada\App\Actions\Publishing\StartRun;
use Nomada\App\Actions\Publishing\TellTruth;
use Nomada\Core\Publishing\Place;

final class PublishCommand extends Sections
{
    protected $signature =
        'nomada:publish {--plan : only show what would be done} {--section=* : sourcedId; all '.
        'where none is given} {--json}';

    protected $description = 'Publish all pending changes to every destination';

    public function handle(PlanQuery $plan, StartRun $start, ExecuteRun $carryOut, TellTruth $truth): int
    {
        $sections = $this->sections();
        if ($sections === null) {
            return self::FAILURE;
        }
        if ($this->option('plan')) {
            return $this->plan(
                $plan->counts(array_values($sections->modelKeys())),
                $sections->pluck('sourced_id', 'id')->all(),
            );
        }
        $begun = $start->publish(array_values($sections->modelKeys()), null, false);
        $run = $begun->run;
        try {
            $result = ExecuteRun::result($run === null ? null : $carryOut($run));
        } catch (QueryException) {
            $this->components->error((string) __('publishing.runs.away', ['run' => (string) $run?->id]));

            return self::FAILURE;
        }
        if ($this->option('json')) {
            $this->asJson($result);
        } else {
            $this->output->writeln(
                $run === null
                    ? (string) __('console.publish.right')
                    : (string) __('console.publish.done', [
                        'done' => $result['done'],
                        'failed' => count($result['failed']),
                    ]),
            );
            foreach ($result['failed'] as $failure) {
                $this->output->writeln("  {$failure['section']}, {$failure['lane']}: {$failure['words']}");
            }
            if ($result['asked'] > 0) {
                $this->output->writeln(trans_choice('publishing.runs.asked', $result['asked']));
            }
            if ($begun->letters > 0) {
                $this->output->writeln(trans_choice('publishing.runs.letters', $begun->letters));
            }
            $told = $truth(array_values($sections->modelKeys()));
            $this->output->writeln(trans_choice('publishing.truth.sum', $told->differing()));
        }

        return $result['failed'] === [] ? self::SUCCESS : self::FAILURE;
    }

    /**
     * @param  array<int, array<string, array<string, int>>>  $counts
     * @param  array<int, string>  $ids
     */
    private function plan(array $counts, array $ids): int
    {
        $rows = [];
        $total = PlanQuery::NONE;
        foreach ($ids as $id => $sourcedId) {
            $places = [];
            foreach (Place::cases() as $place) {
                $places[$place->value] = $counts[$id][$place->value] ?? PlanQuery::NONE;
                foreach ($places[$place->value] as $verb => $n) {
                    $total[$verb] += $n;
                }
            }
            $rows[] = ['section' => $sourcedId, ...$places];
        }
        if ($this->option('json')) {
            $this->asJson(['total' => $total, 'sections' => $rows]);
        } else {
            foreach ($rows as $row) {
                foreach (Place::cases() as $place) {
                    $n = $row[$place->value] ?? PlanQuery::NONE;
                    $this->output->writeln(
                        sprintf(
                            '%-12s %-14s add %d, change %d, remove %d, leave %d',
                            $row['section'],
                            $place->value,
                            $n['add'],
                            $n['change'],
                            $n['remove'],
                            $n['leave'],
                        ),
                    );
                }
            }
        }

        return self::SUCCESS;
    }
}
