<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Nomada\App\Jobs\CarryOut;
use Nomada\App\Models\Publishing\Run;

/**
 * Carries a run out here and now, waiting through its pauses: for the console, which needs no queue worker to be up.
 */
final class CarryOutRun
{
    public function __invoke(Run $run): Run
    {
        while (Run::query()->whereKey($run->id)->whereNull('halted_at')->exists()) {
            $lanes = $run
                ->steps()
                ->where('state', 'waiting')
                ->reorder()
                ->distinct()
                ->get(['section_id', 'lane']);
            if ($lanes->isEmpty()) {
                break;
            }
            foreach ($lanes as $lane) {
                app()->call([new CarryOut($run->id, $lane->section_id, $lane->lane), 'handle']);
            }
            $due = $run->steps()->where('state', 'waiting')->min('due_at');
            if (is_string($due)) {
                usleep((int) max(20_000, min(2_000_000, (strtotime($due) - microtime(true)) * 1_000_000)));
            }
        }
        CarryOut::endIfDone($run->id);

        return $run->refresh();
    }

    /**
     * What came of a run.
     *
     * @return array{run: string|null, done: int, failed: list<array{section: string, lane: string, key: string,
     *   words: string|null}>, asked: int}  asked: where somebody else has put something else, and a person decides
     */
    public static function result(?Run $run): array
    {
        $failed = $run?->steps()->where('state', 'failed')->with('section')->get() ?? collect();

        return [
            'run' => $run?->id,
            'done' => $run?->steps()->where('state', 'done')->count() ?? 0,
            'failed' => array_values(
                $failed
                    ->map(
                        fn ($s): array => [
                            'section' => $s->section->sourced_id,
                            'lane' => $s->lane,
                            'key' => $s->key,
                            'words' => $s->words,
                        ],
                    )
                    ->all(),
            ),
            'asked' => $run?->steps()->where('state', 'asked')->count() ?? 0,
        ];
    }
}
