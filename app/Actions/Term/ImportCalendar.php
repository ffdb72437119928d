<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\SchoolImport;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Term\TermChange;
use Nomada\Core\Interchange\ImportLine;
use Nomada\Core\Interchange\SchoolData;

/**
 * The closed days of an import: a change of the calendar like any other. What was closed here stays closed; what was
 * opened here stays open; both are told of.
 */
final readonly class ImportCalendar
{
    public function __construct(private ChangeCalendar $change)
    {
    }

    /**
     * @param  array<string, int>  $terms  ids by sourcedId
     * @return list<int> sections whose sessions changed
     */
    public function __invoke(SchoolData $data, ImportLog $log, array $terms, SchoolImport $import): array
    {
        $log->count('closures', 'added', 0);
        $touched = [];
        foreach ($data->closures === null ? [] : $data->terms as $sourcedId => $term) {
            $model = Term::query()
                ->with(['school', 'closures'])
                ->findOrFail($terms[$sourcedId]);
            $write = fn () => $this->write($data, $log, $model, $term);
            if ($log->looks) {
                // What it costs is counted when it is carried out; the lines say which days.
                $write();

                continue;
            }
            ($this->change)($model, 'import of closed days', $import->person, $write);
            $change = TermChange::query()->where('term_id', $model->id)->orderByDesc('id')->first();
            if ($change !== null && $change->words === 'import of closed days' && $change->import_id === null) {
                $change->update(['import_id' => $import->id]);
            }
        }

        return $touched;
    }

    /** @param  array{sourced_id: string, title: string, starts_on: string, ends_on: string}  $term */
    private function write(SchoolData $data, ImportLog $log, Term $model, array $term): void
    {
        $known = DB::table('closures')->where('term_id', $model->id)->get()->keyBy('uid');
        $opened = $this->openedHere($model->id);
        foreach ($data->closures ?? [] as $closure) {
            if ($closure['last'] < $term['starts_on'] || $closure['first'] > $term['ends_on']) {
                continue;
            }
            $row = [
                'starts_on' => $closure['first'],
                'ends_on' => $closure['last'],
                'reason' => $closure['reason'],
            ];
            $days = "$closure[first] $closure[last]";
            $old = $known->pull($closure['uid']);
            if ($old === null && in_array($closure['uid'], $opened, true)) {
                $log->line(new ImportLine('closures', 'stays', $closure['reason'], '', $days));
            } elseif ($old === null) {
                DB::table('closures')->insert([
                    ...$row,
                    'term_id' => $model->id,
                    'uid' => $closure['uid'],
                    'created_at' => now(),
                    'updated_at' => now(),
                ]);
                $log->count('closures', 'added');
                $log->line(new ImportLine('closures', 'add', $closure['reason'], '', $days));
            } elseif (array_diff_assoc($row, (array) $old) !== []) {
                DB::table('closures')
                    ->where('id', $old->id)
                    ->update([...$row, 'updated_at' => now()]);
                $log->count('closures', 'changed');
                $log->line(
                    new ImportLine(
                        'closures',
                        'change',
                        $closure['reason'],
                        "$old->starts_on $old->ends_on",
                        $days,
                    ),
                );
            }
        }
        foreach ($data->faults === [] ? $known : [] as $old) {
            $days = "$old->starts_on $old->ends_on";
            if ($old->is_local) {
                $log->line(new ImportLine('closures', 'stays', $old->reason, $days));
            } elseif (
                $log->dangerous(new ImportLine('closures', 'remove', $old->reason, $days, '', "closure:$old->uid"))
            ) {
                DB::table('closures')->where('id', $old->id)->delete();
                $log->count('closures', 'removed');
            }
        }
    }

    /**
     * The imported closures that somebody has opened here, by their uids: of changes that are not undone.
     *
     * @return list<string>
     */
    private function openedHere(int $term): array
    {
        $out = [];
        $changes = TermChange::query()
            ->where('term_id', $term)
            ->whereNull('undone_at')
            ->whereNull('import_id')
            ->where('words', 'like', 'opened %')
            ->get();
        foreach ($changes as $change) {
            $after = array_column($change->after['closures'] ?? [], 'uid');
            array_push($out, ...array_diff(array_column($change->before['closures'] ?? [], 'uid'), $after));
        }

        return array_values(array_map(strval(...), $out));
    }
}
