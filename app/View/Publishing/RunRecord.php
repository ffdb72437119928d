<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing;

use Closure;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Publishing\Run;
use Nomada\Core\Interchange\CsvText;

/** A run as CSV: one line a step, however many. */
final readonly class RunRecord
{
    /** @param  Closure(string): mixed  $out */
    public function write(Run $run, Closure $out): void
    {
        $out("\u{FEFF}");
        $out(CsvText::write([['section', 'where', 'what', 'key', 'state', 'tries', 'words', 'done_at']]));
        $steps = DB::table('run_steps')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('run_id', $run->id)
            ->select(['run_steps.id', 'sourced_id', 'lane', 'verb', 'key', 'state', 'tries', 'words', 'done_at']);
        foreach ($steps->lazyById(2000, 'run_steps.id', 'id') as $step) {
            $out(
                CsvText::write([
                    [
                        $step->sourced_id,
                        $step->lane,
                        $step->verb,
                        $step->key,
                        $step->state,
                        (string) $step->tries,
                        (string) $step->words,
                        $step->done_at === null ? '' : gmdate('Y-m-d\TH:i:s\Z', (int) strtotime($step->done_at)),
                    ],
                ]),
            );
        }
    }
}
