<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Actions\Publishing\KeepTruth;
use Nomada\App\Actions\Publishing\TellTruth;

final class TruthCommand extends Sections
{
    protected $signature = 'nomada:verify {--section=* : sourcedId; all where none is given}
        {--days=7 : how many coming days} {--json}';

    /** @var list<string> the name until version 0.1.0 */
    protected $aliases = ['nomada:truth'];

    protected $description = 'Check that every destination shows everyone the right sessions';

    public function handle(TellTruth $truth, KeepTruth $keep): int
    {
        $sections = $this->sections();
        $days = (int) $this->option('days');
        if ($sections === null) {
            return self::FAILURE;
        }
        if ($days < 1 || $days > 200) {
            $this->output->writeln((string) __('publishing.truth.days_fault'));

            return self::FAILURE;
        }
        $result = $truth(array_values($sections->modelKeys()), $days);
        if ($this->option('section') === []) {
            $keep($result);
        }
        if ($this->option('json')) {
            $this->asJson($result->asArray());
        } else {
            $this->output->writeln(
                (string) __('publishing.truth.checked', [
                    'people' => $result->people,
                    'sessions' => $result->sessions,
                    'pages' => $result->pages,
                ]),
            );
            foreach ($result->lines as $line) {
                $this->output->writeln(
                    "  $line->section, {$line->place->value}: ".
                        __("publishing.truth.seen.{$line->seen->value}").
                        ' ('.
                        __("publishing.truth.causes.{$line->cause->value}").
                        ')'.
                        ($line->people === []
                            ? ''
                            : ': '.trans_choice('publishing.truth.people', count($line->people))),
                );
            }
            $this->output->writeln(trans_choice('publishing.truth.sum', $result->differing()));
        }

        return $result->lines === [] ? self::SUCCESS : self::FAILURE;
    }
}
