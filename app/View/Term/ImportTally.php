<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

/** What an import did, in words: how many of each kind of thing it added, changed and removed. */
final readonly class ImportTally
{
    /** @param  array<string, array<string, int>>  $tally  by kind of thing: `added`, `changed`, `removed` */
    public static function words(array $tally): string
    {
        $parts = [];
        // In the order in which an import takes them: what is kept as JSON has lost it.
        foreach (array_keys((array) __('import.things')) as $kind) {
            foreach (array_filter($tally[$kind] ?? []) as $done => $n) {
                $parts[] = __("import.done.$done", ['things' => trans_choice("import.things.$kind", $n)]);
            }
        }

        return implode(', ', $parts);
    }
}
